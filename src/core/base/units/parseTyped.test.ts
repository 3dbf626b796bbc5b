import { parseTyped } from './parseTyped'

test.each([
  ['118', 'pressure', 'psig', 118, 'psig'],
  ['12 inHg', 'pressure', 'psig', 12, 'inHgVac'],
  ['250kPa', 'pressure', 'psig', 250, 'kPag'],
  ['250 kPa abs', 'pressure', 'psig', 250, 'kPa'],
  ['8,2 bar', 'pressure', 'psig', 8.2, 'barg'],
  ['14.7 psia', 'pressure', 'psig', 14.7, 'psia'],
  ['-12.5', 'temperature', 'F', -12.5, 'F'],
  ['4c', 'temperature', 'F', 4, 'C'],
  ['6 lb 4 oz', 'mass', 'kg', 6.25, 'lb'],
  ['6lb4', 'mass', 'kg', 6.25, 'lb'],
  ['900 g', 'mass', 'lb', 900, 'g'],
  ['1.5 Mohm', 'resistance', 'ohm', 1.5, 'Mohm'],
  ['45 mfd', 'capacitance', 'uF', 45, 'uF'],
  ['.5', 'current', 'A', 0.5, 'A'],
  ['55 %', 'humidity', '%', 55, '%'],
  ['1,750.5', 'length', 'ft', 1750.5, 'ft'],
  ['3/8', 'length', 'ft', 0.375, 'in'],
  ['1-1/8"', 'length', 'mm', 1.125, 'in'],
  ['1 1/8 in', 'length', 'mm', 1.125, 'in'],
  ['1.750,5 m', 'length', 'ft', 1750.5, 'm'],
  ['1,750,000 ohm', 'resistance', 'ohm', 1_750_000, 'ohm'],
  ['0,750', 'mass', 'kg', 0.75, 'kg'],
  ['12,25', 'mass', 'kg', 12.25, 'kg'],
  ['-0', 'temperature', 'F', 0, 'F'],
] as const)('%s as %s is %f', (text, kind, unit, value, inUnit) => {
  expect(parseTyped(text, kind, unit)).toMatchObject({ value, unit: inUnit })
})

test.each([
  ['1.2.3', 'pressure', /no unit|no number/],
  ['twelve', 'pressure', /no number/],
  ['12 furlongs', 'length', /no unit here: use in, mm/],
  ['30 C', 'pressure', /no unit here/],
  ['', 'mass', /no number/],
  ['3/0', 'length', /no unit|no number/],
  ['3/8', 'mass', /no unit|no number/],
  ['1,750', 'length', /may be 1750 or 1.75: type it without the comma/],
  ['1,250 g', 'mass', /may be 1250 or 1.25/],
  ['-2,410', 'pressure', /may be -2410 or -2.41/],
  ['1,75,000', 'length', /no number/],
] as const)('"%s" as %s is told', (text, kind, message) => {
  expect(() => parseTyped(text, kind, 'psig')).toThrow(message)
})
