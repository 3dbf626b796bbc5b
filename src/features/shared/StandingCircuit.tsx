import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { StandingState } from '@/core/diagnosis/standing/standingCircuit'
import type { StandingTold } from '@/core/diagnosis/standing/standingSentence'

const MARK: Readonly<Record<StandingState, string>> = {
  liquid: '● Liquid left',
  over: '△ Above saturation',
  'vapour-only': '⬣ Vapour only',
  empty: '⬣ Empty',
  vacuum: '⬣ Vacuum',
}
const SECTION = { circuit: '', 'low-side': ', low side', 'high-side': ', high side' } as const

/** What the circuit tells at rest: a statement for each section, and what follows where the charge is lost. */
export function StandingCircuit({ told }: { told: StandingTold | undefined }) {
  if (!told) return null
  return (
    <section aria-labelledby="standing-title">
      <Typography id="standing-title" variant="h2" gutterBottom>
        At rest
      </Typography>
      {told.sections.map(({ section, state, sentence }) => (
        <Box key={section} sx={{ pb: 0.75 }}>
          <Typography sx={{ fontWeight: 650 }}>
            {MARK[state]}
            {SECTION[section]}
          </Typography>
          <Typography sx={{ fontSize: '0.95rem' }}>{sentence}</Typography>
        </Box>
      ))}
      {told.open && <Typography sx={{ fontSize: '0.95rem' }}>{told.open}</Typography>}
      {told.next && (
        <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>{told.next}</Typography>
      )}
    </section>
  )
}
