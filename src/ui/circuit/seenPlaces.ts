import type { ObservationValue, PlacedKey } from '@/core/record/readings/observations'
import type { AnchorId } from './tapHomes'

/** Points of the drawing at which something may be seen. */
export type PlaceId =
  AnchorId | 'condenserCoil' | 'evaporatorCoil' | 'distributor' | 'accumulator' | 'bulb' | 'joint'

/** Where on the drawing each word is; words without a place stay words. */
export const SEEN_AT: { readonly [K in PlacedKey]: { readonly [V in ObservationValue<K>]?: PlaceId } } = {
  frostPattern: {
    'metering-device': 'meteringIn',
    'distributor-tubes': 'distributor',
    'after-dryer': 'dryerOut',
    'service-valve': 'liquidValve',
    'whole-coil': 'evaporatorCoil',
    'suction-to-compressor': 'suction',
    accumulator: 'accumulator',
  },
  oilStain: {
    'condenser-coil': 'condenserCoil',
    'evaporator-coil': 'evaporatorCoil',
    distributor: 'distributor',
    'service-valve': 'liquidValve',
    'valve-stem': 'meteringIn',
    'reversing-valve': 'rvIn',
    compressor: 'compressor',
    'line-set': 'suction',
    joint: 'joint',
  },
}
