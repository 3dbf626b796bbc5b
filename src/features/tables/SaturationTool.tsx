'use client'
import { Choice } from '@/ui/Choice'
import { TEMPERATURE_UNITS } from '@/core/record/settings/settings'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { attempt } from '@/core/base/errors/orzoError'
import { SEA_LEVEL_PASCALS } from '@/core/base/units/atmosphere'
import { type RefrigerantName, refrigerantRow } from '@/core/physics/refrigerants/catalogue'
import { tableOf } from '@/core/physics/refrigerants/tables'
import {
  saturationAtPressure,
  saturationAtTemperature,
  saturationRows,
} from '@/core/reference/saturationRows'
import { localAtmosphere } from '@/core/base/units/atmosphere'
import { fromKelvin, fromPascals, toKelvin, toPascals, toSI } from '@/core/base/units/convert'
import { showDifference } from '@/core/base/units/show'
import { type PressureUnit, type TemperatureUnit, unitsOf } from '@/core/base/units/units'
import { QuantityField } from '@/ui/QuantityField'
import { CurveChart } from '@/ui/CurveChart'
import { asPressure, asTemperature, showKelvin, showPressure, type Typed } from './format'
import { NumberTable } from '@/ui/NumberTable'
import { Figure, Figures } from '@/ui/Figure'
import { ElevationField, Inputs, Problem, RefrigerantChoice, Source } from './parts'
import { useRemembered } from './useRemembered'
import { useTables } from '../shared/tables/useTables'

type Input = {
  refrigerant: RefrigerantName
  by: 'temperature' | 'pressure'
  temperature: Typed | undefined
  pressure: Typed | undefined
  elevation: Typed | undefined
}
const INITIAL: Input = {
  refrigerant: 'R-410A',
  by: 'pressure',
  temperature: { value: 40, unit: 'F' },
  pressure: { value: 118, unit: 'psig' },
  elevation: { value: 0, unit: 'm' },
}

const PRESSURE_UNITS = unitsOf('pressure') as PressureUnit[]

/** [practice] the range of ordinary work, every 5 F or 2 C. */
const RANGE = {
  F: { from: -40, to: 150, step: 5 },
  C: { from: -40, to: 66, step: 2 },
  K: { from: 233, to: 339, step: 2 },
}

type Units = { temperature: TemperatureUnit; pressure: PressureUnit; atmosphere: number }

function Answer({ input, units }: { input: Input; units: Units }) {
  const { refrigerant, by, temperature, pressure } = input
  const { atmosphere } = units
  const isBlend = refrigerantRow(refrigerant).blend.length > 0
  const glide = (kelvin: number) => (
    <Figure
      label="Glide"
      value={showDifference(kelvin, units, 1)}
      note={isBlend ? 'dew less bubble' : 'a single substance'}
    />
  )
  if (by === 'temperature') {
    if (!temperature) return <Problem>Type a temperature.</Problem>
    const found = attempt(() => saturationAtTemperature(refrigerant, toKelvin(asTemperature(temperature))))
    if (!found.ok) return <Problem>{found.error.message}</Problem>
    return (
      <Figures>
        <Figure
          label="Dew pressure"
          value={showPressure(found.value.dew, units.pressure, atmosphere)}
          note="for superheat"
        />
        <Figure
          label="Bubble pressure"
          value={showPressure(found.value.bubble, units.pressure, atmosphere)}
          note="for subcooling"
        />
        {glide(found.value.glide)}
      </Figures>
    )
  }
  if (!pressure) return <Problem>Type a pressure.</Problem>
  const found = attempt(() => saturationAtPressure(refrigerant, toPascals(asPressure(pressure), atmosphere)))
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  return (
    <Figures>
      <Figure
        label="Dew temperature"
        value={showKelvin(found.value.dew, units.temperature)}
        note="for superheat"
      />
      <Figure
        label="Bubble temperature"
        value={showKelvin(found.value.bubble, units.temperature)}
        note="for subcooling"
      />
      {glide(found.value.glide)}
    </Figures>
  )
}

/** The typed state on the dew line; undefined where there is none. */
function stateOf({ refrigerant, by, temperature, pressure }: Input, atmosphere: number) {
  const found = attempt(() => {
    if (by === 'temperature') {
      const kelvin = temperature && toKelvin(asTemperature(temperature))
      return kelvin && { kelvin, pascals: saturationAtTemperature(refrigerant, kelvin).dew }
    }
    const pascals = pressure && toPascals(asPressure(pressure), atmosphere)
    return pascals && { pascals, kelvin: saturationAtPressure(refrigerant, pascals).dew }
  })
  return found.ok && found.value ? found.value : undefined
}

function CurveAndTable({ input, units }: { input: Input; units: Units }) {
  const { refrigerant } = input
  const { from, to, step } = RANGE[units.temperature]
  const kelvin = (value: number) => toKelvin({ value, unit: units.temperature })
  const rows = saturationRows(refrigerant, kelvin(from), kelvin(to), kelvin(step) - kelvin(0))
  const shown = (pascals: number) => fromPascals(pascals, units.pressure, units.atmosphere)
  const x = (value: number) => fromKelvin(value, units.temperature)
  const points = (line: 'bubble' | 'dew') =>
    rows.map((row) => ({ x: x(row.temperature), y: shown(row[line]) }))
  const { note, library } = tableOf(refrigerant)
  const state = stateOf(input, units.atmosphere)
  const inside = state && state.kelvin >= kelvin(from) && state.kelvin <= kelvin(to) ? [state] : []
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1.4fr) minmax(300px, 1fr)' },
        mt: 1,
      }}
    >
      <Box className="no-print" sx={{ minWidth: 0 }}>
        <CurveChart
          label={`Saturation pressure of ${refrigerant} against temperature, bubble and dew`}
          xTitle={`Temperature, ${units.temperature}`}
          yTitle={`Pressure, ${units.pressure}`}
          curves={[
            { label: 'Dew', points: points('dew'), look: 'solid' },
            { label: 'Bubble', points: points('bubble'), look: 'dashed' },
            ...inside.map((here) => ({
              label: 'Typed',
              points: [{ x: x(here.kelvin), y: shown(here.pascals) }],
              look: 'point' as const,
            })),
          ]}
        />
        <Source>
          {library}, {note}. Interpolated within 0.05 K.
        </Source>
      </Box>
      <Box
        sx={{ minWidth: 0, maxHeight: { lg: 420 }, overflowY: 'auto', '@media print': { maxHeight: 'none' } }}
      >
        <NumberTable
          caption={`${refrigerant} saturation`}
          head={[units.temperature, `Dew, ${units.pressure}`, `Bubble, ${units.pressure}`]}
          rows={rows.map((row) => ({
            key: row.temperature.toFixed(3),
            cells: [
              x(row.temperature).toFixed(0),
              showPressure(row.dew, units.pressure, units.atmosphere).replace(` ${units.pressure}`, ''),
              showPressure(row.bubble, units.pressure, units.atmosphere).replace(` ${units.pressure}`, ''),
            ],
          }))}
        />
      </Box>
    </Box>
  )
}

/** Saturation of any refrigerant: a pressure or a temperature typed, curve and table. */
export function SaturationTool() {
  const { input, set, restored } = useRemembered(INITIAL)
  const { ready, problem } = useTables([input.refrigerant])
  const atmosphere = attempt(() => localAtmosphere(input.elevation ? toSI(input.elevation) : 0))
  if (!restored) return null
  const units: Units = {
    temperature: (input.temperature?.unit ?? 'F') as TemperatureUnit,
    pressure: (input.pressure?.unit ?? 'psig') as PressureUnit,
    atmosphere: atmosphere.ok ? atmosphere.value : SEA_LEVEL_PASCALS,
  }
  return (
    <>
      <Inputs>
        <RefrigerantChoice value={input.refrigerant} onChange={(refrigerant) => set({ refrigerant })} />
        <ToggleButtonGroup
          exclusive
          value={input.by}
          aria-label="What is typed"
          onChange={(_event, by: Input['by'] | null) => by && set({ by })}
          sx={{ height: 56 }}
        >
          <ToggleButton value="pressure">Pressure</ToggleButton>
          <ToggleButton value="temperature">Temperature</ToggleButton>
        </ToggleButtonGroup>
        {input.by === 'pressure' ? (
          <>
            <QuantityField
              clears
              key="pressure"
              label="Pressure"
              kind="pressure"
              defaultUnit="psig"
              value={input.pressure}
              onChange={(pressure) => set({ pressure })}
            />
            <Choice
              label="Temperatures in"
              value={units.temperature}
              values={TEMPERATURE_UNITS}
              onChange={(unit) => set({ temperature: { value: input.temperature?.value ?? 40, unit } })}
            />
          </>
        ) : (
          <>
            <QuantityField
              clears
              key="temperature"
              label="Temperature"
              kind="temperature"
              defaultUnit="F"
              value={input.temperature}
              onChange={(temperature) => set({ temperature })}
            />
            <Choice
              label="Pressures in"
              value={units.pressure}
              values={PRESSURE_UNITS}
              onChange={(unit) => set({ pressure: { value: input.pressure?.value ?? 118, unit } })}
            />
          </>
        )}
        <ElevationField value={input.elevation} onChange={(elevation) => set({ elevation })} />
        <Button variant="outlined" onClick={() => window.print()} sx={{ height: 56 }}>
          Print the table
        </Button>
      </Inputs>
      {!atmosphere.ok && <Problem>{atmosphere.error.message}</Problem>}
      {problem && <Problem>{problem}</Problem>}
      {ready && <Answer input={input} units={units} />}
      {ready && <CurveAndTable input={input} units={units} />}
    </>
  )
}
