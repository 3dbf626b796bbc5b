import { COVER } from './offParts'
import type { Change, UnitState } from './unit'

/** A moment, ms; what was there before the job has none. */
export const known = (at: number): number | undefined => (Number.isFinite(at) ? at : undefined)

/** The terminal cover came off, or is on again: one cover for bench, list and vetoes. */
export const withCover = (state: UnitState, cover: 'on' | 'off', at: number): Change => ({
  cover,
  off:
    cover === 'off' || state.off[COVER]?.state === 'off'
      ? { ...state.off, [COVER]: { state: cover === 'off' ? 'off' : 'back', at: known(at) } }
      : state.off,
})
