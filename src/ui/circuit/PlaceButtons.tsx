'use client'
import ButtonBase from '@mui/material/ButtonBase'
import { INK } from '../theme/tokens'
import type { Point } from './geometry'
import type { CircuitLayout } from './layoutTypes'
import type { PlaceId } from './seenPlaces'

/** One question that is answered by tapping the place. */
export type Seen = {
  readonly question: string
  /** word of the observation, the place where it is, whether it is the answer now */
  readonly answers: readonly { readonly value: string; readonly place: PlaceId; readonly chosen: boolean }[]
  /** puts the place there or takes it away */
  readonly onAnswer: (value: string) => void
}

/** Least distance between the middles of two places, px: two thumbs wide. */
export const PLACE_SIZE = 48

const words = (value: string) => value.replace(/-/g, ' ')

/** Moves places apart that stand nearer than a target's size, downwards in their order; keeps them on the drawing. */
export function spreadPlaces(points: readonly Point[], height: number): Point[] {
  const placed: { point: Point; index: number }[] = []
  const order = points.map((point, index) => ({ point, index })).sort((a, b) => a.point.y - b.point.y)
  for (const { point, index } of order) {
    let y = Math.max(point.y, PLACE_SIZE / 2)
    for (const { point: other } of placed)
      if (Math.abs(other.x - point.x) < PLACE_SIZE && y - other.y < PLACE_SIZE)
        y = Math.max(y, other.y + PLACE_SIZE)
    placed.push({ point: { x: point.x, y }, index })
  }
  const over = Math.max(...placed.map(({ point }) => point.y + PLACE_SIZE / 2 - height), 0)
  const result: Point[] = []
  for (const { point, index } of placed) result[index] = { x: point.x, y: point.y - over }
  return result
}

/** Places on the drawing to tap; tapping the chosen one again takes it back. */
export function PlaceButtons({ layout, seen }: { layout: CircuitLayout; seen: Seen }) {
  const points = spreadPlaces(
    seen.answers.map(({ place }) => layout.places[place]),
    layout.height,
  )
  return (
    <div role="group" aria-label={seen.question}>
      {seen.answers.map(({ value, chosen }, i) => {
        const { x, y } = points[i] as Point
        const left = x < layout.width / 2
        return (
          <ButtonBase
            key={value}
            aria-pressed={chosen}
            data-place={value}
            onClick={() => seen.onAnswer(value)}
            sx={{
              position: 'absolute',
              top: y - PLACE_SIZE / 2,
              left: left ? x - PLACE_SIZE / 2 : undefined,
              right: left ? undefined : layout.width - x - PLACE_SIZE / 2,
              height: PLACE_SIZE,
              flexDirection: left ? 'row' : 'row-reverse',
              font: 'inherit',
              fontSize: 14,
              gap: '4px',
            }}
          >
            <span
              aria-hidden
              style={{
                width: PLACE_SIZE,
                height: PLACE_SIZE,
                display: 'grid',
                placeItems: 'center',
              }}
            >
              <span
                style={{
                  width: 26,
                  height: 26,
                  borderRadius: 13,
                  border: `2px solid ${INK.copper}`,
                  background: chosen ? INK.copper : INK.copperWash,
                }}
              />
            </span>
            <span
              style={{
                background: INK.raised,
                padding: '1px 4px',
                borderRadius: 3,
                fontWeight: chosen ? 700 : 400,
              }}
            >
              {chosen ? '● ' : ''}
              {words(value)}
            </span>
          </ButtonBase>
        )
      })}
    </div>
  )
}
