'use client'
import Typography from '@mui/material/Typography'
import { showTemperature } from '@/core/base/units/show'
import { type PressureUnit, type Quantity, unitRow } from '@/core/base/units/units'
import type { RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { saturatesAt } from '@/core/reference/saturatesAt'
import { judgeEntry } from '@/ui/pad/entry'
import { useTables } from '../tables/useTables'
import type { PadEntry } from './padEntry'
import { useDraft } from './useReadingEntry'
import type { DisplayUnits } from '../display/useDisplay'

/** A glide smaller than this is none on a gauge's scale, K [practice]. */
const LEAST_GLIDE = 0.3

function sentence(name: RefrigerantName, pressure: Quantity, unit: UnitPlate, display: DisplayUnits): string {
  if (unitRow(pressure.unit).kind !== 'pressure') return ''
  const at = saturatesAt(name, pressure as Quantity<PressureUnit>, siteAtmosphere(unit))
  if (typeof at === 'string') return at
  const show = (kelvin: number) => showTemperature(kelvin, display, 1)
  return at.dew - at.bubble < LEAST_GLIDE
    ? `${name} saturates at ${show(at.dew)}`
    : `${name}: bubble ${show(at.bubble)}, dew ${show(at.dew)}`
}

type Props = { entry: PadEntry; unit: UnitPlate; display: DisplayUnits }

/** What the pressure on the pad means as a temperature of the chosen refrigerant, while it is typed. */
export function PadSaturation({ entry, unit, display }: Props) {
  const { ready, problem } = useTables([unit.refrigerant])
  const draft = useDraft(entry)
  const typed = draft && judgeEntry(draft.text, draft.key, draft.unit)
  return (
    <Typography
      role="status"
      aria-label="Saturation"
      sx={{ minHeight: 24, fontSize: '1.05rem', fontWeight: 600, textAlign: 'right' }}
    >
      {problem ??
        (ready && typed && 'value' in typed ? sentence(unit.refrigerant, typed, unit, display) : '')}
    </Typography>
  )
}
