// npm run -s bench:properties -- LIBRARY.json: the same saturation calls by Orzo, against what compare.py kept of the
// library on this machine. Writes the table that docs/properties.md quotes to docs/properties-comparison.md.
import { readFileSync, writeFileSync } from 'node:fs'
import { performance } from 'node:perf_hooks'
import { parseRefrigerant, REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { saturationPressure, saturationTemperature } from '@/core/physics/refrigerants/saturation'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'

type LibraryRun = {
  readonly name: string
  readonly mixture: boolean
  readonly seconds: number
  readonly kelvin: readonly number[]
  readonly pascals: readonly (number | null)[]
}

/** A library answer so far off is a false root of its mixture solver, not a difference in interpolation. */
const FALSE_ROOT_SHARE = 0.01
const ROUNDS = 3

function fastest(work: () => number): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now()
    if (Number.isNaN(work())) throw new Error('a benchmark computed nothing')
    return (performance.now() - start) / 1000
  })
  return Math.min(...times)
}

function compare(run: LibraryRun): string {
  const name = parseRefrigerant(run.name)
  const own = fastest(() =>
    run.kelvin.reduce((sum, kelvin) => sum + saturationPressure(name, 'dew', kelvin), 0),
  )
  let [worst, failed] = [0, 0]
  run.pascals.forEach((pascals, i) => {
    const kelvin = run.kelvin[i] as number
    const share =
      pascals === null ? Infinity : Math.abs(saturationPressure(name, 'dew', kelvin) / pascals - 1)
    if (share > FALSE_ROOT_SHARE) failed += 1
    else worst = Math.max(worst, Math.abs(saturationTemperature(name, 'dew', pascals as number) - kelvin))
  })
  const calls = run.pascals.length
  const library = (run.seconds / calls) * 1e6
  const orzo = (own / run.kelvin.length) * 1e6
  const cells = [
    run.name,
    run.mixture ? 'blend' : 'one fluid',
    calls.toLocaleString('en-US'),
    failed === 0 ? '0' : `${failed} (${((100 * failed) / calls).toFixed(1)} %)`,
    library.toPrecision(3),
    orzo.toPrecision(2),
    Math.round(library / orzo).toLocaleString('en-US'),
    (worst * 1000).toFixed(2),
  ]
  return `| ${cells.join(' | ')} |`
}

const [input] = process.argv.slice(2)
if (input === undefined) {
  console.error('usage: npm run -s bench:properties -- LIBRARY.json (written by tools/properties/compare.py)')
  process.exit(2)
}
await loadRefrigerants(REFRIGERANT_NAMES)
const { library, runs } = JSON.parse(readFileSync(input, 'utf8')) as { library: string; runs: LibraryRun[] }
const head = [
  `Dew pressure at random temperatures of the whole table, ${library} (Python, low-level interface) and Orzo (Node ${process.version}),`,
  'one after the other on the same machine (the library in processor time, while other work ran). Orzo made 100,000 calls each, the library as many as the column says.',
  'Failed: no solution, or one more than 1 % off the line. Written by `npm run bench:properties`.',
  '',
  '| refrigerant | model | library calls | failed | library us/call | Orzo us/call | ratio | largest difference mK |',
  '| --- | --- | --- | --- | --- | --- | --- | --- |',
]
const text = `# Saturation against the reference library\n\n${[...head, ...runs.map(compare)].join('\n')}\n`
writeFileSync('docs/properties-comparison.md', text)
console.log(text)
