import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { suspectLabel } from '@/core/diagnose/faults'
import type { NextCheck } from '@/core/diagnose/nextCheck'
import { percent } from '@/ui/percent'

const MOST_SPLITS = 3

function Check({ check }: { check: NextCheck }) {
  return (
    <Box component="li" sx={{ py: 1, borderBottom: 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <Typography sx={{ fontWeight: 650 }}>{check.label}</Typography>
        <Typography sx={{ whiteSpace: 'nowrap', color: 'text.secondary' }}>
          {check.minutes} min · {check.gain.toFixed(2)} bit
        </Typography>
      </Box>
      {check.caution && (
        <Typography sx={{ color: 'error.main', fontSize: '0.95rem' }}>⬣ {check.caution}</Typography>
      )}
      <Box component="ul" sx={{ m: 0, mt: 0.25, pl: 2.25, color: 'text.secondary', fontSize: '0.95rem' }}>
        {check.splits.slice(0, MOST_SPLITS).map((split) => (
          <li key={split.outcome}>
            {split.outcome.replace(/-/g, ' ')}: {suspectLabel(split.leads)} {percent(split.probability)}
          </li>
        ))}
      </Box>
    </Box>
  )
}

/** The few checks that would tell most a minute, and what each outcome would do to the list. */
export function NextChecks({ checks }: { checks: readonly NextCheck[] }) {
  if (checks.length === 0) return <p>No check left that would tell much more.</p>
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {checks.map((check) => (
        <Check key={check.check} check={check} />
      ))}
    </Box>
  )
}
