'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import { type Cause, causesOf } from '@/core/diagnosis/proof/causes'
import { AutosaveField } from '@/ui/AutosaveField'
import type { StageProps } from '../job/stageProps'

const UNKNOWN = 'unknown'

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
export function Causes({ job, change }: StageProps) {
  const causes = useMemo(() => causesOf(job), [job])
  const chosen = job.decision?.causes ?? []
  const toggle = (id: string) =>
    change((current) => {
      const now = current.decision?.causes ?? []
      const without = now.filter((each) => each !== id && (id === UNKNOWN || each !== UNKNOWN))
      const causesNow = now.includes(id) ? without : id === UNKNOWN ? [UNKNOWN] : [...without, id]
      return { ...current, decision: { ...current.decision, causes: causesNow } }
    })
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
            value={job.decision?.causesChecked ?? ''}
            multiline
            onSave={(text) => {
              change((current) => ({
                ...current,
                decision: { ...current.decision, causesChecked: text || undefined },
              }))
              return undefined
            }}
          />
        )}
      </Box>
    </Box>
  )
}
