import { toKelvin } from '../../base/units/convert'
import type { LogHead } from '../../record/records/log'
import { tellPullDown } from './judgePullDown'

const log = (looks: readonly (readonly [minute: number, f: number])[]) => ({
  head: {
    channels: [{ key: 'spaceNow', unit: 'F' }],
    startedAt: '2026-11-27T08:00:00Z',
    purpose: 'pull-down',
    marks: [],
  } as unknown as LogHead,
  samples: {
    time: Float64Array.from(looks.map(([minute]) => minute * 60)),
    values: [Float64Array.from(looks.map(([, f]) => f))],
  },
})
const told = (looks: readonly (readonly [number, number])[], setting?: number) =>
  tellPullDown(log(looks), {
    atmosphere: 101_325,
    setting: setting === undefined ? undefined : toKelvin({ value: setting, unit: 'F' }),
  })

describe('a pull-down is timed and judged (handbook 09)', () => {
  test.each([
    [35.1, 'waiting'],
    [35, 'passed'],
    [34.9, 'passed'],
  ])('a cooler set to 35 F that shows %s F: %s', (last, limit) => {
    expect(
      told(
        [
          [0, 62],
          [50, last],
        ],
        35,
      ).limit,
    ).toBe(limit)
  })
  test('one that begins at its setting and warms is on no way down: the setting is a limit from above', () => {
    const warms = [
      [0, 35],
      [40, 40],
    ] as const
    expect(told(warms, 35).limit).not.toBe('passed')
    const heats = [
      [0, 34.9],
      [40, 40],
    ] as const
    expect(told(heats, 35).limit).toBe('passed')
  })
  test('says how far and how long; its rate and what is left at that rate', () => {
    const { sentence, figures, levels } = told(
      [
        [0, 60],
        [30, 50],
        [60, 40],
      ],
      30,
    )
    expect(sentence).toBe('60.0 F to 40.0 F in 1 h, on its way.')
    // 20 F an hour, 10 F left
    expect(figures).toContainEqual({
      label: 'Rate',
      value: '20.0 F an hour',
      note: 'at this rate 30 min more',
    })
    expect(levels).toEqual([{ label: 'set to 30.0 F', value: expect.closeTo(30, 6) }])
  })
  test.each([
    [0.2, 'failed'],
    [0.53, 'failed'],
    [0.55, 'waiting'],
  ])('moving %s F in the last half hour, short of its setting: %s', (moved, limit) => {
    const looks = [
      [0, 60],
      [60, 20],
      [75, 20 - moved / 2],
      [90, 20 - moved],
    ] as const
    expect(told(looks, 0).limit).toBe(limit)
  })
  test('less than half an hour stands for nothing', () => {
    expect(
      told(
        [
          [0, 20],
          [20, 20],
        ],
        0,
      ).limit,
    ).toBe('waiting')
  })
  test('a space that is heated goes the other way', () => {
    expect(
      told(
        [
          [0, 55],
          [40, 70],
        ],
        70,
      ).limit,
    ).toBe('passed')
  })
  test('without a setting nothing is judged, without a look neither', () => {
    expect(
      told([
        [0, 60],
        [40, 40],
      ]),
    ).toMatchObject({ limit: 'waiting', missing: ['the setting that it is to reach'] })
    expect(told([], 35)).toMatchObject({ limit: 'waiting', missing: ['a look at the space'] })
  })
})
