'use client'
import '@/ui/chartParts'
import { Chart, type ChartOptions } from 'chart.js'
import type { AnnotationOptions } from 'chartjs-plugin-annotation'
import zoomPlugin from 'chartjs-plugin-zoom'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type Theme, useTheme } from '@mui/material/styles'
import { startTransition, useDeferredValue, useMemo, useState } from 'react'
import { Scatter } from 'react-chartjs-2'
import { unitText } from '@/core/base/units/system'
import { countOf, type Samples } from '@/core/record/logs/samples'
import { gapOf, segmentsOf, type ThinPoint, thinWindow, type Window } from '@/core/record/logs/segments'
import { MARK_WORDS } from '@/core/record/logs/markWords'
import { channelRow } from '@/core/record/readings/channels'
import type { LogHead } from '@/core/record/records/log'
import type { Level, Zone } from '@/core/repair/logs/told'
import { CHART_FONT, chartAxis, chartLabels, DASHES, LINE_LOOKS, lookColour } from '@/ui/chartStyle'

// needs a window, and knows charts that were there before it
Chart.register(zoomPlugin)

const SLICES = 250
const MINUTE = 60
const LEAST_WINDOW = 20
/** So few looks are drawn as points too. */
const FEW = 30

type Props = {
  head: Pick<LogHead, 'channels' | 'marks'>
  samples: Samples
  /** places of the channels that share this axis */
  channels: readonly number[]
  label: string
  isLogarithmic?: boolean
  levels?: readonly Level[]
  zones?: readonly Zone[]
}

/** What is looked at: all of it while it grows, else what was zoomed to. */
function useWindow(end: number) {
  const whole: Window = { from: 0, to: Math.max(end, MINUTE) }
  const [own, setOwn] = useState<Window>()
  const within = ({ from, to }: Window): Window | undefined => {
    const length = Math.max(to - from, LEAST_WINDOW)
    const start = Math.max(0, from)
    return length >= end && start === 0 ? undefined : { from: start, to: start + length }
  }
  // the finger is answered first, the curve is drawn in a task of its own; a second turn goes on from the first
  const move = (change: (shown: Window) => Window) =>
    startTransition(() => setOwn((now) => within(change(now ?? whole))))
  return {
    shown: own ?? whole,
    isWhole: own === undefined,
    move,
    reset: () => startTransition(() => setOwn(undefined)),
  }
}
type Move = ReturnType<typeof useWindow>['move']

/** Marks as upright lines, levels across, bands behind. */
function annotations({ palette }: Theme, { head, levels = [], zones = [] }: Props): AnnotationOptions[] {
  const word = {
    display: true,
    backgroundColor: palette.background.paper,
    font: CHART_FONT,
    padding: 2,
  } as const
  const marks = (head.marks ?? []).map(({ seconds, what, text, value }): AnnotationOptions => ({
    type: 'line',
    xMin: seconds / MINUTE,
    xMax: seconds / MINUTE,
    borderColor: palette.text.secondary,
    borderWidth: 1,
    borderDash: [3, 3],
    label: {
      ...word,
      content: [text ?? MARK_WORDS[what], value === undefined ? '' : `${value}`].join(' ').trim() || '•',
      position: 'start',
      color: palette.text.primary,
    },
  }))
  const lines = levels.map(({ label, value }): AnnotationOptions => ({
    type: 'line',
    yMin: value,
    yMax: value,
    borderColor: palette.primary.main,
    borderWidth: 1.5,
    borderDash: [8, 4],
    label: { ...word, content: label, position: 'end', color: palette.primary.main },
  }))
  const bands = zones.map(({ label, from, to }, i): AnnotationOptions => ({
    type: 'box',
    yMin: from,
    yMax: to,
    borderWidth: 0,
    backgroundColor: i % 2 === 0 ? `${palette.primary.main}14` : 'transparent',
    label: {
      display: true,
      content: label,
      position: { x: 'start', y: 'center' },
      color: palette.text.secondary,
      font: CHART_FONT,
    },
  }))
  return [...bands, ...lines, ...marks]
}

const tidy = (value: number | string) => Number(Number(value).toFixed(1))

const WHEEL_STEP = 1.25

/** What fingers did to the chart, and what the wheel asks for: it is not drawn twice. */
function gestures(move: Move) {
  const follow = ({ chart }: { chart: Chart }) => {
    const { min, max } = chart.scales.x!
    move(() => ({ from: min * MINUTE, to: max * MINUTE }))
  }
  const onZoomStart = ({ chart, event, point }: { chart: Chart; event: Event; point: { x: number } }) => {
    if (!(event instanceof WheelEvent)) return true
    event.preventDefault()
    const at = chart.scales.x!.getValueForPixel(point.x)! * MINUTE
    const factor = WHEEL_STEP ** Math.sign(event.deltaY)
    move(({ from, to }) => ({ from: at - (at - from) * factor, to: at + (to - at) * factor }))
    return false
  }
  return {
    zoom: {
      wheel: { enabled: true },
      pinch: { enabled: true },
      mode: 'x',
      onZoomStart: onZoomStart as (context: { chart: Chart }) => boolean,
      onZoom: follow,
    },
    pan: { enabled: true, mode: 'x', onPan: follow },
  } as const
}

function optionsFor(theme: Theme, props: Props, shown: Window, move: Move) {
  const unit = props.head.channels[props.channels[0] ?? 0]?.unit
  const minutes = chartAxis(theme, 'minutes')
  const labels = chartLabels(theme)
  return {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    parsing: false,
    normalized: true,
    scales: {
      x: {
        ...minutes,
        type: 'linear',
        min: shown.from / MINUTE,
        max: shown.to / MINUTE,
        ticks: { ...minutes.ticks, callback: tidy },
      },
      y: {
        ...chartAxis(theme, unit ? unitText(unit) : ''),
        type: props.isLogarithmic ? 'logarithmic' : 'linear',
      },
    },
    plugins: {
      ...labels,
      legend: { ...labels.legend, display: props.channels.length > 1 },
      annotation: { annotations: annotations(theme, props) },
      zoom: gestures(move),
    },
  } satisfies ChartOptions<'scatter'>
}

/** What is looked at, and the curves of it: least and most of each slice, gaps left open. */
function useCurves({ samples: newest, channels, isLogarithmic = false }: Props) {
  // drawn in slices: a stream never holds up a finger
  const samples = useDeferredValue(newest)
  const end = samples.time[countOf(samples) - 1] ?? 0
  const window = useWindow(end)
  const { shown } = window
  const segments = useMemo(() => {
    const gap = gapOf(samples.time)
    return channels.map((channel) => segmentsOf(samples, channel, gap))
  }, [samples, channels])
  const curves = useMemo(
    () =>
      channels.map((channel, i) =>
        thinWindow(samples, channel, segments[i] ?? [], shown, SLICES, 1 / MINUTE).filter(
          ({ y }) => !isLogarithmic || Number.isNaN(y) || y > 0,
        ),
      ),
    [samples, channels, segments, shown, isLogarithmic],
  )
  return { ...window, curves }
}

const datasetsOf = (theme: Theme, { head, channels }: Props, curves: readonly (readonly ThinPoint[])[]) =>
  channels.map((channel, i) => {
    const look = LINE_LOOKS[i % LINE_LOOKS.length] ?? 'solid'
    const [colour, own] = [lookColour(theme, look), curves[i] ?? []]
    return {
      label: channelRow(head.channels[channel]!.key).short,
      data: [...own],
      showLine: true,
      spanGaps: false,
      borderColor: colour,
      backgroundColor: colour,
      borderWidth: 2,
      borderDash: [...DASHES[look]],
      pointRadius: own.length < FEW ? 3 : 0,
      pointHitRadius: 8,
    }
  })

type ButtonsProps = {
  label: string
  isWhole: boolean
  move: Move
  reset: () => void
}

/** What wheel and fingers do, for the keyboard and for gloves. */
function LookButtons({ label, isWhole, move, reset }: ButtonsProps) {
  const slide = (share: number) =>
    move(({ from, to }) => ({ from: from + share * (to - from), to: to + share * (to - from) }))
  // the newest end stays in sight
  const zoom = (factor: number) => move(({ from, to }) => ({ from: to - (to - from) * factor, to }))
  const acts: readonly (readonly [string, string, () => void])[] = [
    ['Earlier', '◂', () => slide(-0.5)],
    ['Later', '▸', () => slide(0.5)],
    ['Closer', '+', () => zoom(0.5)],
    ['Wider', '−', () => zoom(2)],
  ]
  return (
    <Box
      role="group"
      aria-label={`Look closer at ${label}`}
      sx={{ display: 'flex', gap: 0.5, justifyContent: 'flex-end', flexWrap: 'wrap' }}
    >
      {acts.map(([name, sign, act]) => (
        <Button key={name} color="inherit" aria-label={name} onClick={act} sx={{ minWidth: 48 }}>
          {sign}
        </Button>
      ))}
      <Button color="inherit" disabled={isWhole} onClick={reset}>
        Whole
      </Button>
    </Box>
  )
}

/** Curves of a log against minutes; wheel, fingers and buttons look closer. */
export function LogChart(props: Props) {
  const theme = useTheme()
  const { shown, isWhole, move, reset, curves } = useCurves(props)
  return (
    <Box>
      <Box sx={{ height: { xs: 230, md: 250 }, position: 'relative' }}>
        <Scatter
          aria-label={props.label}
          role="img"
          data={{ datasets: datasetsOf(theme, props, curves) }}
          options={optionsFor(theme, props, shown, move)}
        />
      </Box>
      <LookButtons label={props.label} isWhole={isWhole} move={move} reset={reset} />
    </Box>
  )
}
