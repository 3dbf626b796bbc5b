import type { Snapshot } from './snapshot'

type Seen = Pick<Snapshot, 'mode' | 'observations'>

/** Whether a set says that the machine stood: it was off, or its compressor does anything but run. */
export const stood = ({ mode, observations: { compressorState } }: Seen): boolean =>
  mode === 'off' || (compressorState !== undefined && compressorState !== 'running')

/** Whether the standing pressures of a set speak for a circuit at rest: it stood, or nothing says that it ran. */
export const isAtRest = (at: Snapshot): boolean =>
  stood(at) ||
  (at.observations.compressorState === undefined &&
    at.values.suctionPressure === undefined &&
    at.values.liquidPressure === undefined &&
    at.values.compressorAmps === undefined)
