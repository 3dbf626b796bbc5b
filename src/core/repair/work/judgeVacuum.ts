import { UNITS } from '../../base/units/units'
import { lineThrough } from '../../base/numeric/line'
import { waterVapourPressure } from '../../physics/air/psychrometrics'
import type { DecayFit } from '../../physics/processes/decay'
import type { Policy } from '../../record/policy/policy'
import { lastMark, type Look, looksOf, since, type WorkLog } from './series'

const MICRON = UNITS.micron.si
/** [practice] handbook 08: targets and limits of the two schools, microns. */
const TARGETS = { usual: 500, deep: 300 } as const
const LIMITS = { 'field-1000': 1000, 'strict-500': 500 } as const

/** What this job is pulled to and judged by, Pa and s. */
export type VacuumLimits = {
  readonly target: number
  readonly limit: number
  readonly minutes: number
  readonly school: 'field' | 'strict'
}

/** Target, limit and length of the decay test by the policy (handbook 08, 11). */
export function vacuumLimits(policy: Policy, isWet: boolean): VacuumLimits {
  const isDeep = policy.vacuumTarget === 'always-300' || (policy.vacuumTarget === '500-300-wet' && isWet)
  const minutes = { '10-15-wet': isWet ? 15 : 10, 'always-5': 5, 'always-15': 15 }[policy.decayTime]
  return {
    target: (isDeep ? TARGETS.deep : TARGETS.usual) * MICRON,
    limit: LIMITS[policy.decayLimit] * MICRON,
    minutes,
    school: policy.decayLimit === 'strict-500' ? 'strict' : 'field',
  }
}

/** What a pull says while it runs. */
export type VacuumJudged = {
  readonly system: number | undefined
  readonly pump: number | undefined
  readonly state: 'starting' | 'falling' | 'stalled' | 'reached'
  /** what the stall may be; undefined where it does not stall */
  readonly stall: 'refrigerant-or-ice' | 'water' | 'leak-or-oil' | undefined
  /** water that lies at the coldest place boils at this pressure, Pa */
  readonly boilsBelow: number
  readonly boils: boolean
  readonly gauges: 'agree' | 'hose' | 'swapped' | undefined
  readonly passed: boolean
  readonly sentence: string
}

/** [practice] a pull that moves less than this in ten minutes stands, as a share. */
const STALL_SECONDS = 600
const STALL_SHARE = 0.06
/** The stretch counts as watched when looks reach over this share of it. */
const FILLED = 0.9
/** [practice] handbook 08: a stall near 3,000 microns is refrigerant that comes off oil or past a valve, or ice. */
const REFRIGERANT = { from: 2200 * MICRON, to: 4200 * MICRON } as const
/** [memory] boiling water holds a pull up at this share of its vapour pressure at the coldest place. */
const WATER = { from: 0.2, to: 1.1 } as const
/** [practice] 152 at the pump against 321 at the system is fine; past this the hose holds it up. */
const GAUGE_RATIO = 3.5
const SWAPPED = 0.8

function isStalled(looks: readonly Look[]): boolean {
  const last = looks.at(-1)
  if (!last) return false
  const own = looks.filter(({ seconds }) => seconds >= last.seconds - STALL_SECONDS)
  if (last.seconds - (own[0]?.seconds ?? last.seconds) < STALL_SECONDS * FILLED) return false
  const line = lineThrough(
    own.map(({ seconds }) => seconds),
    own.map(({ value }) => Math.log(value)),
  )
  return line !== undefined && line.slope * STALL_SECONDS > -STALL_SHARE
}

const STALLS = {
  'refrigerant-or-ice':
    'It stands near 3,000 microns. Detector at the pump outlet: alarming means refrigerant comes off oil or past a valve, stop, that is venting. Silent: ice (its vapour is 3,000 at 23 F): warm the cold place, open the ballast, look at pump oil and hose.',
  water: 'It stands where water boils: sweep with nitrogen, warm the coldest place, then on.',
  'leak-or-oil':
    'It stands above the target: shut the gauge and the hose in steps to see which leaks; change the pump oil; a core that is still in is a hose of its own.',
} as const

const stallOf = (system: number, boilsBelow: number): keyof typeof STALLS => {
  if (system >= REFRIGERANT.from && system <= REFRIGERANT.to) return 'refrigerant-or-ice'
  return system > WATER.from * boilsBelow && system <= WATER.to * boilsBelow ? 'water' : 'leak-or-oil'
}

const gaugesOf = (system: number | undefined, pump: number | undefined): VacuumJudged['gauges'] => {
  if (system === undefined || pump === undefined) return undefined
  if (pump * SWAPPED > system) return 'swapped'
  return system / pump > GAUGE_RATIO ? 'hose' : 'agree'
}
const GAUGE_SENTENCES = {
  agree: '',
  hose: ' The gauge at the pump reads far lower: hose or core hold it up.',
  swapped:
    ' The gauge at the pump reads higher than the one at the system: they are swapped, or one is dirty.',
} as const

/** Judges a pull: how deep, whether it stands and why, what the two gauges say (handbook 08). @param coldest K */
export function judgeVacuum(
  log: WorkLog,
  { target }: Pick<VacuumLimits, 'target'>,
  coldest: number,
  atmosphere: number,
): VacuumJudged {
  const looks = looksOf(log, 'systemVacuum', atmosphere)
  const [system, pump] = [looks.at(-1)?.value, looksOf(log, 'pumpVacuum', atmosphere).at(-1)?.value]
  const boilsBelow = waterVapourPressure(coldest)
  const sweep = lastMark(log, 'sweep')?.seconds ?? 0
  const isReached = system !== undefined && system <= target
  const stands = !isReached && isStalled(since(looks, sweep))
  const state = system === undefined ? 'starting' : isReached ? 'reached' : stands ? 'stalled' : 'falling'
  const stall = stands && system !== undefined ? stallOf(system, boilsBelow) : undefined
  const gauges = gaugesOf(system, pump)
  const said =
    state === 'reached'
      ? 'At the target: shut the valve and watch.'
      : stall
        ? STALLS[stall]
        : state === 'starting'
          ? 'Nothing is read yet.'
          : 'It falls.'
  return {
    system,
    pump,
    state,
    stall,
    boilsBelow,
    boils: system !== undefined && system < boilsBelow,
    gauges,
    passed: isReached,
    sentence: `${said}${gauges ? GAUGE_SENTENCES[gauges] : ''}`,
  }
}

/** [practice] micron gauges read up to about 25,000; near their end they only say that it is more. */
const GAUGE_TOP = 20_000 * MICRON

/** The looks since the pump was put on, s from then, as far as the gauge reads: what a forecast is corrected by. */
export function pullLooks(log: WorkLog, atmosphere: number): Look[] {
  const start = lastMark(log, 'valve-open')?.seconds ?? log.samples.time[0] ?? 0
  return since(looksOf(log, 'systemVacuum', atmosphere), start)
    .filter(({ value }) => value < GAUGE_TOP)
    .map(({ seconds, value }) => ({ seconds: seconds - start, value }))
}

/** What a decay test says. */
export type DecayJudged = {
  readonly state: 'waiting' | 'watching' | 'passed' | 'borderline' | 'refused'
  readonly looks: readonly Look[]
  readonly minutes: number
  readonly from: number | undefined
  readonly now: number | undefined
  readonly passed: boolean
  readonly sentence: string
  /** what is done next */
  readonly next: string | undefined
}

const CAUSES = {
  tight: 'flat: tight and dry enough',
  leak: 'a straight rise: a leak',
  moisture: 'fast, then level: moisture',
  both: 'a rise that bends and goes on: moisture and a leak',
} as const
const NEXT = {
  leak: 'Shut hoses, gauge and core tools off one after another and repeat: they leak oftener than the circuit. Still rising: back to nitrogen and bubbles.',
  moisture: 'Sweep with nitrogen, warm the coldest place, pull again.',
  both: 'Shut hoses and core tools off first; then sweep, warm, pull again.',
  tight: undefined,
} as const
const PROVES = 'It proves dryness, not tightness.'
const shown = (pascals: number) => `${Math.round(pascals / MICRON)} microns`

/** The looks after the valve was shut. */
export function decayLooks(log: WorkLog, atmosphere: number): Look[] {
  const shut = lastMark(log, 'valve-shut')
  return shut ? since(looksOf(log, 'systemVacuum', atmosphere), shut.seconds) : []
}

/** Judges a decay by its limit and its shape (handbook 08). @param fit of the curve, where it is known */
export function judgeDecay(
  looks: readonly Look[],
  limits: VacuumLimits,
  fit: DecayFit | undefined,
): DecayJudged {
  const [first, last] = [looks[0], looks.at(-1)]
  const minutes = first && last ? (last.seconds - first.seconds) / 60 : 0
  const base = { looks, minutes, from: first?.value, now: last?.value }
  if (!first || !last || looks.length < 2)
    return {
      ...base,
      state: 'waiting',
      passed: false,
      sentence: 'Shut the valve to the pump, then watch.',
      next: undefined,
    }
  const cause = fit?.cause
  const shape = cause ? CAUSES[cause] : 'its shape is not yet clear'
  const told = `${shown(first.value)} to ${shown(last.value)} in ${minutes.toFixed(minutes < 10 ? 1 : 0)} min, ${shape}`
  const limit = `${limits.school} limit ${shown(limits.limit)} in ${limits.minutes} min`
  const next = cause ? NEXT[cause] : undefined
  if (last.value > limits.limit)
    return {
      ...base,
      state: 'refused',
      passed: false,
      sentence: `${told}: over the ${limit}.`,
      next: next ?? 'Shut hoses and gauge off and repeat; then sweep and pull again.',
    }
  if (minutes < limits.minutes)
    return { ...base, state: 'watching', passed: false, sentence: `${told}; ${limit}.`, next: undefined }
  if (cause && cause !== 'tight' && heads(fit, limits))
    return {
      ...base,
      state: 'borderline',
      passed: false,
      sentence: `${told}: under the ${limit}, but the shape decides.`,
      next,
    }
  return {
    ...base,
    state: 'passed',
    passed: true,
    sentence: `${told}: passes the ${limit}. ${PROVES}`,
    next: undefined,
  }
}

/** Whether a curve goes on to pass the limit: a leak always does, moisture where its plateau lies above it. */
function heads(fit: DecayFit | undefined, { limit, minutes }: VacuumLimits): boolean {
  if (!fit) return false
  const { start, rate, amount } = fit.curve
  return start + amount + rate * minutes * 60 * 2 > limit
}
