'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import Typography from '@mui/material/Typography'
import type { SuspectId } from '@/core/diagnosis/faults/faults'
import type { Cause } from '@/core/diagnosis/proof/causes'
import { setCausesChecked, toggleCause } from '@/core/record/edits/decisionEdits'
import { decisionOn, UNKNOWN_CAUSE, unnamedNotes } from '@/core/record/job/decisions'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../shared/stageProps'

const UNKNOWN = UNKNOWN_CAUSE

function CauseLine({ cause, chosen, onChoose }: { cause: Cause; chosen: boolean; onChoose: () => void }) {
  const { id, label, found, look, action } = cause
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) auto',
        gap: 1,
        py: 1,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box>
        <Typography sx={{ fontWeight: 650 }}>
          {found.length > 0 ? '▲ ' : ''}
          {label}
        </Typography>
        {found.map((text) => (
          <Typography key={text}>{text}</Typography>
        ))}
        <Typography sx={{ color: 'text.secondary' }}>
          {found.length > 0 ? `Into the plan: ${action}` : `Not on record yet. ${look}`}
        </Typography>
      </Box>
      <ToggleButton
        value={id}
        selected={chosen}
        onChange={onChoose}
        aria-label={`${label}: cause`}
        sx={{ minWidth: 92 }}
      >
        {chosen ? '● cause' : 'cause'}
      </ToggleButton>
    </Box>
  )
}

/** Why the compressor died: what speaks for each cause, and what it puts into the plan. */
export function Causes({ job, change, answer, dead }: StageProps & { dead: SuspectId }) {
  const { causes } = answer
  const noted = decisionOn(job, dead) ?? unnamedNotes(job)
  // what was noted before faults had names goes on where it stands
  const about = noted?.id ?? dead
  const chosen = noted?.causes ?? []
  const toggle = (id: string) => void change(toggleCause(about, id))
  const isUnknown = chosen.includes(UNKNOWN)
  return (
    <Box sx={{ px: 2, pb: 2, maxWidth: 760 }}>
      <Typography variant="h2">Why did the compressor die?</Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        Whatever killed it kills the next one too. Choose what is shown; more than one is common.
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {causes.map((cause) => (
          <CauseLine
            key={cause.id}
            cause={cause}
            chosen={chosen.includes(cause.id)}
            onChoose={() => toggle(cause.id)}
          />
        ))}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, pt: 1.5 }}>
        <ToggleButton
          value={UNKNOWN}
          selected={isUnknown}
          onChange={() => toggle(UNKNOWN)}
          sx={{ justifySelf: 'start', px: 2 }}
        >
          {isUnknown ? '● Unknown' : 'Unknown'}
        </ToggleButton>
        {isUnknown && (
          <AutosaveField
            label="Checks made"
            helperText="Unknown stands only with the checks made listed; they go into the report."
            value={noted?.causesChecked ?? ''}
            multiline
            onSave={(text) => change(setCausesChecked(about, text))}
          />
        )}
      </Box>
    </Box>
  )
}
