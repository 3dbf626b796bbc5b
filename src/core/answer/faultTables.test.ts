import { electricalFaultsOf } from '../diagnosis/faults/applies'
import { familyOf, STANDING_ALONE } from '../diagnosis/faults/families'
import { CIRCUIT_FAULT_IDS, FAULT_IDS, faultRow, isElectrical } from '../diagnosis/faults/faults'
import { GATE_IDS, gateIdOf, guardOf } from '../diagnosis/faults/gateIds'
import { judgeGate } from '../diagnosis/proof/gates'
import { recordOf } from '../diagnosis/proof/record'
import { REMEDIES } from '../repair/plan/remedies'
import { taskRow } from '../repair/plan/tasks/tasks'
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
  test('belongs to a family, or is named as standing alone; not both', () =>
    expect(familyOf(fault) === fault).toBe(STANDING_ALONE.includes(fault)))
  test('has a gate that can be judged, or says why none stands before it', () => {
    const guard = guardOf(fault)
    if (typeof guard === 'string') expect(GATE_IDS).toContain(guard)
    else expect(guard?.exempt.length).toBeGreaterThan(10)
  })
  test('has a remedy whose tasks exist', () => {
    const { work, opens } = REMEDIES[fault]
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

test('every gate is judged and guards some fault', () => {
  const unit = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' } as const
  for (const gate of GATE_IDS) {
    expect(judgeGate(gate, recordOf(unit, [])).met).toBe(false)
    expect(FAULT_IDS.some((fault) => gateIdOf(fault) === gate)).toBe(true)
  }
  expect(CIRCUIT_FAULT_IDS.length + electricalFaultsOf(unit, 'cooling').length).toBeGreaterThan(40)
})
