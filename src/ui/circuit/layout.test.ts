import { tapsOf } from '@/core/record/equipment/taps'
import { METERINGS, UNIT_KINDS, type UnitPlate } from '@/core/record/equipment/unit'
import { MODES } from '@/core/record/readings/schema'
import { READING_KEYS } from '@/core/record/readings/vocabulary'
import { overlaps, type Rect } from './geometry'
import { CHIP_HEIGHT, COMPRESSOR_RADIUS, VALVE_HALF } from './frame'
import { layoutCircuit } from './layout'
import type { CircuitLayout } from './layoutTypes'
import { loopOf } from './loop'
import { PLACE_SIZE, spreadPlaces } from './PlaceButtons'
import { SEVERAL_PLACES } from '@/core/record/readings/observations'
import { SEEN_AT } from './seenPlaces'
import { tapHome } from './tapHomes'

/** Room of the drawing at 1280x800 and at 390x844. */
const ROOMS = [
  ['1280x800', { width: 532, height: 610 }],
  ['390x844', { width: 374, height: 560 }],
] as const

const EXTRAS: readonly Partial<UnitPlate>[] = [
  {},
  { receiver: true, headPressureControl: true, accumulator: true },
  { heatRejection: 'water' },
]

const UNITS = UNIT_KINDS.flatMap((kind) =>
  METERINGS.flatMap((metering) =>
    EXTRAS.map((extra): UnitPlate => ({ kind, metering, refrigerant: 'R-410A', ...extra })),
  ),
)

const around = ({ x, y }: { x: number; y: number }, half: number): Rect => ({
  x: x - half,
  y: y - half,
  width: 2 * half,
  height: 2 * half,
})

/** All that a chip must not cover. */
const machines = (layout: CircuitLayout): Rect[] => [
  layout.condenser,
  layout.evaporator,
  around(layout.compressor, COMPRESSOR_RADIUS),
  ...(layout.reversingValve ? [around(layout.reversingValve, VALVE_HALF)] : []),
  ...layout.parts.map(({ at }) => around(at, 10)),
]

/** The metering device with its header or motor reaches to the right of the pipe. */
const meteringReach = (layout: CircuitLayout): Rect => {
  const { at } = layout.parts.find(({ part }) => part === 'metering')!
  return { x: at.x - 12, y: at.y - 10, width: 74, height: 20 }
}

const name = (unit: UnitPlate) => `${unit.kind} ${unit.metering} ${Object.keys(unit).slice(3).join(' ')}`

/** Everything that is wrong with a drawing, in words. */
function faultsOf(layout: CircuitLayout): string[] {
  const fixed = machines(layout)
  const boxes = layout.chips.map(({ box }) => box)
  const names = layout.chips.map(({ key }) => key)
  const outside = layout.chips.filter(
    ({ box }) =>
      box.height < 48 ||
      box.x < 0 ||
      box.y < 0 ||
      box.x + box.width > layout.width ||
      box.y + box.height > layout.height,
  )
  const reach = meteringReach(layout)
  return [
    ...layout.chips
      .filter(({ box }) => overlaps(box, reach))
      .map(({ key }) => `${key} on the metering device`),
    ...outside.map(({ key }) => `${key} outside or small`),
    ...boxes.flatMap((box, i) =>
      boxes.flatMap((other, k) => (k > i && overlaps(box, other) ? [`${names[i]} on ${names[k]}`] : [])),
    ),
    ...boxes.flatMap((box, i) =>
      fixed.flatMap((rect, k) => (overlaps(box, rect) ? [`${names[i]} on machine ${k}`] : [])),
    ),
    ...fixed.flatMap((rect, i) =>
      fixed.flatMap((other, k) => (k > i && overlaps(rect, other) ? [`machine ${i} on ${k}`] : [])),
    ),
  ]
}

describe.each(ROOMS)('%s', (_room, size) => {
  test.each(UNIT_KINDS)('%s: no chip on another or on a machine, none lost, in any mode', (kind) => {
    for (const unit of UNITS.filter((each) => each.kind === kind))
      for (const mode of MODES)
        for (const keys of [tapsOf(unit), READING_KEYS]) {
          const loop = loopOf(unit, mode)
          const layout = layoutCircuit(loop, keys, size)
          const shown = layout.chips.map(({ key }) => key).sort()
          expect([name(unit), mode, faultsOf(layout)]).toEqual([name(unit), mode, []])
          expect(shown).toEqual(keys.filter((key) => tapHome(key, loop)).sort())
        }
  })
})

test.each(UNIT_KINDS)('%s stands whole at 1280x800', (kind) => {
  const size = { width: 532, height: 640 }
  for (const unit of UNITS.filter((each) => each.kind === kind))
    for (const mode of MODES)
      expect(layoutCircuit(loopOf(unit, mode), tapsOf(unit), size).height).toBeLessThanOrEqual(640)
})

test('places to tap are a thumb apart and on the drawing, for every kind, question and width', () => {
  for (const unit of UNITS)
    for (const [, size] of ROOMS)
      for (const question of SEVERAL_PLACES) {
        const layout = layoutCircuit(loopOf(unit, 'cooling'), [], size)
        const points = spreadPlaces(
          Object.values(SEEN_AT[question]).map((place) => layout.places[place]),
          layout.height,
        )
        const near = points.flatMap((a, i) =>
          points
            .slice(i + 1)
            .filter((b) => Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) < PLACE_SIZE - 1e-6),
        )
        const outside = points.filter(
          ({ y }) => y < PLACE_SIZE / 2 - 1e-6 || y > layout.height - PLACE_SIZE / 2 + 1e-6,
        )
        expect([name(unit), question, near, outside]).toEqual([name(unit), question, [], []])
      }
})

describe('roles', () => {
  const pump: UnitPlate = { kind: 'split-heat-pump', metering: 'txv', refrigerant: 'R-410A' }
  test('heating swaps the coils: room air is at the rejecting coil, outdoor air at the absorbing one', () => {
    const [cooling, heating] = [loopOf(pump, 'cooling'), loopOf(pump, 'heating')]
    expect([cooling.condenser.name, heating.condenser.name]).toEqual(['Outdoor coil', 'Indoor coil'])
    expect(tapHome('returnAirTemp', cooling)?.column).toBe('evaporatorRow')
    expect(tapHome('returnAirTemp', heating)?.column).toBe('condenserRow')
    expect(tapHome('outdoorAirTemp', heating)?.column).toBe('evaporatorRow')
  })
  test('a water-source unit takes heat from water in heating; a pool heater gives it to water', () => {
    expect(loopOf({ ...pump, kind: 'water-source-heat-pump' }, 'heating').evaporator.medium).toBe('water')
    expect(loopOf({ ...pump, kind: 'pool-heat-pump' }, 'heating').condenser.medium).toBe('water')
  })
  test('only a heat pump has the taps of a reversing valve; electrical readings are not at the circuit', () => {
    expect(tapHome('rvHotOutTemp', loopOf(pump, 'cooling'))).toEqual({ column: 'inner', anchor: 'rvHot' })
    expect(tapHome('rvHotOutTemp', loopOf({ ...pump, kind: 'split-ac' }, 'cooling'))).toBeUndefined()
    expect(tapHome('ohmsCR', loopOf(pump, 'cooling'))).toBeUndefined()
  })
  test('parts follow the plate, in the order of flow', () => {
    const cooler: UnitPlate = { ...pump, kind: 'walk-in-cooler', receiver: true, headPressureControl: true }
    expect(loopOf(cooler, 'cooling').liquid).toEqual([
      'head-pressure-valve',
      'receiver',
      'service-valve',
      'dryer',
      'solenoid',
      'sight-glass',
      'metering',
    ])
    const { parts } = layoutCircuit(loopOf(cooler, 'cooling'), [], { width: 532, height: 640 })
    const heights = parts.slice(0, 7).map(({ at }) => at.y)
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
  })
  test('chips hang near their anchors where there is room', () => {
    const { chips } = layoutCircuit(loopOf(pump, 'cooling'), ['suctionPressure'], { width: 532, height: 640 })
    const [{ box, anchor }] = chips as [(typeof chips)[number]]
    expect(Math.abs(box.y + CHIP_HEIGHT / 2 - anchor.y)).toBeLessThan(1)
  })
})
