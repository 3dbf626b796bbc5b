import type { LogHead } from '../../record/records/log'
import { countPulls, pullsOfLog } from './pulls'

const AIR = 101_325

/** A log of the micron gauge: minutes and microns, and breaks at minutes. */
const log = (looks: readonly (readonly [number, number])[], breaks: readonly number[] = []) => ({
  head: {
    channels: [{ key: 'systemVacuum', unit: 'micron' }],
    startedAt: '2026-11-27T08:00:00Z',
    purpose: 'evacuation',
    marks: breaks.map((minute) => ({ seconds: minute * 60, what: 'sweep' })),
  } as Pick<LogHead, 'channels' | 'startedAt' | 'purpose' | 'marks'> as LogHead,
  samples: {
    time: Float64Array.from(looks.map(([minute]) => minute * 60)),
    values: [Float64Array.from(looks.map(([, microns]) => microns))],
  },
})
const counted = (...logs: readonly ReturnType<typeof log>[]) =>
  countPulls(logs.map((each) => pullsOfLog(each, AIR)))

describe('pulls and breaks (handbook 08: to 1,500 to 2,000, break with nitrogen, repeat)', () => {
  test('three pulls with two breaks between them', () => {
    const looks = [
      [0, 20_000],
      [20, 1800],
      [40, 1700],
      [60, 400],
    ] as const
    expect(counted(log(looks, [25, 45]))).toEqual({ pulls: 3, breaks: 2 })
  })
  test('one long pull is one, however often it is looked at', () => {
    expect(
      counted(
        log([
          [0, 20_000],
          [20, 1900],
          [30, 900],
          [60, 300],
        ]),
      ),
    ).toEqual({ pulls: 1, breaks: 0 })
  })
  test.each([
    [1999, 1],
    [2000, 1],
    [2001, 0],
  ])('a look at %s microns makes %s pull', (microns, pulls) => {
    expect(counted(log([[10, microns]]))).toEqual({ pulls, breaks: 0 })
  })
  test('a break before anything was pulled is none, two breaks in a row are one', () => {
    expect(
      counted(
        log(
          [
            [20, 1500],
            [50, 300],
          ],
          [5, 25, 30],
        ),
      ),
    ).toEqual({ pulls: 2, breaks: 1 })
  })
  test('over several logs: without a break the next log goes on with the pull; a break at its end counts', () => {
    expect(counted(log([[20, 1500]]), log([[20, 1200]]))).toEqual({ pulls: 1, breaks: 0 })
    expect(counted(log([[20, 1500]], [25]), log([[20, 1200]], [22]), log([[30, 300]]))).toEqual({
      pulls: 3,
      breaks: 2,
    })
    expect(counted()).toEqual({ pulls: 0, breaks: 0 })
  })
})
