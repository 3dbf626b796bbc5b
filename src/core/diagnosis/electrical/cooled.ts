import { MINUTE } from '../../base/units/time'
import { differenceToKelvin, toSI } from '../../base/units/convert'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'
import type { Reading } from '../../record/readings/schema'
import type { Snapshot } from '../../record/readings/snapshot'
import { WINDING_KEYS } from '../../record/readings/lasting'

/** [practice] handbook 05: an internal overload needs at least 20 minutes to close. */
const COOLING_MILLISECONDS = 20 * MINUTE
/** [practice] a shell within this of the air around it is cold. */
const COLD_OVER_AIR = differenceToKelvin(15, 'F')

const isOpen = (reading: Reading) => toSI({ value: reading.value, unit: reading.unit }) >= OPEN_OHMS_LEAST

const timeOf = (at: string | undefined) => (at === undefined ? NaN : Date.parse(at))

/** Whether an open pair was measured before and again, long enough apart for an overload to close. */
function measuredAgain(reading: Reading): boolean {
  const first = timeOf(reading.before?.[0]?.at)
  return timeOf(reading.at) - first >= COOLING_MILLISECONDS
}

/** Whether the shell itself was measured at the temperature of the air around it. */
function shellMeasuredCold({ values }: Snapshot): boolean {
  const shell = values.compressorShellTemp
  const air = [values.outdoorAirTemp, values.returnAirTemp, values.boxTemp].flatMap(
    (each) => each?.value ?? [],
  )
  return shell !== undefined && air.length > 0 && shell.value <= Math.max(...air) + COLD_OVER_AIR
}

/**
 * Whether windings that read open were cooled and measured again: every open pair twice, at least 20 minutes apart, the
 * shell called cold at the end; or the shell measured as cold as the air. A word alone shows nothing.
 */
export function cooledAndMeasuredAgain(at: Snapshot): boolean {
  if (at.observations.compressorShell === 'hot') return false
  const open = WINDING_KEYS.flatMap((key): Reading[] => {
    const reading = at.raw[key]
    return reading && isOpen(reading) ? [reading] : []
  })
  if (open.length === 0) return false
  return shellMeasuredCold(at) || (at.observations.compressorShell === 'cold' && open.every(measuredAgain))
}
