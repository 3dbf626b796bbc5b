import { isOrderUnclear } from './logTime'
import {
  checkColumns,
  type ColumnUse,
  guessColumns,
  impossible,
  type LogTable,
  meansBetween,
  readLog,
} from './readLog'

const table: LogTable = {
  headings: [
    'Date Time',
    'Low side (psig)',
    'High side [kPa]',
    'Suction temp °F',
    'Liquid C',
    'Return air',
    'note',
  ],
  rows: [
    ['2026-05-04T09:00:00Z', '118.2', '2400', '52.1', '38.5', '24.1', 'start'],
    ['2026-05-04T09:01:00Z', '117.8', '2410', '51.9', '38.4', '24.0', ''],
    ['2026-05-04T09:02:00Z', '118.0', '--', '52.0', '38.3', '23.9', ''],
  ],
}

/** As a person leaves it after looking at the units. */
const confirmed = (columns: readonly ColumnUse[]): ColumnUse[] =>
  columns.map((column) =>
    column.use === 'reading' ? { use: 'reading', key: column.key, unit: column.unit } : column,
  )

test('columns are guessed from headings, units from headings or from what is likely', () => {
  expect(guessColumns(table)).toEqual([
    { use: 'time' },
    { use: 'reading', key: 'suctionPressure', unit: 'psig' },
    { use: 'reading', key: 'liquidPressure', unit: 'kPag' },
    { use: 'reading', key: 'suctionLineTemp', unit: 'F' },
    { use: 'reading', key: 'liquidLineTemp', unit: 'C' },
    { use: 'reading', key: 'returnAirTemp', unit: 'C', guessed: true },
    { use: 'ignore' },
  ])
})

test.each([
  ['Suction pressure', ['118', '119'], 'psig'],
  ['Suction pressure', ['8.1', '8.2'], 'barg'],
  ['Suction pressure', ['815', '820'], 'kPag'],
  ['Outdoor', ['95', '96'], 'F'],
  ['Outdoor', ['35', '36'], 'C'],
])('%s without a unit, %j: %s', (heading, cells, unit) => {
  const guessed = guessColumns({ headings: [heading], rows: cells.map((cell) => [cell]) })
  expect(guessed[0]).toMatchObject({ use: 'reading', unit, guessed: true })
  // a guess is never taken over without a person: suction 38 beside liquid 210 may be bar or psi
  const rows = cells.map((cell, i) => [String(i), cell])
  const columns: ColumnUse[] = [{ use: 'time' }, ...guessed]
  expect(() => readLog({ headings: ['Time', heading], rows }, columns)).toThrow(/is a guess from its values/)
})

test('series run in minutes from the first row; cells without a number are counted, not guessed', () => {
  const log = readLog(table, confirmed(guessColumns(table)))
  expect(log).toMatchObject({ minutes: 2, skipped: 1, beganAt: Date.parse('2026-05-04T09:00:00Z') })
  expect(log.series.find(({ key }) => key === 'liquidPressure')?.points).toEqual([
    { minute: 0, value: 2400 },
    { minute: 1, value: 2410 },
  ])
  expect(meansBetween(log, 0, 1).find(({ key }) => key === 'suctionPressure')?.value).toBeCloseTo(118, 9)
  expect(meansBetween(log, 1.5, 2).map(({ key }) => key)).not.toContain('liquidPressure')
})

test.each([
  ['0', '30', '90'],
  ['0:00:00', '0:00:30', '0:01:30'],
  ['9:00', '9:00:30', '9:01:30'],
])('clocks and seconds: %s %s %s is a minute and a half', (...times) => {
  const columns: ColumnUse[] = [{ use: 'time' }, { use: 'reading', key: 'boxTemp', unit: 'F' }]
  const log = readLog({ headings: ['t', 'box'], rows: times.map((time) => [time, '36']) }, columns)
  expect([log.minutes, log.beganAt]).toEqual([1.5, undefined])
})

test.each([
  ['no time', [{ use: 'ignore' }, { use: 'reading', key: 'boxTemp', unit: 'F' }], /which column is the time/],
  ['no reading', [{ use: 'time' }, { use: 'ignore' }], /which reading/],
])('%s is told', (_name, columns, message) => {
  expect(() => readLog({ headings: ['t', 'box'], rows: [['0', '36']] }, columns as ColumnUse[])).toThrow(
    message,
  )
})
test('two columns for one reading, and a file without any time, are told', () => {
  const box: ColumnUse = { use: 'reading', key: 'boxTemp', unit: 'F' }
  expect(() =>
    readLog({ headings: ['t', 'a', 'b'], rows: [['0', '1', '2']] }, [{ use: 'time' }, box, box]),
  ).toThrow(/Two columns are Box/)
  expect(() => readLog({ headings: ['t', 'a'], rows: [['soon', '1']] }, [{ use: 'time' }, box])).toThrow(
    /No row/,
  )
})

test('a remembered mapping is taken only where it fits', () => {
  const columns = confirmed(guessColumns(table))
  expect(checkColumns(JSON.parse(JSON.stringify(columns)), 7)).toEqual(columns)
  expect(checkColumns(columns, 6)).toBeUndefined()
  expect(checkColumns([{ use: 'reading', key: 'boxTemp', unit: 'psig' }], 1)).toBeUndefined()
  expect(checkColumns('nonsense', 1)).toBeUndefined()
})

describe('the whole log', () => {
  const columns: ColumnUse[] = [{ use: 'time' }, { use: 'reading', key: 'boxTemp', unit: 'F' }]
  const samplesOf = (rows: string[][]) => readLog({ headings: ['t', 'box'], rows }, columns).samples
  test('keeps every row that has a time, a silent cell as no number', () => {
    expect(
      samplesOf([
        ['0', '36'],
        ['soon', '1'],
        ['1', ''],
        ['1', '38'],
      ]),
    ).toEqual({
      time: Float64Array.of(0, 1, 1),
      values: [Float64Array.of(36, NaN, 38)],
    })
  })
  test('a clock that goes past midnight goes on', () => {
    expect(
      Array.from(
        samplesOf([
          ['23:59:30', '36'],
          ['0:00:30', '37'],
          ['0:01:30', '38'],
        ]).time,
      ),
    ).toEqual([0, 60, 120])
  })
  test('rows in disorder are put in order of time', () => {
    const { time, values } = samplesOf([
      ['10', '36'],
      ['5', '35'],
      ['20', '37'],
    ])
    expect([Array.from(time), Array.from(values[0]!)]).toEqual([
      [0, 5, 15],
      [35, 36, 37],
    ])
  })
})

describe('times as other programs write them', () => {
  const box: ColumnUse = { use: 'reading', key: 'boxTemp', unit: 'F' }
  const minutesOf = (headings: string[], rows: string[][], columns: ColumnUse[]) => {
    const { samples, minutes, beganAt } = readLog({ headings, rows }, columns)
    return { minutes, seconds: Array.from(samples.time), values: Array.from(samples.values[0]!), beganAt }
  }
  test('day and clock in columns of their own are one moment', () => {
    const headings = ['Date', 'Time', 'Box F']
    const rows = [
      ['2026-05-04', '23:59:00', '36'],
      ['2026-05-05', '00:01:00', '38'],
    ]
    const columns = guessColumns({ headings, rows })
    expect(columns.map(({ use }) => use)).toEqual(['date', 'time', 'reading'])
    expect(minutesOf(headings, rows, columns)).toMatchObject({
      minutes: 2,
      beganAt: new Date(2026, 4, 4, 23, 59).getTime(),
    })
  })
  test.each([
    ['Time (min)', ['0', '5', '10'], 10],
    ['Elapsed time, h', ['0', '0.5', '1'], 60],
    ['time ms', ['0', '30000', '60000'], 1],
    ['Elapsed s', ['0', '30', '60'], 1],
  ])('a count headed "%s"', (heading, times, minutes) => {
    const rows = times.map((time) => [time, '36'])
    expect(minutesOf([heading, 'box'], rows, [{ use: 'time' }, box]).minutes).toBe(minutes)
  })
  test('halves of a day, and the day behind a date', () => {
    const rows = [
      ['5/14/2026 11:59 AM', '36'],
      ['5/14/2026 12:01 PM', '37'],
    ]
    expect(minutesOf(['Date Time', 'box'], rows, [{ use: 'time' }, box])).toMatchObject({
      minutes: 2,
      beganAt: new Date(2026, 4, 14, 11, 59).getTime(),
    })
  })
  test('the day is told from the file where it can be: 14/5 has no fourteenth month, no row is dropped', () => {
    const rows = [
      ['11/5/2026 10:00', '36'],
      ['14/5/2026 10:00', '37'],
    ]
    expect(minutesOf(['Date Time', 'box'], rows, [{ use: 'time' }, box]).minutes).toBe(3 * 24 * 60)
    expect(isOrderUnclear(rows.map(([time]) => time))).toBe(false)
  })
  test('and asked for where it cannot', () => {
    const rows = [
      ['03/11/2026 10:00', '36'],
      ['04/11/2026 10:00', '37'],
    ]
    expect(isOrderUnclear(rows.map(([time]) => time))).toBe(true)
    const spanOf = (order?: 'day-first' | 'month-first') =>
      minutesOf(['Date Time', 'box'], rows, [{ use: 'time', ...(order ? { order } : {}) }, box]).beganAt
    expect(() => spanOf()).toThrow(/day or the month/)
    expect(spanOf('day-first')).toBe(new Date(2026, 10, 3, 10).getTime())
    expect(spanOf('month-first')).toBe(new Date(2026, 2, 11, 10).getTime())
    expect(isOrderUnclear(['3.11.2026', '4.11.2026'])).toBe(false)
  })
  test('dates that contradict each other are told', () => {
    const rows = [
      ['14/5/2026 10:00', '36'],
      ['5/15/2026 10:00', '37'],
    ]
    expect(() => minutesOf(['Time', 'box'], rows, [{ use: 'time' }, box])).toThrow(/no order fits/)
  })
  test('newest first, past midnight', () => {
    const rows = [
      ['0:01', '38'],
      ['0:00', '37'],
      ['23:59', '36'],
    ]
    expect(minutesOf(['Time', 'box'], rows, [{ use: 'time' }, box])).toMatchObject({
      seconds: [0, 60, 120],
      values: [36, 37, 38],
    })
  })
  test('a mapping keeps its day and its order', () => {
    const columns: ColumnUse[] = [{ use: 'date', order: 'day-first' }, { use: 'time' }, box]
    expect(checkColumns(JSON.parse(JSON.stringify(columns)), 3)).toEqual(columns)
    expect(checkColumns([{ use: 'time', order: 'sideways' }], 1)).toEqual([{ use: 'time' }])
  })
})

describe('commas in numbers', () => {
  const columns: ColumnUse[] = [{ use: 'time' }, { use: 'reading', key: 'liquidPressure', unit: 'kPag' }]
  const read = (...cells: string[]) =>
    Array.from(
      readLog({ headings: ['t', 'p'], rows: cells.map((cell, i) => [String(i), cell]) }, columns).samples
        .values[0]!,
    )
  test('what other cells tell holds for the column', () => {
    expect(read('2,410', '2,412.5')).toEqual([2410, 2412.5])
    expect(read('2,410', '999.5')).toEqual([2410, 999.5])
    expect(read('2,410', '2,41')).toEqual([2.41, 2.41])
    expect(read('38,4', '38,5')).toEqual([38.4, 38.5])
  })
  test('where nothing tells, the file is asked for anew, not misread', () => {
    expect(() => read('2,410', '2,412')).toThrow(
      /Liquid pressure: a comma may mark thousands or decimals in "2,410"/,
    )
  })
})

test('a mean that cannot be stored is told in words, one that can is not', () => {
  expect(impossible({ key: 'suctionPressure', value: 118, unit: 'psig' })).toBeUndefined()
  expect(impossible({ key: 'suctionPressure', value: -40, unit: 'psig' })).toMatch(
    /^Suction pressure -40 psig is left out: .*vacuum.* Look at its unit\.$/,
  )
})
