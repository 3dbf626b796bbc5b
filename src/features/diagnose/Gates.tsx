import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Gate } from '@/core/diagnose/gates'

const name = (part: string) => part.replace(/-/g, ' ')

/** What must be on record before a part is condemned. */
export function Gates({ gates }: { gates: readonly Gate[] }) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {gates.map((gate) => (
        <section key={gate.gate} aria-label={`Proof gate: ${name(gate.gate)}`}>
          <Typography sx={{ fontWeight: 650 }}>
            {gate.met ? '● open' : '⬣ closed'}: {name(gate.part)}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 0, listStyle: 'none' }}>
            {gate.missing.map(({ id, label, caution }) => (
              <li key={id}>
                {caution && (
                  <Typography component="div" sx={{ color: 'error.main', fontSize: '0.92rem' }}>
                    ⬣ {caution}
                  </Typography>
                )}
                ☐ {label}
              </li>
            ))}
            {gate.onRecord.map(({ id, label }) => (
              <Box component="li" key={id} sx={{ color: 'text.secondary' }}>
                ☑ {label}
              </Box>
            ))}
          </Box>
        </section>
      ))}
    </Box>
  )
}
