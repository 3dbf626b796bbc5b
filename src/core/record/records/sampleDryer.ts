import type { Dryer } from './dryer'

/** An own dryer for tests: a generic block of 9 in^3. */
export const SAMPLE_DRYER: Dryer = {
  id: 'own-9',
  label: 'van block 9',
  place: 'liquid',
  flow: 'one-way',
  core: 'sieve',
  block: 9,
  connections: [{ value: 0.375, unit: 'in' }],
  pressure: { value: 650, unit: 'psig' },
  tons: 4.5,
}
