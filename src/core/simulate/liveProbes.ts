import { type InstrumentKind, type ReadingKey, readingRow } from '../record/readings/vocabulary'
import type { QuantityKind } from '../base/units/units'

/** An instrument with a radio. Scale and micron gauge belong to no tap of the circuit. */
export type LiveProbe = {
  readonly id: string
  readonly name: string
  readonly kind: InstrumentKind | 'scale' | 'micron-gauge'
  readonly quantity: QuantityKind
}

const probe = (id: string, name: string, kind: LiveProbe['kind'], quantity: QuantityKind): LiveProbe => ({
  id,
  name,
  kind,
  quantity,
})

/** What a well-equipped technician carries. */
export const LIVE_PROBES: readonly LiveProbe[] = [
  probe('gauge-low', 'Low gauge', 'gauge', 'pressure'),
  probe('gauge-high', 'High gauge', 'gauge', 'pressure'),
  probe('clamp-1', 'Clamp 1', 'clamp', 'temperature'),
  probe('clamp-2', 'Clamp 2', 'clamp', 'temperature'),
  probe('clamp-3', 'Clamp 3', 'clamp', 'temperature'),
  probe('clamp-4', 'Clamp 4', 'clamp', 'temperature'),
  probe('air-1', 'Air probe 1', 'thermometer', 'temperature'),
  probe('air-2', 'Air probe 2', 'thermometer', 'temperature'),
  probe('air-3', 'Air probe 3', 'thermometer', 'temperature'),
  probe('psychrometer', 'Psychrometer', 'wet-bulb', 'temperature'),
  probe('meter', 'Clamp meter', 'meter', 'current'),
  probe('scale', 'Scale', 'scale', 'mass'),
  probe('micron', 'Micron gauge', 'micron-gauge', 'pressure'),
]

/** Whether a probe can be put to a tap: the same sort of instrument and the same quantity. */
export const fitsTap = ({ kind, quantity }: Pick<LiveProbe, 'kind' | 'quantity'>, key: ReadingKey): boolean =>
  readingRow(key).instrument === kind && readingRow(key).kind === quantity
