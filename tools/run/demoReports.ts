/** Writes every paper of the demo jobs as PDFs into a folder, to be looked at. Usage: node tools/bench/bundled.mjs tools/run/demoReports.ts FOLDER [WORD...] */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { US_UNITS } from '@/core/base/units/system'
import { documentOf } from '@/core/record/job/rounds'
import { PAPERS } from '@/core/report/paper/paperNames'
import { demoHandlers } from '@/demo/buildDemo'
import { samplesOfRows } from '@/demo/samplesOfRows'
import { reportHandlers } from '@/workers/reportHandlers'

const [folder = 'reports', ...words] = process.argv.slice(2)
const face = (name: string) =>
  new Uint8Array(readFileSync(path.resolve('node_modules/dejavu-fonts-ttf/ttf', `${name}.ttf`)))
const handlers = reportHandlers(async () => ({ regular: face('DejaVuSans'), bold: face('DejaVuSans-Bold') }))

const { value: jobs } = await demoHandlers().build(Date.parse('2026-11-20T15:00:00Z')).next()
if (!jobs) throw new Error('the demo built nothing')
mkdirSync(folder, { recursive: true })
for (const { job, chunks } of jobs) {
  if (words.length > 0 && !words.some((word) => job.id.includes(word))) continue
  for (const paper of PAPERS) {
    const begun = performance.now()
    const call = {
      document: documentOf(job),
      samples: samplesOfRows(chunks),
      display: { temperature: 'F' },
      system: US_UNITS,
      now: Date.parse(job.updatedAt),
    } as const
    const { value } = await handlers.pdf({ ...call, paper, sheet: 'letter' }).next()
    if (!value) throw new Error('no paper was written')
    writeFileSync(path.join(folder, `${job.id}-${paper}.pdf`), value.bytes)
    process.stdout.write(
      `${job.id} ${paper} ${(performance.now() - begun).toFixed(0)} ms, ${value.bytes.length} bytes\n`,
    )
  }
}
