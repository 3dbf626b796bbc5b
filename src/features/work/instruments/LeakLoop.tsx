'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { LEAK_REPAIRS, type LeakRepair } from '@/core/record/records/repair'
import { LIKELY_PLACES, openLeakLoop } from '@/core/repair/work/leakLoop'
import { verdictThatCounts } from '@/core/repair/work/logsThatCount'
import { randomWord } from '@/data/newId'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { useKept } from '../../shared/display/useKept'
import type { InstrumentProps } from './instrumentProps'

const REPAIR_LABELS: Readonly<Record<LeakRepair, string>> = {
  brazed: 'brazed again',
  tightened: 'tightened, seal changed',
  replaced: 'part replaced',
}

/** What is typed of a leak before it is taken over: it stays when one leaves in the middle. */
type Draft = {
  readonly place: string
  readonly repair: LeakRepair
  readonly joints: string
  readonly part: string
}
const NEW: Draft = { place: '', repair: 'brazed', joints: '1', part: '' }
const keyOf = ({ job, step }: InstrumentProps) => `leak ${job.id} ${step.record?.id}`

function Form(props: InstrumentProps & { onClose: () => void }) {
  const { change, onLead, onClose } = props
  const [draft, setDraft] = useKept<Draft>(`${keyOf(props)} draft`, NEW)
  const { place, repair, joints, part } = draft
  const put = (values: Partial<Draft>) => setDraft({ ...draft, ...values })
  const count = Math.min(Math.max(Math.round(Number(joints)), 0), 60)
  const add = async () => {
    const made = repair === 'tightened' || !Number.isFinite(count) ? {} : { joints: count }
    const fitted = repair !== 'brazed' && part.trim() !== '' ? { part: part.trim() } : {}
    const leak = { id: randomWord(), place: place.trim(), repair, ...made, ...fitted }
    if (!(await change(openLeakLoop(leak)))) return
    setDraft(NEW)
    onClose()
    onLead()
  }
  return (
    <Box
      component="form"
      aria-label="A leak was found"
      sx={{ display: 'grid', gap: 1, border: 1, borderColor: 'divider', borderRadius: 1, p: 1.5 }}
      onSubmit={(event) => {
        event.preventDefault()
        if (place.trim() !== '') void add()
      }}
    >
      <Typography>
        Look first at joints made today, at tubes that were moved, at a valve that got hot. Then bleed,
        repair, sweep, and the test from its first step.
      </Typography>
      <ChoiceChips
        label="Where it leaks"
        values={LIKELY_PLACES}
        value={LIKELY_PLACES.find((each) => each === place)}
        plain={(word) => word}
        onChange={(word) => put({ place: word ?? '' })}
      />
      <TextField
        label="Its place in words"
        value={place}
        onChange={({ target }) => put({ place: target.value })}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <ChoiceChips
        label="How it is repaired"
        values={LEAK_REPAIRS}
        labels={REPAIR_LABELS}
        value={repair}
        onChange={(word) => put({ repair: LEAK_REPAIRS.find((each) => each === word) ?? repair })}
      />
      {repair !== 'tightened' && (
        <TextField
          label="Joints that are brazed"
          value={joints}
          onChange={({ target }) => put({ joints: target.value })}
          slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 2 } }}
          sx={{ maxWidth: 220 }}
        />
      )}
      {repair !== 'brazed' && (
        <TextField
          label="Part or seal, for the parts list"
          value={part}
          onChange={({ target }) => put({ part: target.value })}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={place.trim() === ''} sx={{ minHeight: 48 }}>
          Repair it, then test again
        </Button>
        <Button color="inherit" onClick={onClose} sx={{ minHeight: 48 }}>
          Cancel
        </Button>
      </Box>
    </Box>
  )
}

/** A leak that the test found: bleed, repair, sweep and the test once more, in one tap; what this pass showed stays. */
export function LeakLoop(props: InstrumentProps) {
  const [open, setOpen] = useKept<boolean | undefined>(`${keyOf(props)} open`, undefined)
  const { record } = props.step
  // only a test at which somebody worked can have found something
  if (!record || record.spans.length === 0) return null
  // where the hold failed it is offered open
  const hasFailed =
    verdictThatCounts({ job: props.job, verdicts: props.answer.verdicts }, 'pressure-test')?.limit ===
    'failed'
  if (open ?? hasFailed) return <Form {...props} onClose={() => setOpen(false)} />
  return (
    <Button variant="outlined" sx={{ minHeight: 48, justifySelf: 'start' }} onClick={() => setOpen(true)}>
      A leak was found
    </Button>
  )
}
