import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Evidence } from '@/core/answer/diagnose'
import { INK } from '@/ui/theme/tokens'

/** Evidence this strong fills the bar; natural log of the likelihood ratio. */
const FULL_WEIGHT = 4

function strength(weight: number): string {
  const size = Math.abs(weight)
  if (size > 2) return 'strong'
  return size > 0.7 ? 'some' : 'slight'
}

function EvidenceLine({ sentence, direction, weight }: Evidence) {
  const isFor = direction === 'for'
  return (
    <Box
      component="li"
      sx={{ display: 'grid', gridTemplateColumns: '92px 1fr', gap: 1.5, py: 0.75, alignItems: 'start' }}
    >
      <Box>
        <Typography
          sx={{ fontSize: '0.85rem', fontWeight: 650, color: isFor ? 'text.primary' : 'primary.main' }}
        >
          {isFor ? '▲ for' : '▽ against'}
        </Typography>
        <Box aria-hidden sx={{ height: 4, bgcolor: INK.hairline }}>
          <Box
            style={{ width: `${Math.min(Math.abs(weight) / FULL_WEIGHT, 1) * 100}%` }}
            sx={{
              height: '100%',
              bgcolor: isFor ? INK.ink : INK.copper,
            }}
          />
        </Box>
        <Typography sx={{ fontSize: '0.75rem', color: 'text.secondary' }}>{strength(weight)}</Typography>
      </Box>
      <Typography>{sentence}</Typography>
    </Box>
  )
}

/** Evidence for and against one suspect, strongest first. */
export function EvidenceList({ evidence }: { evidence: readonly Evidence[] }) {
  if (evidence.length === 0) return <p>No evidence yet: only how often this is found.</p>
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {evidence.map((entry) => (
        <EvidenceLine {...entry} key={entry.key} />
      ))}
    </Box>
  )
}
