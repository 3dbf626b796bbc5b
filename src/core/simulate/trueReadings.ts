import { hasReversingValve, isWaterCooled } from '../record/equipment/kinds'
import { airHumidity, airWetBulb } from '../physics/air/moistAir'
import { saturationPressure } from '../physics/refrigerants/saturation'
import { gasOfEnthalpy, isobarAt } from '../physics/refrigerants/vapour'
import type { ReadingKey } from '../record/readings/vocabulary'
import { differenceToKelvin } from '../base/units/convert'
import { airflowOf, airLeaving, type Leaving, leavingCondenser, leavingEvaporator } from './airSide'
import { isBox, isPool } from './conditions'
import { electricalTruth } from './electricalTruth'
import { standingPressure } from './standing'
import type { Steady } from './steady'
import type { Stream } from './stream'

/** True values in SI; keys that the unit does not have are left out. */
export type Truth = { readonly [K in ReadingKey]?: number }

/** [memory] share of its excess over the air that gas has lost six inches from the compressor, at rated flow. */
const DISCHARGE_LINE_LOSS = 0.1
/** [memory] a shell is nearer to discharge than to suction. */
const SHELL_SHARE = 0.6
const DISCHARGE_VALVE_SHARE = 1.005
/** [memory] a low-pressure control cuts in below the usual saturation and out far below it, F. */
const CUT_IN_BELOW = differenceToKelvin(12, 'F')
const CUT_OUT_BELOW = differenceToKelvin(45, 'F')

function pressures({ circuit, state, sized, conditions }: Steady): Truth {
  const { liquid, beforeCompressor, evaporatorCorners: low } = state
  const ownDrop =
    (sized.cooling.suctionLine.resistance * state.unknowns.massFlow ** 2) / state.afterCoil.density
  const usual = sized.rated.evaporating
  const standing = standingPressure(circuit, conditions.outdoorAirTemp)
  return {
    suctionPressure: beforeCompressor.pressure,
    liquidPressure: liquid.leaving.pressure,
    dischargePressure: state.highPressure * DISCHARGE_VALVE_SHARE,
    dryerOutPressure: liquid.afterDryer.pressure,
    suctionDryerInPressure: Math.max(low.pressure - ownDrop, beforeCompressor.pressure),
    suctionDryerOutPressure: beforeCompressor.pressure,
    standingPressure: standing,
    standingSuctionPressure: standing,
    standingLiquidPressure: standing,
    evaporatorPressure: low.pressure,
    lowCutIn: saturationPressure(sized.plate.refrigerant, 'dew', usual - CUT_IN_BELOW),
    lowCutOut: saturationPressure(sized.plate.refrigerant, 'dew', usual - CUT_OUT_BELOW),
  }
}

function refrigerantTemperatures(steady: Steady): Truth {
  const { state, circuit, around } = steady
  const { liquid, compressor, beforeValve, beforeCompressor, evaporatorCorners: low } = state
  const slow = Math.exp((-DISCHARGE_LINE_LOSS * circuit.nominalFlow) / compressor.massFlow)
  const discharge = around.ambient + (compressor.dischargeTemperature - around.ambient) * slow
  const hot = gasOfEnthalpy(
    isobarAt(circuit.refrigerant, state.condenserCorners.dew),
    condenserEnthalpy(steady),
  )
  const ports: Truth = hasReversingValve(steady.sized.plate)
    ? {
        rvDischargeTemp: discharge,
        rvHotOutTemp: around.ambient + (hot.temperature - around.ambient) * slow,
        rvSuctionInTemp: beforeValve.temperature,
        rvSuctionOutTemp: beforeCompressor.temperature,
      }
    : {}
  return {
    suctionLineTemp: beforeCompressor.temperature,
    evaporatorOutletTemp: state.afterCoil.temperature,
    liquidLineTemp: liquid.leaving.temperature,
    dryerInTemp: liquid.beforeDryer.temperature,
    dryerOutTemp: liquid.afterDryer.temperature,
    meteringInletTemp: liquid.afterDryer.temperature,
    meteringOutletTemp: low.bubble,
    dischargeLineTemp: discharge,
    compressorShellTemp:
      beforeCompressor.temperature +
      SHELL_SHARE * (compressor.dischargeTemperature - beforeCompressor.temperature),
    ...ports,
  }
}

/** What enters the condenser, J/kg: discharge less what the reversing valve handed to suction. */
function condenserEnthalpy({ state, circuit }: Steady): number {
  const heat =
    circuit.valveConductance * (state.compressor.dischargeTemperature - state.beforeValve.temperature)
  return state.compressor.dischargeEnthalpy - heat / state.unknowns.massFlow
}

function spaceReadings(steady: Steady, stream: Stream, leaving: Leaving): Truth {
  const { entering } = stream
  if (entering.kind !== 'air') return {}
  const supply = airLeaving(stream, leaving)
  const flow = airflowOf(stream)
  const own: Truth = isBox(steady.sized.plate)
    ? { boxTemp: entering.temperature }
    : { returnAirWetBulb: airWetBulb(entering), returnAirHumidity: Math.min(airHumidity(entering), 1) }
  return {
    returnAirTemp: entering.temperature,
    ...own,
    ...(supply ? { supplyAirTemp: supply.temperature, supplyAirWetBulb: airWetBulb(supply) } : {}),
    ...(flow === undefined ? {} : { airflow: flow }),
  }
}

function waterReadings(stream: Stream, leaving: Leaving): Truth {
  return { waterInTemp: stream.temperature, waterOutTemp: leaving.temperature }
}

function outerReadings(steady: Steady): Truth {
  const { state, mode, sized, conditions } = steady
  const [cold, hot] = [leavingEvaporator(state), leavingCondenser(state)]
  const { condenser, evaporator } = state.streams
  const outdoor: Truth = { outdoorAirTemp: conditions.outdoorAirTemp }
  if (isPool(sized.plate)) return { ...outdoor, ...waterReadings(condenser, hot) }
  const space =
    mode === 'cooling' ? spaceReadings(steady, evaporator, cold) : spaceReadings(steady, condenser, hot)
  if (!isWaterCooled(sized.plate)) return { ...outdoor, ...space }
  const water = mode === 'cooling' ? waterReadings(condenser, hot) : waterReadings(evaporator, cold)
  return { ...outdoor, ...space, ...water }
}

/** Every reading of the handbook that this unit has, as it truly is; SI, pressures absolute. */
export const trueReadings = (steady: Steady): Truth => ({
  ...pressures(steady),
  ...refrigerantTemperatures(steady),
  ...outerReadings(steady),
  ...electricalTruth(steady),
})
