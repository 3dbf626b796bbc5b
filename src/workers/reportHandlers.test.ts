import { readFileSync } from 'node:fs'
import path from 'node:path'
import { METRIC_UNITS, US_UNITS } from '@/core/base/units/system'
import { lineText } from '@/core/report/line'
import { PAPERS } from '@/core/report/paper/paperNames'
import { demoScenes } from '../../tools/run/demoScenes'
import type { Faces } from './pdfWriter'
import { type ReportCall, reportHandlers } from './reportHandlers'

const face = (name: string) =>
  new Uint8Array(readFileSync(path.resolve('node_modules/dejavu-fonts-ttf/ttf', `${name}.ttf`)))
const faces = async (): Promise<Faces> => ({ regular: face('DejaVuSans'), bold: face('DejaVuSans-Bold') })

let call: ReportCall
beforeAll(async () => {
  const [demo] = await demoScenes('demo-spectrograph')
  const { samples, now } = demo!.question
  call = { document: demo!.document, samples, now, display: { temperature: 'F' }, system: US_UNITS }
}, 60_000)

async function done<T>(steps: AsyncGenerator<unknown, T>): Promise<T> {
  for (;;) {
    const step = await steps.next()
    if (step.done) return step.value
  }
}

test('a report in metric units has no pound, no psig and no Fahrenheit but what was typed so', async () => {
  const { report } = reportHandlers(faces)
  const metric = await done(report({ ...call, display: { temperature: 'C' }, system: METRIC_UNITS }))
  const sections = metric.rounds.flatMap(({ sections: own, owner }) => [...own, ...owner])
  const told = sections.flatMap(({ lines }) => lines.map(lineText)).join('\n')
  expect(told).not.toMatch(/\d (lb|oz|psig|psi|F)\b/)
  expect(told).toMatch(/\d kg/)
  expect(told).toMatch(/\d barg/)
  // an error follows the unit of its figure
  expect(told).toMatch(/mbar against ±\d+ mbar in 15 min/)
  // readings stay as they were taken, with their error in the same unit
  const read = metric.readings.flatMap(({ lines }) => lines.map(lineText)).join('\n')
  expect(read).toMatch(/107\.9 psig ±1\.1, low gauge/)
  const us = await done(report(call))
  expect(us.rounds[0]!.points).toEqual(metric.rounds[0]!.points)
})

test('a face that cannot be fetched is told, and asked for again the next time', async () => {
  let asked = 0
  const { pdf } = reportHandlers(async () => {
    asked += 1
    if (asked === 1) throw new Error('The face of the report could not be fetched: try again.')
    return faces()
  })
  const tag = { ...call, paper: 'tag', sheet: 'letter' } as const
  await expect(done(pdf(tag))).rejects.toThrow('try again')
  expect(Buffer.from((await done(pdf(tag))).bytes.slice(0, 5)).toString()).toBe('%PDF-')
})

test.each(PAPERS)('%s comes as the bytes of a PDF with the title of the job', async (paper) => {
  const { pdf } = reportHandlers(faces)
  const { bytes, title } = await done(pdf({ ...call, paper, sheet: 'a4' }))
  const text = Buffer.from(bytes).toString('latin1')
  expect(text.startsWith('%PDF-')).toBe(true)
  expect(text.trimEnd().endsWith('%%EOF')).toBe(true)
  expect(title).toBe('Spectrograph room split')
  expect(bytes.length).toBeGreaterThan(10_000)
})
