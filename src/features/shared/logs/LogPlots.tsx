'use client'
import type { QuantityKind } from '@/core/base/units/units'
import type { Samples } from '@/core/record/logs/samples'
import { thinWhole } from '@/core/record/logs/segments'
import { channelRow } from '@/core/record/readings/channels'
import type { LogChannel } from '@/core/record/records/log'
import { LINE_LOOKS } from '@/ui/chartStyle'
import { type Curve, CurveChart } from '@/ui/CurveChart'

const KIND_TITLES: { readonly [K in QuantityKind]?: string } = {
  pressure: 'Pressure',
  temperature: 'Temperature',
  current: 'Amps',
  voltage: 'Volts',
}

/** A long log is drawn by least and most of this many slices: no peak is lost. */
const SLICES = 300
const PER_MINUTE = 1 / 60

type Props = {
  channels: readonly Pick<LogChannel, 'key' | 'unit'>[]
  samples: Samples
  /** minutes that are marked with an upright line */
  marks?: readonly { readonly minute: number; readonly label: string }[]
}

/** Least and most of curves; a flat line still needs edges that are seen. */
function endsOf(curves: readonly Curve[]): readonly [number, number] {
  const values = curves.flatMap(({ points }) => points.map(({ y }) => y)).filter((y) => !Number.isNaN(y))
  const least = values.reduce((a, b) => Math.min(a, b), Infinity)
  const most = values.reduce((a, b) => Math.max(a, b), -Infinity)
  return least === most ? [least - 1, most + 1] : [least, most]
}

type Shown = Pick<LogChannel, 'key' | 'unit'> & { readonly i: number }

/** Channels by what they measure, no more together than lines can be told apart. */
function groupsOf(channels: Props['channels']): { kind: QuantityKind; own: readonly Shown[] }[] {
  const kinds = [...new Set(channels.map(({ key }) => channelRow(key).kind))]
  return kinds.flatMap((kind) => {
    const own = channels.flatMap(({ key, unit }, i) =>
      channelRow(key).kind === kind ? [{ key, unit, i }] : [],
    )
    const charts = Math.ceil(own.length / LINE_LOOKS.length)
    const each = Math.ceil(own.length / charts)
    return Array.from({ length: charts }, (_chart, at) => ({
      kind,
      own: own.slice(at * each, (at + 1) * each),
    }))
  })
}

/** A log over time, one chart or more a kind of quantity. */
export function LogPlots({ channels, samples, marks = [] }: Props) {
  return groupsOf(channels).map(({ kind, own }, group) => {
    const title = KIND_TITLES[kind] ?? kind
    const curves = own.map(({ key, i }, at): Curve => ({
      label: channelRow(key).short,
      look: LINE_LOOKS[at % LINE_LOOKS.length] ?? 'solid',
      points: thinWhole(samples, i, SLICES, PER_MINUTE),
    }))
    const ends = endsOf(curves)
    return (
      <CurveChart
        key={group}
        label={`${title} of the log over time: ${own.map(({ key }) => channelRow(key).short).join(', ')}`}
        xTitle="minutes"
        yTitle={`${title}, ${[...new Set(own.map(({ unit }) => unit))].join(' and ')}`}
        curves={[
          ...curves,
          ...marks.map(({ minute, label }): Curve => ({
            label,
            look: 'dotted',
            points: ends.map((y) => ({ x: minute, y })),
          })),
        ]}
      />
    )
  })
}
