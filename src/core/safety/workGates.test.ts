import { gatesOver, isWorkGate, WORK_GATE_IDS, workGateRow } from './workGates'

test.each(WORK_GATE_IDS)('%s holds up each of its acts, alone and among others, and nothing else', (id) => {
  const { never } = workGateRow(id)
  expect(never.length).toBeGreaterThan(0)
  for (const act of never) {
    expect(gatesOver([act])).toContain(id)
    expect(gatesOver(['close', act])).toContain(id)
  }
  const others = (['open', 'flame', 'evacuate', 'charge', 'first-start', 'close'] as const).filter(
    (act) => !never.includes(act),
  )
  for (const act of others) expect(gatesOver([act])).not.toContain(id)
})

test('what no reason passes: a flame before the sweep, a charge or a start before what it needs', () => {
  const strict = WORK_GATE_IDS.filter((id) => !workGateRow(id).canOverride)
  expect(strict).toContain('not-swept')
  expect(gatesOver([])).toEqual([])
  expect([isWorkGate('not-swept'), isWorkGate('swept')]).toEqual([true, false])
})
