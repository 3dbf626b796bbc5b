/**
 * npm run -s bench:data: what is written for one edit, what an append to a long log costs, opening, export, import and list.
 * In the browser with its own database, and in Node with one in memory beside it (there nothing waits for a disk: it shows
 * what Orzo's own code costs). Absolute figures belong to the machine; rows, bytes and ratios do not.
 */
import { build } from 'esbuild'
import { spawnSync } from 'node:child_process'
import { createServer } from 'node:http'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM_ARGS, CHROMIUM_PATH } from '../run/chromium.mjs'

async function bundledFor(platform, entry, outfile) {
  await build({
    entryPoints: [path.resolve('tools/bench/data', entry)],
    outfile,
    bundle: true,
    minify: platform === 'browser',
    platform,
    format: 'esm',
    alias: { '@': path.resolve('src') },
    logLevel: 'error',
  })
}

async function inBrowser(folder) {
  const outfile = path.join(folder, 'browser.js')
  await bundledFor('browser', 'browser.ts', outfile)
  const server = createServer((request, response) => {
    const isScript = request.url === '/browser.js'
    response.setHeader('content-type', isScript ? 'text/javascript' : 'text/html')
    response.end(isScript ? readFileSync(outfile) : '<script type="module" src="/browser.js"></script>')
  })
  await new Promise((done) => server.listen(0, '127.0.0.1', done))
  const profile = path.join(folder, 'profile')
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: CHROMIUM_PATH,
    args: CHROMIUM_ARGS,
  })
  try {
    const page = await context.newPage()
    await page.goto(`http://127.0.0.1:${server.address().port}/`)
    await page.waitForFunction('globalThis.runData !== undefined')
    return await page.evaluate('runData()')
  } finally {
    await context.close()
    server.close()
  }
}

async function inNode(folder) {
  const outfile = path.join(folder, 'node.mjs')
  await bundledFor('node', 'node.ts', outfile)
  const { stdout, stderr, status } = spawnSync(process.execPath, [outfile], {
    encoding: 'utf8',
    maxBuffer: 1e7,
  })
  if (status !== 0) throw new Error(`The part in Node failed: ${stderr}`)
  return JSON.parse(stdout)
}

const folder = mkdtempSync(path.join(tmpdir(), 'orzo-bench-'))
try {
  console.log(JSON.stringify({ browser: await inBrowser(folder), node: await inNode(folder) }, null, 2))
} finally {
  rmSync(folder, { recursive: true, force: true })
}
