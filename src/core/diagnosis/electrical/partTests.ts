import { toSI } from '../../base/units/convert'
import { isThreePhase } from '../../record/equipment/kinds'
import type { Finding } from './finding'
import { capacitanceAtWork, judgeCapacitor, judgeContactor } from './parts'
import { showWindingOhms } from './showOhms'
import { type Judge, ohmsAt } from './testResult'
import { COIL_OHMS, HEALTHY_COIL_VOLTS, judgeCoil } from './valveCoil'

export const runCapacitor: Judge = (unit, at) => {
  const label = unit.power?.runCapacitor
  const { runCapacitance, capacitorAmps, capacitorVolts } = at.values
  // A three-phase compressor has no run capacitor: one on the unit is the fan's.
  if (!label || isThreePhase(unit)) return undefined
  const hertz = unit.power?.hertz ?? 60
  const atWork =
    capacitorAmps && capacitorVolts && capacitorVolts.value > 0
      ? capacitanceAtWork(capacitorAmps.value, capacitorVolts.value, hertz)
      : undefined
  const measured = runCapacitance?.value ?? atWork
  if (measured === undefined) return undefined
  const finding = judgeCapacitor(measured, toSI(label))
  return { word: finding.verdict === 'good' ? 'good' : 'off-label', finding }
}

export const contactor: Judge = (_unit, at) => {
  const drop = at.values.contactorVoltageDrop?.value
  if (drop === undefined) return undefined
  const finding = judgeContactor(drop)
  return {
    word: { good: 'good', suspect: 'worn', failed: 'burnt', unclear: 'good' }[finding.verdict],
    finding,
  }
}

export const valveCoil: Judge = (_unit, at) => {
  const value = ohmsAt(at, 'solenoidOhms')
  if (value === undefined) return undefined
  const word = value > COIL_OHMS[1] ? 'open' : value < COIL_OHMS[0] ? 'shorted' : 'good'
  const finding: Finding =
    word === 'good'
      ? { verdict: 'good', faults: [], sentence: `The coil reads ${showWindingOhms(value)}: sound.` }
      : judgeCoil({ ohms: value })
  return { word, finding }
}

const CHATTERS = 1

export const coilVolts: Judge = (_unit, at) => {
  const loaded = at.values.solenoidVolts?.value
  if (loaded === undefined) return undefined
  const unloaded = at.values.solenoidVoltsNoLoad?.value
  const { jumpAtUnit, jumpAtThermostat } = at.observations
  const finding = judgeCoil({
    loaded,
    ...(unloaded === undefined ? {} : { unloaded }),
    ...(jumpAtUnit ? { jumpedAtUnit: { holds: jumpAtUnit === 'holds' } } : {}),
    ...(jumpAtThermostat ? { jumpedAtThermostat: { holds: jumpAtThermostat === 'holds' } } : {}),
  })
  const word =
    loaded >= HEALTHY_COIL_VOLTS[0] && loaded <= HEALTHY_COIL_VOLTS[1]
      ? 'healthy'
      : loaded < CHATTERS
        ? 'none'
        : 'low'
  return { word, finding }
}
