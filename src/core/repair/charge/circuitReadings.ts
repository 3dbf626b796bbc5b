import { differenceFromKelvin } from '../../base/units/convert'
import { UNITS } from '../../base/units/units'
import { siteAtmosphere } from '../../record/equipment/circumstances'
import type { UnitPlate } from '../../record/equipment/unit'
import type { JobSet } from '../../record/records/set'
import { derive } from '../../record/readings/derive'
import { standingPressures } from '../../record/readings/standingPressures'
import { takeSnapshot } from '../../record/readings/snapshot'
import { type DropVerdict, pressureDropVerdict, temperatureDropVerdict } from '../cleanup/dryerDrop'

/** What the readings of a job say to its plan. SI. */
export type CircuitReadings = {
  /** mean temperatures of the two coils in the last set that has both, K */
  readonly evaporating?: number
  readonly condensing?: number
  readonly outdoor?: number
  /** the last pressure that was read at rest, the higher of the sides, Pa above the local atmosphere */
  readonly standing?: number
  /** volts read on a control coil, connected */
  readonly coilVolts?: number
  /** the last drop that was read across each dryer */
  readonly drops: readonly DropVerdict[]
}

const PSI = UNITS.psig.si

/** Coil temperatures, outdoor air and dryer drops of all sets; the latest reading of each counts. */
export function circuitReadings(unit: UnitPlate, sets: readonly JobSet[]): CircuitReadings {
  let found: Omit<CircuitReadings, 'drops'> = {}
  const drops = new Map<string, DropVerdict>()
  for (const set of sets) {
    const at = takeSnapshot(set, unit.refrigerant, siteAtmosphere(unit))
    const derived = derive(at)
    const outdoor = at.values.outdoorAirTemp?.value
    const standing = standingPressures(at).map(({ pressure }) => pressure.value - at.atmosphere)
    if (standing.length > 0) found = { ...found, standing: Math.max(...standing) }
    const coilVolts = at.values.solenoidVolts?.value
    if (coilVolts !== undefined) found = { ...found, coilVolts }
    if (outdoor !== undefined) found = { ...found, outdoor }
    const [evaporating, condensing] = [derived.evaporatingMean?.value, derived.condensingMean?.value]
    if (set.mode !== 'off' && evaporating !== undefined && condensing !== undefined)
      found = { ...found, evaporating, condensing }
    const suction = derived.suctionDryerDrop?.value
    if (suction !== undefined) drops.set('suction', pressureDropVerdict('suction', suction / PSI, unit))
    const { liquidPressure, dryerOutPressure } = at.values
    const fall = derived.dryerDrop?.value
    if (liquidPressure && dryerOutPressure)
      drops.set(
        'liquid',
        pressureDropVerdict('liquid', (liquidPressure.value - dryerOutPressure.value) / PSI, unit),
      )
    else if (fall !== undefined) drops.set('liquid', temperatureDropVerdict(differenceFromKelvin(fall, 'F')))
  }
  return { ...found, drops: [...drops.values()] }
}
