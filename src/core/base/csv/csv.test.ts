import { MOST_ROWS, readCsv, refuseLineBreaks, unescaped, writeCsv } from './csv'

const rows = (count: number) => 'a,b\n'.repeat(count)

test('cells with separators, quotes and lines come back as they were', () => {
  const cells = [
    ['name', 'note'],
    ['5/8 "flare"', 'a, b\r\nand c'],
    ['', '38.5'],
  ]
  expect(readCsv(writeCsv(cells))).toEqual(cells)
  expect(readCsv('\uFEFFa;b\n1;2\n\n;\n')).toEqual([
    ['a', 'b'],
    ['1', '2'],
  ])
})

test.each([
  ['one that does not end', ['a,b', '1,2', '3,"4', '5,6', '7,8'].join('\n'), /^row 3 begins a quote/],
  ['one in the middle of a quoted cell', ['a,b', '1,"2"3"', '4,5'].join('\n'), /^row 2 /],
])('a stray quotation mark is told with its row: %s', (_name, text, message) => {
  expect(() => readCsv(text)).toThrow(message)
})

test('rows are limited: just below, at, just above; with and without a last line end', () => {
  expect(readCsv(rows(2), 3)).toHaveLength(2)
  expect(readCsv(rows(3), 3)).toHaveLength(3)
  expect(readCsv(`${rows(2)}a,b`, 3)).toHaveLength(3)
  expect(() => readCsv(rows(4), 3)).toThrow(/^row 4 is one too many/)
  expect(() => readCsv(`${rows(3)}a,b`, 3)).toThrow(/^row 4 is one too many/)
  expect(() => readCsv('\n'.repeat(MOST_ROWS + 2))).toThrow(/^row 1,000,002 is one too many/)
})

test.each(['=1+1', '+1', '-1', '@SUM(A1)', '\tx', '\rx'])(
  'no spreadsheet runs %j, and it comes back as it was',
  (cell) => {
    const text = writeCsv([[cell]])
    expect(text.replace(/^"/, '').startsWith("'")).toBe(true)
    expect(unescaped(readCsv(`${writeCsv([['head'], [cell]])}`)[1]![0]!)).toBe(cell)
  },
)

test('numbers stay numbers, and quotes of a person too', () => {
  expect(writeCsv([[-5, 1e-7, 38.5]])).toBe('-5,1e-7,38.5\r\n')
  expect(unescaped("'tis")).toBe("'tis")
})

test('two stray quotes that swallow the rows between them are told in a table of values', () => {
  const [, ...rows] = readCsv('seconds,box\n0,40\n10,"39\n20,38\n30,37"\n40,36\n')
  expect(rows).toHaveLength(3)
  expect(() => refuseLineBreaks(rows, 2)).toThrow(/^row 3 holds a cell of several lines/)
  expect(() => refuseLineBreaks(readCsv('a,b\n0,"40"\n'), 1)).not.toThrow()
})
