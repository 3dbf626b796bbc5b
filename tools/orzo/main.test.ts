import { spawnSync } from 'node:child_process'
import path from 'node:path'

const ROOT = path.resolve(__dirname, '../..')
const door = (...args: string[]) =>
  spawnSync(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'tools/orzo/main.ts', ...args], {
    cwd: ROOT,
    encoding: 'utf8',
  })

test('an answer is JSON on standard output, nothing on standard error, exit code 0', () => {
  const { status, stdout, stderr } = door('properties', 'R-22', '--temperature', '40F')
  expect(stderr).toBe('')
  expect(JSON.parse(stdout)).toMatchObject({ refrigerant: 'R-22', safety: 'A1' })
  expect(status).toBe(0)
})

test.each([
  ['bad input', ['diagnose', '/nowhere.json'], 1, /cannot be read/],
  ['a wrong call', ['nonsense'], 2, /usage:/],
])('%s: message on standard error only', (_name, args, code, message) => {
  const { status, stdout, stderr } = door(...args)
  expect(stdout).toBe('')
  expect(stderr).toMatch(message)
  expect(status).toBe(code)
})
