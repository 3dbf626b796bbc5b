/** A probability as a technician reads it: whole percents, never "0 %" for something possible. */
export function percent(share: number): string {
  if (share > 0.995) return '>99 %'
  if (share < 0.01) return '<1 %'
  return `${Math.round(share * 100)} %`
}
