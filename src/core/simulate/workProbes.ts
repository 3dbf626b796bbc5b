import { WORK_CHANNEL_KEYS, type WorkChannel, workChannelRow } from '../record/readings/channels'
import type { LiveProbe } from './liveProbes'

/** What the simulated circuit shows: no space is simulated that it would cool. */
export type PlantChannel = Exclude<WorkChannel, 'spaceNow'>
export const isPlantChannel = (key: WorkChannel): key is PlantChannel => key !== 'spaceNow'
export const PLANT_CHANNELS = WORK_CHANNEL_KEYS.filter(isPlantChannel)

/** An instrument of the work and what it is put to. */
export type WorkProbe = LiveProbe & { readonly channel: PlantChannel }

const NAMES: Readonly<Record<PlantChannel, string>> = {
  cylinderWeight: 'Scale',
  circuitPressure: 'Circuit gauge',
  testPressure: 'Nitrogen gauge',
  gasTemp: 'Pipe clamp',
  systemVacuum: 'Micron gauge, system',
  pumpVacuum: 'Micron gauge, pump',
}

/** What is hung on a circuit while it is worked on. */
export const WORK_PROBES: readonly WorkProbe[] = PLANT_CHANNELS.map((channel) => {
  const { kind, instrument } = workChannelRow(channel)
  return { id: `work-${channel}`, name: NAMES[channel], kind: instrument, quantity: kind, channel }
})
