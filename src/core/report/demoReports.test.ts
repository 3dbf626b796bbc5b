import { demoScenes } from '../../../tools/run/demoScenes'
import { orders, rawWords } from '../../../tools/run/reportWords'
import { compareSets } from '../answer/comparison'
import { showQuantity } from '../base/units/compound'
import { toSI } from '../base/units/convert'
import { pounds } from '../base/units/weightText'
import { dryerName } from '../repair/plan/dryerName'
import { LOG_KINDS } from '../repair/logs/kinds'
import { finalCharge, finalChargeText } from '../repair/work/finalCharge'
import { replacedParts } from '../repair/work/replacedParts'
import { startLines } from '../repair/work/firstStart'
import { type JobReport, jobReport } from './jobReport'
import { lineText, type ReportSection } from './line'
import { endedLogs, samplesOf } from './logLines'
import { fluidOunces, grams } from './planText'
import { paperOf } from './paper/documents'
import { PAPERS } from './paper/paperNames'
import { roundPlots } from './plots'
import type { RoundScene } from './scene'
import { US_UNITS } from '../base/units/system'

type Demo = Awaited<ReturnType<typeof demoScenes>>[number] & { report: JobReport }
let all: readonly Demo[] = []
beforeAll(async () => {
  const built = await demoScenes()
  all = built.map((each) => ({ ...each, report: jobReport(each.question, each.scenes) }))
}, 120_000)

/** Every figure of a text as a number: 236.0 and 236 are one; 1,000 is a thousand. */
const figures = (text: string): number[] =>
  (text.match(/\d+(?:,\d{3})*(?:\.\d+)?/g) ?? []).map((each) => Number(each.replaceAll(',', '')))
/** Days and moments are told by the clock of the site, not by a stage. */
const withoutMoments = (text: string) => text.replace(/\d{1,2} [A-Z][a-z]{2} \d{4}( \d{2}:\d{2})?/g, '')

const linesOf = ({ lines }: ReportSection) => lines.map((line) => `${line.name}: ${lineText(line)}`)
const sectionsOf = ({ report }: Demo): ReportSection[] => [
  ...(report.head ? [report.head] : []),
  ...report.rounds.flatMap(({ sections, owner }) => [...sections, ...owner]),
  ...report.readings,
]

/** What each stage shows of a repair, by the section of the report that tells it. */
const SHOWN: Readonly<Record<string, (scene: RoundScene) => string[]>> = {
  found: ({ answer }) => [
    JSON.stringify(answer.ranking.suspects[0]),
    JSON.stringify(
      answer.decisionStates.map(({ gate, decision }) => [gate, decision.override, decision.shown]),
    ),
  ],
  'went-in': ({ answer: { plan }, job }) => [
    grams(plan.contamination.water.total.likely),
    grams(plan.contamination.water.remainder.likely),
    plan.contamination.acid.before.likely.toFixed(2),
    String(plan.oil.changes + plan.oil.laterChanges + (plan.oil.newCompressor ? 1 : 0)),
    ...plan.dryers.flatMap(({ chosen }) => (chosen ? [dryerName(chosen.dryer)] : [])),
    fluidOunces(plan.oil.out ?? 0),
    fluidOunces(plan.oil.refill.value),
    plan.testPressure?.sentence ?? '',
    JSON.stringify([
      plan.testPressure?.basis,
      plan.contamination,
      plan.oil,
      plan.dryers.map(({ basis }) => basis),
    ]),
    ...replacedParts(job, plan),
    ...plan.parts.map(({ label, quantity }) => `${label} ${quantity ?? ''}`),
  ],
  refrigerant: ({ answer: { plan }, job }) => [
    plan.refrigerantPath.holds,
    plan.refrigerantPath.goesIn ?? '',
    plan.charge?.total ? pounds(plan.charge.total.value) : '',
    JSON.stringify(plan.charge?.total),
    job.closing?.recovered ? showQuantity(job.closing.recovered) : '',
    job.closing?.charged ? showQuantity(job.closing.charged) : '',
    ((charge) => (charge ? finalChargeText(charge) : ''))(finalCharge(job, plan.opens && !plan.isPart)),
  ],
  'start-up': (scene) => {
    const count = startLines({ unit: scene.known.unit, tasks: scene.work.tasks, state: scene.state }).length
    return [`${count} of ${count}`]
  },
}

/** What the run sheet shows of its logs. */
const shownOfLogs = (scene: RoundScene): string[] =>
  endedLogs(scene).map((log) => {
    const samples = samplesOf(scene, log)!
    const {
      figures: rows,
      levels = [],
      sentence,
    } = LOG_KINDS[log.purpose].judge({ head: log, samples }, scene.facts)
    return JSON.stringify([rows, levels, sentence, scene.facts.plan?.recovery.depth.shown])
  })

test('every figure of the report is one that a stage shows', () => {
  let checked = 0
  for (const demo of all)
    demo.scenes.forEach((scene, i) => {
      for (const section of demo.report.rounds[i]!.sections) {
        const shown = SHOWN[section.id]?.(scene)
        if (!shown) continue
        const known = new Set(figures(shown.join(' ')))
        for (const line of section.lines) {
          if (line.name === 'Net') continue
          for (const figure of figures(withoutMoments(lineText(line)))) {
            expect([demo.job.id, line.name, figure, known.has(figure)]).toEqual([
              demo.job.id,
              line.name,
              figure,
              true,
            ])
            checked += 1
          }
        }
      }
    })
  expect(checked).toBeGreaterThan(80)
})

test('each log tells only figures that its step shows, and its own verdict', () => {
  let checked = 0
  for (const demo of all)
    demo.scenes.forEach((scene, i) => {
      const lines = demo.report.rounds[i]!.sections.find(({ id }) => id === 'tests')?.lines ?? []
      shownOfLogs(scene).forEach((shown, at) => {
        const line = lines[at]!
        const known = new Set(figures(shown))
        for (const figure of figures(withoutMoments(line.value))) {
          expect([demo.job.id, line.name, figure, known.has(figure)]).toEqual([
            demo.job.id,
            line.name,
            figure,
            true,
          ])
          checked += 1
        }
      })
    })
  expect(checked).toBeGreaterThan(60)
})

test('the net of the refrigerant is charged less recovered, added up apart', () => {
  const nets = all.flatMap(({ scenes, report }) =>
    scenes.flatMap(({ job }, i) => {
      const line = report.rounds[i]!.sections.flatMap(({ lines }) => lines).find(({ name }) => name === 'Net')
      const { recovered, charged } = job.closing ?? {}
      return line && recovered && charged ? [{ line, kg: toSI(charged) - toSI(recovered) }] : []
    }),
  )
  expect(nets.length).toBeGreaterThan(1)
  for (const { line, kg } of nets) expect(line.value).toContain(pounds(Math.abs(kg)))
})

test('before and after are the sets that Measure compares', () => {
  const pairs = all.flatMap(({ scenes, report }) =>
    scenes.flatMap((scene, i) => report.rounds[i]!.pairs.map((pair) => ({ scene, pair }))),
  )
  expect(pairs.length).toBeGreaterThan(2)
  for (const { scene, pair } of pairs)
    expect(pair.comparison).toEqual(
      compareSets({ ...scene.known, arrival: scene.job.arrival }, { temperature: 'F' }, pair.setIds),
    )
})

test('no id of the record, no figure for open, no order stands in it; no heading is empty', () => {
  for (const demo of all)
    for (const section of sectionsOf(demo)) {
      expect(section.lines.length).toBeGreaterThan(0)
      for (const text of [section.title, ...linesOf(section)])
        expect([demo.job.id, text, rawWords(text)]).toEqual([demo.job.id, text, []])
      for (const { value } of section.lines)
        expect([demo.job.id, value, orders(value)]).toEqual([demo.job.id, value, []])
    }
})

test('an open winding is told as open', () => {
  const texts = all.flatMap((demo) => demo.report.readings.flatMap(linesOf))
  expect(texts.some((text) => text.includes('open, no path'))).toBe(true)
})

test('what rests on a guess carries its mark and what it rests on', () => {
  const marked = all.flatMap((demo) =>
    sectionsOf(demo).flatMap(({ lines }) => lines.filter(({ assumed }) => assumed)),
  )
  expect(marked.length).toBeGreaterThan(4)
  for (const { assumed } of marked) expect(assumed!.length).toBeGreaterThan(5)
  const exhibit = all.find(({ job }) => job.id === 'demo-exhibit-hall')!
  const lines = exhibit.report.rounds[0]!.sections.flatMap(({ lines: own }) => own)
  expect(lines.find(({ name }) => name === 'Test pressure')?.assumed).toMatch(/usual for R-22/)
  // what is known carries none
  expect(lines.find(({ name }) => name === 'Recovered')?.assumed).toBeUndefined()
})

test('the closed jobs of the demo are exemplary: proven, every point on record', () => {
  const closed = all.filter(({ job }) => job.closing?.proven !== undefined)
  expect(closed.map(({ job }) => job.id).sort()).toEqual([
    'demo-exhibit-hall',
    'demo-gatehouse',
    'demo-spectrograph',
  ])
  for (const { report } of closed)
    for (const { outcome, points } of report.rounds) {
      expect(outcome).toBe('proven')
      expect(points.filter(({ state }) => state !== 'met')).toEqual([])
    }
})

test('every paper of every demo job can be made, and holds the title, the outcome and no foreign word', () => {
  const textsOf = (value: unknown): string[] => {
    if (typeof value === 'string') return [value]
    if (Array.isArray(value)) return value.flatMap(textsOf)
    if (typeof value !== 'object' || value === null) return []
    const { text, stack, columns, table, content, body } = value as Record<string, unknown>
    return [text, stack, columns, table, content, body].flatMap(textsOf)
  }
  for (const demo of all) {
    const plots = demo.scenes.map((scene) => roundPlots(scene, US_UNITS))
    for (const paper of PAPERS) {
      const made = paperOf(paper, demo.report, plots, { sheet: 'a4', display: { temperature: 'F' } })
      const texts = textsOf(made.content)
      expect(texts).toContain(demo.report.title)
      for (const text of texts) expect([demo.job.id, paper, rawWords(text)]).toEqual([demo.job.id, paper, []])
      if (paper !== 'tag')
        expect(texts.some((text) => text.includes(demo.report.rounds[0]!.outcomeText))).toBe(true)
    }
  }
})
