'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { dayIn, instantOf } from '@/core/base/units/instants'
import { familyOf } from '@/core/diagnosis/faults/families'
import { type SuspectId, suspectLabel } from '@/core/diagnosis/faults/faults'
import { gateIdOf } from '@/core/diagnosis/faults/gateIds'
import type { Gate } from '@/core/diagnosis/proof/gates'
import { keptGate } from '@/core/diagnosis/proof/standing'
import {
  decideAll,
  decided,
  decisionOn,
  setOverride,
  takeAllBack,
  unnamedNotes,
} from '@/core/record/edits/decisionEdits'
import { observe } from '@/core/record/edits/readingEdits'
import { systemClock } from '@/data/clock'
import { BUILD } from '../shared/build'
import type { ObservationKey } from '@/core/record/readings/observations'
import { AutosaveField } from '@/ui/AutosaveField'
import { useNow } from '../shared/display/useNow'
import type { StageProps } from '../shared/stageProps'
import { AskFirst } from '../shared/unit/AskUnit'
import { Flags } from '../shared/Flags'
import { Gates } from './Gates'

type DecisionProps = Pick<StageProps, 'job' | 'change' | 'suspect' | 'answer'> & { gates: readonly Gate[] }

/** The faults of a suspect: one, or both of a pair. */
const faultsOf = ({ fault, also }: StageProps['suspect']) => [fault, ...(also ? [also] : [])]

/** What decides a suspect: its faults, each with its gate as it is judged now. */
const decisionsOf = (suspect: StageProps['suspect'], gates: readonly Gate[]) =>
  faultsOf(suspect).map((fault) => {
    const gate = gates.find((each) => each.gate === gateIdOf(fault))
    return { fault, gate: gate && keptGate(gate, BUILD) }
  })

function Decision({ job, change, suspect, answer, gates }: DecisionProps) {
  const noted = decisionOn(job, suspect.fault) ?? unnamedNotes(job)
  const isDecided = decisionOn(job, suspect.fault)?.state === 'decided'
  const open = gates.every((gate) => gate.met)
  const others = decided(job).filter(({ fault }) => !faultsOf(suspect).some((each) => each === fault))
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {others.length > 0 && (
        <Typography>
          Also decided on this job: {others.map(({ fault }) => suspectLabel(fault as SuspectId)).join('; ')}.
        </Typography>
      )}
      {!open && (
        <AutosaveField
          key={suspect.fault}
          label="Why without full proof"
          helperText="Goes into the report."
          value={noted?.override ?? ''}
          multiline
          onSave={(text) => change(setOverride(noted?.id ?? suspect.fault, text))}
        />
      )}
      <Button
        variant={isDecided ? 'outlined' : 'contained'}
        disabled={!isDecided && (!answer.isFresh || (!open && !noted?.override?.trim()))}
        onClick={() =>
          void change(isDecided ? takeAllBack(faultsOf(suspect)) : decideAll(decisionsOf(suspect, gates)))
        }
      >
        {isDecided ? '● Decided. Take back' : 'Repair this'}
      </Button>
      {isDecided && (
        <Button component={Link} href={`/job/${encodeURIComponent(job.id)}/plan`} variant="contained">
          To the plan
        </Button>
      )}
    </Box>
  )
}

/** Proof from another day, at the site, is repeated before anything is opened. */
function ProveAgain({ set }: Pick<StageProps, 'set'>) {
  const now = useNow()
  const read = instantOf(set.at)
  const zone = systemClock.zone()
  if (read === undefined || dayIn(read, zone) === dayIn(now, zone)) return null
  return (
    <Typography role="note" sx={{ fontWeight: 650 }}>
      △ Read on {new Date(read).toLocaleDateString()}: prove it again on the day of the repair, before
      anything is opened.
    </Typography>
  )
}

/** What must be proven before the suspect that is looked at is condemned, and the decision. */
export function GateAnswer(props: StageProps) {
  const { diagnosis, job, change, answer } = props
  if (answer.asks.length === 0) return <GateOf {...props} />
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <AskFirst plate={job.unit} asks={answer.asks} change={change} />
      <Flags flags={diagnosis.flags} />
    </Box>
  )
}

function GateOf({ diagnosis, job, change, set, setId, suspect, answer }: StageProps) {
  const put = (key: ObservationKey, word: string | undefined) => void change(observe(setId, key, word))
  const ids = faultsOf(suspect).flatMap((fault) => gateIdOf(fault) ?? [])
  const gates = answer.gates.filter(({ gate }) => ids.includes(gate))
  const twins = diagnosis.suspects.filter(
    (each) =>
      each !== suspect && familyOf(each.fault) === familyOf(suspect.fault) && each.probability >= 0.05,
  )
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <section aria-labelledby="gate-title">
        <Typography id="gate-title" variant="h2" gutterBottom>
          Before it is condemned
        </Typography>
        <Typography sx={{ mb: 1 }}>{suspect.label}</Typography>
        {gates.length > 0 ? (
          <Gates gates={gates} observations={set.observations ?? {}} answer={put} />
        ) : (
          <p style={{ margin: 0 }}>No proof gate for this suspect: confirm it by its tell.</p>
        )}
      </section>
      {twins.length > 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          The same next step as: {twins.map(({ label }) => label.toLowerCase()).join('; ')}.
        </Typography>
      )}
      <ProveAgain set={set} />
      {suspect.fault !== 'unlisted' && <Decision {...{ job, change, suspect, answer, gates }} />}
      <Flags flags={diagnosis.flags} />
    </Box>
  )
}
