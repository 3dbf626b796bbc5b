// npm run -s learn:lines -- --file=PATH [--cases=N --from=N --after]: evidence of simulated cases, one JSON line each, for the
// learner that says how much could be known at best (ceiling.py). Their seeds are its own: no benchmark draws them.
import { appendFileSync, writeFileSync } from 'node:fs'
import { loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { familyOf } from '@/core/diagnosis/faults/families'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { option } from '../run/options'
import { drawCase } from '../bench/diagnosis/draw'
import { evidenceLine } from '../bench/diagnosis/evidence'
import { afterChecks, everything } from '../bench/diagnosis/further'

const FILE = option('file')
const CASES = Number(option('cases') ?? 20_000)
/** The checks that Orzo asks for take most of the time: only where they are wanted. */
const AFTER = process.argv.includes('--after')
const FIRST_SEED = 3_000_001 + Number(option('from') ?? 0)

if (!FILE) throw new Error('Say where to write: --file=PATH')
await loadRefrigerants(REFRIGERANT_NAMES)
if (AFTER) await loadBooks(UNIT_CLASSES)
writeFileSync(FILE, '')
for (let seed = FIRST_SEED, made = 0; made < CASES; seed++) {
  const found = drawCase(seed, { physics: 'family', evenReadings: false, equalFaults: false })
  if (!found) continue
  made += 1
  const { truth, set } = found
  const evidence = [
    evidenceLine(found, set),
    AFTER ? evidenceLine(found, afterChecks(found)) : null,
    evidenceLine(found, everything(found)),
  ]
  appendFileSync(FILE, `${JSON.stringify({ truth, family: familyOf(truth), evidence })}\n`)
}
