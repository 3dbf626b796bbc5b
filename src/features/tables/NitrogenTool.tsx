'use client'
import { attempt } from '@/core/base/errors/orzoError'
import { nitrogenPressureAt } from '@/core/physics/processes/nitrogen'
import { localAtmosphere } from '@/core/base/units/atmosphere'
import { toKelvin, toPascals, toSI } from '@/core/base/units/convert'
import type { PressureUnit } from '@/core/base/units/units'
import { QuantityField } from '@/ui/QuantityField'
import { asPressure, asTemperature, showPressure, showPressureChange, type Typed } from './format'
import { Figure, Figures } from '@/ui/Figure'
import { ElevationField, Inputs, Problem, Source } from './parts'
import { useRemembered } from './useRemembered'

type Input = {
  start: Typed | undefined
  startTemperature: Typed | undefined
  endTemperature: Typed | undefined
  end: Typed | undefined
  siteElevation: Typed | undefined
}
const INITIAL: Input = {
  start: { value: 400, unit: 'psig' },
  startTemperature: { value: 80, unit: 'F' },
  endTemperature: { value: 70, unit: 'F' },
  end: undefined,
  siteElevation: { value: 0, unit: 'm' },
}
/** [memory] repeatability of a digital gauge, and a degree of doubt in each temperature. */
const GAUGE_PASCALS = toPascals({ value: 0.1, unit: 'psia' })
const DEGREE_KELVIN = 5 / 9

function Answer({ input, atmosphere }: { input: Input; atmosphere: number }) {
  const { start, startTemperature, endTemperature, end } = input
  if (!start || !startTemperature || !endTemperature)
    return <Problem>Type the pressure at the start and both temperatures.</Problem>
  const [from, to] = [toKelvin(asTemperature(startTemperature)), toKelvin(asTemperature(endTemperature))]
  const found = attempt(() => {
    const begun = toPascals(asPressure(start), atmosphere)
    return {
      begun,
      expected: nitrogenPressureAt(begun, from, to),
      seen: end && toPascals(asPressure(end), atmosphere),
    }
  })
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  const { begun, expected, seen } = found.value
  const unit = start.unit as PressureUnit
  const doubt = Math.hypot(GAUGE_PASCALS * 2, (begun * DEGREE_KELVIN) / from)
  const signed = (pascals: number) => {
    const text = showPressureChange(pascals, unit)
    return /^[1-9]|^0\.\d*[1-9]/.test(text) ? `+${text}` : text
  }
  return (
    <Figures>
      <Figure
        label="A tight circuit should read"
        value={showPressure(expected, unit, atmosphere)}
        note={`${signed(expected - begun)} by temperature alone, ± ${showPressureChange(doubt, unit)}`}
      />
      {seen !== undefined && (
        <Figure
          label="Beyond temperature"
          value={signed(seen - expected)}
          note={
            seen - expected < -2 * doubt
              ? '⬣ more than the doubt: look for a leak'
              : Math.abs(seen - expected) <= 2 * doubt
                ? '● inside the doubt: holds'
                : '△ higher than it can be: check both temperatures'
          }
        />
      )}
    </Figures>
  )
}

/** Nitrogen pressure corrected for temperature. */
export function NitrogenTool() {
  const { input, set, restored } = useRemembered(INITIAL)
  const atmosphere = attempt(() => localAtmosphere(input.siteElevation ? toSI(input.siteElevation) : 0))
  if (!restored) return null
  return (
    <>
      <Inputs>
        <QuantityField
          clears
          label="Start pressure"
          kind="pressure"
          defaultUnit="psig"
          value={input.start}
          onChange={(start) => set({ start })}
        />
        <QuantityField
          clears
          label="Start temperature"
          kind="temperature"
          defaultUnit="F"
          value={input.startTemperature}
          onChange={(startTemperature) => set({ startTemperature })}
        />
        <QuantityField
          clears
          label="Temperature now"
          kind="temperature"
          defaultUnit="F"
          value={input.endTemperature}
          onChange={(endTemperature) => set({ endTemperature })}
        />
        <QuantityField
          clears
          label="Pressure now"
          kind="pressure"
          defaultUnit="psig"
          value={input.end}
          onChange={(end) => set({ end })}
        />
        <ElevationField value={input.siteElevation} onChange={(siteElevation) => set({ siteElevation })} />
      </Inputs>
      {atmosphere.ok ? (
        <Answer input={input} atmosphere={atmosphere.value} />
      ) : (
        <Problem>{atmosphere.error.message}</Problem>
      )}
      <Problem>
        Nitrogen from a regulator with a relief valve, never above the design pressure on the plate, never
        oxygen. Step up slowly and stay clear of joints.
      </Problem>
      <Source>
        Absolute pressure goes with absolute temperature [physics]; use the temperature of the metal, not of
        the air in the sun.
      </Source>
    </>
  )
}
