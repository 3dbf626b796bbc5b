import { entriesText, type EntryId } from '../../base/known/entries'
import { isAssumed, type Known } from '../../base/known/known'
import { fromSI } from '../../base/units/convert'
import { pounds } from '../../base/units/weightText'
import { lastMark, looksOf, type WorkLog } from './series'
import type { Verdict } from './told'
import { type Weighed, weighed } from './weighing'

export type ChargeJudged = Verdict & {
  /** the cylinder was shut after it was last opened */
  readonly isShut: boolean
  readonly weight: Weighed | undefined
  /** kg to go, negative when it is over; undefined where the charge is not known, or rests on a guess */
  readonly left: number | undefined
  /** within this it is as calculated, kg */
  readonly close: number
}

/** [practice] weighed in within this is as calculated; a capillary to the tenth of an ounce. kg */
const CLOSE = 0.03
const CLOSE_EXACT = 0.003

const ounces = (kg: number) => `${fromSI(Math.abs(kg), 'oz').toFixed(1)} oz`

/** What is missing before a weight can be judged. */
function missingFor(want: WantedCharge): string {
  if (want.isPart) return 'what stayed inside, which nobody weighed'
  const asks = asksOf(want)
  return asks.length > 0 ? entriesText(asks) : 'the weight that is to go in: its job'
}

function verdictOf(moved: number, aim: number | undefined, want: WantedCharge, close: number): Verdict {
  if (aim === undefined)
    return { limit: 'waiting', missing: [missingFor(want)], sentence: `${pounds(moved)} went in.` }
  const left = aim - moved
  const sentence = `${pounds(moved)} of ${pounds(aim)}`
  if (Math.abs(left) <= close)
    return { limit: 'passed', missing: [], sentence: `${sentence}: as calculated.` }
  if (left > 0)
    return {
      limit: 'waiting',
      missing: [`${ounces(left)} more`],
      sentence: `${sentence}, ${pounds(left)} to go.`,
    }
  return {
    limit: 'failed',
    missing: [`${ounces(left)} out again: what is over is trimmed out, not left in`],
    sentence: `${sentence}, ${ounces(left)} over.`,
  }
}

/** What a weigh-in goes by. */
export type WantedCharge = {
  /** kg; undefined where nothing tells it. Nothing is over or short against a guess */
  readonly wanted?: Known<number>
  /** a guess at it, kg: what it asks for would settle it */
  readonly guess?: Known<number>
  /** the charge stayed inside: what goes in is a part of it */
  readonly isPart?: boolean
  /** a capillary holds its charge exactly */
  readonly isExact: boolean
}

/** What would have to be entered before a weight is judged; nothing where it is, or where no entry would do. */
export const asksOf = (want: WantedCharge): readonly EntryId[] =>
  want.isPart || aimOf(want) !== undefined ? [] : ((want.wanted ?? want.guess)?.asks ?? [])

/** The weight that is aimed at, kg; undefined where it is not known. */
export const aimOf = ({ wanted, isPart }: WantedCharge): number | undefined =>
  wanted && !isPart && !isAssumed(wanted) ? wanted.value : undefined

/** Judges a weigh-in against what the plan wants. @param atmosphere Pa */
export function judgeCharge(log: WorkLog, want: WantedCharge, atmosphere: number): ChargeJudged {
  const weight = weighed(looksOf(log, 'cylinderWeight', atmosphere), log.head.marks ?? [], 'out-of-cylinder')
  const [opened, shut] = [lastMark(log, 'valve-open'), lastMark(log, 'valve-shut')]
  const isShut = shut !== undefined && shut.seconds >= (opened?.seconds ?? 0)
  const close = want.isExact ? CLOSE_EXACT : CLOSE
  const aim = aimOf(want)
  const left = aim === undefined ? undefined : aim - (weight?.moved ?? 0)
  const judged = { isShut, weight, left, close }
  if (weight) return { ...judged, ...verdictOf(weight.moved, aim, want, close) }
  return {
    ...judged,
    limit: 'waiting',
    missing: ['a look at the scale'],
    sentence: 'Nothing is weighed yet.',
  }
}
