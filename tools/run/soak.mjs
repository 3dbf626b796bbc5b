import { spawnSync } from 'node:child_process'
import { ROOT } from './install.mjs'

/** Property runs that `npm test` keeps short: here they are long and have a seed of their own, printed to be repeated. */
const SUITES =
  'attacks/mutations|data/(walk|undo)|api/oneAnswer|answer/vetoes|plan/rules|charge/path|cleanup/(ledgers|dryers)'

// a suite of its own may be named: npm run soak -- mutations
const [named, ...rest] = process.argv.slice(2)
const isNamed = named !== undefined && !named.startsWith('-')

const { status } = spawnSync(
  process.execPath,
  [
    'node_modules/jest/bin/jest.js',
    '--testPathPatterns',
    isNamed ? named : SUITES,
    '--testTimeout',
    '600000',
    ...(isNamed ? rest : process.argv.slice(2)),
  ],
  { cwd: ROOT, stdio: 'inherit', env: { ...process.env, SOAK: '1' } },
)
process.exitCode = status ?? 1
