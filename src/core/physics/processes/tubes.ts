import { OrzoError } from '../../base/errors/orzoError'

/** [memory] refrigeration copper tube: outer diameter and wall, inches. */
export const TUBES = [
  { name: '1/4 in', outer: 0.25, wall: 0.03 },
  { name: '5/16 in', outer: 0.3125, wall: 0.032 },
  { name: '3/8 in', outer: 0.375, wall: 0.032 },
  { name: '1/2 in', outer: 0.5, wall: 0.032 },
  { name: '5/8 in', outer: 0.625, wall: 0.035 },
  { name: '3/4 in', outer: 0.75, wall: 0.035 },
  { name: '7/8 in', outer: 0.875, wall: 0.045 },
  { name: '1-1/8 in', outer: 1.125, wall: 0.05 },
  { name: '1-3/8 in', outer: 1.375, wall: 0.055 },
] as const
export type TubeName = (typeof TUBES)[number]['name']

const INCH = 0.0254
/** A size told from what was measured must lie this close, m. */
const SAME = 0.0012
/** [memory] wall of a tube that the table does not hold, as a share of its outer diameter. */
const USUAL_WALL = 0.06

const areaOf = (outer: number, wall: number) => (Math.PI / 4) * (outer - 2 * wall) ** 2

/** Inner area of a tube, m2. @throws OrzoError out-of-range */
export function innerArea(name: TubeName): number {
  const tube = TUBES.find((each) => each.name === name)
  if (!tube) throw new OrzoError('out-of-range', `${name} is no tube size of the table.`)
  return areaOf(tube.outer * INCH, tube.wall * INCH)
}

/** Inner area of the tube of an outer diameter (m), m2; of a size that the table lacks, by a usual wall. */
export function innerAreaOf(outer: number): number {
  const near = TUBES.find((tube) => Math.abs(tube.outer * INCH - outer) < SAME)
  return areaOf(outer, near ? near.wall * INCH : outer * USUAL_WALL)
}
