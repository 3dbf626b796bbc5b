import type { Observations, Readings, ReadingSet } from '../readings/schema'
import { withFindings } from './findings'

const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const f = (value: number) => ({ value, unit: 'F' as const })
const set = (readings: Readings, observations: Observations = {}, at?: string): ReadingSet => ({
  mode: 'cooling',
  readings,
  observations,
  ...(at ? { at } : {}),
})
const FIRST = set(
  { ohmsCR: ohm(1), suctionLineTemp: f(50) },
  { reliefPlug: 'melted', frostPattern: 'none', windingsMeasuredAt: 'terminals' },
  '2026-11-20T09:00:00Z',
)
const SECOND = set({ crankcaseHeaterOhms: ohm(700) }, {}, '2026-11-20T12:00:00Z')

test('what lasts is found again on a later set, with its place; what moves is not', () => {
  const found = withFindings(SECOND, [FIRST, SECOND])
  expect(found.readings).toEqual({
    ohmsCR: { ...ohm(1), place: 'terminals' },
    crankcaseHeaterOhms: ohm(700),
  })
  expect(found.observations).toEqual({ reliefPlug: 'melted', windingsMeasuredAt: 'terminals' })
})
test('what a set says itself stands, and a reading taken again keeps the earlier one', () => {
  const later = set({ ohmsCR: { ...ohm(2), at: '2026-11-20T12:00:00Z' } }, { reliefPlug: 'sound' })
  const found = withFindings(later, [FIRST, later])
  expect(found.observations!.reliefPlug).toBe('sound')
  expect(found.readings.ohmsCR).toMatchObject({ value: 2, before: [{ value: 1, place: 'terminals' }] })
})
test.each([
  ['2026-11-20T10:00:00Z', false],
  ['2026-11-20T12:00:00Z', false],
  ['2026-11-20T12:00:01Z', true],
] as const)('repaired at %s: what was found before it counts: %s', (repairedAt, isFound) => {
  const found = withFindings(SECOND, [FIRST, SECOND], Date.parse(repairedAt))
  expect(found.observations!.reliefPlug === 'melted').toBe(isFound)
})
test('to a set in which the compressor ran nothing electrical is carried, what was seen of the circuit is', () => {
  const running = set({ compressorAmps: { value: 8, unit: 'A' } })
  const found = withFindings(running, [FIRST, running])
  expect(found.readings.ohmsCR).toBeUndefined()
  expect(found.observations).toEqual({ reliefPlug: 'melted' })
  const off = set({ compressorAmps: { value: 0, unit: 'A' } })
  expect(withFindings(off, [FIRST, off]).readings.ohmsCR).toBeDefined()
})
test('a first set, and one without anything found before it, stay the same object', () => {
  expect(withFindings(FIRST, [FIRST])).toBe(FIRST)
  const bare = set({ suctionLineTemp: f(50) })
  expect(withFindings(SECOND, [bare, SECOND])).toBe(SECOND)
})
