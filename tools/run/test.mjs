// npm test: install what is missing, then type check, lint, unit tests, build, browser tests.
// Ends with "N passed, N failed", counted from the reports of the two test runners; a failed
// step that is no test (types, lint, build) counts as one failure.
import { existsSync, mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { ensureChromium, ensurePackages, run } from './install.mjs'

const reports = mkdtempSync(path.join(tmpdir(), 'orzo-test-'))
const jestReport = path.join(reports, 'jest.json')
const e2eReport = path.join(reports, 'e2e.json')
const quiet = { NEXT_TELEMETRY_DISABLED: '1', CI: process.env.CI ?? '1' }

const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined)

function countJest() {
  const report = readReport(jestReport)
  if (!report) return { passed: 0, failed: 1 }
  return { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }
}

function countE2e() {
  const report = readReport(e2eReport)
  if (!report) return { passed: 0, failed: 1 }
  const { expected, unexpected, flaky } = report.stats
  return { passed: expected, failed: unexpected + flaky + report.errors.length }
}

const total = { passed: 0, failed: 0 }
const add = ({ passed, failed }, code) => {
  total.passed += passed
  total.failed += failed === 0 && code !== 0 ? 1 : failed
}

const STEPS = [
  { title: 'types', args: ['npm', 'run', '-s', 'typecheck'] },
  { title: 'lint, format and import rules', args: ['npm', 'run', '-s', 'lint'] },
  {
    title: 'unit tests',
    args: ['npx', 'jest', '--maxWorkers=100%', '--json', `--outputFile=${jestReport}`],
    count: countJest,
  },
  { title: 'build', args: ['npx', 'next', 'build'] },
  {
    title: 'browser tests',
    args: ['npx', 'playwright', 'test'],
    env: { E2E_REPORT: e2eReport },
    count: countE2e,
  },
]

ensurePackages()
ensureChromium()
for (const { title, args, env, count } of STEPS) {
  console.log(`\n== ${title}`)
  const [command, ...rest] = args
  const code = run(command, rest, { ...quiet, ...env })
  add(count ? count() : { passed: 0, failed: 0 }, code)
  if (code !== 0) console.error(`== ${title}: failed (exit ${code})`)
}
console.log(`\n${total.passed} passed, ${total.failed} failed`)
process.exit(total.failed === 0 && total.passed > 0 ? 0 : 1)
