import { spawn } from 'node:child_process'

/** Starts the built app for a benchmark. @returns its address, and how it is stopped */
export async function startServer(port) {
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '--port', String(port), '--hostname', '127.0.0.1'],
    { stdio: 'ignore' },
  )
  const base = `http://127.0.0.1:${port}`
  for (let i = 0; i < 60; i += 1) {
    try {
      if ((await fetch(`${base}/`)).ok) return { base, stop: () => server.kill() }
    } catch {
      await new Promise((done) => setTimeout(done, 500))
    }
  }
  server.kill()
  throw new Error('The server did not start: run `npx next build` first.')
}
