import { toKelvin } from '../../base/units/convert'
import type { Target, Targets } from '../../diagnosis/targets/target'
import type { UnitPlate } from '../../record/equipment/unit'
import { type FinishMeans, finishMeans } from '../charge/finishMeans'

/** What a charge is finished by while the unit runs, and where it stands (handbook 09). */
export type FinishBy = {
  readonly by: FinishMeans
  readonly sentence: string
  /** inside its band; undefined where that is not read yet, or by weight alone */
  readonly isThere: boolean | undefined
}

/** What was read after the start. K */
export type RunningNow = {
  readonly superheat?: number | undefined
  readonly subcooling?: number | undefined
  readonly condensing?: number | undefined
  readonly glass?: string | undefined
  readonly targets: Pick<Targets, 'superheat' | 'subcooling'>
}

/** [practice] handbook 09: below this a clear glass says nothing, K. */
const GLASS_FROM = toKelvin({ value: 90, unit: 'F' })

const READ = 'Read a set after the start'
/** How a difference stands to its band, and what is done where it is over and under it. K */
function against(
  name: string,
  value: number | undefined,
  target: Target | undefined,
  [over, under]: readonly [over: string, under: string],
): Omit<FinishBy, 'by'> {
  if (value === undefined || target === undefined)
    return { sentence: `By ${name}. ${READ}: then it is judged.`, isThere: undefined }
  const off = value - target.value
  const isThere = Math.abs(off) <= target.tolerance
  const what = isThere ? 'inside its band, enough' : off > 0 ? over : under
  return { sentence: `By ${name}: ${what}.`, isThere }
}

function byGlass({ glass, condensing }: RunningNow): Omit<FinishBy, 'by'> {
  const by = 'By a clear glass at 90 F of condensing or more'
  if (condensing === undefined) return { sentence: `${by}. ${READ}.`, isThere: undefined }
  if (condensing < GLASS_FROM)
    return { sentence: `${by}: it condenses lower, hold back condenser air first.`, isThere: undefined }
  if (glass === undefined) return { sentence: `${by}. Look at it and write it down.`, isThere: undefined }
  return glass === 'clear'
    ? { sentence: `${by}: clear, enough.`, isThere: true }
    : { sentence: `${by}: not clear, add a little and wait ten minutes.`, isThere: false }
}

const FINISHES: Readonly<Record<FinishMeans, (now: RunningNow) => Omit<FinishBy, 'by'>>> = {
  weight: () => ({
    sentence: 'A capillary holds its charge by weight alone: find the plate; nothing is added by readings.',
    isThere: undefined,
  }),
  glass: byGlass,
  superheat: ({ superheat, targets }) =>
    against('superheat at the compressor', superheat, targets.superheat, [
      'over its band, add a little and wait ten minutes',
      'under its band, take out a little and wait ten minutes',
    ]),
  subcooling: ({ subcooling, targets }) =>
    against('subcooling', subcooling, targets.subcooling, [
      'over its band, take out a little and wait ten minutes',
      'under its band, add a little and wait ten minutes',
    ]),
}

/** What finishes a charge that no weight tells, by what the metering device allows. */
export function finishBy(unit: UnitPlate, now: RunningNow): FinishBy {
  const by = finishMeans(unit)
  return { by, ...FINISHES[by](now) }
}
