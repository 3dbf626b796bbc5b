/** Cold slate-teal through neutral to warm ember; the only thing coloured along a scale. */
const STOPS: readonly (readonly [kelvin: number, rgb: readonly [number, number, number]])[] = [
  [253, [38, 84, 96]],
  [278, [62, 112, 118]],
  [298, [122, 112, 96]],
  [323, [158, 84, 44]],
  [363, [150, 42, 20]],
]

/** CSS colour of a temperature in K; dark enough for text on light paper. */
export function temperatureColour(kelvin: number): string {
  const above = Math.max(
    STOPS.findIndex(([k]) => k >= kelvin),
    0,
  )
  const [k1, c1] = STOPS[kelvin > 363 ? STOPS.length - 1 : above] ?? [0, [0, 0, 0]]
  const [k0, c0] = STOPS[Math.max(above - 1, 0)] ?? [0, [0, 0, 0]]
  const share = k1 === k0 || kelvin > 363 ? 1 : Math.min(Math.max((kelvin - k0) / (k1 - k0), 0), 1)
  const mix = [0, 1, 2].map((i) =>
    Math.round((c0[i] as number) + share * ((c1[i] as number) - (c0[i] as number))),
  )
  return `rgb(${mix.join(' ')})`
}
