import Box from '@mui/material/Box'
import type { StepFact } from '@/core/repair/work/stepFacts'
import { Assumed } from '@/ui/Assumed'

type Props = { facts: readonly StepFact[]; notes: readonly string[] }

/** What the plan says of this step: parts, dryer, weights, pressures. */
export function StepFacts({ facts, notes }: Props) {
  if (facts.length === 0 && notes.length === 0) return null
  return (
    <Box component="section" aria-label="From the plan" data-facts sx={{ display: 'grid', gap: 0.25 }}>
      {notes.map((note) => (
        <Box key={note} component="p" sx={{ m: 0, fontSize: '1.05rem', fontWeight: 650 }}>
          {note}
        </Box>
      ))}
      <Box
        component="dl"
        sx={{ m: 0, display: 'grid', gridTemplateColumns: 'max-content minmax(0, 1fr)', columnGap: 1.5 }}
      >
        {facts.map(({ label, value, basis }) => (
          <Box key={`${label} ${value}`} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {label}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {value} <Assumed basis={basis} of={label} />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
