'use client'
import { useUnits } from '@/ui/units'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type Policy, POLICY_KEYS, type PolicyQuestion } from '@/core/record/policy/policy'
import { policyRow } from '@/core/record/policy/questions'

type Props = {
  policy: Policy
  /** what differs from this is marked */
  against: Policy
  differs: string
  onAnswer: (question: PolicyQuestion, answer: string) => void
}

/** Every question of policy with its answers and one sentence why Orzo's own is the first. */
export function PolicyQuestions({ policy, against, differs, onAnswer }: Props) {
  const { say } = useUnits()
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' },
      }}
    >
      {POLICY_KEYS.map((key) => {
        const { question, answers, why } = policyRow(key)
        const isOther = policy[key] !== against[key]
        return (
          <Box key={key} data-policy={key} sx={{ borderBottom: 1, borderColor: 'divider', pb: 1.5 }}>
            <TextField
              select
              fullWidth
              label={say(question)}
              value={policy[key]}
              onChange={(event) => onAnswer(key, event.target.value)}
              slotProps={{ select: { SelectDisplayProps: { 'aria-label': question } } }}
            >
              {Object.entries(answers).map(([id, text]) => (
                <MenuItem key={id} value={id} sx={{ minHeight: 48, whiteSpace: 'normal' }}>
                  {say(text)}
                </MenuItem>
              ))}
            </TextField>
            <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem', mt: 0.5 }}>
              {isOther && <b>△ {differs}. </b>}
              {say(why)}
            </Typography>
          </Box>
        )
      })}
    </Box>
  )
}
