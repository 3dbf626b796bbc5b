'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { setQuote } from '@/core/record/edits/dayEdits'
import type { Plan } from '@/core/repair/plan/plan'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { IS_WIDE } from '@/ui/theme/theme'
import { wallWords } from '@/ui/timeplan/layout'
import { JobAnchor } from '../shared/address/JobAnchor'
import type { StageProps } from '../shared/stageProps'
import { saveWithout } from '../shared/saveWithout'
import { wallNow } from '../shared/wallClock'
import { Sentences } from './More'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

const WHY = {
  suspected: 'suspected, not decided',
  'gate-shut': 'decided, not proven yet',
  shown: 'seen or brought along, to be checked here',
} as const

/** A link in a sentence: a finger needs more room than the word takes. */
const IN_LINE = { color: 'inherit', padding: '12px 4px', margin: '-12px -4px' } as const

/** What must be proven before anything is bought. */
export function ProveFirst({ job, plan: { proofs } }: Pick<Props, 'job' | 'plan'>) {
  const first = proofs.filter(({ isFirst }) => isFirst)
  if (first.length === 0) return null
  return (
    <section aria-labelledby="prove-title">
      <Typography id="prove-title" variant="h2">
        Prove first
      </Typography>
      {first.map(({ fault, why, missing }) => (
        <Box key={fault} sx={{ mb: 1 }}>
          <Typography sx={{ fontWeight: 650 }}>
            △ {suspectLabel(fault)}: {why ? WHY[why] : ''}
          </Typography>
          <Sentences all={missing} />
        </Box>
      ))}
      <Typography sx={{ fontSize: '0.95rem' }}>
        {first.every(({ why }) => why === 'shown')
          ? 'What can be checked before it is opened is checked before parts are bought; the rest has its own step.'
          : 'Its parts are not bought and nothing is opened for it until then; decide it on '}
        {first.every(({ why }) => why === 'shown') || (
          <JobAnchor jobId={job.id} page="diagnose" style={IN_LINE}>
            Diagnose
          </JobAnchor>
        )}
      </Typography>
    </section>
  )
}

/** Whether the owner agreed: asked, given or refused, by whom, how long ago. */
export function Approval({ job, change, plan: { approval, opens, parts } }: Props) {
  const quote = job.day?.quote
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  if (!opens && !parts.some(({ days }) => days !== undefined)) return null
  // on a phone the view stays within three screens: there it comes with the quote, and at each step that it holds up
  const asksWhy = approval.state === 'not-asked' ? isWide : approval.state !== 'given'
  const isGood = approval.state === 'given' && !approval.isStale
  return (
    <section aria-labelledby="approval-title">
      <Typography id="approval-title" variant="h2">
        The owner agrees
      </Typography>
      <Typography>
        {isGood ? '●' : approval.state === 'refused' ? '⬣' : '△'} {approval.sentence}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end' }}>
        {quote?.askedAt ? (
          <Button
            color="inherit"
            onClick={() =>
              void change(
                setQuote({ askedAt: undefined, answer: undefined, answeredAt: undefined, by: undefined }),
              )
            }
          >
            Take back: asked {wallWords(quote.askedAt)}
          </Button>
        ) : (
          <Button
            variant="outlined"
            onClick={() => void change(setQuote({ askedAt: wallNow(job.unit.site?.zone) }))}
          >
            The quote is asked for
          </Button>
        )}
        <ChoiceChips
          label="Answer"
          values={['given', 'refused']}
          labels={{ given: 'agreed', refused: 'refused' }}
          value={quote?.answer}
          onChange={(word) =>
            void change(
              setQuote({
                answer: word as 'given' | 'refused' | undefined,
                answeredAt: word ? wallNow(job.unit.site?.zone) : undefined,
              }),
            )
          }
        />
        {quote?.answer && (
          <AutosaveField
            label="By whom"
            size="small"
            fullWidth={false}
            value={quote.by ?? ''}
            onSave={(by) => change(setQuote({ by: by || undefined }))}
            sx={{ pb: 1 }}
          />
        )}
      </Box>
      {(asksWhy || quote?.without) && (
        <AutosaveField
          label="Or why it goes on without; printed"
          value={quote?.without ?? ''}
          onSave={(text) => saveWithout(text, change)}
          sx={{ mt: 1 }}
        />
      )}
    </section>
  )
}
