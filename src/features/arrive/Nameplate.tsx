'use client'
import { Choice } from '@/ui/Choice'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { hasLiquidValve, isPipedOnSite } from '@/core/record/equipment/kinds'
import { asksFor, type PlateField } from '@/core/record/equipment/plateFields'
import { plateDoubts } from '@/core/record/equipment/plausible'
import { COMPRESSOR_TYPES, CONDENSER_COILS, type UnitPlate } from '@/core/record/equipment/unit'
import { OILS } from '@/core/physics/refrigerants/catalogue'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import { setPlate, setPlatePart } from '@/core/record/edits/headEdits'
import { EntryField } from '../shared/unit/entryFields'
import { numberSaver } from '../shared/unit/numberSaver'
import { Pair, type PlatePart, Section, YesNo } from './parts'
import { ConvertedFrom, Differential, ListedFor, OldDryer, PlateNumber, Setpoint } from './plateParts'

function Ratings({ unit, change }: PlatePart) {
  const save = numberSaver(change)
  return (
    <Pair>
      <EntryField id="nominalTons" job={{ unit }} change={change} />
      {asksFor(unit, 'seer') && <PlateNumber label="SEER" value={unit.seer} onSave={save('seer')} />}
      <PlateNumber label="Volts" value={unit.power?.volts} onSave={save('power', 'volts')} />
      <Choice
        label="Phase"
        value={unit.power?.phase ? (String(unit.power.phase) as '1' | '3') : ''}
        values={['1', '3'] as const}
        onChange={(phase) => void change(setPlatePart('power', { phase: phase === '1' ? 1 : 3 }))}
      />
      <PlateNumber label="Rated load amps" value={unit.power?.rla} onSave={save('power', 'rla')} />
      <PlateNumber label="Locked rotor amps" value={unit.power?.lra} onSave={save('power', 'lra')} />
      <PlateNumber label="Normal amps" value={unit.power?.normalAmps} onSave={save('power', 'normalAmps')} />
      <Choice
        label="Hertz"
        value={unit.power?.hertz ? (String(unit.power.hertz) as '50' | '60') : ''}
        values={['50', '60'] as const}
        onChange={(hertz) => void change(setPlatePart('power', { hertz: hertz === '50' ? 50 : 60 }))}
      />
    </Pair>
  )
}

function Compressor({ unit, change }: PlatePart) {
  const save = numberSaver(change)
  return (
    <>
      <Pair>
        <Choice
          label="Compressor"
          value={unit.compressor?.type ?? ''}
          values={COMPRESSOR_TYPES}
          onChange={(type) => void change(setPlatePart('compressor', { type }))}
        />
        <Choice
          label="Oil"
          value={unit.compressor?.oil ?? ''}
          values={OILS}
          onChange={(oil) => void change(setPlatePart('compressor', { oil }))}
        />
      </Pair>
      <EntryField id="oilCharge" job={{ unit }} change={change} />
      <EntryField id="oilPorts" job={{ unit }} change={change} />
      {unit.nominalTons === undefined && (
        <QuantityField
          label="Swept volume"
          kind="flow"
          defaultUnit="m3/h"
          value={unit.compressor?.displacement}
          onChange={(displacement) => void change(setPlatePart('compressor', { displacement }))}
        />
      )}
      {asksFor(unit, 'runCapacitor') && (
        <QuantityField
          label="Run capacitor, label"
          kind="capacitance"
          defaultUnit="uF"
          value={unit.power?.runCapacitor}
          onChange={(runCapacitor) => void change(setPlatePart('power', { runCapacitor }))}
        />
      )}
      {asksFor(unit, 'crankcaseHeater') && (
        <ChoiceChips
          label="Crankcase heater"
          values={['fitted']}
          value={unit.crankcaseHeater ? 'fitted' : undefined}
          onChange={(word) =>
            void change(
              setPlatePart(
                'crankcaseHeater',
                // taken back, its figures go with it
                word ? { fitted: true } : { fitted: undefined, watts: undefined, volts: undefined },
              ),
            )
          }
        />
      )}
      {asksFor(unit, 'crankcaseHeater') && (
        <Pair>
          <PlateNumber
            label="Crankcase heater, W"
            value={unit.crankcaseHeater?.watts}
            onSave={save('crankcaseHeater', 'watts')}
          />
          <PlateNumber
            label="Heater volts"
            value={unit.crankcaseHeater?.volts}
            onSave={save('crankcaseHeater', 'volts')}
          />
        </Pair>
      )}
    </>
  )
}

const LINE_SET = ['lineLiquid', 'lineVapour', 'lineLength', 'lineIncluded'] as const

const LineSet = ({ unit, change }: PlatePart) =>
  asksFor(unit, 'lineSet')
    ? LINE_SET.map((id) => <EntryField key={id} id={id} job={{ unit }} change={change} />)
    : null

const FACTS = [
  ['receiver', 'Receiver'],
  ['headPressureControl', 'Head pressure control'],
  ['accumulator', 'Accumulator'],
] as const satisfies readonly (readonly [PlateField & keyof UnitPlate, string])[]

function Pressures({ unit, change }: PlatePart) {
  return (['high', 'low'] as const).map((side) => (
    <QuantityField
      key={side}
      label={`Design pressure, ${side} side`}
      kind="pressure"
      defaultUnit="psig"
      value={unit.designPressures?.[side]}
      onChange={(value) => void change(setPlatePart('designPressures', { [side]: value }))}
    />
  ))
}

/** What does not go together, said once, changed by nobody but the reader. */
function Doubts({ unit }: { unit: UnitPlate }) {
  const doubts = plateDoubts(unit)
  if (doubts.length === 0) return null
  return (
    <Box
      component="ul"
      aria-label="Look at the plate again"
      sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1 }}
    >
      {doubts.map(({ id, sentence }) => (
        <Typography component="li" key={id} sx={{ color: 'error.main', fontSize: '0.95rem' }}>
          △ {sentence}
        </Typography>
      ))}
    </Box>
  )
}

/** The plate as it is copied before anything is opened; only what this kind of unit has. */
export function Nameplate({ unit, change }: PlatePart) {
  return (
    <Section title="Nameplate">
      <Ratings unit={unit} change={change} />
      <EntryField id="factoryCharge" job={{ unit }} change={change} />
      <Setpoint plate={unit} change={change} />
      <Differential plate={unit} change={change} />
      {hasLiquidValve(unit) && <EntryField id="coldestOutdoor" job={{ unit }} change={change} />}
      <ConvertedFrom plate={unit} change={change} />
      <ListedFor plate={unit} change={change} />
      {asksFor(unit, 'targetSubcooling') && (
        <QuantityField
          label="Target subcooling"
          kind="temperatureDifference"
          defaultUnit="F"
          value={unit.targetSubcooling}
          onChange={(targetSubcooling) => void change(setPlate({ targetSubcooling }))}
        />
      )}
      <Doubts unit={unit} />
      <Compressor unit={unit} change={change} />
      {FACTS.filter(([field]) => asksFor(unit, field)).map(([field, label]) => (
        <YesNo
          key={field}
          label={label}
          value={unit[field]}
          onChange={(value) => void change(setPlate({ [field]: value }))}
        />
      ))}
      {unit.headPressureControl && <EntryField id="headControl" job={{ unit }} change={change} />}
      {isPipedOnSite(unit) && (
        <Choice
          label="Condenser coil"
          value={unit.condenserCoil ?? ''}
          values={CONDENSER_COILS}
          onChange={(condenserCoil) => void change(setPlate({ condenserCoil }))}
        />
      )}
      <YesNo
        label="Moisture indicator in the liquid line"
        value={unit.moistureIndicator}
        onChange={(moistureIndicator) => void change(setPlate({ moistureIndicator }))}
      />
      <PlateNumber
        label="Control volts, read on a coil"
        value={unit.control?.volts}
        onSave={numberSaver(change)('control', 'volts')}
      />
      <Pressures unit={unit} change={change} />
      <LineSet unit={unit} change={change} />
      <OldDryer plate={unit} change={change} />
    </Section>
  )
}
