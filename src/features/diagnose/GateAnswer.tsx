'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { dayIn, instantOf } from '@/core/base/units/instants'
import { dateIn } from '@/core/base/units/siteTime'
import { familyOf } from '@/core/diagnosis/faults/families'
import { type SuspectId, suspectLabel } from '@/core/diagnosis/faults/faults'
import { gateIdOf } from '@/core/diagnosis/faults/faults'
import type { ProofGate } from '@/core/diagnosis/proof/gates'
import { keptGate, type DecisionState } from '@/core/diagnosis/proof/decisionState'
import { decideAll, setOverride, takeAllBack } from '@/core/record/edits/decisionEdits'
import { together } from '@/core/record/edits/workEdits'
import { isRoundOver } from '@/core/record/job/rounds'
import { decisionOn, isReason, unnamedNotes } from '@/core/record/job/decisions'
import { observe } from '@/core/record/edits/readingEdits'
import { useContext } from 'react'
import { systemClock } from '@/data/clock'
import { SiteTimeContext } from '@/ui/siteClock'
import { JobAnchor } from '../shared/address/JobAnchor'
import { BUILD } from '../shared/build'
import type { ObservationKey } from '@/core/record/readings/observations'
import { AutosaveField } from '@/ui/AutosaveField'
import { useNow } from '../shared/display/useNow'
import type { StageProps } from '../shared/stageProps'
import { AskFirst } from '../shared/unit/AskUnit'
import { Flags } from '../shared/Flags'
import { isNothingRead } from '@/core/report/nothingRead'
import { NothingReadYet, NothingToCondemn } from './NothingYet'
import { decideNow } from '../shared/decide/decideNow'
import { Gates } from '../shared/decide/Gates'

/** Nothing is repaired where nothing is wrong, or where the list does not hold it. */
const isRepairable = (fault: SuspectId) => fault !== 'unlisted' && fault !== 'healthy'

type DecisionProps = Pick<StageProps, 'job' | 'change' | 'startRound' | 'suspect' | 'answer'> & {
  gates: readonly ProofGate[]
}

/** The faults of a suspect: one, or both of a pair. */
const faultsOf = ({ fault, also }: StageProps['suspect']) => [fault, ...(also ? [also] : [])]

/** What decides a suspect: its faults, each with its gate as it is judged now. */
const decisionsOf = (suspect: StageProps['suspect'], gates: readonly ProofGate[]) =>
  faultsOf(suspect).map((fault) => {
    const gate = gates.find((each) => each.gate === gateIdOf(fault))
    return { fault, gate: gate && keptGate(gate, BUILD) }
  })

/** Reasons that were written for the faults of a suspect go along into another repair. */
const withReasons = (job: StageProps['job'], suspect: StageProps['suspect']) =>
  together(...faultsOf(suspect).map((fault) => setOverride(fault, decisionOn(job, fault)?.override ?? '')))

/** A fault with its gate, and whether it may be decided: proven, or with a reason of its own; never against a veto. */
type Deciding = { fault: SuspectId; gate: ProofGate | undefined; needsReason: boolean; mayDecide: boolean }

function decidingOf(job: StageProps['job'], fault: SuspectId, gates: readonly ProofGate[]): Deciding {
  const gate = gates.find((each) => each.gate === gateIdOf(fault))
  const isRefused = (gate?.refused.length ?? 0) > 0
  const needsReason = gate !== undefined && !gate.met && !isRefused
  const mayDecide = !isRefused && (!needsReason || isReason(decisionOn(job, fault)?.override))
  return { fault, gate, needsReason, mayDecide }
}

/** Why a part is condemned without full proof: a reason for each fault, kept with that fault. */
function Reason({
  job,
  change,
  fault,
  many,
}: Pick<StageProps, 'job' | 'change'> & { fault: SuspectId; many: boolean }) {
  const written = decisionOn(job, fault)?.override ?? ''
  const before = unnamedNotes(job)?.override
  const hint = written !== '' && !isReason(written) ? 'Say why in a few words. ' : ''
  return (
    <AutosaveField
      label={many ? `Why without full proof: ${suspectLabel(fault).toLowerCase()}` : 'Why without full proof'}
      helperText={`${hint}Goes into the report.${before ? ` Written before for no fault: "${before}".` : ''}`}
      value={written}
      multiline
      onSave={(text) => change(setOverride(fault, text))}
    />
  )
}

/** Everything that is decided beside the suspect that is looked at: how it stands, and the way back. */
function AlsoDecided({
  decisionStates,
  but,
  takeBack,
}: {
  decisionStates: readonly DecisionState[]
  but: readonly SuspectId[]
  takeBack: (fault: SuspectId) => void
}) {
  const others = decisionStates.filter(({ fault }) => !but.includes(fault))
  if (others.length === 0) return null
  return (
    <Box>
      <Typography>Also decided on this job:</Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
        {others.map(({ fault, state }) => (
          <li key={fault}>
            {suspectLabel(fault)}: {STANDS[state]}
            <Button
              sx={{ display: 'block', minHeight: 48, px: 0 }}
              aria-label={`Take back: ${suspectLabel(fault).toLowerCase()}`}
              onClick={() => takeBack(fault)}
            >
              Take back
            </Button>
          </li>
        ))}
      </Box>
    </Box>
  )
}

const STANDS: Readonly<Record<DecisionState['state'], string>> = {
  proven: '● its gate is open',
  'no-gate': '● no gate before it',
  overridden: '△ without full proof, for a written reason',
  shown: '△ seen or brought along, not checked here yet',
  'not-proven': '⬣ not proven',
}

function Decision({ job, change, startRound, suspect, answer, gates }: DecisionProps) {
  const isDecided = decisionOn(job, suspect.fault)?.state === 'decided'
  const deciding = faultsOf(suspect).map((fault) => decidingOf(job, fault, gates))
  // a repair that is over stays as it is: what is decided now is another one
  const isAnother = isRoundOver(job)
  const mayDecide = answer.isFresh && deciding.every((each) => each.mayDecide)
  const reasons = deciding.filter((each) => each.needsReason)
  const isBrought = answer.decisionStates.some(
    ({ fault, state }) => state === 'shown' && faultsOf(suspect).includes(fault),
  )
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {isBrought && <Typography>{STANDS.shown}</Typography>}
      {reasons.map(({ fault }) => (
        <Reason key={fault} {...{ job, change, fault }} many={deciding.length > 1} />
      ))}
      <Button
        variant={isDecided ? 'outlined' : 'contained'}
        disabled={!isDecided && !mayDecide}
        onClick={() => {
          const decide = decideAll(decisionsOf(suspect, gates))
          if (isDecided) void change(takeAllBack(faultsOf(suspect)))
          else
            void decideNow({ job, change, startRound }, decide, together(withReasons(job, suspect), decide))
        }}
      >
        {isDecided ? '● Decided. Take back' : isAnother ? 'Repair this: another repair' : 'Repair this'}
      </Button>
      {isDecided && (
        <Button component={JobAnchor} jobId={job.id} page="plan" variant="contained">
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
  const zone = useContext(SiteTimeContext).zone ?? systemClock.zone()
  if (read === undefined || dayIn(read, zone) === dayIn(now, zone)) return null
  return (
    <Typography role="note" sx={{ fontWeight: 650 }}>
      △ Read on {dateIn(read, zone)}: prove it again on the day of the repair, before anything is opened.
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

/** What must be on record before the suspect is condemned. */
function GatesOf({ suspect, gates, set, setId, change }: StageProps & { gates: readonly ProofGate[] }) {
  const put = (key: ObservationKey, word: string | undefined) => void change(observe(setId, key, word))
  return (
    <section aria-labelledby="gate-title">
      <Typography id="gate-title" variant="h2" gutterBottom>
        Before it is condemned
      </Typography>
      <Typography sx={{ mb: 1 }}>{suspect.label}</Typography>
      {gates.length > 0 ? (
        <Gates gates={gates} observations={set.observations ?? {}} answer={put} />
      ) : (
        <p style={{ margin: 0 }}>No proof gate for this suspect: confirm it by its sign.</p>
      )}
    </section>
  )
}

/** Nothing is read yet, nothing is wrong, or a gate stands before the part. */
function Before(props: StageProps & { gates: readonly ProofGate[] }) {
  const { job, suspect, diagnosis } = props
  if (isNothingRead(job) && suspect === diagnosis.suspects[0]) return <NothingReadYet {...props} />
  if (suspect.fault === 'healthy') return <NothingToCondemn suspect={suspect} />
  return <GatesOf {...props} />
}

function GateOf(props: StageProps) {
  const { diagnosis, job, change, startRound, set, suspect, answer } = props
  const ids = faultsOf(suspect).flatMap((fault) => gateIdOf(fault) ?? [])
  const gates = answer.gates.filter(({ gate }) => ids.includes(gate))
  const twins = diagnosis.suspects.filter(
    (each) =>
      each !== suspect && familyOf(each.fault) === familyOf(suspect.fault) && each.probability >= 0.05,
  )
  return (
    <Box sx={{ p: 2, display: 'grid', gap: 2 }}>
      <Before {...props} gates={gates} />
      {twins.length > 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          The same next step as: {twins.map(({ label }) => label.toLowerCase()).join('; ')}.
        </Typography>
      )}
      <ProveAgain set={set} />
      <AlsoDecided
        decisionStates={answer.decisionStates}
        but={faultsOf(suspect)}
        takeBack={(fault) => void change(takeAllBack([fault]))}
      />
      {isRepairable(suspect.fault) && <Decision {...{ job, change, startRound, suspect, answer, gates }} />}
      <Flags flags={diagnosis.flags} />
    </Box>
  )
}
