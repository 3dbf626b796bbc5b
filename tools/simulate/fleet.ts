// Units that stand for their class: what the case books are learned from, and what the benchmark draws from.
import type { UnitClass } from '@/core/diagnosis/ranking/cases/unitClass'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { compressorAmps, electricalTruth, ratedLoadAmps } from '@/core/simulate/electricalTruth'
import { type RunningMode } from '@/core/simulate/conditions'
import { type Simulator, simulateSteady, simulatorOf } from '@/core/simulate/steady'

export type Member = { readonly unit: UnitPlate; readonly simulator: Simulator }

const three = { phase: 3, volts: 208 } as const
const single = { phase: 1, volts: 230 } as const

export const CLASS_UNITS: Readonly<
  Record<UnitClass, { readonly mode: RunningMode; readonly units: readonly UnitPlate[] }>
> = {
  'comfort-valve': {
    mode: 'cooling',
    units: [
      { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv', power: single },
      { kind: 'package-heat-pump', refrigerant: 'R-454B', metering: 'txv', power: three },
      { kind: 'split-heat-pump', refrigerant: 'R-22', metering: 'txv', power: three },
      { kind: 'split-heat-pump', refrigerant: 'R-32', metering: 'eev', power: single },
      { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', power: three },
    ],
  },
  'comfort-fixed': {
    mode: 'cooling',
    units: [
      { kind: 'split-heat-pump', refrigerant: 'R-22', metering: 'fixed-orifice', power: single },
      { kind: 'package-heat-pump', refrigerant: 'R-410A', metering: 'fixed-orifice', power: three },
      { kind: 'split-heat-pump', refrigerant: 'R-407C', metering: 'fixed-orifice', power: three },
      { kind: 'package-heat-pump', refrigerant: 'R-22', metering: 'capillary', power: single },
    ],
  },
  'comfort-water': {
    mode: 'cooling',
    units: [
      { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv', power: three },
      { kind: 'water-source-heat-pump', refrigerant: 'R-22', metering: 'txv', power: single },
      { kind: 'water-source-heat-pump', refrigerant: 'R-454B', metering: 'eev', power: single },
    ],
  },
  'box-valve': {
    mode: 'cooling',
    units: [
      { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'txv', power: single },
      { kind: 'walk-in-cooler', refrigerant: 'R-134a', metering: 'txv', power: three },
      { kind: 'walk-in-freezer', refrigerant: 'R-448A', metering: 'txv', power: three },
      { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'eev', power: three },
    ],
  },
  'box-receiver': {
    mode: 'cooling',
    units: [
      { kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv', receiver: true, power: three },
      {
        kind: 'walk-in-freezer',
        refrigerant: 'R-404A',
        metering: 'txv',
        receiver: true,
        headPressureControl: true,
        power: three,
      },
      {
        kind: 'walk-in-cooler',
        refrigerant: 'R-134a',
        metering: 'txv',
        receiver: true,
        headPressureControl: true,
        power: single,
      },
    ],
  },
  'box-fixed': {
    mode: 'cooling',
    units: [
      { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary', power: single },
      { kind: 'reach-in', refrigerant: 'R-290', metering: 'capillary', power: single },
      { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'fixed-orifice', power: single },
    ],
  },
  'heating-valve': {
    mode: 'heating',
    units: [
      { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv', power: single },
      { kind: 'package-heat-pump', refrigerant: 'R-454B', metering: 'txv', power: three },
      { kind: 'split-heat-pump', refrigerant: 'R-32', metering: 'eev', power: single },
    ],
  },
  'heating-fixed': {
    mode: 'heating',
    units: [
      { kind: 'split-heat-pump', refrigerant: 'R-22', metering: 'fixed-orifice', power: single },
      { kind: 'package-heat-pump', refrigerant: 'R-410A', metering: 'fixed-orifice', power: three },
    ],
  },
  'heating-water': {
    mode: 'heating',
    units: [
      { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv', power: three },
      { kind: 'water-source-heat-pump', refrigerant: 'R-454B', metering: 'eev', power: single },
    ],
  },
  'heating-pool': {
    mode: 'heating',
    units: [
      { kind: 'pool-heat-pump', refrigerant: 'R-410A', metering: 'txv', power: single },
      { kind: 'pool-heat-pump', refrigerant: 'R-32', metering: 'eev', power: three },
    ],
  },
}

/** The same unit with the plate values that its own motors, heater and capacitor would carry. */
export function withPlate(unit: UnitPlate, simulator = simulatorOf(unit)): UnitPlate {
  const mode: RunningMode = simulator.anchors.cooling ? 'cooling' : 'heating'
  const steady = simulateSteady(simulator, { unit, mode })
  const rla = Number(ratedLoadAmps(steady).toFixed(1))
  const truth = electricalTruth(steady)
  return {
    ...unit,
    power: {
      ...unit.power,
      rla,
      lra: Number((truth.inrushAmps ?? compressorAmps(steady) * 5).toFixed(0)),
      ...(truth.runCapacitance
        ? { runCapacitor: { value: Number((truth.runCapacitance * 1e6).toFixed(1)), unit: 'uF' as const } }
        : {}),
    },
    crankcaseHeater: { watts: 70, volts: unit.power?.volts ?? 230 },
  }
}

/** Units with their plates and simulators, sized once. */
export const fleet = (units: readonly UnitPlate[]): Member[] =>
  units.map((bare) => {
    const unit = withPlate(bare)
    return { unit, simulator: simulatorOf(unit) }
  })
