import { demoScenes } from '../../../tools/run/demoScenes'
import { createAnswerer } from '../answer/answer'
import type { StoredJob } from '../record/job/job'
import { followUps, followUpText } from './followUps'
import { tagPaper } from './paper/tag'
import { type RoundScene, roundScene } from './scene'
import { tagOf, tagText } from './tag'

let scenes: readonly RoundScene[] = []
beforeAll(async () => {
  scenes = (await demoScenes('demo-spectrograph', 'demo-exhibit-hall', 'demo-control-room')).flatMap(
    (each) => each.scenes,
  )
}, 120_000)
const of = (id: string) => scenes.find(({ job }) => job.id === id)!
function changed(scene: RoundScene, change: Partial<StoredJob>): RoundScene {
  const job = { ...scene.job, ...change }
  const { samples, now } = scene
  const answer = createAnswerer().whole({ job, samples, display: { temperature: 'F' } })
  return roundScene(job, { answer, samples, now })
}
const lineOf = (scene: RoundScene, name: string) => tagOf([scene]).lines.find((line) => line.name === name)

test('what the next technician wants to know: date, refrigerant, charge, oil, dryers, what is due', () => {
  const names = tagOf([of('demo-exhibit-hall')]).lines.map(({ name }) => name)
  expect(names).toEqual(['Date', 'Refrigerant', 'Charge', 'Oil', 'Liquid dryer', 'Suction dryer', 'Next'])
  expect(lineOf(of('demo-exhibit-hall'), 'Liquid dryer')?.value).toMatch(
    /in³, .*one-way, arrow with the flow$/,
  )
  expect(lineOf(of('demo-exhibit-hall'), 'Oil')?.value).toContain('46.0 fl oz')
  expect(lineOf(of('demo-exhibit-hall'), 'Next')?.value).toMatch(/^Oil tested again for acid, \d+ Nov 2026 /)
})

test('turns of the valve and settings stand on it', () => {
  const scene = changed(of('demo-spectrograph'), {
    run: {
      ...of('demo-spectrograph').job.run,
      turns: [{ id: 't', at: '2026-11-13T12:00:00Z', turns: -0.75 }],
    },
    closing: { ...of('demo-spectrograph').job.closing, settings: 'fan speed 3 to 4' },
  })
  expect(lineOf(scene, 'Valve stem')?.value).toBe('3/4 turn out')
  expect(lineOf(scene, 'Settings')?.note).toBe('fan speed 3 to 4')
})

test('what is too long for a tag is cut, and told to be', () => {
  const scene = changed(of('demo-spectrograph'), {
    title: 'T'.repeat(200),
    closing: { ...of('demo-spectrograph').job.closing, settings: 's'.repeat(161) },
  })
  expect(lineOf(scene, 'Settings')?.note).toBe(`${'s'.repeat(159)}…`)
  expect(tagOf([scene]).title).toHaveLength(60)
  expect(tagText(tagOf([scene])).length).toBeLessThan(700)
  const just = changed(scene, { closing: { settings: 's'.repeat(160) } })
  expect(lineOf(just, 'Settings')?.note).toBe('s'.repeat(160))
})

test('its code carries every line of it', () => {
  for (const scene of scenes) {
    const tag = tagOf([scene])
    const text = tagText(tag)
    for (const { name, value, note } of tag.lines)
      expect(text).toContain([`${name}:`, value, note].filter(Boolean).join(' '))
    const [first] = tagPaper(tag).content as [{ columns: [unknown, { stack: [{ qr: string }] }] }]
    expect(first.columns[1].stack[0].qr).toBe(text)
    // what a code of this size still shows to a phone
    expect(text.length).toBeLessThan(700)
  }
})

test('100 x 60 mm; one page, and after a conversion a label for the plate and for each port', () => {
  const plain = tagPaper(tagOf([of('demo-spectrograph')]))
  expect(plain.pageSize).toEqual({ width: expect.closeTo(283.46, 1), height: expect.closeTo(170.08, 1) })
  expect(plain.content).toHaveLength(1)
  const conversion = changed(of('demo-exhibit-hall'), {
    rounds: [{ id: 'only', why: 'first', refrigerant: 'R-407C' }],
    repair: { ...of('demo-exhibit-hall').job.repair, refrigerantTo: 'R-407C' },
  })
  expect(tagOf([conversion]).converted).toEqual({ from: 'R-22', to: 'R-407C' })
  expect(lineOf(conversion, 'Refrigerant')?.value).toBe('R-407C')
  expect(tagPaper(tagOf([conversion])).content).toHaveLength(4)
})

test('what is due comes in the order of its days; a return reading is one of them', () => {
  const scene = changed(of('demo-exhibit-hall'), {
    closing: { ...of('demo-exhibit-hall').job.closing, proven: 'not-proven-today', returnOn: '2026-11-18' },
  })
  const due = followUps(scene)
  expect(due.map(({ day }) => day)).toEqual([...due.map(({ day }) => day)].sort())
  expect(followUpText(due[0]!)).toBe('Return reading under load, 18 Nov 2026')
  // a test that was made is due no more
  const tested = changed(of('demo-exhibit-hall'), {
    run: {
      ...of('demo-exhibit-hall').job.run,
      retests: [
        {
          id: 'acid-24',
          of: 'acid',
          dueAt: '2026-11-19T20:00:00Z',
          doneAt: '2026-11-19T21:00:00Z',
          result: 'negative',
        },
      ],
    },
  })
  expect(followUps(tested).some(({ what }) => /tested again for acid/.test(what))).toBe(false)
  expect(followUps(of('demo-control-room'))).toEqual([])
})
