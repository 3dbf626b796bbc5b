// The headless door: npm run -s orzo -- diagnose FILE | plan FILE | validate FILE | judge KIND FILE... | properties REFRIGERANT ...
// JSON on standard output; errors on standard error with exit code 1 (bad input) or 2 (usage).
import { loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { BadInput, runDoor, UsageError } from './run'

try {
  await Promise.all([loadRefrigerants(REFRIGERANT_NAMES), loadBooks(UNIT_CLASSES)])
  process.stdout.write(`${JSON.stringify(runDoor(process.argv.slice(2)), null, 2)}\n`)
} catch (error) {
  if (!(error instanceof BadInput || error instanceof UsageError)) throw error
  process.stderr.write(`${error.message}\n`)
  process.exitCode = error instanceof UsageError ? 2 : 1
}
