import { clockMinutes, wallMinutes, wallText } from '../../base/units/wall'
import { FAULT_IDS, type SuspectId } from '../../diagnosis/faults/faults'
import type { UnitPlate } from '../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { Day } from '../../record/records/day'
import type { Arrival } from '../../record/records/head'
import type { Repair } from '../../record/records/repair'
import type { Plan } from '../plan/plan'
import { planOf } from '../plan/basis'
import { earlierTimes } from './earlier'
import { dayQuestionOf, planDay } from './planDay'
import { planWork, type WorkDay } from './workDay'

const CLEAN = { acidTest: 'negative', acidTestKind: 'oil-kit' } as const

type Case = {
  readonly unit?: Partial<UnitPlate>
  readonly repair?: Repair
  readonly day?: Day
  readonly arrival?: Arrival
}

function planned(
  faults: readonly SuspectId[],
  { unit = {}, repair = {}, day = {}, arrival = {} }: Case = {},
): Plan {
  const job: KnownJob = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3, ...unit }),
    repair,
    day,
    arrival,
    readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations: CLEAN }],
  }
  const proofs = faults.map((fault) => ({
    fault,
    isFirst: false,
    why: undefined,
    missing: [],
    atTerminals: [],
    atOpening: [],
  }))
  return planOf(job, faults, { proofs })
}
const dayOf = (faults: readonly SuspectId[], given: Case = {}): WorkDay => planWork(planned(faults, given))

describe('typical whole jobs with nothing set: one person, part in hand, usual access [practice] (handbook 01)', () => {
  test.each<readonly [string, SuspectId, Case, number, number]>([
    [
      'expansion valve by pump-down',
      'txv-underfeeding',
      { repair: { way: 'pump-down', valvesTight: true } },
      3,
      4,
    ],
    ['reversing valve', 'reversing-valve-leaking-through', { unit: { kind: 'split-heat-pump' } }, 4, 6],
    ['expansion valve by full recovery', 'txv-underfeeding', {}, 4, 5],
    [
      'expansion valve by full recovery, flare',
      'txv-underfeeding',
      { repair: { valveJoints: 'flare' } },
      4,
      5,
    ],
    ['residential compressor', 'compressor-open-winding', {}, 4, 6],
    ['dryer alone', 'plugged-liquid-dryer', {}, 3, 4],
  ])('%s', (_name, fault, given, least, most) => {
    const plan = planned([fault], given)
    if (given.repair?.way) expect(plan.access.chosen).toBe(given.repair.way)
    const day = planWork(plan)
    expect(day.p50! / 60).toBeGreaterThanOrEqual(least)
    expect(day.p50! / 60).toBeLessThanOrEqual(most)
    expect(day.p90!).toBeGreaterThan(day.p50!)
    expect(day.isProven).toBe(true)
    // the bars stand near the half of the drawn days, and a clean job has no wet step
    expect(Math.abs(day.finish! / day.p50! - 1)).toBeLessThan(0.05)
    expect(plan.tasks.map(({ id }) => id)).not.toEqual(expect.arrayContaining(['evacuateWet']))
  })
  test('easy is quicker than usual, hard takes the upper part of the table', () => {
    for (const [fault] of [['txv-underfeeding'], ['compressor-open-winding']] as const) {
      const [easy, usual, hard] = (['easy', 'usual', 'hard'] as const).map(
        (access) => dayOf([fault], { day: { access } }).p50!,
      )
      expect(easy).toBeLessThan(usual!)
      expect(hard! / usual!).toBeGreaterThan(1.2)
    }
  })
  test('a hold that fails is in the nine in ten, not in the bars', () => {
    const plan = planned(['txv-underfeeding'])
    const never = plan.tasks.map(({ fails: _fails, ...task }) => task)
    const [with_, without] = [planWork(plan), planWork({ ...plan, tasks: never })]
    expect(with_.finish).toBe(without.finish)
    expect(with_.p90! - without.p90!).toBeGreaterThan(30)
  })
  test('what is lifted asks for a second person, unless two are there', () => {
    const asks = (crew: 1 | 2) =>
      planned(['compressor-open-winding'], { day: { crew } })
        .tasks.find(({ id }) => id === 'swapCompressor')!
        .notes.join(' ')
    expect(asks(1)).toMatch(/ask for a second person/)
    expect(asks(2)).not.toMatch(/second person/)
  })
  test('two lift together; one alone is told when somebody must come', () => {
    const lift = (crew: 1 | 2) =>
      dayOf(['compressor-open-winding'], { day: { crew } }).rows.find(({ id }) => id === 'swapCompressor')!
    const [alone, both] = [lift(1), lift(2)]
    expect(alone.helper).toBeUndefined()
    expect(alone.helpWanted).toEqual({ from: alone.start, to: alone.start + 15 })
    expect(both.helper).toEqual({ person: 1 - both.person, until: both.start + 15 })
    expect(both.helpWanted).toBeUndefined()
    // nobody else is at work meanwhile
    const { rows } = dayOf(['compressor-open-winding'], { day: { crew: 2 } })
    const busy = rows.filter(
      ({ id, start, handsOff }) =>
        id !== 'swapCompressor' && start < both.start + 15 && handsOff > both.start,
    )
    expect(busy).toEqual([])
  })
  test('a hard place takes longer, a second person never does', () => {
    const p50 = (day: Day) => dayOf(['txv-underfeeding'], { day }).p50!
    expect(p50({ access: 'usual' })).toBeGreaterThan(p50({ access: 'easy' }))
    expect(p50({ access: 'hard' })).toBeGreaterThan(p50({ access: 'usual' }))
    const [one, two, three] = ([1, 2, 3] as const).map(
      (crew) => dayOf(['compressor-open-winding'], { day: { crew } }).finish!,
    )
    expect(two).toBeLessThanOrEqual(one!)
    expect(three).toBeLessThanOrEqual(two!)
    expect(two).toBeLessThan(one!)
  })
})

const START = '2026-11-27T08:00'

describe('later visits lie in the hours of the site', () => {
  const { tasks } = dayQuestionOf(planned(['plugged-liquid-dryer']))
  const visitAfter = (hours: number, day: Day = {}) => {
    const question = {
      tasks,
      parts: [],
      later: [{ hours, sentence: 'core out', tasks }],
      day: { start: START, ...day },
    }
    const plan = planDay(question)
    return { plan, visit: plan.later[0]!, at: (minute: number) => wallText(wallMinutes(START)! + minute) }
  }
  test('from the first minute at which its hours have passed', () => {
    const { plan, visit } = visitAfter(24, { closesAt: '20:00' })
    expect(visit.from).toBe(plan.running!.likely + 24 * 60)
    expect(visit.p90!).toBeGreaterThan(visit.likely!)
  })
  test('not at night, and not over two days where the next morning holds it', () => {
    const { plan, visit, at } = visitAfter(12)
    expect(at(plan.running!.likely + 12 * 60).slice(11)).toMatch(/^2[0-3]/)
    expect(at(visit.from!)).toBe('2026-11-28T07:00')
    // a day later the unit has run until eleven, too late for a whole visit before twelve
    const late = visitAfter(24, { closesAt: '12:00', opensAt: '07:00' })
    expect(late.at(late.visit.from!).slice(11)).toBe('07:00')
  })
  test('a plan without an end has no later visit; a plan of one visit has none', () => {
    const shut = visitAfter(24, { opensAt: '08:00', closesAt: '08:10' })
    expect(shut.plan.later).toEqual([])
    expect(planDay(dayQuestionOf(planned(['plugged-liquid-dryer']))).later).toEqual([])
  })
})
const span = (day: WorkDay) => day.open!

describe('weather, hours, deliveries, breaks', () => {
  test('the circuit is never open in rain, at whatever hour it falls', () => {
    for (let hour = 8; hour < 16; hour += 1) {
      const at = (h: number) => `2026-11-27T${String(h).padStart(2, '0')}:00`
      const rain = [{ from: at(hour), to: at(hour + 2) }]
      const day = dayOf(['txv-underfeeding'], { day: { start: START, rain } })
      const [wet] = day.calendar.rain
      expect(span(day).from >= wet!.to || span(day).to <= wet!.from).toBe(true)
      expect(day.problem).toBeUndefined()
    }
  })
  test('rain all day: said, with what would help', () => {
    const rain = Array.from({ length: 8 }, (_x, i) => ({
      from: wallText(wallMinutes(START)! + i * 1440 - 60),
      to: wallText(wallMinutes(START)! + i * 1440 + 600),
    }))
    const day = dayOf(['txv-underfeeding'], { day: { start: START, rain } })
    expect(day.finish).toBeUndefined()
    expect(day.problem).toMatch(/No dry spell is long enough: the circuit is open for about 1 h/)
  })
  test('a part that comes at noon holds up its task, not what goes before it', () => {
    const parts = { 'part:expansion-valve': { arrives: '2026-11-27T12:00' } }
    const day = dayOf(['txv-underfeeding'], { day: { start: START, parts } })
    const row = (id: string) => day.rows.find((each) => each.id === id)!
    expect(row('swapValve').start).toBe(240)
    expect(row('recover').end).toBeLessThan(240)
  })
  test('a building that closes makes two visits; nothing is open over night', () => {
    const hours = { opensAt: '08:00', closesAt: '11:30' }
    const day = dayOf(['txv-underfeeding'], { day: { start: START, ...hours, access: 'easy' } })
    expect(day.visits).toHaveLength(2)
    for (const { start, handsOff } of day.rows) {
      const clock = (minute: number) => (clockMinutes('08:00') + minute) % 1440
      expect(clock(start)).toBeGreaterThanOrEqual(clockMinutes('08:00'))
      expect(clock(handsOff - 1)).toBeLessThan(clockMinutes('11:30'))
    }
    expect(Math.floor(span(day).from / 1440)).toBe(Math.floor((span(day).to - 1) / 1440))
    // the second day begins with the way up
    expect(day.visits[1]!.from).toBeGreaterThanOrEqual(1440 + 20)
  })
  test('too short hours for the open work: said', () => {
    const day = dayOf(['compressor-open-winding'], {
      day: { start: START, opensAt: '08:00', closesAt: '09:00' },
    })
    expect(day.problem).toMatch(/open work of about 1 h 50 min is longer than a working day/)
  })
  test('a wet vacuum is left over night only where machines may run on', () => {
    const minutes = { confirm: [180, 240, 260] as [number, number, number] }
    const wet = { unit: {}, day: { start: START, minutes } }
    const job = (day: Day) => {
      const plan = planned(['txv-underfeeding'], { ...wet, day: { ...wet.day, ...day } })
      const tasks = plan.tasks.map((task) =>
        task.id === 'evacuate' ? { ...task, unattended: [300, 480, 600] as const } : task,
      )
      return planWork({ ...plan, tasks })
    }
    const over = (day: WorkDay) => day.rows.find(({ id }) => id === 'evacuate')!
    const left = over(job({ leaveRunning: true }))
    const stays = over(job({}))
    expect(stays.start).toBeGreaterThan(left.start)
    expect(job({ leaveRunning: true }).finish!).toBeLessThan(job({}).finish!)
  })
  test('breaks push the finish back; light counts like hours', () => {
    const finish = (day: Day) => dayOf(['txv-underfeeding'], { day: { start: START, ...day } }).finish!
    expect(finish({ breaks: [{ from: '10:00', to: '10:30' }] })).toBeGreaterThanOrEqual(finish({}))
    expect(
      dayOf(['txv-underfeeding'], { day: { start: START, lightTo: '11:00' } }).visits.length,
    ).toBeGreaterThan(1)
  })
  test('a deadline of the goods: likely and safe margin; a task that was dragged waits', () => {
    const day = dayOf(['txv-underfeeding'], {
      day: {
        start: START,
        deadline: '2026-11-27T15:00',
        deadlineOf: 'goods',
        notBefore: { confirm: '2026-11-27T09:00' },
      },
    })
    expect(day.rows.find(({ id }) => id === 'confirm')!.start).toBe(60)
    expect(day.deadline).toMatchObject({ at: 420, of: 'goods' })
    expect(day.deadline!.marginLikely).toBe(420 - day.running!.likely)
    expect(day.deadline!.marginSafe!).toBeLessThan(day.deadline!.marginLikely)
  })
  test('a task dragged before what it waits for keeps its order, and that is said', () => {
    const day = dayOf(['txv-underfeeding'], {
      day: { start: START, notBefore: { swapValve: '2026-11-27T08:10', closeUp: '2026-11-27T20:00' } },
    })
    expect(day.refused).toContain('swapValve')
  })
  test('the same plan, the same day', () => {
    expect(dayOf(['txv-underfeeding'])).toEqual(dayOf(['txv-underfeeding']))
  })
})

describe('what was said on arrival is read by the day', () => {
  const VALVE: readonly SuspectId[] = ['txv-underfeeding']
  const said = (arrival: Arrival, day: Day = { start: START }) => dayOf(VALVE, { arrival, day })
  const openEnd = span(said({})).to
  const clock = (minute: number) => wallText(wallMinutes(START)! + minute).slice(11)

  test.each([
    ['a minute after it is closed', openEnd + 1, 0],
    ['as it is closed', openEnd, 0],
    ['a minute before', openEnd - 1, 1],
  ])('a storm %s: closed before it, or opened on another day', (_name, at, days) => {
    const day = said({ weather: 'storm-expected', workUntil: clock(at) })
    expect(Math.floor((span(day).from + clockMinutes('08:00')) / 1440)).toBe(days)
    expect(day.words[0]).toMatch(days === 0 ? /Storm from .* before it/ : /does not fit before it/)
    expect(day.words.join(' ')).toMatch(/Lightning/)
    for (const { opens, start, end } of day.rows)
      if (opens) expect(end <= at || start >= 1440 - clockMinutes('08:00')).toBe(true)
  })
  test('a storm that came before the start: nothing is opened that day, and that is said', () => {
    const day = said({ weather: 'storm-expected', workUntil: '07:00' })
    expect(span(day).from).toBeGreaterThanOrEqual(1440 - clockMinutes('08:00'))
    expect(day.words[0]).toMatch(/does not fit before it/)
  })
  test('rain without an hour is told, with the hours of the open circuit; rain that was typed is not asked again', () => {
    const day = said({ weather: 'rain-expected' })
    expect(day.words).toEqual([
      expect.stringMatching(/△ Rain expected and no hour is known: the circuit is open/),
    ])
    const typed = said(
      { weather: 'rain-expected' },
      { start: START, rain: [{ from: '2026-11-27T20:00', to: '2026-11-27T22:00' }] },
    )
    expect(typed.words).toEqual([])
  })
  test('dry weather and a closing hour: nobody works past it, the rest on another day', () => {
    const day = said({ weather: 'dry', workUntil: '10:00' })
    expect(day.visits.length).toBeGreaterThan(1)
    expect(day.words).toEqual(['Work ends at 10:00 on the first day, said on arrival.'])
    for (const { start, handsOff } of day.rows.filter((row) => row.start < 1440 - clockMinutes('08:00')))
      expect([start < 120, handsOff <= 120]).toEqual([true, true])
    expect(said({ weather: 'dry' }).words).toEqual([])
  })
  test('the hour holds without a date, too', () => {
    const day = said({ weather: 'rain-expected', workUntil: '08:30' }, {})
    expect(span(day).from).toBeGreaterThanOrEqual(1440 - clockMinutes('08:00'))
  })
  test.each([
    ['walk-in-cooler', 'goods'],
    ['split-ac', 'space'],
  ] as const)('%s: %s until three', (kind, of) => {
    const day = dayOf(VALVE, { unit: { kind }, arrival: { goodsUntil: '15:00' }, day: { start: START } })
    expect(day.deadline).toMatchObject({ of, at: 420 })
  })
})

describe('earlier jobs on this machine', () => {
  test('one job moves little, several move more; bounded', () => {
    const took = (actual: number) => ({ took: { swapValve: { planned: 50, actual } } })
    const one = earlierTimes([took(100)])['swapValve']!
    const five = earlierTimes([took(100), took(100), took(100), took(100), took(100)])['swapValve']!
    // geometric mean towards 1 with two jobs as planned: 2^(1/3), 2^(5/7)
    expect(one).toEqual({ factor: 1.26, jobs: 1 })
    expect(five).toEqual({ factor: 1.641, jobs: 5 })
    expect(earlierTimes(Array.from({ length: 50 }, () => took(500)))['swapValve']!.factor).toBe(2.5)
    expect(earlierTimes(Array.from({ length: 50 }, () => took(1)))['swapValve']!.factor).toBe(0.4)
    expect(earlierTimes([{}, { took: { swapValve: { planned: 0, actual: 4 } } }])).toEqual({})
  })
  test('they move the plan', () => {
    const slow = dayOf(['txv-underfeeding'], { day: { earlier: { swapValve: { factor: 1.6, jobs: 5 } } } })
    expect(slow.finish!).toBe(dayOf(['txv-underfeeding']).finish! + 30)
  })
})

test.each(FAULT_IDS)('%s: a day of its own, in working hours, each task once', (fault) => {
  const plan = planned([fault], { unit: { kind: 'water-source-heat-pump' }, day: { start: START } })
  const day = planWork(plan, { moves: 20, states: 200 })
  expect(day.problem).toBeUndefined()
  expect(day.rows.map(({ id }) => id).sort()).toEqual(
    plan.tasks.flatMap(({ id, refused }) => (refused ? [] : [id])).sort(),
  )
  expect(day.finish!).toBeGreaterThan(0)
  expect(day.bound!).toBeLessThanOrEqual(day.finish!)
})
