export type Point = { readonly x: number; readonly y: number }
export type Rect = { readonly x: number; readonly y: number; readonly width: number; readonly height: number }

/** Whether two rectangles share more than an edge. */
export const overlaps = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/** Point in the middle of a polyline, and the direction in which it runs there, degrees from the right, clockwise. */
export function middleOf(points: readonly Point[]): { at: Point; angle: number } {
  const legs = points.slice(1).map((to, i) => ({ from: points[i] as Point, to }))
  const longest = legs.reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a))
  const { from, to } = longest
  return {
    at: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 },
    angle: (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI,
  }
}

const lengthOf = ({ from, to }: { from: Point; to: Point }) => Math.hypot(to.x - from.x, to.y - from.y)

/** "x,y x,y ..." as SVG takes it. */
export const asPoints = (points: readonly Point[]): string => points.map(({ x, y }) => `${x},${y}`).join(' ')
