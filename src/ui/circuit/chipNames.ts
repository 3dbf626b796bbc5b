import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { TapView } from './tapView'

/** Names that fit a chip of a phone; the whole name is read by a screen reader and stands on the pad. */
const SHORTER: { readonly [K in ReadingKey]?: string } = {
  suctionDryerInPressure: 'S. dryer in',
  suctionDryerOutPressure: 'S. dryer out',
  dischargeLineTemp: 'Discharge T',
  dischargePressure: 'Discharge P',
  suctionLineTemp: 'Suction T',
  suctionPressure: 'Suction P',
  liquidLineTemp: 'Liquid T',
  liquidPressure: 'Liquid P',
  standingPressure: 'Standing P',
  compressorAmps: 'Comp. amps',
  compressorShellTemp: 'Shell T',
  evaporatorOutletTemp: 'Evap. outlet',
  evaporatorPressure: 'Evap. P',
  dryerOutPressure: 'Dryer out P',
  meteringInletTemp: 'Meter. inlet',
  meteringOutletTemp: 'Meter. outlet',
  rvDischargeTemp: 'RV discharge',
  rvHotOutTemp: 'RV hot out',
  rvSuctionInTemp: 'RV suct. in',
  rvSuctionOutTemp: 'RV suct. out',
  solenoidVolts: 'RV coil volts',
  returnAirWetBulb: 'Return WB',
  supplyAirWetBulb: 'Supply WB',
  returnAirHumidity: 'Return RH',
}

/** What is written on a chip. */
export const chipName = ({ key, short }: Pick<TapView, 'key' | 'short'>): string => SHORTER[key] ?? short
