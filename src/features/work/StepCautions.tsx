import Box from '@mui/material/Box'
import type { SheetStep } from '@/core/repair/work/runSheet'

const RED = { color: 'error.main', fontSize: '0.98rem' } as const

function List({ cautions }: { cautions: readonly string[] }) {
  return (
    <Box component="ul" aria-label="Cautions" sx={{ ...RED, m: 0, p: 0, listStyle: 'none' }}>
      {cautions.map((caution) => (
        <li key={caution}>⬣ {caution}</li>
      ))}
    </Box>
  )
}

/** What can hurt: whole before the step, in a word each while one is at it, the sentences behind a tap. */
export function StepCautions({ step: { task, state } }: { step: SheetStep }) {
  const { cautions, hazards } = task
  if (cautions.length === 0 || state === 'done') return null
  const isRead = state === 'hands' || state === 'running'
  if (!isRead || hazards.length === 0 || cautions.length === 1) return <List cautions={cautions} />
  return (
    <Box component="details">
      <Box component="summary" sx={{ ...RED, minHeight: 48, alignContent: 'center', cursor: 'pointer' }}>
        ⬣ {hazards.join(' · ')}
      </Box>
      <List cautions={cautions} />
    </Box>
  )
}
