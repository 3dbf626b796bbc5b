import { tapsOf } from '@/core/job/taps'
import { METERINGS, UNIT_KINDS, type UnitPlate } from '@/core/job/unit'
import { MODES } from '@/core/readings/schema'
import { READING_KEYS } from '@/core/readings/vocabulary'
import { overlaps, type Rect } from './geometry'
import { CHIP_HEIGHT, type CircuitLayout, COMPRESSOR_RADIUS, layoutCircuit, VALVE_HALF } from './layout'
import { loopOf } from './loop'
import { PLACE_SIZE, spreadPlaces } from './PlaceButtons'
import { PLACED, SEEN_AT } from './seenPlaces'
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

const name = (unit: UnitPlate) => `${unit.kind} ${unit.metering} ${Object.keys(unit).slice(3).join(' ')}`

describe.each(ROOMS)('%s', (_room, size) => {
  test.each(UNITS.map((unit) => [name(unit), unit] as const))('%s', (_name, unit) => {
    for (const mode of MODES)
      for (const keys of [tapsOf(unit), READING_KEYS]) {
        const loop = loopOf(unit, mode)
        const layout = layoutCircuit(loop, keys, size)
        const fixed = machines(layout)
        expect(layout.chips.map(({ key }) => key).sort()).toEqual(
          keys.filter((key) => tapHome(key, loop)).sort(),
        )
        layout.chips.forEach(({ box, key }, i) => {
          expect(box.height).toBeGreaterThanOrEqual(48)
          expect(box.x).toBeGreaterThanOrEqual(0)
          expect(box.y).toBeGreaterThanOrEqual(0)
          expect(box.x + box.width).toBeLessThanOrEqual(layout.width)
          expect(box.y + box.height).toBeLessThanOrEqual(layout.height)
          const met = layout.chips.slice(i + 1).filter((other) => overlaps(box, other.box))
          expect([key, mode, met.map((other) => other.key)]).toEqual([key, mode, []])
          expect([key, mode, fixed.filter((rect) => overlaps(box, rect))]).toEqual([key, mode, []])
        })
        fixed.forEach((rect, i) =>
          expect([mode, i, fixed.slice(i + 1).filter((other) => overlaps(rect, other))]).toEqual([
            mode,
            i,
            [],
          ]),
        )
      }
  })
})

test.each(UNITS.map((unit) => [name(unit), unit] as const))('%s stands whole at 1280x800', (_name, unit) => {
  const size = { width: 532, height: 640 }
  for (const mode of MODES)
    expect(layoutCircuit(loopOf(unit, mode), tapsOf(unit), size).height).toBeLessThanOrEqual(640)
})

test('places to tap are a thumb apart and on the drawing, for every kind, question and width', () => {
  for (const unit of UNITS)
    for (const [, size] of ROOMS)
      for (const question of PLACED) {
        const layout = layoutCircuit(loopOf(unit, 'cooling'), [], size)
        const points = spreadPlaces(
          Object.values(SEEN_AT[question]).map((place) => layout.places[place]),
          layout.height,
        )
        points.forEach((a, i) => {
          expect(a.y).toBeGreaterThanOrEqual(PLACE_SIZE / 2 - 1e-6)
          expect(a.y).toBeLessThanOrEqual(layout.height - PLACE_SIZE / 2 + 1e-6)
          for (const b of points.slice(i + 1)) {
            const near = Math.abs(a.x - b.x) < PLACE_SIZE - 1e-6 && Math.abs(a.y - b.y) < PLACE_SIZE - 1e-6
            expect(near).toBe(false)
          }
        })
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
