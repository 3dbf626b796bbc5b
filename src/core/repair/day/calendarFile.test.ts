import ICAL from 'ical.js'
import { emptyJob } from '../../record/job/job'
import { planOf } from '../plan/basis'
import { calendarFile } from './calendarFile'
import { dayQuestionOf, planDay } from './planDay'

const planned = (day: object) =>
  dayQuestionOf(
    planOf(
      { ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 }), day },
      ['txv-underfeeding'],
    ),
  )

const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each))

test('two visits, a later one; read back by a general parser', () => {
  const question = planned({ start: '2026-11-27T08:00', opensAt: '08:00', closesAt: '11:30', access: 'easy' })
  const look = question.tasks.filter(({ id }) => id === 'setUp')
  const day = planDay({ ...question, later: [{ hours: 48, sentence: 'indicator read', tasks: look }] })
  const file = calendarFile({ title: 'Dome, valve; "north" side', place: 'Observatory', day })
  if (!file.ok) throw new Error(file.reason)
  const events = eventsOf(file.text)
  expect(events.map(({ summary }) => summary)).toEqual([
    'Dome, valve; "north" side, visit 1 of 2',
    'Dome, valve; "north" side, visit 2 of 2',
    'Dome, valve; "north" side: indicator read',
  ])
  expect(events[0]!.startDate.toString()).toBe('2026-11-27T08:00:00')
  expect(events[1]!.startDate.day).toBe(28)
  // by the clock on the wall, in no zone
  expect(new Set(events.map(({ startDate }) => startDate.zone.tzid))).toEqual(new Set(['floating']))
  // the first start of the second day at about ten, two days on: the same hour, for as long as its task takes
  expect(events[2]!.startDate.day).toBe(30)
  const [later] = day.later
  expect(later!.from! - day.running!.likely).toBe(48 * 60)
  expect(later!.likely! - later!.from!).toBeGreaterThan(5)
  expect(events[0]!.description.split('\n')[0]).toBe('08:00 Set up, carry gear')
  expect(new Set(events.map(({ uid }) => uid)).size).toBe(3)
})

test('the same plan has the same ids; without a day, and without room, the reason is told', () => {
  const file = (day: object) => calendarFile({ title: 'Dome', place: undefined, day: planDay(planned(day)) })
  const ids = (day: object) => {
    const made = file(day)
    return made.ok ? eventsOf(made.text).map(({ uid }) => uid) : []
  }
  expect(ids({ start: '2026-11-27T08:00' })).toEqual(ids({ start: '2026-11-28T09:00' }))
  expect(file({})).toEqual({ ok: false, reason: 'No day is set: type when the work starts.' })
  expect(file({ start: '2026-11-27T08:00', opensAt: '08:00', closesAt: '08:30' })).toMatchObject({
    ok: false,
  })
})
