import { mainMode } from '../equipment/kinds'
import type { Plate } from '../equipment/unit'
import type { Mode } from '../readings/schema'
import type { Arrival, Broken } from '../records/head'
import type { Job } from './job'

/** Where a job begins: at the running circuit, at the standing one, at the electrical bench, at somebody's verdict. */
export type Beginning = 'circuit' | 'standing' | 'bench' | 'verdict'

type BeginningRow = {
  readonly complaint: string
  readonly at: Beginning
  /** how the first set is taken */
  readonly first: 'running' | 'standing'
}

/** One row for each answer to "what is broken"; half of all calls begin with a machine that stands [practice]. */
export const BEGINNINGS: Readonly<Record<Broken, BeginningRow>> = {
  'does-not-cool': { complaint: 'Does not cool or heat', at: 'circuit', first: 'running' },
  'does-not-run': { complaint: 'Does not run', at: 'bench', first: 'standing' },
  trips: { complaint: 'Trips', at: 'bench', first: 'standing' },
  leaks: { complaint: 'Leaks', at: 'standing', first: 'standing' },
  noise: { complaint: 'Noise', at: 'circuit', first: 'running' },
  condemned: { complaint: 'Already condemned', at: 'verdict', first: 'standing' },
  'second-opinion': { complaint: 'Check somebody’s verdict', at: 'verdict', first: 'running' },
}

/** Where a job begins; at the running circuit where nobody said what is broken. */
export const beginningOf = (arrival: Arrival | undefined): Beginning =>
  arrival?.broken ? BEGINNINGS[arrival.broken].at : 'circuit'

/** Mode of the first set: a machine that does not run, trips or leaks is read standing. */
export const firstMode = ({ unit, arrival }: { unit: Plate; arrival?: Arrival | undefined }): Mode =>
  (arrival?.broken ? BEGINNINGS[arrival.broken].first : 'running') === 'running' ? mainMode(unit) : 'off'

/** A job that begins with what is broken and, where it is known, the kind of the unit. */
export const begun = <T extends Job>(job: T, broken: Broken | undefined, kind: Plate['kind']): T => ({
  ...job,
  ...(broken ? { arrival: { ...job.arrival, broken, complaint: BEGINNINGS[broken].complaint } } : {}),
  ...(kind ? { unit: { ...job.unit, kind } } : {}),
})
