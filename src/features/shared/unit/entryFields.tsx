'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { ENTRIES, type EntryId } from '@/core/base/known/entries'
import type { TypedQuantity } from '@/core/base/units/compound'
import type { QuantityKind, Unit } from '@/core/base/units/units'
import type { Edit } from '@/core/record/edits/edit'
import { setPlate, setPlatePart } from '@/core/record/edits/headEdits'
import { setCylinder, setRepair } from '@/core/record/edits/repairEdits'
import type { Job } from '@/core/record/job/job'
import { HEAD_CONTROLS } from '@/core/record/equipment/unit'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { AutosaveField } from '@/ui/AutosaveField'
import { QuantityField } from '@/ui/QuantityField'
import type { ChangeJob } from '../record/useJob'
import { numberSaver } from './numberSaver'

type Fields = Pick<Job, 'unit' | 'repair'>
type Quantity = {
  readonly label: string
  readonly kind: QuantityKind
  readonly unit: Unit
  readonly read: (job: Fields) => TypedQuantity | undefined
  readonly write: (value: TypedQuantity | undefined) => Edit
}

const line = (label: string, unit: Unit, key: 'length' | 'included' | 'liquid' | 'vapour'): Quantity => ({
  label,
  kind: 'length',
  unit,
  read: ({ unit: plate }) => plate.lineSet?.[key],
  write: (value) => setPlatePart('lineSet', { [key]: value }),
})

/** Measures that settle an assumption, each written where it belongs. */
const QUANTITIES: { readonly [E in EntryId]?: Quantity } = {
  factoryCharge: {
    label: 'Factory charge',
    kind: 'mass',
    unit: 'lb',
    read: ({ unit }) => unit.factoryCharge,
    write: (factoryCharge) => setPlate({ factoryCharge }),
  },
  oilCharge: {
    label: 'Oil charge',
    kind: 'volume',
    unit: 'floz',
    read: ({ unit }) => unit.oilCharge,
    write: (oilCharge) => setPlate({ oilCharge }),
  },
  lineLiquid: line('Liquid line, outside', 'in', 'liquid'),
  lineVapour: line('Vapour line, outside', 'in', 'vapour'),
  lineLength: line('Line set, length', 'ft', 'length'),
  lineIncluded: line('Length the plate charge covers', 'ft', 'included'),
  coldestOutdoor: {
    label: 'Coldest outdoor air at the site',
    kind: 'temperature',
    unit: 'F',
    read: ({ unit }) => unit.control?.coldestOutdoor,
    write: (coldestOutdoor) => setPlatePart('control', { coldestOutdoor }),
  },
  oilOut: {
    label: 'Oil out, poured',
    kind: 'volume',
    unit: 'floz',
    read: ({ repair }) => repair?.oilOut,
    write: (oilOut) => setRepair({ oilOut }),
  },
  newOil: {
    label: 'New compressor ships with, by its box',
    kind: 'volume',
    unit: 'floz',
    read: ({ repair }) => repair?.newOil,
    write: (newOil) => setRepair({ newOil }),
  },
  cylinder: {
    label: 'Water it holds, stamped',
    kind: 'mass',
    unit: 'lb',
    read: ({ repair }) => repair?.cylinder?.capacity,
    write: (capacity) => setCylinder({ capacity }),
  },
}

type Word = {
  readonly label: string
  readonly values: readonly string[]
  readonly labels: Readonly<Record<string, string>>
  readonly read: (unit: Job['unit']) => string | undefined
  readonly write: (word: string | undefined) => Edit
}

const yesOf = (value: boolean | undefined) => (value === undefined ? undefined : value ? 'yes' : 'no')

/** What is told in a word. */
const WORDS: { readonly [E in EntryId]?: Word } = {
  oilPorts: {
    label: 'The compressor has oil ports',
    values: ['yes', 'no'],
    labels: {},
    read: ({ compressor }) => yesOf(compressor?.oilPorts),
    write: (word) =>
      setPlatePart('compressor', { oilPorts: word === undefined ? undefined : word === 'yes' }),
  },
  headControl: {
    label: 'Head pressure is held by',
    values: HEAD_CONTROLS,
    labels: { fan: 'the fan, cycled or slowed', flooding: 'a valve that floods the condenser' },
    read: ({ headControl }) => headControl,
    write: (word) => setPlate({ headControl: HEAD_CONTROLS.find((each) => each === word) }),
  },
}

type FieldProps = { job: Fields; change: ChangeJob; id: EntryId }

const DECIMAL = { htmlInput: { inputMode: 'decimal' as const } }

/** The field of one entry, wherever it is asked for; nothing for one that is told elsewhere, in words or by a test. */
export function EntryField({ job, change, id }: FieldProps) {
  const quantity = QUANTITIES[id]
  const save = numberSaver(change)
  if (id === 'nominalTons')
    return (
      <AutosaveField
        label="Tons"
        value={String(job.unit.nominalTons ?? '')}
        onSave={save('nominalTons')}
        slotProps={DECIMAL}
      />
    )
  if (id === 'oldDryer')
    return (
      <AutosaveField
        label="Old dryer, in³"
        value={String(job.unit.oldDryer?.cubicInches ?? '')}
        onSave={save('oldDryer', 'cubicInches')}
        slotProps={DECIMAL}
      />
    )
  const word = WORDS[id]
  if (word)
    return (
      <ChoiceChips
        label={word.label}
        values={word.values}
        labels={word.labels}
        value={word.read(job.unit)}
        onChange={(value) => void change(word.write(value))}
      />
    )
  if (!quantity) return null
  return (
    <QuantityField
      label={quantity.label}
      kind={quantity.kind}
      defaultUnit={quantity.unit}
      value={quantity.read(job)}
      onChange={(value) => void change(quantity.write(value))}
    />
  )
}

const hasField = (id: EntryId) =>
  id === 'nominalTons' || id === 'oldDryer' || QUANTITIES[id] !== undefined || WORDS[id] !== undefined

/** What would settle a verdict that is not drawn: the fields themselves, and in words what is told elsewhere. */
export function AskEntries({ job, change, asks }: Omit<FieldProps, 'id'> & { asks: readonly EntryId[] }) {
  const elsewhere = asks.filter((id) => !hasField(id))
  if (asks.length === 0) return null
  return (
    <Box
      role="group"
      aria-label="What would settle it"
      sx={{
        display: 'grid',
        gap: 1.5,
        maxWidth: 520,
        gridTemplateColumns: 'repeat(auto-fill, minmax(min(260px, 100%), 1fr))',
        my: 1,
      }}
    >
      {asks.filter(hasField).map((id) => (
        <EntryField key={id} job={job} change={change} id={id} />
      ))}
      {elsewhere.length > 0 && (
        <Typography sx={{ gridColumn: '1 / -1', fontSize: '0.95rem' }}>
          Asked under Arrive and Plan: {elsewhere.map((id) => ENTRIES[id]).join('; ')}.
        </Typography>
      )}
    </Box>
  )
}
