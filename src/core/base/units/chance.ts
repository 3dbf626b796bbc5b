/** Steps in which a chance is worth telling, percent: a ranking is right to about this [practice]. */
const STEP = 5
const FINE_BELOW = 10
const CERTAIN = 95

/** A probability as what it is worth: "about" belongs to it. Small ones in whole percents, others in fives, never "0 %" or "100 %". */
export function chance(share: number): string {
  const exact = share * 100
  if (exact < 1) return 'under 1 %'
  if (exact < FINE_BELOW) return `${Math.round(exact)} %`
  const rounded = Math.round(exact / STEP) * STEP
  return rounded > CERTAIN || exact > CERTAIN ? `over ${CERTAIN} %` : `${rounded} %`
}
