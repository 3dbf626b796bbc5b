import { readdirSync, readFileSync } from 'node:fs'
import { METRIC_UNITS, systemName, US_UNITS } from './system'
import { saidIn, textIn } from './textIn'

// Conversions by the definitions of the units; temperatures by (F - 32) / 1.8, differences by / 1.8.
test.each([
  ['Cylinder to 125 F at most, never with a flame.', 'Cylinder to 52 C at most, never with a flame.'],
  ['its vapour is 3,000 at 23 F', 'its vapour is 3,000 at -5 C'],
  ['a clear glass at 90 to 95 F of condensing or more', 'a clear glass at 32 to 35 C of condensing or more'],
  ['box at -5 F.', 'box at -21 C.'],
  ['two reducers 3/8 in to 1 1/8 in', 'two reducers 3/8 in to 1 1/8 in'],
  ['block 41 in³; line 3/8 in, 10 ft', 'block 41 in³; line 3/8 in, 3.0 m'],
  // differences
  ['with over 15 F of subcooling no pressure drop', 'with over 8.3 C of subcooling no pressure drop'],
  ['20-30 F over outdoor air', '11-17 C over outdoor air'],
  ['8-12 F at the bulb, up to 20 F at the compressor', '4.4-6.7 C at the bulb, up to 11 C at the compressor'],
  ['under 2 F is good, over 3 F replace', 'under 1.1 C is good, over 1.7 C replace'],
  [
    'more than about 3 F across the reversing valve is a leak',
    'more than about 1.7 C across the reversing valve is a leak',
  ],
  ['8-12 F at 3 gpm a ton', '4.4-6.7 C at 3.2 L/min a kW'],
  ['(condensing at least 5 F apart)', '(condensing at least 2.8 C apart)'],
  [
    'The formula asks for 4 F: below 5 F or above 40 F do not charge by it',
    'The formula asks for 2.2 C: below 2.8 C or above 22 C do not charge by it',
  ],
  [
    'By subcooling to the plate, 10 F where it is silent',
    'By subcooling to the plate, 5.6 C where it is silent',
  ],
  ['dryer drop over 3 F', 'dryer drop over 1.7 C'],
  [
    '2.4 F across the liquid dryer; up to 3 F is no drop.',
    '1.3 C across the liquid dryer; up to 1.7 C is no drop.',
  ],
  ['35 F below return air at about 400 cfm a ton', '19 C below return air at about 193 m³/h a kW'],
  ['15-20 F below outdoor air', '8.3-11 C below outdoor air'],
  ['20-35 F supply rise at mild outdoor air', '11-19 C supply rise at mild outdoor air'],
  // temperatures beside the same words
  ['Discharge line 240 F, above 225 F.', 'Discharge line 116 C, above 107 C.'],
  [
    'Heat, as on a roof or in an attic over about 95 F: water',
    'Heat, as on a roof or in an attic over about 35 C: water',
  ],
  // pressures
  ['5, 25, 50, 235 psig; limit 250 psig', '0.34, 1.7, 3.4, 16.2 barg; limit 17.2 barg'],
  ['run to just above 0 psig', 'run to just above 0 barg'],
  ['hold 0.5 psi', 'hold 34 mbar'],
  ['in steps of 5, 25 and 50 psi', 'in steps of 0.34, 1.7 and 3.4 bar'],
  ['4.3 inHg of vacuum', '0.15 bar of vacuum'],
  ['To 500 microns in 22 min', 'To 500 microns in 22 min'],
  // weights, volumes, lengths
  ['7 lb 15.2 oz in it', '3.61 kg in it'],
  ['7 lb 15.2 oz (3.61 kg)', '3.61 kg'],
  ['10.5 lb (4.78 kg) of R-22.', '4.78 kg of R-22.'],
  ['12.7 oz too much', '360 g too much'],
  ['fill 27.4 fl oz.', 'fill 810 mL.'],
  ['a cylinder of the 50 lb class', 'a cylinder of the 23 kg class'],
  ['25 ft of line beyond', '7.6 m of line beyond'],
  [
    'Insert 2-3 in into the evaporator stub and 1 in into the dryer',
    'Insert 51-76 mm into the evaporator stub and 25 mm into the dryer',
  ],
  ['80 ft³ or more', '2.3 m³ or more'],
  ['expansion valve: R-410A, 3 tons, charge type', 'expansion valve: R-410A, 11 kW, charge type'],
  // names of the trade stay
  ['on lines of 7/8 in and more', 'on lines of 7/8 in and more'],
  ['liquid dryer, block 8 in³, sieve core', 'liquid dryer, block 8 in³, sieve core'],
  ['3/8 in hose', '3/8 in hose'],
  ['two reducers 0.375 in to 0.625 in', 'two reducers 0.375 in to 0.625 in'],
  ['2 in parallel carry the tons', '2 in parallel carry the tons'],
  ['R-407F', 'R-407F'],
])('%s', (text, metric) => {
  expect(textIn(text, METRIC_UNITS)).toBe(metric)
  expect(textIn(text, US_UNITS)).toBe(text)
})

test('mixed by quantity: each is told in its own', () => {
  const mixed = { ...US_UNITS, temperature: 'C', pressure: 'kPag' } as const
  expect(textIn('118 psig, 40 F, 7 lb 15.2 oz', mixed)).toBe('814 kPag, 4 C, 7 lb 15.2 oz')
  expect([systemName(US_UNITS), systemName(METRIC_UNITS), systemName(mixed)]).toEqual([
    'us',
    'metric',
    'mixed',
  ])
})

/** Figures of US units that are no names of sizes. */
const LEFT = /(?<![/\d-])\d[\d,.]* ?(?:°?F\b|psig|psi\b|inHg|lb\b|fl oz|oz\b|cfm|gpm|tons?\b|ft\b|ft³)/

test('no plan of the eight clean-ups leaves a US figure behind, and nothing but what is said changes', () => {
  for (const name of readdirSync('examples/cleanup/plans')) {
    const plan = JSON.parse(readFileSync(`examples/cleanup/plans/${name}`, 'utf8')) as {
      size: unknown
      tasks: { id: string }[]
    }
    const said = saidIn(plan, METRIC_UNITS)
    const text = JSON.stringify(said.tasks)
    expect(LEFT.exec(text)?.[0]).toBeUndefined()
    expect(LEFT.test(JSON.stringify(plan.tasks))).toBe(true)
    expect(said.tasks.map(({ id }) => id)).toEqual(plan.tasks.map(({ id }) => id))
    expect(saidIn(plan, US_UNITS)).toBe(plan)
  }
})

test('what somebody typed is shown and corrected as it was typed', () => {
  const step = {
    label: 'Bleed off to 0 psig',
    record: { note: 'read 40 F' },
    gates: [{ state: 'under 0 psig', override: 'felt 40 F' }],
  }
  expect(saidIn(step, METRIC_UNITS)).toEqual({
    label: 'Bleed off to 0 barg',
    record: { note: 'read 40 F' },
    gates: [{ state: 'under 0 barg', override: 'felt 40 F' }],
  })
})
