import type { ReadingKey } from '../readings/vocabulary'
import type { Job } from './job'

/** Readings of which one each is needed. */
type Needs = readonly (readonly ReadingKey[])[]

/** [practice] what lets a circuit that runs be judged: both pressures with the lines beside them (handbook 02). */
const RUNNING: Needs = [
  ['suctionPressure'],
  ['liquidPressure', 'dischargePressure'],
  ['suctionLineTemp', 'superheatShown'],
  ['liquidLineTemp', 'subcoolingShown'],
]
/** [practice] a small unit without ports is read from outside. */
const WITHOUT_PORTS: Needs = [
  ['boxTemp'],
  ['suctionLineTemp', 'evaporatorOutletTemp'],
  ['dischargeLineTemp', 'liquidLineTemp', 'compressorAmps'],
]
/** What tells of a circuit at rest: its pressure, and a temperature to hold it against. */
const AT_REST: Needs = [
  ['standingPressure', 'standingSuctionPressure', 'standingLiquidPressure'],
  ['outdoorAirTemp', 'returnAirTemp', 'boxTemp'],
]
/** The windings, all of them, and the path to ground. */
const WINDINGS: Needs = [
  ['ohmsCR', 'ohmsT1T2'],
  ['ohmsCS', 'ohmsT2T3'],
  ['ohmsRS', 'ohmsT3T1'],
  ['ohmsToGround'],
]
/** Under power: what arrives, and what is drawn. */
const POWERED: Needs = [
  ['voltageL1L2', 'voltageRunning'],
  ['compressorAmps', 'ampsL1', 'ampsL2', 'inrushAmps'],
]
const ALTERNATIVES: readonly Needs[] = [RUNNING, AT_REST, WINDINGS, POWERED]

const isRead = (needs: Needs, read: ReadonlySet<string>) =>
  needs.every((any) => any.some((key) => read.has(key)))

/** Whether what this kind of unit needs was read in one set: one ohm alone measures nothing. */
export function isMeasured(job: Job): boolean {
  const alternatives = job.unit.kind === 'reach-in' ? [...ALTERNATIVES, WITHOUT_PORTS] : ALTERNATIVES
  return job.readingSets.some(({ readings }) => {
    const read = new Set(Object.keys(readings))
    return alternatives.some((needs) => isRead(needs, read))
  })
}
