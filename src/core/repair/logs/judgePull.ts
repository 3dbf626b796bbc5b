import { UNITS } from '../../base/units/units'
import { lineThrough } from '../../base/numeric/line'
import { waterVapourPressure } from '../../physics/air/psychrometrics'
import { lastMark, type Look, looksOf, since, type WorkLog } from './series'
import type { Verdict } from './told'
import type { VacuumLimits } from './vacuumLimits'

const MICRON = UNITS.micron.si

/** What a pull says while it runs. */
export type PullJudged = Verdict & {
  readonly system: number | undefined
  readonly pump: number | undefined
  readonly state: 'starting' | 'falling' | 'stalled' | 'reached'
  /** what the stall may be; undefined where it does not stall */
  readonly stall: 'refrigerant-or-ice' | 'water' | 'leak-or-oil' | undefined
  /** water that lies at the coldest place boils at this pressure, Pa */
  readonly boilsBelow: number
  readonly boils: boolean
  readonly gauges: 'agree' | 'hose' | 'swapped' | undefined
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

/** [practice] a vacuum is at its target when looks half a minute apart are, and none between is above it. */
const STAYS_SECONDS = 30

/** Whether the last looks stand at a target or below it for long enough: one look is a flicker. */
function staysBelow(looks: readonly Look[], target: number): boolean {
  const above = looks.findLastIndex(({ value }) => value > target)
  const [first, last] = [looks[above + 1], looks.at(-1)]
  return first !== undefined && last !== undefined && last.seconds - first.seconds >= STAYS_SECONDS
}

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

const gaugesOf = (system: number | undefined, pump: number | undefined): PullJudged['gauges'] => {
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

function stateOf(system: number | undefined, isReached: boolean, stands: boolean): PullJudged['state'] {
  if (system === undefined) return 'starting'
  if (isReached) return 'reached'
  return stands ? 'stalled' : 'falling'
}

/** Judges a pull: how deep, whether it stands and why, what the two gauges say (handbook 08). @param coldest K */
export function judgePull(
  log: WorkLog,
  { target }: Pick<VacuumLimits, 'target'>,
  coldest: number,
  atmosphere: number,
): PullJudged {
  const looks = looksOf(log, 'systemVacuum', atmosphere)
  const [system, pump] = [looks.at(-1)?.value, looksOf(log, 'pumpVacuum', atmosphere).at(-1)?.value]
  const boilsBelow = waterVapourPressure(coldest)
  const sweep = lastMark(log, 'sweep')?.seconds ?? 0
  const isBelow = system !== undefined && system <= target
  const isReached = isBelow && staysBelow(looks, target)
  const stands = !isBelow && isStalled(since(looks, sweep))
  const state = stateOf(system, isReached, stands)
  const stall = stands && system !== undefined ? stallOf(system, boilsBelow) : undefined
  const gauges = gaugesOf(system, pump)
  const said =
    state === 'reached'
      ? 'At the target: shut the valve and watch.'
      : stall
        ? STALLS[stall]
        : state === 'starting'
          ? 'Nothing is read yet.'
          : isBelow
            ? 'Just at the target.'
            : 'It falls.'
  return {
    system,
    pump,
    state,
    stall,
    boilsBelow,
    boils: system !== undefined && system < boilsBelow,
    gauges,
    limit: isReached ? 'passed' : 'waiting',
    missing: isReached
      ? []
      : [
          isBelow
            ? 'one more look at the target, half a minute later'
            : `pull on, to ${Math.round(target / MICRON)} microns`,
        ],
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
