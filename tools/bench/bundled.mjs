// Runs a TypeScript benchmark as the browser would get it: bundled, without the helpers of a development runner.
import { build } from 'esbuild'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'

const [entry, ...rest] = process.argv.slice(2)
const folder = mkdtempSync(path.join(tmpdir(), 'orzo-bench-'))
const outfile = path.join(folder, 'bench.mjs')
try {
  await build({
    entryPoints: [entry],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    alias: { '@': path.resolve('src') },
    logLevel: 'error',
  })
  process.argv = [process.argv[0], outfile, ...rest]
  await import(pathToFileURL(outfile).href)
} finally {
  rmSync(folder, { recursive: true, force: true })
}
