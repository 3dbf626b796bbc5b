import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { CoilMedium, Loop } from './loop'

/** Points of the drawing at which a tap may hang. */
export type AnchorId =
  | 'discharge'
  | 'condenserOut'
  | 'liquidValve'
  | 'dryerIn'
  | 'dryerOut'
  | 'meteringIn'
  | 'meteringOut'
  | 'evaporatorOut'
  | 'suctionDryerIn'
  | 'suctionDryerOut'
  | 'suction'
  | 'suctionValve'
  | 'compressor'
  | 'rvIn'
  | 'rvHot'
  | 'rvSuctionIn'
  | 'rvSuctionOut'
  | 'rvCoil'

/** Where the chips of taps stand: beside the loop, inside it, above or below a coil. */
export type Column = 'left' | 'right' | 'inner' | 'condenserRow' | 'evaporatorRow'

export type TapHome = { readonly column: Column; readonly anchor?: AnchorId }

const at = (column: Column, anchor: AnchorId): TapHome => ({ column, anchor })

/** Taps on pipes and machines. */
const PIPE_TAPS: { readonly [K in ReadingKey]?: TapHome } = {
  liquidLineTemp: at('left', 'condenserOut'),
  liquidPressure: at('left', 'liquidValve'),
  dryerInTemp: at('left', 'dryerIn'),
  dryerOutTemp: at('left', 'dryerOut'),
  dryerOutPressure: at('left', 'dryerOut'),
  meteringInletTemp: at('left', 'meteringIn'),
  meteringOutletTemp: at('left', 'meteringOut'),
  dischargeLineTemp: at('right', 'discharge'),
  dischargePressure: at('right', 'discharge'),
  compressorShellTemp: at('right', 'compressor'),
  compressorAmps: at('right', 'compressor'),
  suctionLineTemp: at('right', 'suction'),
  suctionPressure: at('right', 'suctionValve'),
  standingPressure: at('right', 'suctionValve'),
  standingSuctionPressure: at('right', 'suctionValve'),
  standingLiquidPressure: at('left', 'liquidValve'),
  suctionDryerOutPressure: at('right', 'suctionDryerOut'),
  suctionDryerInPressure: at('right', 'suctionDryerIn'),
  evaporatorPressure: at('right', 'evaporatorOut'),
  evaporatorOutletTemp: at('right', 'evaporatorOut'),
}

/** Taps at the ports of a reversing valve. */
const VALVE_TAPS: { readonly [K in ReadingKey]?: TapHome } = {
  rvHotOutTemp: at('inner', 'rvHot'),
  rvDischargeTemp: at('inner', 'rvIn'),
  rvSuctionOutTemp: at('inner', 'rvSuctionOut'),
  rvSuctionInTemp: at('inner', 'rvSuctionIn'),
  solenoidVolts: at('inner', 'rvCoil'),
}

/** Which streams a tap of air or water may belong to; the first that the loop has gets it. */
const STREAM_TAPS: { readonly [K in ReadingKey]?: readonly CoilMedium[] } = {
  outdoorAirTemp: ['outdoor-air'],
  waterInTemp: ['water'],
  waterOutTemp: ['water'],
  boxTemp: ['box', 'room-air'],
  returnAirTemp: ['room-air', 'box'],
  returnAirWetBulb: ['room-air', 'box'],
  returnAirHumidity: ['room-air', 'box'],
  supplyAirTemp: ['room-air', 'box'],
  supplyAirWetBulb: ['room-air', 'box'],
  airflow: ['room-air', 'box'],
}

function streamHome(loop: Loop, media: readonly CoilMedium[]): TapHome {
  const medium = media.find((each) => loop.condenser.medium === each || loop.evaporator.medium === each)
  return {
    column: medium !== undefined && loop.condenser.medium === medium ? 'condenserRow' : 'evaporatorRow',
  }
}

/** The place of a tap on the drawing of a loop; undefined for readings that are not taken at the circuit. */
export function tapHome(key: ReadingKey, loop: Loop): TapHome | undefined {
  const media = STREAM_TAPS[key]
  if (media) return streamHome(loop, media)
  return PIPE_TAPS[key] ?? (loop.reversingValve ? VALVE_TAPS[key] : undefined)
}
