import { recorded } from '../../../tools/run/recorded'
import { CAUTIONS, HAZARDS } from './cautions'
import { ACT_NAMES, VETO_IDS, vetoesOf } from './vetoes'
import { WORK_GATE_IDS, workGateRow } from './workGates'

/** Safety is data: what is refused, warned of and gated changes in two places, on purpose. */
const TABLES: Readonly<Record<string, unknown>> = {
  vetoes: vetoesOf(VETO_IDS),
  acts: ACT_NAMES,
  gates: WORK_GATE_IDS.map((id) => workGateRow(id)),
  cautions: CAUTIONS,
  hazards: HAZARDS,
}

test.each(Object.keys(TABLES))('%s: as on record', (name) => {
  const now = `${JSON.stringify(TABLES[name], null, 1)}\n`
  expect(now).toBe(recorded(__dirname, `tables/${name}.json`, now))
})
