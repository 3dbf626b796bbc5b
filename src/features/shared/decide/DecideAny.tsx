'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { everyFaultOf } from '@/core/diagnosis/faults/applies'
import { FAULT_IDS, type FaultId, gateIdOf, suspectLabel } from '@/core/diagnosis/faults/faults'
import { keptGate } from '@/core/diagnosis/proof/decisionState'
import type { ProofGate } from '@/core/diagnosis/proof/gates'
import { decide, setShown } from '@/core/record/edits/decisionEdits'
import { together } from '@/core/record/edits/workEdits'
import { decisionOn } from '@/core/record/job/decisions'
import { type Shown, SHOWN_HOW, type ShownHow } from '@/core/record/records/decision'
import { Choice } from '@/ui/Choice'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { BUILD } from '../build'
import { decideNow } from './decideNow'
import { JobAnchor } from '../address/JobAnchor'
import { useKept } from '../display/useKept'
import type { StageProps } from '../stageProps'

const HOW_LABELS: Readonly<Record<ShownHow, string>> = {
  seen: 'seen',
  'earlier-visit': 'measured on an earlier visit',
  'another-firm': 'another firm condemned it',
}

/** What is typed of a verdict before it is decided; half typed, it stays when one leaves in the middle. */
type Draft = {
  readonly fault: FaultId | ''
  readonly how: ShownHow | ''
  readonly who: string
  readonly on: string
  readonly what: string
}
/** Every fault by what it is called. */
const LABELS = Object.fromEntries(FAULT_IDS.map((id) => [id, suspectLabel(id)])) as Record<FaultId, string>
const EMPTY: Draft = { fault: '', how: '', who: '', on: '', what: '' }

function shownOf({ how, who, on, what }: Draft): Shown | undefined {
  if (how === '') return undefined
  const text = (value: string) => value.trim() || undefined
  return {
    how,
    ...(text(who) ? { who: who.trim() } : {}),
    ...(on ? { on } : {}),
    ...(text(what) ? { what: what.trim() } : {}),
  }
}

/** What stands in the way of deciding it: a state that refuses it, or a shut gate and nobody who showed it. */
function barrier(gate: ProofGate | undefined, shown: Shown | undefined): string | undefined {
  const [refused] = gate?.refused ?? []
  if (refused) return refused
  if (!gate || gate.met || shown) return undefined
  return 'Not proven yet: say how it was shown, or take the readings that it asks for.'
}

/** What will be asked for again of a part that was seen or brought along. */
function Again({ gate }: { gate: ProofGate | undefined }) {
  const asked = (gate?.missing ?? []).filter(({ refused }) => refused === undefined)
  if (asked.length === 0) return null
  return (
    <Box>
      <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
        Not on record, asked for on the day of the repair:
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.25, fontSize: '0.95rem' }}>
        {asked.map(({ id, label }) => (
          <li key={id}>{label}</li>
        ))}
      </Box>
    </Box>
  )
}

/** Who showed it, on which day, and what was seen or measured. */
function ByWhom({ draft, put }: { draft: Draft; put: (values: Partial<Draft>) => void }) {
  return (
    <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 200px' } }}>
      <TextField
        label="By whom"
        value={draft.who}
        onChange={({ target }) => put({ who: target.value })}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <TextField
        label="On which day"
        type="date"
        value={draft.on}
        onChange={({ target }) => put({ on: target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <TextField
        label="What was seen or measured"
        value={draft.what}
        onChange={({ target }) => put({ what: target.value })}
        slotProps={{ htmlInput: { maxLength: 1000 } }}
        sx={{ gridColumn: '1 / -1' }}
      />
    </Box>
  )
}

export type DecideProps = Pick<StageProps, 'job' | 'unit' | 'change' | 'startRound'> & {
  answer: Pick<StageProps['answer'], 'gates' | 'isFresh'>
  /** it is the first thing that is asked of the job */
  asksFirst?: boolean
}

/** Any fault that the unit can have, decided by name: what was seen, or what somebody else condemned. */
export function DecideAny({ job, unit, change, startRound, answer, asksFirst = false }: DecideProps) {
  const [draft, setDraft] = useKept<Draft>(`decide ${job.id}`, EMPTY)
  const put = (values: Partial<Draft>) => setDraft({ ...draft, ...values })
  const { fault } = draft
  const shown = shownOf(draft)
  const gate = answer.gates.find((each) => fault !== '' && each.gate === gateIdOf(fault))
  const stop = barrier(gate, shown)
  const standing = fault === '' ? undefined : decisionOn(job, fault)
  const save = async (isDecided: boolean) => {
    if (fault === '') return
    // what was written down of it before stays where nothing else is said
    const said = shown ? [setShown(fault, shown)] : []
    if (!isDecided) return (await change(together(...said))) && setDraft(EMPTY)
    await decideNow(
      { job, change, startRound },
      together(...said, decide(fault, gate && keptGate(gate, BUILD))),
    )
  }
  return (
    <Box component="section" aria-labelledby="decide-title" sx={{ display: 'grid', gap: 1, maxWidth: 560 }}>
      <Typography id="decide-title" variant="h2">
        {asksFirst ? 'What was condemned?' : 'Decide another fault'}
      </Typography>
      <Choice
        label="Fault, by name"
        value={fault}
        values={everyFaultOf(unit, job.unit.metering !== undefined)}
        labels={LABELS}
        onChange={(id) => put({ fault: id })}
      />
      {fault !== '' && (
        <>
          <ChoiceChips
            label="How it was shown"
            values={SHOWN_HOW}
            labels={HOW_LABELS}
            value={draft.how}
            onChange={(word) => put({ how: SHOWN_HOW.find((each) => each === word) ?? '' })}
          />
          {draft.how !== '' && <ByWhom draft={draft} put={put} />}
          <Again gate={gate} />
          {stop && (
            <Typography role="note" sx={{ fontWeight: 650 }}>
              ⬣ {stop}
            </Typography>
          )}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button
              variant="contained"
              sx={{ minHeight: 48 }}
              disabled={stop !== undefined || !answer.isFresh || standing?.state === 'decided'}
              onClick={() => void save(true)}
            >
              {standing?.state === 'decided' ? '● Decided' : 'Decide: repair this'}
            </Button>
            {standing?.state === 'decided' ? (
              <Button
                component={JobAnchor}
                jobId={job.id}
                page="plan"
                variant="contained"
                sx={{ minHeight: 48 }}
              >
                To the plan
              </Button>
            ) : (
              <Button
                color="inherit"
                sx={{ minHeight: 48 }}
                disabled={!shown}
                onClick={() => void save(false)}
              >
                Only check this verdict
              </Button>
            )}
          </Box>
        </>
      )}
    </Box>
  )
}
