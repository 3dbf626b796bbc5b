// npm run demo: install what is missing, build, start with the demo data, print the address.
import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { ensurePackages, productLine, ROOT, run } from './install.mjs'

const port = Number(process.env.PORT ?? 3000)
if (!Number.isInteger(port) || port < 1 || port > 65535) {
  console.error(`PORT=${process.env.PORT} is no port number: set it between 1 and 65535.`)
  process.exit(2)
}

function portIsFree() {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, () => probe.close(() => resolve(true)))
  })
}

if (!(await portIsFree())) {
  console.error(`Port ${port} is in use: start with another, for example PORT=3001 npm run demo`)
  process.exit(1)
}
ensurePackages()
const built = run('npx', ['next', 'build'], { NEXT_TELEMETRY_DISABLED: '1' })
if (built !== 0) process.exit(built)

const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '--port', String(port)], {
  cwd: ROOT,
  stdio: ['ignore', 'inherit', 'inherit'],
  env: { ...process.env, ORZO_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
})
console.log(`${productLine()} with demo data: http://localhost:${port}`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
