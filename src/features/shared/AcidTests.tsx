'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { format } from 'date-fns'
import { addAcidTest, removeAcidTest, takeBackAcidTest } from '@/core/record/edits/repairEdits'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { latestWords } from '@/core/record/job/words'
import { ACID_RESULTS, type AcidTestKind } from '@/core/record/records/repair'
import { acidFound, acidTestText } from '@/core/record/job/acidTests'
import { ChoiceChips } from '@/ui/ChoiceChips'
import type { StageProps } from './stageProps'

const ROWS = [
  ['oil-kit', 'Acid test of the oil, by a kit', 'oil'],
  ['strip', 'Acid strip in the gas', 'strip'],
] as const

/** Tests for acid: one tap writes one down with its moment; the latest of each kind speaks. */
export function AcidTests({ job, change }: Pick<StageProps, 'job' | 'change'>) {
  const tests = job.repair?.acidTests ?? []
  const found = acidFound({ observations: latestWords(setsOfRound(job)), repair: job.repair ?? {} })
  const choose = (kind: AcidTestKind, word: string | undefined) => {
    const result = ACID_RESULTS.find((each) => each === word)
    if (result) return void change(addAcidTest({ kind, result }))
    void change(takeBackAcidTest(kind))
  }
  return (
    <Box component="section" aria-label="Acid tests">
      {ROWS.map(([kind, label, of]) => (
        <ChoiceChips
          key={kind}
          label={label}
          values={ACID_RESULTS}
          value={found[of]}
          onChange={(word) => choose(kind, word)}
        />
      ))}
      <Box component="ul" aria-label="Acid tests so far" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {tests.map((test) => (
          <Box component="li" key={test.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography>
              {format(new Date(test.at), 'd MMM HH:mm')} {acidTestText(test)}
            </Typography>
            <Button
              color="inherit"
              aria-label={`Remove: ${acidTestText(test)}`}
              onClick={() => void change(removeAcidTest(test.id))}
            >
              Remove
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
