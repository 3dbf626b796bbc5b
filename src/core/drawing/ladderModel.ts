import { SATURATION_NAMES } from '../record/readings/saturationNames'
import type { Assessment } from '../diagnosis/evidence/assess'
import { verdict, type Verdict } from '../diagnosis/evidence/sentence'
import { type DerivedKey, derivedRow } from '../record/readings/derivedTable'
import type { Measured } from '../record/readings/snapshot'
import { type ReadingKey, readingRow } from '../record/readings/vocabulary'
import type { Target, TargetKey } from '../diagnosis/targets/target'

/** One temperature on the ladder; a blend's saturation is a thick rung from bubble to dew. */
export type Rung = {
  readonly id: string
  readonly label: string
  readonly kelvin: number
  readonly error: number
  readonly derived: boolean
  /** the other end of a glide, K */
  readonly glideTo?: number
}

/** The gap between two rungs, with its target where there is one. */
export type LadderSpan = {
  readonly id: DerivedKey
  readonly label: string
  readonly formula: string
  /** rung that the span is counted from, and the one it reaches, K */
  readonly from: number
  readonly to: number
  readonly measured: Measured
  readonly target?: Target
  readonly verdict?: Verdict
}

export type LadderModel = { readonly rungs: readonly Rung[]; readonly spans: readonly LadderSpan[] }

/** What a ladder is drawn from. */
type Read = Pick<Assessment, 'snapshot' | 'derived' | 'targets'>

/** Readings that stand on the ladder when taken. */
const MEASURED_RUNGS: readonly ReadingKey[] = [
  'dischargeLineTemp',
  'outdoorAirTemp',
  'returnAirTemp',
  'supplyAirTemp',
  'boxTemp',
  'waterInTemp',
  'waterOutTemp',
  'liquidLineTemp',
  'dryerOutTemp',
  'meteringInletTemp',
  'evaporatorOutletTemp',
  'suctionLineTemp',
]

type SpanRow = {
  readonly key: DerivedKey
  readonly short: string
  readonly target?: TargetKey
  /** told only when it is out of its band */
  readonly onlyWhenOff?: true
  /** end that is counted from: a derived temperature or a reading; the span runs by the measured difference */
  readonly from: DerivedKey | ReadingKey
  readonly sign: 1 | -1
}

/** The gaps that are the diagnosis, in order of importance. */
const SPAN_ROWS: readonly SpanRow[] = [
  { key: 'superheat', short: 'Superheat', target: 'superheat', from: 'evaporatingDew', sign: 1 },
  { key: 'subcooling', short: 'Subcooling', target: 'subcooling', from: 'condensingBubble', sign: -1 },
  { key: 'temperatureSplit', short: 'Split', target: 'temperatureSplit', from: 'returnAirTemp', sign: -1 },
  {
    key: 'condensingOverAmbient',
    short: 'Over ambient',
    target: 'condensingMean',
    from: 'outdoorAirTemp',
    sign: 1,
  },
  {
    key: 'condensingOverWater',
    short: 'Over water',
    target: 'condensingMean',
    from: 'waterOutTemp',
    sign: 1,
  },
  {
    key: 'evaporatorDifference',
    short: 'Coil difference',
    target: 'evaporatingMean',
    from: 'returnAirTemp',
    sign: -1,
  },
  { key: 'boxDifference', short: 'Box difference', target: 'evaporatingMean', from: 'boxTemp', sign: -1 },
  {
    key: 'evaporatorSuperheat',
    short: 'At the bulb',
    target: 'evaporatorSuperheat',
    from: 'evaporatingDew',
    sign: 1,
    onlyWhenOff: true,
  },
  {
    key: 'dryerDrop',
    short: 'Dryer drop',
    target: 'dryerDrop',
    from: 'dryerInTemp',
    sign: -1,
    onlyWhenOff: true,
  },
]

/** Targets that are temperatures, not differences, are restated as a gap from where the span starts. */
function targetGap(row: SpanRow, from: number, { targets }: Read): Target | undefined {
  const target = row.target && targets[row.target]
  if (!target) return undefined
  const isTemperature = row.target === 'condensingMean' || row.target === 'evaporatingMean'
  return isTemperature ? { ...target, value: row.sign * (target.value - from) } : target
}

function spanOf(row: SpanRow, diagnosis: Read): LadderSpan[] {
  const { derived, snapshot } = diagnosis
  const measured = derived[row.key]
  const from = (derived[row.from as DerivedKey] ?? snapshot.values[row.from as ReadingKey])?.value
  if (!measured || from === undefined) return []
  const target = targetGap(row, from, diagnosis)
  const { formula } = derivedRow(row.key)
  const base = {
    id: row.key,
    label: row.short,
    formula,
    from,
    to: from + row.sign * measured.value,
    measured,
  }
  if (!target) return [base]
  const judged = verdict(measured, target)
  return row.onlyWhenOff && judged === 'in band' ? [] : [{ ...base, target, verdict: judged }]
}

/** A glide under this is drawn as a thin rung, K. */
const LEAST_GLIDE = 0.3

/** A rung stands at the edge that superheat or subcooling is counted from; the glide reaches from it to the other one. */
const EDGES = { evaporatingMean: 'evaporatingDew', condensingMean: 'condensingBubble' } as const

function saturationRung(diagnosis: Read, id: keyof typeof EDGES, plain: string): Rung[] {
  const { derived } = diagnosis
  const mean = derived[id]
  if (!mean) return []
  const edge = derived[EDGES[id]]
  // the mean lies 2/3 or 1/2 of the way along the glide: its other end follows from the known edge
  const away = edge ? (mean.value - edge.value) * (id === 'evaporatingMean' ? 3 : 2) : 0
  const glides = edge !== undefined && Math.abs(away) > LEAST_GLIDE
  return [
    {
      id,
      // without glide bubble, mean and dew are one
      label: glides ? SATURATION_NAMES[EDGES[id]] : plain,
      kelvin: edge?.value ?? mean.value,
      error: mean.error,
      derived: true,
      ...(glides ? { glideTo: edge.value + away } : {}),
    },
  ]
}

/** Rungs and spans of one reading set. */
export function ladderModel(diagnosis: Read): LadderModel {
  const { values } = diagnosis.snapshot
  const measured = MEASURED_RUNGS.flatMap((key): Rung[] => {
    const value = values[key]
    return value
      ? [{ id: key, label: readingRow(key).short, kelvin: value.value, error: value.error, derived: false }]
      : []
  })
  return {
    rungs: [
      ...saturationRung(diagnosis, 'condensingMean', 'Condensing'),
      ...saturationRung(diagnosis, 'evaporatingMean', 'Evaporating'),
      ...measured,
    ].sort((a, b) => b.kelvin - a.kelvin),
    spans: SPAN_ROWS.flatMap((row) => spanOf(row, diagnosis)),
  }
}
