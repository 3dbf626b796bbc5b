import { electricalFaultsOf } from '../diagnosis/faults/applies'
import {
  CIRCUIT_FAULT_IDS,
  FAULT_IDS,
  faultRow,
  gateIdOf,
  isElectrical,
  remedyIdOf,
  stateOf,
} from '../diagnosis/faults/faults'
import { GATE_IDS } from '../diagnosis/faults/gateIds'
import { judgeGate } from '../diagnosis/proof/gates'
import { recordOf } from '../diagnosis/proof/record'
import { vetoChange } from '../diagnosis/vetoes/effects'
import { REMEDIES, remedyOf } from '../repair/plan/remedies'
import { vetoesOf } from '../safety/vetoes'
import { taskEffects, taskRow } from '../repair/plan/tasks/tasks'
import { SIMULATED_FAULTS } from '../simulate/circuitFaults'
import { STANDING_FAULTS } from '../simulate/standingCircuit'
import { ELECTRICAL_SHOWS } from '../simulate/electricalFaults'

/** One demand of every fault: it stands in every table that it needs. */
describe.each(FAULT_IDS)('%s', (fault) => {
  const row = faultRow(fault)
  test('has a label, a prior and a tell', () => {
    expect(row.label.length).toBeGreaterThan(3)
    expect(row.prior).toBeGreaterThan(0)
    expect(row.distinguishingSign.length).toBeGreaterThan(5)
  })
  test('shares its family with another fault, or stands alone', () => {
    const { family } = row
    const same = FAULT_IDS.filter((id) => faultRow(id).family === family)
    if (family !== null) expect(same.length).toBeGreaterThan(1)
  })
  test('what it is while it lasts refuses something, and its repair ends it', () => {
    const state = stateOf(fault)
    if (!state) return
    expect(vetoesOf([state])[0]!.never.length).toBeGreaterThan(0)
    expect(remedyOf(fault).work.some((task) => vetoChange(taskEffects(task)).lifts.includes(state))).toBe(
      true,
    )
  })
  test('has a gate that can be judged, or says why none stands before it', () => {
    const guard = row.gate
    if (typeof guard === 'string') expect(GATE_IDS).toContain(guard)
    else expect(guard.exempt.length).toBeGreaterThan(10)
  })
  test('has a remedy whose tasks exist', () => {
    const { work, opens } = remedyOf(fault)
    expect(work.length > 0 || opens).toBe(true)
    for (const task of work) expect(taskRow(task).label.length).toBeGreaterThan(3)
  })
  test('is simulated', () => {
    const simulated: readonly string[] = isElectrical(fault)
      ? Object.keys(ELECTRICAL_SHOWS)
      : [...SIMULATED_FAULTS, ...STANDING_FAULTS]
    const showsAs = row.showsAs
    expect(simulated.includes(fault) || (showsAs !== undefined && simulated.includes(showsAs))).toBe(true)
  })
})

test('every remedy repairs some suspect', () => {
  const named = [...FAULT_IDS, 'healthy' as const, 'unlisted' as const].map(remedyIdOf)
  for (const id of Object.keys(REMEDIES)) expect(named).toContain(id)
})

test('every gate is judged and guards some fault', () => {
  const unit = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' } as const
  for (const gate of GATE_IDS) {
    expect(judgeGate(gate, recordOf(unit, [])).met).toBe(false)
    expect(FAULT_IDS.some((fault) => gateIdOf(fault) === gate)).toBe(true)
  }
  expect(CIRCUIT_FAULT_IDS.length + electricalFaultsOf(unit, 'cooling').length).toBeGreaterThan(40)
})
