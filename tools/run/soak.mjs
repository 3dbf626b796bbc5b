import { spawnSync } from 'node:child_process'
import { ROOT } from './install.mjs'

/** Property runs that `npm test` keeps short: here they are long and have a seed of their own, printed to be repeated. */
const SUITES = 'data/(walk|undo)|api/oneAnswer|answer/vetoes|plan/rules|charge/path|cleanup/(ledgers|dryers)'

const { status } = spawnSync(
  process.execPath,
  [
    'node_modules/jest/bin/jest.js',
    '--testPathPatterns',
    SUITES,
    '--testTimeout',
    '600000',
    ...process.argv.slice(2),
  ],
  { cwd: ROOT, stdio: 'inherit', env: { ...process.env, SOAK: '1' } },
)
process.exitCode = status ?? 1
