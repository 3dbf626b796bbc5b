import { drawable } from './drawable'

test('a curve leaves out what cannot be, and is the same samples where all of it can', () => {
  const head = {
    purpose: 'recovery' as const,
    channels: [
      { key: 'circuitPressure' as const, unit: 'psig' as const },
      { key: 'cylinderWeight' as const, unit: 'lb' as const },
    ],
  }
  const samples = (pressures: number[], weights: number[]) => ({
    time: Float64Array.from(pressures, (_value, i) => i),
    values: [Float64Array.from(pressures), Float64Array.from(weights)],
  })
  const good = samples([100, -14, NaN], [20, 21, 22])
  expect(drawable(head, good)).toBe(good)
  const bad = samples([100, -5000, 3], [20, -5, 22])
  const shown = drawable(head, bad)
  expect([...shown.values[0]!]).toEqual([100, NaN, 3])
  expect([...shown.values[1]!]).toEqual([20, NaN, 22])
  expect([...bad.values[0]!]).toEqual([100, -5000, 3])
  expect(drawable(head, bad)).toBe(shown)
})
