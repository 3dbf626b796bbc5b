import type { Job, KnownJob } from '../../record/job/job'
import { acidFound } from '../../record/job/acidTests'
import type { Observations } from '../../record/readings/schema'
import { ACID_RESULTS } from '../../record/records/repair'
import { instantOf, isAtOrBefore } from '../../base/units/instants'
import { differenceFromKelvin, fromKelvin } from '../../base/units/convert'
import { type Assessment, deviationOf } from '../evidence/assessment'
import { setsBefore, wholeOf } from './record'
import { faultRow, type SuspectId } from '../faults/faults'

/** What is on record when the cause of death is looked for. */
type CauseRecord = Assessment & {
  readonly seen: Observations
  readonly arrival: NonNullable<Job['arrival']>
}

/** What a cause found for itself: a sentence each, or nothing. */
type Evidence = (record: CauseRecord) => readonly (string | false | undefined)[]

export type CauseRow = {
  readonly label: string
  readonly evidence: Evidence
  /** what to look at where nothing is on record yet */
  readonly look: string
  /** what removes it, or the new one dies too */
  readonly action: string
}

const degrees = (kelvin: number) => differenceFromKelvin(kelvin, 'F').toFixed(0)
/** [practice] handbook 03 and 04: discharge above this cooks oil; superheat below this is floodback. */
const HOT_DISCHARGE_F = 225
const FLOODBACK = 2

/** Deviation of a feature in half widths of its band; none where it was not judged. */
const deviation = ({ judged }: CauseRecord, key: keyof Assessment['judged']): number =>
  deviationOf(judged, key) ?? 0

const testFailed = ({ tests }: CauseRecord, key: keyof Assessment['tests']): string | undefined => {
  const found = tests[key]
  return found && found.finding.verdict === 'failed' ? found.finding.sentence : undefined
}

function hotDischarge({ snapshot }: CauseRecord): string | undefined {
  const value = snapshot.values.dischargeLineTemp?.value
  if (value === undefined || fromKelvin(value, 'F') < HOT_DISCHARGE_F) return undefined
  return `Discharge line ${fromKelvin(value, 'F').toFixed(0)} F, above ${HOT_DISCHARGE_F} F.`
}

const changedBefore = ({ previousCompressorWhen: when }: CauseRecord['arrival']) =>
  `The compressor was changed before${when ? ` (${when})` : ''}.`

/** Why compressors die (handbook 04), each with what speaks for it and what removes it. */
const CAUSES = {
  'flooded-start': {
    label: 'Flooded starts: crankcase heater open, long off periods in cold',
    evidence: (record) => [testFailed(record, 'heater')],
    look: 'Volts, ohms and amps of the crankcase heater with the contactor out.',
    action: 'Replace the heater; on for 12-24 h before the first start.',
  },
  floodback: {
    label: 'Floodback: liquid comes back while it runs',
    evidence: (record) => [
      record.derived.superheat &&
        record.derived.superheat.value < FLOODBACK &&
        `Superheat ${degrees(record.derived.superheat.value)} F at the compressor.`,
      record.seen.frostPattern === 'suction-to-compressor' && 'Frost or sweat back to the compressor.',
    ],
    look: 'Superheat at the compressor, frost back to the shell, the bulb.',
    action: 'Find what floods before the new one starts: valve, bulb, airflow, charge; prove superheat.',
  },
  overheating: {
    label: 'Overheating, high compression ratio',
    evidence: (record) => [
      hotDischarge(record),
      deviation(record, 'condensingMean') > 2 && 'Condensing mean far above its band.',
      record.seen.condenserCoil === 'dirty' && 'Dirty condenser coil.',
      record.seen.oilAppearance === 'burnt-smell' && 'Oil smells burnt.',
    ],
    look: 'Discharge temperature, condenser coil, low charge, restriction.',
    action: 'Clean the condenser, remove the restriction, charge by weight; prove discharge below 225 F.',
  },
  'ran-out-of-charge': {
    label: 'Ran out of charge with no low-pressure cut-out',
    evidence: (record) => [
      record.seen.weighedCharge === 'below-plate' && 'Recovered weight below the plate.',
      deviation(record, 'subcooling') < -2 && 'Subcooling far below its band.',
      record.seen.oilStain !== undefined &&
        record.seen.oilStain !== 'none' &&
        `Oil stain: ${record.seen.oilStain.replace(/-/g, ' ')}.`,
    ],
    look: 'Recovered weight, oil stains, whether a low-pressure switch is there and sees pressure.',
    action: 'Find and repair the leak; fit or restore the low-pressure switch.',
  },
  'acid-from-earlier-burnout': {
    label: 'Burnt by acid left from an earlier burnout',
    evidence: ({ seen, arrival }) => [
      arrival.previousBurnout && 'A burnout in its history.',
      (seen.acidTest === 'weak' || seen.acidTest === 'strong') && `Acid test ${seen.acidTest}.`,
    ],
    look: 'Acid test of oil and refrigerant; the history of the unit.',
    action: 'Burnout clean-up with suction dryer and oil changes until the test is negative.',
  },
  moisture: {
    label: 'Moisture: copper plating, sludge',
    evidence: ({ seen }) => [
      seen.copperPlating === 'yes' && 'Copper plating.',
      seen.moistureIndicator === 'wet' && 'Moisture indicator wet.',
      seen.moistureIndicator === 'unreadable' && 'Moisture indicator unreadable: washed out by free water.',
      seen.oilAppearance === 'milky' && 'Milky oil.',
    ],
    look: 'Moisture indicator, oil, copper plating on the old parts.',
    action: 'Deep evacuation with decay test, large dryer, oil change; find how water got in.',
  },
  debris: {
    label: 'Debris or shavings',
    evidence: ({ seen }) => [
      seen.oilAppearance === 'metal-flakes' && 'Metal flakes in the oil.',
      seen.inletScreen === 'plugged' && 'Plugged inlet screen.',
    ],
    look: 'Oil through a clean cloth, screens, the old dryer cut open.',
    action: 'Flush or blow out each section, new dryers, check the metering device.',
  },
  supply: {
    label: 'Supply: unbalance above 2 %, single-phasing, low volts',
    evidence: (record) => [testFailed(record, 'supply'), testFailed(record, 'legAmps')],
    look: 'Volts on all pairs running, amps on all legs.',
    action: 'Repair the supply; fit phase protection where it is missing.',
  },
  contactor: {
    label: 'Pitted contactor',
    evidence: (record) => [
      testFailed(record, 'contactor'),
      record.seen.contactorPoints === 'pitted' && 'Pitted points.',
    ],
    look: 'Points, volts across the closed contacts.',
    action: 'Replace the contactor with the compressor.',
  },
  'start-gear': {
    label: 'Failed capacitor or relay',
    evidence: (record) => [
      testFailed(record, 'runCapacitor'),
      record.seen.startGear === 'failed' && 'Starting gear failed.',
    ],
    look: 'Capacitors against their labels, the relay.',
    action: 'New run capacitor and start gear with the compressor.',
  },
  'short-cycling': {
    label: 'Short cycling',
    evidence: ({ seen }) => [seen.shortCycling === 'yes' && 'Starts many times an hour.'],
    look: 'Starts an hour, pressure switch settings, thermostat place, size of the unit.',
    action: 'Set the controls, fit a time delay.',
  },
  'wrong-wiring': {
    label: 'Wrong wiring at the last change',
    evidence: ({ seen, arrival }) => [
      seen.wiring === 'wrong' && 'Wiring differs from the diagram.',
      arrival.previousCompressor && seen.wiring === undefined && changedBefore(arrival),
    ],
    look: 'Wiring against the diagram before any lead comes off.',
    action: 'Wire by the diagram, keep a wiring map.',
  },
  rubbed: {
    label: 'Rubbed wire or tube, vibration',
    evidence: ({ seen, tests }) => [
      seen.leadState === 'rubbed' && 'A lead is rubbed, not through.',
      seen.leadState === 'rubbed-through' && 'A lead is rubbed through.',
      tests.ground?.word === 'at-contactor' && 'A ground seen from the contactor.',
    ],
    look: 'Leads and tubes along their way, feet and grommets.',
    action: 'Secure and sleeve leads and tubes, new grommets.',
  },
  age: {
    label: 'Age',
    evidence: () => [],
    look: 'Year on the plate, hours; only when the others were looked at.',
    action: 'None but the usual care.',
  },
} as const satisfies Record<string, CauseRow>

export type CauseId = keyof typeof CAUSES
export const CAUSE_IDS = Object.keys(CAUSES) as CauseId[]

/** The row seen without its literal types. */
export const causeRow = (id: CauseId): CauseRow => CAUSES[id]
export const isCause = (id: string): id is CauseId => Object.hasOwn(CAUSES, id)

/** A cause with what speaks for it on this job. */
export type Cause = { readonly id: CauseId; readonly found: readonly string[] } & Omit<CauseRow, 'evidence'>

/** Whether a suspect would have a compressor condemned, so that its death must be explained. */
export const killsCompressor = (suspect: SuspectId): boolean =>
  suspect !== 'healthy' && suspect !== 'unlisted' && faultRow(suspect).part === 'compressor'

/** The graver word of the tests for acid that were read until then, of gas and oil. */
function acidSeen(observations: Observations, repair: Job['repair'], at: string | undefined): Observations {
  const limit = instantOf(at)
  const acidTests = (repair?.acidTests ?? []).filter(
    (test) => limit === undefined || isAtOrBefore(test.at, limit),
  )
  const { strip, oil } = acidFound({ observations, repair: { acidTests } })
  const acidTest = ACID_RESULTS.findLast((word) => word === strip || word === oil)
  return acidTest ? { acidTest } : {}
}

/**
 * Causes of death of a compressor, those with evidence first.
 * @param at when its repair was decided: what was read later says nothing of its death; undefined for now
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function causesOf(
  {
    unit,
    readingSets,
    arrival,
    repair,
  }: Pick<KnownJob, 'unit' | 'readingSets' | 'arrival'> & Partial<Pick<KnownJob, 'repair'>>,
  at?: string,
): Cause[] {
  const seen = Object.assign({}, ...setsBefore(readingSets, at).map(({ observations }) => observations ?? {}))
  const record: CauseRecord = {
    ...wholeOf(unit, readingSets, { at }),
    seen: { ...seen, ...acidSeen(seen, repair, at) },
    arrival: arrival ?? {},
  }
  return CAUSE_IDS.map((id): Cause => {
    const { label, look, action, evidence } = causeRow(id)
    return { id, label, look, action, found: evidence(record).filter((text) => typeof text === 'string') }
  }).sort((a, b) => b.found.length - a.found.length)
}
