import { WORK_CHANNEL_KEYS, type WorkChannel, workChannelRow } from '../record/readings/channels'
import type { LiveProbe } from './liveProbes'

/** An instrument of the work and what it is put to. */
export type WorkProbe = LiveProbe & { readonly channel: WorkChannel }

const NAMES: Readonly<Record<WorkChannel, string>> = {
  cylinderWeight: 'Scale',
  circuitPressure: 'Circuit gauge',
  testPressure: 'Nitrogen gauge',
  gasTemp: 'Pipe clamp',
  systemVacuum: 'Micron gauge, system',
  pumpVacuum: 'Micron gauge, pump',
}

/** What is hung on a circuit while it is worked on. */
export const WORK_PROBES: readonly WorkProbe[] = WORK_CHANNEL_KEYS.map((channel) => {
  const { kind, instrument } = workChannelRow(channel)
  return { id: `work-${channel}`, name: NAMES[channel], kind: instrument, quantity: kind, channel }
})
