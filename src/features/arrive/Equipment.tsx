'use client'
import Typography from '@mui/material/Typography'
import { coverage } from '@/core/diagnosis/targets/profiles'
import { isFlammable, REFRIGERANT_NAMES, refrigerantRow } from '@/core/physics/refrigerants/catalogue'
import { setPlate } from '@/core/record/edits/headEdits'
import { unknownOf } from '@/core/record/equipment/asked'
import { mainMode } from '@/core/record/equipment/kinds'
import { asksFor } from '@/core/record/equipment/plateFields'
import {
  HEAT_REJECTIONS,
  METERINGS,
  type Plate,
  UNIT_KINDS,
  type UnitPlate,
} from '@/core/record/equipment/unit'
import { AutosaveField } from '@/ui/AutosaveField'
import { Choice } from '@/ui/Choice'
import { KIND_LABELS, METERING_LABELS } from '@/core/report/jobText'
import type { ChangeJob } from '../shared/record/useJob'

type Props = { plate: Plate; change: ChangeJob }

/** Kind, refrigerant, metering device: nothing of it is presumed. */
export function Known({ plate, change }: Props) {
  const { refrigerant } = plate
  return (
    <>
      <Choice
        label="Kind"
        value={plate.kind ?? ''}
        values={UNIT_KINDS}
        labels={KIND_LABELS}
        onChange={(kind) => void change(setPlate({ kind }))}
      />
      <Choice
        label="Refrigerant"
        value={refrigerant ?? ''}
        values={REFRIGERANT_NAMES}
        onChange={(chosen) => void change(setPlate({ refrigerant: chosen }))}
      />
      {refrigerant && isFlammable(refrigerant) && (
        <Typography sx={{ color: 'error.main' }}>
          ⬣ {refrigerant} is {refrigerantRow(refrigerant).safety}, flammable: rated tools and detector,
          ventilation, no ignition source.
        </Typography>
      )}
      <Choice
        label="Metering device"
        value={plate.metering ?? ''}
        values={METERINGS}
        labels={METERING_LABELS}
        onChange={(metering) => void change(setPlate({ metering }))}
      />
    </>
  )
}

export function HeatLeaves({ plate, change }: Props) {
  return (
    <Choice
      label="Heat leaves through"
      value={plate.heatRejection ?? ''}
      values={HEAT_REJECTIONS}
      onChange={(heatRejection) => void change(setPlate({ heatRejection }))}
    />
  )
}

/** What the unit is, and what Orzo has no targets for. */
export function Equipment({ plate, unit, change }: Props & { unit: UnitPlate }) {
  const covered = coverage(unit, mainMode(unit))
  return (
    <>
      <Known plate={plate} change={change} />
      {asksFor(unit, 'heatRejection') && <HeatLeaves plate={plate} change={change} />}
      <AutosaveField
        label="Unit name or number"
        value={plate.name ?? ''}
        onSave={(text) => change(setPlate({ name: text || undefined }))}
      />
      {unknownOf(plate).length === 0 && !covered.covered && (
        <Typography sx={{ color: 'text.secondary' }}>△ {covered.reason}</Typography>
      )}
    </>
  )
}
