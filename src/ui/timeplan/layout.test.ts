import type { DayPlan } from '@/core/repair/day/planDay'
import type { DayRow } from '@/core/repair/day/workDay'
import { dayText, momentAt, numbersOf, stripOf, timeAt } from './layout'
import { wallMinutes } from '@/core/base/units/wall'

const row = (
  id: string,
  start: number,
  handsOff: number,
  end: number,
  more: Partial<DayRow> = {},
): DayRow => ({
  id: id as DayRow['id'],
  label: id,
  start,
  handsOff,
  end,
  person: 0,
  opens: false,
  flame: false,
  ends: { p50: end, p90: end },
  ...more,
})

const ROWS = [
  row('setUp', 0, 20, 20),
  row('recover', 20, 30, 60, { machine: 'recovery machine' }),
  row('gainAccess', 30, 50, 50, { person: 1 }),
  row('swapValve', 60, 110, 110, { machine: 'torch', opens: true }),
  row('fireWatch', 110, 112, 142),
]

const day = (isDated = true): DayPlan => ({
  calendar: {
    origin: wallMinutes('2026-11-27T08:07')!,
    isDated,
    horizon: 10_080,
    nights: [{ from: 600, to: 1400 }],
    breaks: [{ from: 100, to: 130 }],
    rain: [{ from: 120, to: 300 }],
    shut: [],
    still: [],
  },
  people: 2,
  rows: ROWS,
  finish: 142,
  bound: 142,
  isProven: true,
  p50: 150,
  p90: 160,
  running: undefined,
  open: { from: 60, to: 110 },
  visits: [{ from: 0, to: 112, tasks: ROWS.map(({ id }) => id) }],
  later: [],
  deadline: undefined,
  handsOn: 0,
  unattended: 0,
  problem: undefined,
  refused: [],
  words: [],
})

const strip = () => stripOf(day(), day().visits[0]!)

describe('the day as it is drawn', () => {
  test('people first, then each machine, then what runs unattended', () => {
    expect(strip().lanes.map(({ name, kind, bars }) => [name, kind, bars.length])).toEqual([
      ['person 1', 'person', 4],
      ['person 2', 'person', 1],
      ['recovery machine', 'machine', 2],
      ['torch', 'machine', 1],
      ['unattended', 'machine', 1],
    ])
  })
  test('what runs alone follows the hands without a gap, and is told apart', () => {
    const [, alone] = strip().lanes[2]!.bars
    expect(alone).toMatchObject({ id: 'recover', from: 30, to: 60, isAlone: true })
    expect(strip().lanes[4]!.bars).toEqual([
      expect.objectContaining({ id: 'fireWatch', from: 112, to: 142, isAlone: true }),
    ])
  })
  test('who helps stands in another lane; who must come has a lane of his own', () => {
    const lift = row('swapCompressor', 110, 170, 170)
    const lanesOf = (own: DayRow) => {
      const rows = [...ROWS, own]
      const visits = [{ from: 0, to: 170, tasks: rows.map(({ id }) => id) }]
      return stripOf({ ...day(), rows, visits }, visits[0]!).lanes
    }
    const helped = lanesOf({ ...lift, helper: { person: 1, until: 125 } })
    expect(helped[1]!.bars.at(-1)).toMatchObject({ id: 'swapCompressor', from: 110, to: 125, isHelp: true })
    const alone = lanesOf({ ...lift, helpWanted: { from: 110, to: 125 } })
    expect(alone[2]).toMatchObject({ name: 'second person', kind: 'machine' })
    expect(alone[2]!.bars).toMatchObject([{ from: 110, to: 125 }])
  })
  test('numbers run in the order in which tasks begin', () => {
    expect([...numbersOf(ROWS)].map(([id, number]) => `${number} ${id}`)).toEqual([
      '1 setUp',
      '2 recover',
      '3 gainAccess',
      '4 swapValve',
      '5 fireWatch',
    ])
  })
  test('the clock is marked at whole steps of the wall, the strip ends on quarters', () => {
    const { from, to, ticks, title } = strip()
    expect(title).toBe('Fri 27 Nov')
    expect([timeAt(day(), from), timeAt(day(), to)]).toEqual(['08:00', '10:30'])
    expect(ticks.map((minute) => timeAt(day(), minute))).toEqual([
      '08:00',
      '08:30',
      '09:00',
      '09:30',
      '10:00',
      '10:30',
    ])
  })
  test('weather, breaks and the open circuit are cut to the strip; what lies outside is left out', () => {
    const { open, rain, breaks, nights } = strip()
    expect(open).toEqual({ from: 60, to: 110 })
    expect(rain).toEqual([{ from: 120, to: 143 }])
    expect(breaks).toEqual([{ from: 100, to: 130 }])
    expect(nights).toEqual([])
  })
  test('moments with their day, or without one where none is set', () => {
    expect(momentAt(day(), 60)).toBe('Fri 27 Nov, 09:07')
    expect(momentAt(day(false), 60)).toBe('09:07')
    // minute 960 is past the first midnight
    expect(momentAt(day(false), 960)).toBe('day 2, 00:07')
    expect(momentAt(day(false), 1500)).toBe('day 2, 09:07')
    expect(dayText('2026-01-04T00:00')).toBe('Sun 4 Jan')
  })
})
