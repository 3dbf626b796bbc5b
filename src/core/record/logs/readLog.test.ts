import { checkColumns, type ColumnUse, guessColumns, type LogTable, meansBetween, readLog } from './readLog'

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

test('columns are guessed from headings, units from headings or from what is likely', () => {
  expect(guessColumns(table)).toEqual([
    { use: 'time' },
    { use: 'reading', key: 'suctionPressure', unit: 'psig' },
    { use: 'reading', key: 'liquidPressure', unit: 'kPag' },
    { use: 'reading', key: 'suctionLineTemp', unit: 'F' },
    { use: 'reading', key: 'liquidLineTemp', unit: 'C' },
    { use: 'reading', key: 'returnAirTemp', unit: 'C' },
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
  expect(guessed[0]).toMatchObject({ use: 'reading', unit })
})

test('series run in minutes from the first row; cells without a number are counted, not guessed', () => {
  const log = readLog(table, guessColumns(table))
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
  const columns = guessColumns(table)
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
