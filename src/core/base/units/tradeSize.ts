/** [std] ASTM B280: tube of air conditioning is named by its outer diameter in eighths and sixteenths of an inch. */
const PARTS = 16

/** [practice] in; sizes are stored in metres or rounded by a sheet: what is this near to a sixteenth is one. */
const NEAR = 0.01

/**
 * The trade size of a tube, as it is stamped on fittings: "3/8 in", "1 1/8 in"; a size that is none with three decimals.
 * @param inches outer diameter
 */
export function tradeSize(inches: number): string {
  const parts = Math.round(inches * PARTS)
  if (parts <= 0 || Math.abs(inches * PARTS - parts) > NEAR * PARTS) return `${Number(inches.toFixed(3))} in`
  const whole = Math.floor(parts / PARTS)
  let [top, under] = [parts % PARTS, PARTS]
  while (top > 0 && top % 2 === 0) [top, under] = [top / 2, under / 2]
  return `${[whole > 0 ? whole : '', top > 0 ? `${top}/${under}` : ''].filter(Boolean).join(' ')} in`
}
