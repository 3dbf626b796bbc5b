import { toSI } from '../../base/units/convert'
import { pounds } from '../../base/units/weightText'
import type { Closing } from '../../record/records/closing'
import type { Run, Trim } from '../../record/records/run'

/** What is inside in the end, as far as the scale tells (handbook 09). */
export type FinalCharge = {
  /** kg weighed in, and by trims; out is minus */
  readonly weighed: number
  readonly trimmed: number
  /** kg of both */
  readonly sum: number
  /** the circuit was emptied, and what was charged then is not written down */
  readonly isChargeMissing: boolean
  /** the circuit was empty before: the sum is all that is inside. Else it was added to what stayed, which nobody weighed */
  readonly isWhole: boolean
}

/** kg that a step of the trim put in; out is minus, 0 for one that moved no refrigerant. */
const trimMass = ({ mass, out }: Trim): number => (mass ? (out ? -1 : 1) * toSI(mass) : 0)

/**
 * Weighed in and every trim, in or out.
 * @param wasEmptied all of the circuit was evacuated in this repair
 * @returns undefined where nothing was weighed
 */
export function finalCharge(
  { closing, run }: { readonly closing?: Closing | undefined; readonly run?: Run | undefined },
  wasEmptied: boolean,
): FinalCharge | undefined {
  const trims = (run?.trims ?? []).filter(({ mass }) => mass !== undefined)
  if (closing?.charged === undefined && trims.length === 0) return undefined
  const weighed = closing?.charged ? toSI(closing.charged) : 0
  const trimmed = trims.reduce((sum, trim) => sum + trimMass(trim), 0)
  return {
    weighed,
    trimmed,
    sum: weighed + trimmed,
    isChargeMissing: wasEmptied && closing?.charged === undefined,
    isWhole: wasEmptied && closing?.charged !== undefined,
  }
}

/** The same in words: nothing is called inside that nobody weighed. */
export function finalChargeText({ weighed, trimmed, sum, isWhole, isChargeMissing }: FinalCharge): string {
  const trims = `${pounds(trimmed)} by trims`
  if (isChargeMissing) return `${trims}; what was charged before is not on record`
  const part = weighed > 0 && trimmed !== 0 ? `, of it ${trims}` : ''
  return `${isWhole ? `${pounds(sum)} in it` : `added ${pounds(sum)} to what stayed inside`}${part}`
}
