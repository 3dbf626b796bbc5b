'use client'
import Autocomplete from '@mui/material/Autocomplete'
import TextField from '@mui/material/TextField'
import { setPlate, setPlatePart } from '@/core/record/edits/headEdits'
import { hasReversingValve } from '@/core/record/equipment/kinds'
import {
  DRYER_ARROWS,
  DRYER_FLOWS,
  DRYER_JOINTS,
  type Plate,
  type UnitPlate,
} from '@/core/record/equipment/unit'
import { AutosaveField } from '@/ui/AutosaveField'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { Choice } from '@/ui/Choice'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { ChangeJob } from '../shared/record/useJob'
import { EntryField } from '../shared/unit/entryFields'
import type { numberSaver } from '../shared/unit/numberSaver'
import { YesNo } from './parts'

type Props = { plate: Plate; change: ChangeJob }

const ARROW_LABELS = { 'with-flow': 'with the flow', 'against-flow': 'against the flow', none: 'none' }

const DECIMAL = { htmlInput: { inputMode: 'decimal' as const } }

type NumberProps = {
  label: string
  value: number | undefined
  onSave: ReturnType<ReturnType<typeof numberSaver>>
}

/** A plain number of the plate. */
export const PlateNumber = ({ label, value, onSave }: NumberProps) => (
  <AutosaveField label={label} value={String(value ?? '')} onSave={onSave} slotProps={DECIMAL} />
)

export const Tons = ({ plate, change }: Props) => (
  <EntryField id="nominalTons" job={{ unit: plate }} change={change} />
)

export const FactoryCharge = ({ plate, change }: Props) => (
  <EntryField id="factoryCharge" job={{ unit: plate }} change={change} />
)

export const Receiver = ({ plate, change }: Props) => (
  <YesNo
    label="Receiver"
    value={plate.receiver}
    onChange={(receiver) => void change(setPlate({ receiver }))}
  />
)

export const Setpoint = ({ plate, change }: Props) => (
  <QuantityField
    label="Setpoint"
    kind="temperature"
    defaultUnit="F"
    value={plate.control?.setpoint}
    onChange={(setpoint) => void change(setPlatePart('control', { setpoint }))}
  />
)

export const Differential = ({ plate, change }: Props) => (
  <QuantityField
    label="Differential"
    kind="temperatureDifference"
    defaultUnit="F"
    value={plate.control?.differential}
    onChange={(differential) => void change(setPlatePart('control', { differential }))}
  />
)

/** After a conversion the coil is still that of the first refrigerant. */
export const ConvertedFrom = ({ plate, change }: Props) => (
  <Choice
    label="Converted from"
    value={plate.convertedFrom ?? ''}
    values={REFRIGERANT_NAMES}
    onChange={(convertedFrom) => void change(setPlate({ convertedFrom }))}
  />
)

/** What the equipment is listed for, where its plate says so: a flammable refrigerant goes into nothing else. */
export const ListedFor = ({ plate, change }: Props) => (
  <Autocomplete
    multiple
    options={REFRIGERANT_NAMES}
    value={plate.listedFor ?? []}
    onChange={(_event, listedFor) =>
      void change(setPlate({ listedFor: listedFor.length > 0 ? [...listedFor] : undefined }))
    }
    renderInput={(props) => (
      <TextField {...props} label="Listed for" helperText="Empty where the plate names one refrigerant." />
    )}
  />
)

/** The dryer that is in it now: what a new one must fit. */
export function OldDryer({ plate, change }: Props) {
  const { oldDryer } = plate
  const set = (values: Partial<NonNullable<Plate['oldDryer']>>) =>
    void change(setPlatePart('oldDryer', values))
  return (
    <>
      <EntryField id="oldDryer" job={{ unit: plate }} change={change} />
      <YesNo
        label="A dryer was fitted"
        value={oldDryer?.none ? false : oldDryer?.cubicInches === undefined ? undefined : true}
        onChange={(fitted) => set({ none: fitted === false ? true : undefined })}
      />
      <YesNo
        label="Old dryer sits behind the part, out of reach afterwards"
        value={oldDryer?.behind}
        onChange={(behind) => set({ behind })}
      />
      <QuantityField
        label="Old dryer, connections"
        kind="length"
        defaultUnit="in"
        value={oldDryer?.connection}
        onChange={(connection) => set({ connection })}
      />
      <QuantityField
        label="Room for a dryer, length of line"
        kind="length"
        defaultUnit="in"
        value={oldDryer?.room}
        onChange={(room) => set({ room })}
      />
      <ChoiceChips
        label="Old dryer, flow"
        values={DRYER_FLOWS}
        value={oldDryer?.flow}
        labels={{ 'one-way': 'one-way', 'bi-flow': 'bi-flow' }}
        onChange={(word) => set({ flow: DRYER_FLOWS.find((each) => each === word) })}
      />
      <ChoiceChips
        label="Old dryer, joints"
        values={DRYER_JOINTS}
        value={oldDryer?.joint}
        onChange={(word) => set({ joint: DRYER_JOINTS.find((each) => each === word) })}
      />
      <ChoiceChips
        label="Old dryer, its arrow"
        values={DRYER_ARROWS}
        labels={ARROW_LABELS}
        value={oldDryer?.arrow}
        onChange={(word) => set({ arrow: DRYER_ARROWS.find((each) => each === word) })}
      />
      <YesNo
        label="Old dryer sits outside of the cabinet"
        value={oldDryer?.outside}
        onChange={(outside) => set({ outside })}
      />
      {(!plate.kind || hasReversingValve({ kind: plate.kind } as UnitPlate)) && (
        <YesNo
          label="Check valves round the dryer keep its flow one way"
          value={oldDryer?.checkValves}
          onChange={(checkValves) => set({ checkValves })}
        />
      )}
    </>
  )
}
