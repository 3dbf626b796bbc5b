import { COVER, type OffId } from '../../../record/state/offParts'

/** What several tasks take off. [practice] */
export const PORTS: readonly OffId[] = ['caps-of-the-service-ports', 'valve-cores']
export const AT_VALVE: readonly OffId[] = [
  'bulb-of-the-expansion-valve-its-strap-and-insulation',
  'equaliser-of-the-expansion-valve',
]
export const AT_COMPRESSOR: readonly OffId[] = [COVER, 'crankcase-heater', 'sensor-on-the-discharge-line']
