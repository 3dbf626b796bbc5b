import { act, renderHook } from '@testing-library/react'
import { MOST_REPEATS, type Reading, type Readings } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { repeated } from '@/core/record/edits/readingEdits'
import { tapViews } from '../../measure/tapViews'
import { ordered } from '../../measure/useTapOrder'
import { messageOf } from './padEntry'
import { useDraft, useReadingEntry } from './useReadingEntry'

const DISPLAY = { temperature: 'F', pressure: 'psig' } as const

function setup(readings: Readings = {}) {
  const save = jest.fn()
  const hook = renderHook(
    (now: Readings) => {
      const pad = useReadingEntry(now, DISPLAY, save)
      const draft = useDraft(pad)
      return { ...pad, draft, message: messageOf(draft) }
    },
    { initialProps: readings },
  )
  return { save, hook, entry: () => hook.result.current, come: (now: Readings) => hook.rerender(now) }
}

beforeEach(() => {
  jest.useFakeTimers()
})
afterEach(() => {
  jest.useRealTimers()
})

test('a tap opens with its stored value and unit, or empty in the browser units', () => {
  const { entry } = setup({ liquidPressure: { value: 24, unit: 'barg' } })
  act(() => entry().open('liquidPressure'))
  expect(entry().draft).toMatchObject({ text: '24', unit: 'barg' })
  act(() => entry().open('suctionLineTemp'))
  expect(entry().draft).toMatchObject({ text: '', unit: 'F' })
})

test('opening another tap saves the one before; looking alone saves nothing', () => {
  const { entry, save } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().open('liquidPressure'))
  expect(save).not.toHaveBeenCalled()
  act(() => entry().type('350'))
  act(() => entry().open('suctionLineTemp'))
  expect(save).toHaveBeenCalledWith('liquidPressure', { value: 350, unit: 'psig' }, undefined)
})

test('a pause saves; so does leaving the stage, at once', () => {
  const { entry, save, hook } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('118'))
  expect(save).not.toHaveBeenCalled()
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 118, unit: 'psig' }, undefined)
  act(() => entry().type('119'))
  hook.unmount()
  expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 119, unit: 'psig' }, undefined)
})

test('going to another program saves before the browser may stop the page', () => {
  const { entry, save } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('70'))
  act(() => void globalThis.dispatchEvent(new Event('pagehide')))
  expect(save).toHaveBeenCalledWith('suctionPressure', { value: 70, unit: 'psig' }, undefined)
})

describe('what is unlikely', () => {
  const UNLIKELY = { value: 900, unit: 'psig' }
  const typed = () => {
    const pad = setup()
    act(() => pad.entry().open('suctionPressure'))
    act(() => pad.entry().type('900'))
    return pad
  }
  test('is asked about once, and kept with the second Next', () => {
    const { entry, save } = typed()
    expect(entry().message).toBeUndefined()
    act(() => entry().open('liquidPressure'))
    expect(entry().draft?.key).toBe('suctionPressure')
    expect(entry().message).toMatch(/900 psig is unlikely.*Next once more keeps it/)
    expect(save).not.toHaveBeenCalled()
    act(() => entry().open('liquidPressure'))
    expect(save).toHaveBeenCalledWith('suctionPressure', UNLIKELY, undefined)
    expect(entry().draft?.key).toBe('liquidPressure')
  })
  test('a pause asks and stores nothing; another number is asked about anew', () => {
    const { entry, save } = typed()
    act(() => void jest.advanceTimersByTime(2000))
    expect(entry().message).toMatch(/is unlikely/)
    expect(save).not.toHaveBeenCalled()
    act(() => entry().type('950'))
    expect(entry().message).toBeUndefined()
    act(() => entry().close())
    expect(entry().message).toMatch(/950 psig is unlikely/)
    act(() => entry().type('90'))
    act(() => entry().close())
    expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 90, unit: 'psig' }, undefined)
  })
  test('is not lost where the page goes away', () => {
    const { save, hook } = typed()
    hook.unmount()
    expect(save).toHaveBeenCalledWith('suctionPressure', UNLIKELY, undefined)
  })
})

test('a unit chip changes the unit of the same number', () => {
  const { entry, save } = setup({ suctionPressure: { value: 8, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().chooseUnit('barg'))
  act(() => entry().close())
  expect(save).toHaveBeenCalledWith('suctionPressure', { value: 8, unit: 'barg' }, { value: 8, unit: 'psig' })
  expect(entry().draft).toBeUndefined()
})

test('emptied is taken out; impossible is told and not saved', () => {
  const { entry, save } = setup({ suctionPressure: { value: 118, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().type(''))
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenLastCalledWith('suctionPressure', undefined, { value: 118, unit: 'psig' })
  act(() => entry().type('-99'))
  expect(entry().message).toMatch(/perfect vacuum/)
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenCalledTimes(1)
})

test('a unit typed behind the number is stored, and becomes the unit of the pad', () => {
  const { entry, save } = setup()
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('250kPa'))
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenLastCalledWith('suctionPressure', { value: 250, unit: 'kPag' }, undefined)
  expect(entry().draft).toMatchObject({ text: '250', unit: 'kPag' })
})

test('what was saved is not saved again when the pad closes: a mark, a note, an undo in between stay', () => {
  const { entry, save, come } = setup({ suctionPressure: { value: 118, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('120'))
  act(() => void jest.advanceTimersByTime(700))
  expect(save).toHaveBeenCalledTimes(1)
  come({ suctionPressure: { value: 120, unit: 'psig' } })
  come({ suctionPressure: { value: 120, unit: 'psig', doubtful: true } })
  act(() => entry().close())
  expect(save).toHaveBeenCalledTimes(1)
})

test('a value that another window, an instrument or an undo puts there is shown and not written over', () => {
  const { entry, save, come } = setup({ suctionPressure: { value: 118, unit: 'psig' } })
  act(() => entry().open('suctionPressure'))
  act(() => entry().type('120'))
  act(() => void jest.advanceTimersByTime(700))
  come({ suctionPressure: { value: 120, unit: 'psig' } })
  come({ suctionPressure: { value: 118, unit: 'psig' } })
  expect(entry().draft).toMatchObject({ text: '118', fresh: true })
  act(() => entry().close())
  expect(save).toHaveBeenCalledTimes(1)
})

test.each(['12O', '118 psgi', '-40', '1,750'])(
  '"%s" keeps the pad open until it is put right or left',
  (text) => {
    const { entry, save } = setup({ suctionPressure: { value: 118, unit: 'psig' } })
    act(() => entry().open('suctionPressure'))
    act(() => entry().type(text))
    act(() => entry().close())
    act(() => entry().open('liquidPressure'))
    expect(entry().draft).toMatchObject({ key: 'suctionPressure', text })
    expect(entry().message).toBeTruthy()
    act(() => entry().discard())
    expect(entry().draft).toBeUndefined()
    expect(save).not.toHaveBeenCalled()
  },
)

describe('repeated readings', () => {
  const first = { value: 118, unit: 'psig', at: '2026-05-04T09:00:00Z', note: 'port leaks' } as const
  test('keep what the tap read before, and its note', () => {
    const second = repeated({ value: 120, unit: 'psig', at: '2026-05-04T09:05:00Z' }, first)
    const third = repeated({ value: 121, unit: 'psig' }, second)
    expect(third).toMatchObject({ note: 'port leaks', value: 121 })
    expect(third.before?.map(({ value }) => value)).toEqual([118, 120])
  })
  test('the same value again keeps note and history without a repeat', () => {
    const second = repeated({ value: 120, unit: 'psig' }, first)
    expect(repeated({ value: 120, unit: 'psig' }, second)).toEqual(second)
  })
  test('the same value again is no repeat; more than twenty lose the oldest', () => {
    expect(repeated({ value: 118, unit: 'psig' }, first).before).toBeUndefined()
    let reading: Reading = { value: 0, unit: 'psig' }
    for (let value = 1; value <= 30; value += 1) reading = repeated({ value, unit: 'psig' }, reading)
    expect(reading.before).toHaveLength(MOST_REPEATS)
    expect(reading.before?.at(-1)?.value).toBe(29)
  })
})

test("one's own order holds; taps it does not name keep their place behind the one before them", () => {
  expect(ordered(['suctionPressure', 'liquidPressure', 'boxTemp'], ['boxTemp', 'suctionPressure'])).toEqual([
    'boxTemp',
    'suctionPressure',
    'liquidPressure',
  ])
  expect(ordered(['suctionPressure', 'boxTemp'], ['waterInTemp', 'boxTemp'])).toEqual([
    'suctionPressure',
    'boxTemp',
  ])
})

describe('what taps show', () => {
  const situation = {
    values: { suctionPressure: { value: 9e5, error: 6894.76 } },
    wanted: new Set<ReadingKey>(['boxTemp']),
    flagged: new Set<ReadingKey>(),
    now: Date.parse('2026-05-04T09:20:00Z'),
  }
  const set = {
    mode: 'cooling',
    readings: {
      suctionPressure: { value: 118, unit: 'psig', at: '2026-05-04T09:00:00Z', doubtful: true },
      liquidPressure: { value: 350, unit: 'psig', at: '2026-05-04T09:15:00Z' },
    },
  } as const
  test('value, error in its own unit, age, doubt and staleness', () => {
    const [suction, liquid, box] = tapViews(['suctionPressure', 'liquidPressure', 'boxTemp'], {
      ...situation,
      set,
      live: new Map(),
    })
    expect(suction).toMatchObject({
      value: '118',
      unit: 'psig',
      error: '±1',
      age: '20 min',
      doubtful: true,
      stale: true,
    })
    expect(liquid).toMatchObject({ age: '5 min', stale: false })
    expect(box).toMatchObject({ value: undefined, wanted: true })
  })
  test('a probe at the tap goes before what was stored', () => {
    const probe = {
      probe: 'g',
      name: 'Low gauge',
      value: 121,
      unit: 'psig',
      at: situation.now,
      state: 'settled',
      trend: 'steady',
    } as const
    const [suction] = tapViews(['suctionPressure'], {
      ...situation,
      set,
      live: new Map([['suctionPressure', probe]]),
    })
    expect(suction).toMatchObject({ value: '121', age: 'live', live: 'settled', stale: false })
  })
})
