import type { UnitPlate } from '../record/equipment/unit'
import { meanCondensing } from '../physics/refrigerants/meanTemperature'
import { saturationTemperature } from '../physics/refrigerants/saturation'
import { differenceFromKelvin, toKelvin } from '../base/units/convert'
import type { SimulatedFault } from './circuitFaults'
import { simulateSteady, simulatorOf, type Simulator } from './steady'
import { trueReadings } from './trueReadings'

const f = (value: number) => toKelvin({ value, unit: 'F' })

const UNITS = {
  valve: { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' },
  oldValve: { kind: 'package-ac', refrigerant: 'R-22', metering: 'txv' },
  orifice: { kind: 'split-ac', refrigerant: 'R-22', metering: 'fixed-orifice' },
  capillary: { kind: 'reach-in', refrigerant: 'R-134a', metering: 'capillary' },
  water: { kind: 'water-source-heat-pump', refrigerant: 'R-410A', metering: 'txv' },
  receiver: {
    kind: 'walk-in-cooler',
    refrigerant: 'R-404A',
    metering: 'txv',
    receiver: true,
    headPressureControl: true,
  },
} as const satisfies Record<string, UnitPlate>
type UnitName = keyof typeof UNITS

const COLUMNS = ['Ps', 'Pd', 'SH', 'SC', 'DT', 'A', 'Td'] as const
type Column = (typeof COLUMNS)[number]
type Features = Record<Column, number>

const simulators = new Map<UnitName, Simulator>()

/** The columns of handbook 04 from true readings: F, and tenths of an ampere. */
function features(name: UnitName, outdoor: number, fault?: SimulatedFault, severity = 0): Features {
  const unit: UnitPlate = UNITS[name]
  const simulator = simulators.get(name) ?? simulatorOf(unit)
  simulators.set(name, simulator)
  const conditions = { outdoorAirTemp: f(outdoor) }
  const faults = fault ? [{ fault, severity }] : []
  const truth = trueReadings(simulateSteady(simulator, { unit, mode: 'cooling', conditions, faults }))
  const dew = (pascals: number) => saturationTemperature(unit.refrigerant, 'dew', pascals)
  const value = (key: keyof typeof truth) => truth[key] as number
  const degrees = (kelvin: number) => differenceFromKelvin(kelvin, 'F')
  return {
    Ps: degrees(dew(value('suctionPressure'))),
    Pd: degrees(meanCondensing(unit.refrigerant, value('liquidPressure'))),
    SH: degrees(value('suctionLineTemp') - dew(value('suctionPressure'))),
    SC: degrees(
      saturationTemperature(unit.refrigerant, 'bubble', value('liquidPressure')) - value('liquidLineTemp'),
    ),
    DT: degrees(value('returnAirTemp') - value('supplyAirTemp')),
    A: 10 * value('compressorAmps'),
    Td: degrees(value('dischargeLineTemp')),
  }
}

/** Least change that counts as a sign, and most that counts as none: F, and tenths of an ampere for A. */
const PLAIN = 0.4
const NONE: Features = { Ps: 1, Pd: 1.5, SH: 2.5, SC: 2.5, DT: 1.2, A: 4, Td: 4 }

/** Whether a change agrees with a cell of the table; a slash allows either. */
function agrees(cell: string, column: Column, change: number): boolean {
  if (cell === '*') return true
  return cell.split('/').some((sign) => {
    if (sign === '0') return Math.abs(change) <= NONE[column]
    return sign.startsWith('+') ? change > PLAIN : change < -PLAIN
  })
}

type Row = {
  readonly fault: SimulatedFault
  readonly units: readonly UnitName[]
  readonly severity: number
  /** the cells of handbook 04 */
  readonly cells: string
  /** cells where the circuit disagrees, with what it shows instead; docs/simulator.md says why */
  readonly differs?: Partial<Record<Column, string>>
  readonly outdoors?: readonly number[]
}

const ROWS: readonly Row[] = [
  { fault: 'undercharge', units: ['valve', 'oldValve'], severity: 1, cells: '- - + -- - - +' },
  { fault: 'undercharge', units: ['orifice', 'capillary'], severity: 0.5, cells: '-- - ++ - - - +' },
  {
    fault: 'overcharge',
    units: ['valve', 'oldValve'],
    severity: 0.7,
    cells: '0 + 0 ++ 0 + +',
  },
  {
    fault: 'overcharge',
    units: ['orifice'],
    severity: 0.7,
    cells: '+ + -- + - + -',
    differs: { Ps: '0/+', DT: '0', A: '0/+' },
  },
  {
    fault: 'non-condensables',
    units: ['valve', 'oldValve'],
    severity: 0.5,
    cells: '0/+ ++ 0 + - + +',
    differs: { DT: '0' },
  },
  { fault: 'liquid-line-restriction', units: ['valve', 'orifice'], severity: 0.6, cells: '-- - ++ + -- - +' },
  { fault: 'plugged-liquid-dryer', units: ['valve', 'orifice'], severity: 0.6, cells: '-- - ++ + -- - +' },
  { fault: 'txv-underfeeding', units: ['valve', 'oldValve'], severity: 0.45, cells: '-- 0/- ++ + -- - +' },
  { fault: 'txv-lost-bulb-charge', units: ['valve', 'oldValve'], severity: 0.4, cells: '-- 0/- ++ + -- - +' },
  {
    fault: 'txv-inlet-screen-plugged',
    units: ['valve', 'oldValve'],
    severity: 0.55,
    cells: '-- 0/- ++ + -- - +',
  },
  {
    fault: 'txv-set-too-closed',
    units: ['valve', 'oldValve'],
    severity: 0.6,
    cells: '- 0 + 0/+ - 0 0',
    differs: { Td: '+' },
  },
  {
    fault: 'moisture-freeze-at-valve',
    units: ['valve', 'oldValve'],
    severity: 0.4,
    cells: '-- - ++ + -- - +',
  },
  {
    fault: 'txv-overfeeding',
    units: ['valve', 'oldValve'],
    severity: 0.4,
    cells: '+ 0/+ -- 0/- 0/- + -',
    differs: { Pd: '0', A: '0/-', SC: '-', DT: '0' },
  },
  {
    fault: 'txv-bulb-loose',
    units: ['valve', 'oldValve'],
    severity: 0.8,
    cells: '+ 0 - 0 0 0 -',
    differs: { Ps: '0/+' },
  },
  { fault: 'fixed-orifice-plugged', units: ['orifice'], severity: 0.4, cells: '-- - ++ + -- - +' },
  {
    fault: 'fixed-orifice-oversized',
    units: ['orifice'],
    severity: 0.8,
    cells: '+ - -- - - 0 -',
    differs: { Pd: '0', DT: '0/-', A: '0/-' },
  },
  { fault: 'capillary-plugged', units: ['capillary'], severity: 0.4, cells: '-- 0/- ++ + -- - +' },
  {
    fault: 'low-evaporator-airflow',
    units: ['valve'],
    severity: 0.6,
    cells: '- - 0 0 + - -',
    differs: { Td: '0/+' },
  },
  { fault: 'low-evaporator-airflow', units: ['orifice'], severity: 0.6, cells: '- - - 0 + - -' },
  { fault: 'high-load', units: ['orifice'], severity: 0.6, cells: '+ + + 0 * + 0', differs: { Td: '+' } },
  {
    fault: 'high-load',
    units: ['valve', 'receiver'],
    severity: 0.6,
    cells: '+ + + 0 * + 0',
    differs: { SH: '0/-' },
  },
  {
    fault: 'condenser-fouled',
    units: ['valve', 'orifice'],
    severity: 0.6,
    cells: '+ ++ 0/- 0/- - ++ +',
    differs: { DT: '0/-' },
  },
  {
    fault: 'condenser-water-low-flow',
    units: ['water'],
    severity: 0.6,
    cells: '+ + 0 0/- - + +',
    differs: { DT: '0/-' },
  },
  {
    fault: 'compressor-not-pumping',
    units: ['valve'],
    severity: 0.5,
    cells: '++ -- + 0/- -- -- *',
    differs: { SH: '0/+' },
  },
  {
    fault: 'compressor-not-pumping',
    units: ['orifice'],
    severity: 0.5,
    cells: '++ -- + 0/- -- -- *',
    differs: { SH: '-' },
  },
  {
    fault: 'internal-relief-open',
    units: ['valve'],
    severity: 0.3,
    cells: '++ -- + * -- * +',
    differs: { SH: '0/+' },
  },
  { fault: 'reversing-valve-leaking-through', units: ['valve'], severity: 0.6, cells: '+ - + 0/- -- - +' },
  { fault: 'reversing-valve-stuck-mid', units: ['valve'], severity: 0.5, cells: '++ -- + - -- - +' },
  { fault: 'suction-line-restriction', units: ['valve', 'oldValve'], severity: 0.5, cells: '-- - + 0 - - +' },
  {
    fault: 'head-pressure-control-stuck',
    units: ['receiver'],
    severity: 0.9,
    cells: '- -- + * - - 0',
    differs: { DT: '0', Td: '-' },
    outdoors: [30, 45],
  },
]

const cases = ROWS.flatMap((row) =>
  row.units.flatMap((unit) =>
    (row.outdoors ?? [82, 98]).map((outdoor) => [row.fault, unit, outdoor, row] as const),
  ),
)

test.each(cases)('%s on %s at %i F moves every column as its row says', (fault, unit, outdoor, row) => {
  const sound = features(unit, outdoor)
  const faulty = features(unit, outdoor, fault, row.severity)
  row.cells.split(' ').forEach((cell, i) => {
    const column = COLUMNS[i] as Column
    const change = faulty[column] - sound[column]
    const wanted = row.differs?.[column] ?? cell
    if (!agrees(wanted, column, change)) {
      throw new Error(
        `${column} should be "${wanted}" (handbook "${cell}"), but moved by ${change.toFixed(2)}`,
      )
    }
  })
})

test('every differing cell is really a difference', () => {
  for (const { cells, differs } of ROWS) {
    for (const [column, cell] of Object.entries(differs ?? {})) {
      const index = COLUMNS.indexOf(column as Column)
      expect(index).toBeGreaterThanOrEqual(0)
      if (cells.split(' ')[index] === cell) throw new Error(`${column} does not differ`)
    }
  }
})

test.each([
  ['reversing-valve-leaking-through', 0.6, 'rvSuctionOutTemp', 'rvSuctionInTemp', 3],
  ['plugged-liquid-dryer', 0.6, 'dryerInTemp', 'dryerOutTemp', 3],
] as const)('the tell of %s: more than 3 F', (fault, severity, from, to, least) => {
  const unit = UNITS.valve
  const simulator = simulatorOf(unit)
  const question = { unit, mode: 'cooling', faults: [{ fault, severity }] } as const
  const truth = trueReadings(simulateSteady(simulator, question))
  expect(differenceFromKelvin(truth[from]! - truth[to]!, 'F')).toBeGreaterThan(least)
})
