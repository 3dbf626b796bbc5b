'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import { attempt } from '@/core/base/errors/orzoError'
import { boilingPressure, boilingTemperatureOfWater } from '@/core/reference/boilingWater'
import { localAtmosphere } from '@/core/base/units/atmosphere'
import { fromKelvin, fromPascals, toKelvin, toPascals, toSI } from '@/core/base/units/convert'
import { QuantityField } from '@/ui/QuantityField'
import { CurveChart } from '@/ui/CurveChart'
import { asPressure, asTemperature, showKelvin, type Typed } from './format'
import { NumberTable } from '@/ui/NumberTable'
import { Figure, Figures } from '@/ui/Figure'
import { ElevationField, Inputs, Problem, Source } from './parts'
import { useRemembered } from './useRemembered'

type Input = {
  metal: Typed | undefined
  vacuum: Typed | undefined
  siteElevation: Typed | undefined
}
const INITIAL: Input = {
  metal: { value: 75, unit: 'F' },
  vacuum: { value: 500, unit: 'micron' },
  siteElevation: { value: 0, unit: 'm' },
}
const DEGREES = [-40, -20, 0, 10, 20, 32, 40, 50, 60, 70, 80, 90, 100, 120]

const microns = (pascals: number) => Math.round(fromPascals(pascals, 'micron')).toLocaleString('en-US')
const f = (value: number) => toKelvin({ value, unit: 'F' })

function ByTemperature({ metal }: { metal: Typed | undefined }) {
  if (!metal) return <Problem>Type the temperature of the coldest metal.</Problem>
  const kelvin = toKelvin(asTemperature(metal))
  const found = attempt(() => boilingPressure(kelvin))
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  return (
    <Figure
      label={kelvin < 273.16 ? 'Ice sublimes below' : 'Water boils below'}
      value={`${microns(found.value)} microns`}
      note={kelvin < 273.16 ? 'it is ice: warm the circuit' : 'pull deeper than this, with warmth'}
    />
  )
}

function ByPressure({ vacuum, siteElevation }: Pick<Input, 'vacuum' | 'siteElevation'>) {
  const { system } = useUnits()
  if (!vacuum) return <Problem>Type the vacuum.</Problem>
  // a gauge in inHg or psi reads against the air of the site; microns are absolute
  const found = attempt(() => {
    const atmosphere = localAtmosphere(siteElevation ? toSI(siteElevation) : 0)
    return boilingTemperatureOfWater(toPascals(asPressure(vacuum), atmosphere))
  })
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  return (
    <Figure
      label="At this vacuum it boils at"
      value={showKelvin(found.value, system.temperature)}
      note={`free water cools toward this while it boils`}
    />
  )
}

/** Boiling of water against vacuum. */
export function WaterTool() {
  const { system } = useUnits()
  const { input, set, restored } = useRemembered(INITIAL)
  if (!restored) return null
  const points = Array.from({ length: 61 }, (_v, i) => 2 * i).map((degrees) => ({
    x: fromKelvin(f(degrees), system.temperature),
    y: fromPascals(boilingPressure(f(degrees)), 'micron') / 1000,
  }))
  return (
    <>
      <Inputs>
        <QuantityField
          clears
          label="Coldest metal"
          kind="temperature"
          defaultUnit="F"
          value={input.metal}
          onChange={(metal) => set({ metal })}
        />
        <QuantityField
          clears
          label="Vacuum"
          kind="pressure"
          defaultUnit="micron"
          value={input.vacuum}
          onChange={(vacuum) => set({ vacuum })}
        />
        <ElevationField value={input.siteElevation} onChange={(siteElevation) => set({ siteElevation })} />
      </Inputs>
      <Figures>
        <ByTemperature metal={input.metal} />
        <ByPressure vacuum={input.vacuum} siteElevation={input.siteElevation} />
      </Figures>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1.4fr) minmax(280px, 1fr)' },
        }}
      >
        <CurveChart
          label="Pressure at which water boils against its temperature"
          xTitle={`Water, ${system.temperature}`}
          yTitle="Thousand microns"
          curves={[{ label: 'Water boils', points, look: 'solid' }]}
        />
        <NumberTable
          caption="Water boils, or ice sublimes, at"
          head={[system.temperature, 'Microns']}
          rows={DEGREES.map((degrees) => ({
            key: String(degrees),
            cells: [
              fromKelvin(f(degrees), system.temperature).toFixed(0),
              microns(boilingPressure(f(degrees))),
            ],
          }))}
        />
      </Box>
      <Source>
        Saturation of water over liquid and ice [std: ASHRAE formulation, through the psychrometrics library].
      </Source>
    </>
  )
}
