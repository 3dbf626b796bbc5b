import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { canObserve } from '@/core/record/equipment/observable'
import { Findings } from './Findings'
import { cautionOf, clampsOf, partsOf, nextWinding, probesBetween, probesOf, readingBetween } from './probes'
import { showReading } from './showReading'
import { UnmarkedTerminals } from './UnmarkedTerminals'

const SINGLE: UnitPlate = { kind: 'split-heat-pump', refrigerant: 'R-410A', metering: 'txv' }
const THREE: UnitPlate = { ...SINGLE, kind: 'split-ac', power: { phase: 3 } }

describe('two probes make a reading', () => {
  test.each([
    ['C', 'R', 'ohmsCR'],
    ['S', 'R', 'ohmsRS'],
    ['T3', 'T1', 'ohmsT3T1'],
    ['L2', 'L1', 'voltageL1L2'],
    ['L3', 'L1', 'voltageL3L1'],
    ['G', 'T2', 'ohmsToGround'],
    ['S', 'G', 'ohmsToGround'],
    ['L1', 'G', undefined],
    ['L1', 'C', undefined],
    ['C', 'C', undefined],
  ] as const)('%s and %s: %s', (first, second, key) => {
    expect(readingBetween(first, second)).toBe(key)
  })
  test('the way back gives the same two probes', () => {
    expect(probesBetween('ohmsT3T1')).toEqual(['T1', 'T3'])
    expect(probesBetween('suctionPressure')).toBeUndefined()
  })
  test('the next pair of windings is the one that was not read', () => {
    const ohm = { value: 1, unit: 'ohm' as const }
    expect(nextWinding('ohmsCR', {})).toBe('ohmsCS')
    expect(nextWinding('ohmsCR', { ohmsCS: ohm })).toBe('ohmsRS')
    expect(nextWinding('ohmsRS', {})).toBeUndefined()
    expect(nextWinding('ohmsT1T2', { ohmsT2T3: ohm, ohmsT3T1: ohm })).toBeUndefined()
    expect(nextWinding('suctionPressure', {})).toBeUndefined()
  })
  test('the drawing has the probes of its supply', () => {
    const ids = (unit: UnitPlate) => probesOf(unit).map(({ id }) => id)
    expect(ids(SINGLE)).toEqual(['L1', 'L2', 'C', 'R', 'S', 'G'])
    expect(ids(THREE)).toEqual(['L1', 'L2', 'L3', 'T2', 'T1', 'T3', 'G'])
    expect(clampsOf(THREE).map(({ key }) => key)).toEqual(['ampsL1', 'ampsL2', 'ampsL3'])
    expect(partsOf(THREE).map(({ id }) => id)).toEqual(['start', 'heater'])
    expect(partsOf(SINGLE).map(({ id }) => id)).toEqual(['start', 'capacitor', 'heater', 'coil'])
  })
})

test.each([
  ['ohmsCR', false, 'dead'],
  ['runCapacitance', false, 'dead'],
  ['voltageL1L2', false, 'live'],
  ['compressorAmps', true, 'live'],
  ['ohmsToGround', true, 'ownTerminals'],
] as const)('%s (at its own terminals: %s) asks for the caution "%s"', (key, own, caution) => {
  expect(cautionOf(key, own)).toBe(caution)
})

test.each([
  [{ value: 0.9, unit: 'ohm' as const }, '0.9 Ω'],
  [{ value: 1e9, unit: 'ohm' as const }, 'open'],
  [{ value: 50, unit: 'Mohm' as const }, 'open'],
  [{ value: 231, unit: 'V' as const }, '231 V'],
])('%o reads %s', (reading, text) => {
  expect(showReading(reading)).toBe(text)
})

test('findings say verdict, sentence and what to do next; none says what to tap', () => {
  const { rerender } = render(<Findings tests={{}} vetoes={[]} />)
  expect(screen.getByText(/Tap two terminals/)).toBeVisible()
  const finding = {
    verdict: 'failed' as const,
    faults: [],
    sentence: 'Only T2-T3 reads.',
    next: 'Measure again.',
  }
  rerender(<Findings tests={{ windings: { word: 'one-leg-open', finding } }} vetoes={[]} />)
  expect(screen.getByRole('listitem')).toHaveTextContent('⬣ failed: Windings')
  expect(screen.getByText('Next: Measure again.')).toBeVisible()
})

test('unmarked terminals: three readings name them, "open" is an answer, nonsense is marked', async () => {
  const onNamed = jest.fn()
  render(<UnmarkedTerminals hot={false} onNamed={onNamed} />)
  const type = async (label: string, text: string) => {
    await userEvent.clear(screen.getByLabelText(label))
    await userEvent.type(screen.getByLabelText(label), text)
  }
  await type('A to B, ohm', '4,0')
  await type('B to C, ohm', 'x')
  await type('C to A, ohm', '1.3')
  expect(screen.getByLabelText('B to C, ohm')).toBeInvalid()
  expect(screen.queryByRole('status')).toBeNull()
  await type('B to C, ohm', '2.7')
  // Largest A-B is run to start, so C is common; smallest C-A is common to run.
  expect(screen.getByText('A is run, B is start, C is common.')).toBeVisible()
  await userEvent.click(screen.getByRole('button', { name: 'Keep as C, R, S' }))
  expect(onNamed).toHaveBeenCalledWith({ commonRun: 1.3, commonStart: 2.7, runStart: 4 })
  await type('A to B, ohm', 'open')
  await type('C to A, ohm', 'OL')
  expect(screen.getByRole('status')).toHaveTextContent(/leg of A is open/)
})

test.each([
  ['bulbState', { metering: 'eev' as const }, false],
  ['stemResponse', { metering: 'eev' as const }, true],
  ['phaseSequence', {}, false],
  ['magnetPull', {}, true],
  ['magnetPull', { kind: 'split-ac' as const }, false],
  ['waterStrainer', { kind: 'pool-heat-pump' as const }, true],
  ['reliefPlug', { receiver: true }, true],
] as const)('%s on %o can be seen: %s', (key, part, expected) => {
  expect(canObserve({ ...SINGLE, ...part }, key)).toBe(expected)
})
