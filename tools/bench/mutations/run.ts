import { spawnSync } from 'node:child_process'
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { parseArgs } from 'node:util'
import { seededRandom } from '@/core/base/numeric/random'
import { mutated, type Site, sitesOf } from './sites'

/**
 * Draws one-line mutations and says how many of them the nearby tests see.
 * `npm run bench:mutations -- --seeds=1,2,3 --count=40`. The tree must be clean: each file is written back.
 */
const { values } = parseArgs({
  options: {
    seeds: { type: 'string', default: '1,2,3' },
    count: { type: 'string', default: '40' },
    // goes on where a run was ended: the first so many of each seed are left out
    from: { type: 'string', default: '0' },
  },
})

/** Where a slip can hurt someone or condemn a part. */
const ROOMS = [
  'src/core/safety',
  'src/core/diagnosis/proof',
  'src/core/repair',
  'src/core/physics/processes',
] as const

/** Tests near a room beside those of its own folder, the quick ones first. */
const NEAR: readonly (readonly [room: string, tests: string])[] = [
  ['src/core/repair', 'core/repair/tables|core/repair/plans.test'],
  ['src/core/safety', 'diagnosis/vetoes|work/work.test|answer/vetoes'],
  ['src/core/diagnosis/proof', 'answer/faultTables|door/notRunning'],
  ['src/core/physics/processes', 'repair/logs|repair/plan/parts|charge/charge.test'],
  ['src/core/repair/cleanup', 'repair/charge|repair/worked|door/goldenPlans'],
  ['src/core/repair/charge', 'repair/worked|door/goldenPlans'],
  ['src/core/repair/plan', 'door/goldenPlans|answer/faultTables|repair/work'],
  ['src/core/repair/logs', 'repair/work'],
  ['src/core/repair/schedule', 'repair/day'],
]

const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return name === 'fixtures' ? [] : filesIn(path)
    return path.endsWith('.ts') && !path.endsWith('.test.ts') ? [path] : []
  })

type Drawn = { readonly file: string; readonly site: Site; readonly text: string }

/** As many places as asked for, each of another line. */
function drawn(seed: number, count: number): Drawn[] {
  const random = seededRandom(seed)
  const all = ROOMS.flatMap(filesIn).flatMap((file): Drawn[] => {
    const text = readFileSync(file, 'utf8')
    return sitesOf(text).map((site) => ({ file, site, text }))
  })
  const chosen = new Map<string, Drawn>()
  while (chosen.size < Math.min(count, all.length)) {
    const one = all[Math.floor(random() * all.length)]!
    chosen.set(`${one.file}:${one.site.line}`, one)
  }
  return [...chosen.values()]
}

const jest = (patterns: string) =>
  spawnSync(
    'node',
    [
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      'core',
      '--bail',
      '--silent',
      '--runInBand',
      '--testSequencer',
      './tools/bench/mutations/quickFirst.mjs',
      '--testPathPatterns',
      patterns,
    ],
    { encoding: 'utf8', timeout: 600_000 },
  ).status === 0

/** Whether the tests of its own folder and of its neighbours still pass with the mutation in place, the quick ones first. */
function survives({ file, site, text }: Drawn): boolean {
  writeFileSync(file, mutated(text, site))
  try {
    // its own folder, and the one above it for the rows of a table
    const own = [dirname(file), dirname(dirname(file))].filter((folder) =>
      readdirSync(folder).some((name) => name.endsWith('.test.ts')),
    )
    const near = NEAR.filter(([room]) => file.startsWith(room)).map(([, tests]) => tests)
    return jest([...own.map((folder) => `${folder}/[^/]*\\.test`), ...near].join('|'))
  } finally {
    writeFileSync(file, text)
  }
}

// a run that cannot begin would count as one that saw the slip
if (!jest('tools/bench/mutations')) throw new Error('the tests do not run without a slip either')

for (const seed of values.seeds.split(',').map(Number)) {
  const all = drawn(seed, Number(values.count)).slice(Number(values.from))
  const left = all.filter((one) => {
    const lives = survives(one)
    const { from, to, line } = one.site
    process.stderr.write(`${lives ? 'SURVIVES' : 'killed  '} ${one.file}:${line} ${from} -> ${to}\n`)
    return lives
  })
  console.log(`seed ${seed}: ${all.length - left.length} of ${all.length} killed`)
  for (const { file, site } of left) console.log(`  ${file}:${site.line} ${site.from} -> ${site.to}`)
}
