'use client'
import { useUnits } from '@/ui/units'
import { percent } from '@/core/base/units/percent'
import Box from '@mui/material/Box'
import { useMemo } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { REFRIGERANT_NAMES, type RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { WARMING_SOURCE } from '@/core/physics/refrigerants/warming'
import {
  type Comparison,
  type ComparisonRow,
  compareRefrigerants,
} from '@/core/repair/charge/compareRefrigerants'
import {
  differenceFromKelvin,
  differenceToKelvin,
  fromKelvin,
  fromPascals,
  toKelvin,
} from '@/core/base/units/convert'
import type { TemperatureUnit } from '@/core/base/units/units'
import { QuantityField } from '@/ui/QuantityField'
import { asTemperature, type Typed } from './format'
import { NumberTable } from '@/ui/NumberTable'
import { Inputs, Problem, RefrigerantChoice, Source } from './parts'
import { useRemembered } from './useRemembered'
import { useTables } from '../shared/tables/useTables'

type Input = {
  original: RefrigerantName
  evaporating: Typed | undefined
  condensing: Typed | undefined
}
const INITIAL: Input = {
  original: 'R-22',
  evaporating: { value: 40, unit: 'F' },
  condensing: { value: 110, unit: 'F' },
}
/** [practice] ordinary superheat and subcooling, and a sound small compressor. */
const SUPERHEAT = differenceToKelvin(12, 'F')
const SUBCOOLING = differenceToKelvin(10, 'F')
const EFFICIENCY = 0.7

const head = (pressure: string, unit: string) => [
  'Refrigerant',
  `Low side, ${pressure}`,
  `High side, ${pressure}`,
  'Ratio',
  `Glide, ${unit}`,
  `Dis- charge, ${unit}`,
  'Capa- city',
  'Mass flow',
  'Charge',
  'Class',
  'GWP',
  'Oil',
  'In its place?',
]
const MARK = { original: '●', possible: '△', refused: '⬣' } as const
const WORD = { original: 'on the plate', possible: 'possible', refused: 'refused' } as const

function Verdict({ row }: { row: ComparisonRow }) {
  const { verdict, reasons } = row.suitability
  return (
    <Box sx={{ minWidth: 240, whiteSpace: 'normal' }}>
      <b>
        <span aria-hidden>{MARK[verdict]} </span>
        {WORD[verdict]}
      </b>
      {reasons.length > 0 && `: ${reasons.join(' ')}`}
    </Box>
  )
}

function ResultTable({ comparison, unit }: { comparison: Comparison; unit: TemperatureUnit }) {
  const { system } = useUnits()
  const { pressure } = system
  const order = { original: 0, possible: 1, refused: 2 }
  const rows = [...comparison.rows].sort(
    (a, b) => order[a.suitability.verdict] - order[b.suitability.verdict],
  )
  return (
    <NumberTable
      caption="Comparison of refrigerants"
      head={head(pressure, unit)}
      words={[11, 12]}
      rows={rows.map((row) => ({
        key: row.name,
        cells: [
          row.name,
          fromPascals(row.cycle.suctionPressure, pressure).toFixed(pressure === 'barg' ? 1 : 0),
          fromPascals(row.cycle.dischargePressure, pressure).toFixed(pressure === 'barg' ? 1 : 0),
          row.cycle.ratio.toFixed(2),
          differenceFromKelvin(row.cycle.evaporatingGlide, unit).toFixed(1),
          fromKelvin(row.cycle.dischargeTemperature, unit).toFixed(0),
          percent(row.relativeCapacity),
          percent(row.relativeMassFlow),
          percent(row.relativeCharge),
          row.safety,
          row.warming.toFixed(0),
          row.oils.join(', '),
          <Verdict key="verdict" row={row} />,
        ],
      }))}
    />
  )
}

function Result({ input }: { input: Input }) {
  const { original, evaporating, condensing } = input
  const found = useMemo(
    () =>
      evaporating && condensing
        ? attempt(() =>
            compareRefrigerants(original, REFRIGERANT_NAMES, {
              evaporating: toKelvin(asTemperature(evaporating)),
              condensing: toKelvin(asTemperature(condensing)),
              superheat: SUPERHEAT,
              subcooling: SUBCOOLING,
              efficiency: EFFICIENCY,
            }),
          )
        : undefined,
    [original, evaporating, condensing],
  )
  if (!found) return <Problem>Type an evaporating and a condensing temperature.</Problem>
  if (!found.ok) return <Problem>{found.error.message}</Problem>
  const { missing } = found.value
  return (
    <>
      <ResultTable comparison={found.value} unit={(evaporating?.unit ?? 'F') as TemperatureUnit} />
      {missing.length > 0 && (
        <Problem>No data at these temperatures: {missing.map(({ name }) => name).join(', ')}.</Problem>
      )}
      <Source>
        Mean evaporating and condensing temperatures, 12 F superheat, 10 F subcooling, isentropic efficiency
        0.7 [practice]; pressures at sea level. Capacity by compressor volume, mass flow by the valve, charge
        by liquid density, all against the original. GWP: {WARMING_SOURCE}. The nameplate, the law and the
        maker decide.
      </Source>
    </>
  )
}

/** Refrigerants side by side at two temperatures, with the reason of every refusal. */
export function CompareTool() {
  const { input, set, restored } = useRemembered(INITIAL)
  const { ready, problem } = useTables(REFRIGERANT_NAMES)
  if (!restored) return null
  return (
    <>
      <Inputs>
        <RefrigerantChoice
          label="Refrigerant on the plate"
          value={input.original}
          onChange={(original) => set({ original })}
        />
        <QuantityField
          clears
          label="Evaporating"
          kind="temperature"
          defaultUnit="F"
          value={input.evaporating}
          onChange={(evaporating) => set({ evaporating })}
        />
        <QuantityField
          clears
          label="Condensing"
          kind="temperature"
          defaultUnit="F"
          value={input.condensing}
          onChange={(condensing) => set({ condensing })}
        />
      </Inputs>
      {problem && <Problem>{problem}</Problem>}
      {ready && <Result input={input} />}
    </>
  )
}
