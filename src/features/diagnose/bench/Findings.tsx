import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { TestResults } from '@/core/diagnosis/evidence/assessment'
import { ELECTRICAL_TEST_KEYS, electricalTestRow } from '@/core/diagnosis/electrical/electricalTests'
import { nextOf } from '@/core/diagnosis/checks/bench'
import type { VetoId } from '@/core/safety/vetoes'
import type { Finding } from '@/core/diagnosis/electrical/finding'

const MARK: Readonly<Record<Finding['verdict'], string>> = {
  good: '● good',
  suspect: '△ suspect',
  failed: '⬣ failed',
  unclear: '◇ unclear',
}

/** What each electrical test says of the readings so far. */
export function Findings({ tests, vetoes }: { tests: TestResults; vetoes: readonly VetoId[] }) {
  const found = ELECTRICAL_TEST_KEYS.flatMap((key) => (tests[key] ? [{ key, ...tests[key] }] : []))
  if (found.length === 0) {
    return (
      <p style={{ margin: 0 }}>
        Tap two terminals, a clamp, a part or a point of the way. What it says stands here.
      </p>
    )
  }
  return (
    <Box component="ul" aria-label="Findings" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {found.map(({ key, finding }) => (
        <Box component="li" key={key} sx={{ py: 0.75, borderBottom: 1, borderColor: 'divider' }}>
          <Typography sx={{ fontWeight: 650 }}>
            {MARK[finding.verdict]}: {electricalTestRow(key).label}
          </Typography>
          <Typography>{finding.sentence}</Typography>
          {nextOf(finding, vetoes) && (
            <Typography sx={{ color: 'text.secondary' }}>Next: {nextOf(finding, vetoes)}</Typography>
          )}
        </Box>
      ))}
    </Box>
  )
}
