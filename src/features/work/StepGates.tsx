'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { isReason } from '@/core/record/job/decisions'
import { overrideGate } from '@/core/record/edits/workEdits'
import type { SheetStep } from '@/core/repair/work/runSheet'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import type { WorkGate } from '@/core/repair/work/gates'
import { AutosaveField } from '@/ui/AutosaveField'
import { saveWithout } from '../shared/saveWithout'
import type { StageProps } from '../shared/stageProps'
import { PlaceButton } from '../shared/place/PlaceButton'

type Props = Pick<StageProps, 'change'> & { step: SheetStep; onOpen: (place: GatePlace) => void }

function Gate({ gate, change, step, onOpen }: Props & { gate: WorkGate }) {
  const ofStep = step.record?.overrides?.find(({ gate: id }) => id === gate.id)?.reason
  const written = (gate.reasonFor === 'repair' ? gate.override : ofStep) ?? ''
  if (gate.isOpen && !written) return null
  const save = (text: string) => {
    if (gate.reasonFor === 'repair') return saveWithout(text, change)
    const reason = text.trim()
    if (reason !== '' && !isReason(reason)) return 'Write why, in a few words: a letter is no reason.'
    return change(overrideGate(step.task.id, gate.id, reason))
  }
  const mark = gate.isOpen ? '●' : gate.override !== undefined ? '△' : '⬣'
  return (
    <Box component="li" data-gate={gate.id} data-open={gate.isOpen} sx={{ py: 0.75 }}>
      <Typography sx={{ fontWeight: 650 }}>
        {mark} {gate.isOpen ? gate.name : gate.state}.
      </Typography>
      {!gate.isOpen && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          {gate.reason} Missing: {gate.missing.join('; ')}.
        </Typography>
      )}
      {!gate.isOpen && gate.place && <PlaceButton place={gate.place} onOpen={onOpen} />}
      {gate.offer && gate.override === undefined && (
        <Button
          variant="outlined"
          sx={{ minHeight: 48, mt: 0.75 }}
          onClick={() => void save(gate.offer ?? '')}
        >
          Write down: {gate.offer}
        </Button>
      )}
      {gate.canOverride ? (
        <AutosaveField
          label="Or why it goes on without; printed in the report"
          value={written}
          onSave={save}
          sx={{ mt: 0.75 }}
        />
      ) : (
        !gate.isOpen && (
          <Typography sx={{ fontSize: '0.95rem' }}>No reason opens this one: until {gate.until}.</Typography>
        )
      )}
    </Box>
  )
}

/** The gates before a step: what is missing, and the reason with which one goes on where that is allowed. */
export function StepGates({ change, step, onOpen }: Props) {
  const shown = step.gates.filter(
    (gate) =>
      !gate.isOpen ||
      gate.override !== undefined ||
      step.record?.overrides?.some(({ gate: id }) => id === gate.id),
  )
  if (shown.length === 0 && step.vetoes.length === 0) return null
  return (
    <Box
      component="section"
      aria-label="Gates before this step"
      sx={{ border: 2, borderColor: 'error.main', borderRadius: 1, px: 1.5, py: 0.5 }}
    >
      {step.vetoes.map(({ id, sentence, place }) => (
        <Box key={id} data-veto={id} sx={{ py: 0.75 }}>
          <Typography sx={{ fontWeight: 650, color: 'error.main' }}>⬣ {sentence}</Typography>
          <PlaceButton place={place} onOpen={onOpen} />
        </Box>
      ))}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((gate) => (
          <Gate key={gate.id} gate={gate} change={change} step={step} onOpen={onOpen} />
        ))}
      </Box>
    </Box>
  )
}
