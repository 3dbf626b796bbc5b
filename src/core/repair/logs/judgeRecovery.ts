import type { Known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import type { Recovery, WeightOut } from '../charge/recovery'
import { weightOut } from '../charge/recovery'
import { lastMark, type Look, lookAt, looksOf, since, type WorkLog } from './series'
import type { Verdict } from './told'
import { minutesLeft } from './minutesLeft'
import { type Weighed, weighed } from './weighing'

/** What a recovery says while it runs and after the machine stopped. SI */
export type RecoveryJudged = Verdict & {
  readonly weight: Weighed | undefined
  /** Pa absolute, now */
  readonly pressure: number | undefined
  /** undefined where the depth that is required is not known */
  readonly isDeep: boolean | undefined
  /** after the stop: how long, how far it rose, Pa */
  readonly rise: { readonly seconds: number; readonly pascals: number } | undefined
  readonly endTest: 'running' | 'watching' | 'rises' | 'holds'
  /** of the limit of the cylinder, of one */
  readonly fill: number | undefined
  readonly fillState: 'room' | 'nearly-full' | 'full' | undefined
  /** what came out against plate and lines; only once it is over */
  readonly out: WeightOut | undefined
}

/** [practice] after the machine stopped it is watched for five minutes; a rise of this size is liquid or oil that boils. */
const WATCH = 300
const RISE = 2 * UNITS.psia.si
/** A gauge reads the depth within this, Pa. [practice] */
const GAUGE = 1 * UNITS.psia.si
/** [practice] handbook 07: told at seven tenths of the cylinder's limit over eight. */
const WARN_SHARE = 0.875

const SENTENCES: Readonly<Record<RecoveryJudged['endTest'], string>> = {
  running: 'It runs. When the pressure is at its depth, stop the machine and watch.',
  watching: 'The machine stands: five minutes are watched for a rise.',
  rises: 'It rises: liquid or oil still boils. Warm the cold spot, wait, recover again, watch again.',
  holds: 'No rise after the stop: nothing boils any more.',
}

/** What a recovery is judged by; what no plan tells is not known. */
export type RecoverySetup = {
  readonly atmosphere: number
  readonly depth?: Pick<Recovery['depth'], 'pascals' | 'shown'>
  /** kg */
  readonly cylinder?: Pick<Recovery['cylinder'], 'limit' | 'net'> &
    Partial<Pick<Recovery['cylinder'], 'basis'>>
  /** plate and lines, kg; nothing is short or over against a guess */
  readonly expected?: Known<number>
  /** only a part is emptied: what comes out says nothing of the charge */
  readonly isPart?: boolean
}

function riseAfter(pressures: readonly Look[], stop: number | undefined) {
  if (stop === undefined) return undefined
  const [first, last] = [lookAt(pressures, stop), since(pressures, stop).at(-1)]
  return first && last ? { seconds: last.seconds - stop, pascals: last.value - first.value } : undefined
}

function endTestOf(rise: ReturnType<typeof riseAfter>, stop: number | undefined): RecoveryJudged['endTest'] {
  if (stop === undefined) return 'running'
  if (rise && rise.pascals > RISE) return 'rises'
  return rise && rise.seconds >= WATCH ? 'holds' : 'watching'
}

function fillStateOf(fill: number): NonNullable<RecoveryJudged['fillState']> {
  if (fill >= 1) return 'full'
  return fill >= WARN_SHARE ? 'nearly-full' : 'room'
}

/** Judges a recovery log: depth, rise after the stop, the cylinder, what the weight says (handbook 07). */
export function judgeRecovery(
  log: WorkLog,
  { atmosphere, depth, cylinder, expected, isPart = false }: RecoverySetup,
): RecoveryJudged {
  const pressures = looksOf(log, 'circuitPressure', atmosphere)
  const weight = weighed(looksOf(log, 'cylinderWeight', atmosphere), log.head.marks ?? [], 'into-cylinder')
  const starts = (log.head.marks ?? []).filter(({ what }) => what === 'valve-open')
  const stopMark = lastMark(log, 'stop')
  // started again after the stop: it runs
  const stop =
    stopMark && !starts.some(({ seconds }) => seconds > stopMark.seconds) ? stopMark.seconds : undefined
  const pressure = pressures.at(-1)?.value
  const rise = riseAfter(pressures, stop)
  const endTest = endTestOf(rise, stop)
  const isDeep = depth === undefined || pressure === undefined ? undefined : pressure <= depth.pascals + GAUGE
  const inside = (cylinder?.net ?? 0) + (weight?.cylinders === 1 ? weight.moved : 0)
  const fill = weight && cylinder ? inside / cylinder.limit : undefined
  const judged = limitOf(endTest, isDeep, rise?.seconds ?? 0, depth)
  const isOver = judged.limit === 'passed' && judged.missing.length === 0
  const out = weight && isOver && !isPart ? weightOut(weight.moved, expected) : undefined
  const shallow =
    endTest === 'holds' && isDeep === false ? ` It is not at its depth yet: ${depth?.shown}.` : ''
  return {
    weight,
    pressure,
    isDeep,
    rise,
    endTest,
    fill,
    fillState: fill === undefined ? undefined : fillStateOf(fill),
    out,
    ...judged,
    sentence: `${SENTENCES[endTest]}${shallow}${out ? ` ${out.sentence}` : ''}`,
  }
}

/** What a recovery has shown, and what it lacks. */
function limitOf(
  endTest: RecoveryJudged['endTest'],
  isDeep: boolean | undefined,
  watched: number,
  depth: RecoverySetup['depth'],
): Pick<Verdict, 'limit' | 'missing'> {
  if (endTest === 'running') return { limit: 'waiting', missing: ['stop the machine and watch five minutes'] }
  if (endTest === 'rises') return { limit: 'failed', missing: ['recover again, and watch again'] }
  if (endTest === 'watching')
    return { limit: 'waiting', missing: [`watch ${minutesLeft(WATCH - watched)} more`] }
  if (isDeep === true) return { limit: 'passed', missing: [] }
  if (isDeep === false) return { limit: 'waiting', missing: [`recover on, to ${depth?.shown}`] }
  return depth
    ? { limit: 'waiting', missing: ['the pressure in the circuit'] }
    : { limit: 'passed', missing: ['the depth that this refrigerant asks for: its job'] }
}
