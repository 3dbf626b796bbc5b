'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { killsCompressor } from '@/core/diagnosis/proof/causes'
import { suspectKey } from '@/core/answer/diagnose'
import { hasDegree, type SuspectId } from '@/core/diagnosis/faults/faults'
import { decidedFaults } from '@/core/answer/repairedFaults'
import { checkRow } from '@/core/diagnosis/checks/checks'
import type { NextCheck } from '@/core/diagnosis/checks/nextCheck'
import { electricalTestRow } from '@/core/diagnosis/electrical/electricalTests'
import { chance } from '@/core/base/units/chance'
import { ProbabilityBar } from '@/ui/ProbabilityBar'
import { IS_WIDE } from '@/ui/theme/theme'
import { goInJob, useInAddress } from '../shared/address/useAddress'
import type { StageProps } from '../shared/stageProps'
import { wordsNow } from '../shared/wordsNow'
import { believed, isFirstBeside, SuspectNotes } from '../shared/SuspectNotes'
import { StandingCircuit } from '../shared/StandingCircuit'
import { Vetoes } from '../shared/Vetoes'
import { SetBar } from '../shared/sets/SetBar'
import { observe } from '@/core/record/edits/readingEdits'
import { AskFirst } from '../shared/unit/AskUnit'
import { isDecided, toCheck } from '@/core/record/job/decisions'
import { beginningOf } from '@/core/record/job/begin'
import { type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { ElectricalBench } from './bench/ElectricalBench'
import { Causes } from './Causes'
import { DecideAny } from '../shared/decide/DecideAny'
import { ToCheck } from './ToCheck'
import { EvidenceList } from './EvidenceList'
import { MindChangers } from './MindChangers'
import { type CheckActions, NextChecks } from './NextChecks'

const MOST_SUSPECTS = 5
/** A compressor suspect this probable makes its cause of death a question. */
const CAUSE_PROBABILITY = 0.1

function severityWord(severity: number): string {
  if (severity > 0.75) return 'severe'
  return severity > 0.4 ? 'moderate' : 'slight'
}

function SuspectChoice({ diagnosis, suspect, chooseSuspect }: StageProps) {
  return (
    <ToggleButtonGroup
      exclusive
      value={suspectKey(suspect)}
      onChange={(_event, key: string | null) => key && chooseSuspect(key)}
      aria-label="Suspect"
      orientation="vertical"
      sx={{ width: '100%' }}
    >
      {diagnosis.suspects.slice(0, MOST_SUSPECTS).map((each, i) => (
        <ToggleButton
          key={suspectKey(each)}
          value={suspectKey(each)}
          sx={{ display: 'block', px: 1.5, py: 0.75, color: 'text.primary' }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', textAlign: 'left', gap: 2, mb: 0.5 }}>
            <span>
              {isFirstBeside(diagnosis.suspects, i) && (
                <Box component="span" sx={{ display: 'block', color: 'text.secondary' }}>
                  Beside it:
                </Box>
              )}
              {each.label}
            </span>
            <strong style={{ whiteSpace: 'nowrap' }}>{believed(each)}</strong>
          </Box>
          <ProbabilityBar share={each.probability} strong={i === 0} />
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

/** Where each kind of check is made: here, at its tap on Measure, or on the bench. */
function useCheckActions(
  { job, unit, change, setId, openTap }: StageProps,
  showBench: () => void,
): CheckActions {
  return {
    answer: (key, word) => void change(observe(setId, key, word)),
    take: ({ taps }: NextCheck) => {
      openTap(taps[0])
      goInJob(job.id, 'measure')
    },
    toBench: ({ check, taps }: NextCheck) => {
      const { test } = checkRow(check)
      openTap(taps[0] ?? (test && electricalTestRow(test).needs(unit)[0]))
      showBench()
    },
  }
}

/** The suspect that is looked at with its evidence, and what would change the mind about the leader. */
function SuspectPanel(props: StageProps) {
  const { diagnosis, suspect, set } = props
  const isLeader = suspect === diagnosis.suspects[0]
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      <SuspectChoice {...props} />
      <section aria-labelledby="evidence-title">
        <Typography id="evidence-title" variant="h2">
          {suspect.label} {believed(suspect)}
          {!suspect.seen &&
            suspect.severity > 0 &&
            hasDegree(suspect.fault) &&
            `, ${severityWord(suspect.severity)}`}
        </Typography>
        {suspect.distinguishingSign && (
          <Typography sx={{ color: 'text.secondary' }}>Sign: {suspect.distinguishingSign}.</Typography>
        )}
        <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
          {suspect.seen &&
            'It was seen: it leads whatever the pattern says, and the others stand beside it. '}
          Before any reading {chance(suspect.prior.share)}
          {suspect.prior.because.length > 0 &&
            (suspect.prior.factor === 1
              ? `: ${suspect.prior.because.join(' and ')}`
              : `, moved by ${suspect.prior.because.join(' and ')} (×${suspect.prior.factor.toFixed(1)})`)}
          .
        </Typography>
        <EvidenceList evidence={suspect.evidence} />
      </section>
      {isLeader && (
        <section aria-labelledby="mind-title">
          <Typography id="mind-title" variant="h2">
            What would change my mind
          </Typography>
          <MindChangers changers={diagnosis.mindChangers} mode={set.mode} />
        </section>
      )}
    </Box>
  )
}

const VIEWS = ['suspects', 'bench', 'cause'] as const
type View = (typeof VIEWS)[number]

/** The compressor fault whose death is asked for: decided, or so probable that it is a question. */
function deathAskedFor({ job, diagnosis }: StageProps): SuspectId | undefined {
  const named = decidedFaults(job)
  if (named.length > 0) return named.find(killsCompressor)
  return diagnosis.suspects.find(
    ({ fault, probability }) => probability >= CAUSE_PROBABILITY && killsCompressor(fault),
  )?.fault
}

type SuspectsProps = { props: StageProps; actions: CheckActions }
type AllProps = SuspectsProps & { decidesBelow: boolean }

/** What must not be done now stands before every proposal. */
function NotNow({ answer, unit, set, setId, change }: StageProps) {
  return (
    <Vetoes vetoes={answer.vetoes} observations={wordsNow(set, answer.state)} {...{ unit, setId, change }} />
  )
}

function Checks({ props: { diagnosis, set }, actions, most }: SuspectsProps & { most?: number }) {
  const [all, setAll] = useState(false)
  const shown = most === undefined || all ? diagnosis.nextChecks : diagnosis.nextChecks.slice(0, most)
  const left = diagnosis.nextChecks.length - shown.length
  return (
    <section aria-labelledby="checks-title">
      <Typography id="checks-title" variant="h2">
        Next check
      </Typography>
      <NextChecks checks={shown} observations={set.observations ?? {}} mode={set.mode} actions={actions} />
      {left > 0 && (
        <Button color="inherit" onClick={() => setAll(true)}>
          {left} more {left === 1 ? 'check' : 'checks'}
        </Button>
      )}
    </section>
  )
}

/** Who leads, and what speaks for it first. */
function Leader({ diagnosis: { suspects } }: StageProps) {
  const [leader] = suspects
  if (!leader) return null
  const reason = leader.evidence.find(({ direction }) => direction === 'for')
  return (
    <section aria-label="Leading suspect">
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
        <Typography sx={{ fontWeight: 700, fontSize: '1.15rem' }}>{leader.label}</Typography>
        <Typography sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>{believed(leader)}</Typography>
      </Box>
      {reason && <Typography sx={{ color: 'text.secondary' }}>{reason.sentence}</Typography>}
    </section>
  )
}

/** Suspects and checks beside each other; on a phone the check stands under the leader, evidence after it. */
function Suspects({ props, actions, decidesBelow }: AllProps) {
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  if (!isWide)
    return (
      <Box sx={{ px: 2, pb: 2, display: 'grid', gap: 2 }}>
        <Leader {...props} />
        <NotNow {...props} />
        <Checks props={props} actions={actions} most={1} />
        <ToCheck {...props} />
        <StandingCircuit told={props.answer.standing} />
        <SuspectNotes ranking={props.diagnosis} mode={props.set.mode} />
        <SuspectPanel {...props} />
        {decidesBelow && <DecideAny {...props} />}
      </Box>
    )
  return (
    <Box
      sx={{ px: 2, pb: 2, display: 'grid', gap: 3, gridTemplateColumns: 'minmax(0, 1.2fr) minmax(0, 1fr)' }}
    >
      <Box>
        <SuspectNotes ranking={props.diagnosis} mode={props.set.mode} />
        <SuspectPanel {...props} />
      </Box>
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
        <StandingCircuit told={props.answer.standing} />
        <ToCheck {...props} />
        <NotNow {...props} />
        <Checks props={props} actions={actions} />
        {decidesBelow && <DecideAny {...props} />}
      </Box>
    </Box>
  )
}

/** A job that began with a machine that does not run opens at the bench until something is read of the circuit. */
const beginsAtBench = ({ job }: StageProps): boolean =>
  beginningOf(job.arrival) === 'bench' &&
  job.readingSets.every((set) =>
    (Object.keys(set.readings) as ReadingKey[]).every((key) => readingRow(key).place === 'electrical'),
  )

/** A job that began with somebody's verdict asks for it where nothing is decided or named yet. */
const asksForVerdict = ({ job }: StageProps): boolean =>
  beginningOf(job.arrival) === 'verdict' && toCheck(job).length === 0 && !isDecided(job)

/** Suspects with their evidence and next checks, the electrical bench, the cause of death; the gate stands in the answer. */
export function DiagnoseStage(props: StageProps) {
  const { asks } = props.answer
  const [first] = useState<View>(() => (beginsAtBench(props) ? 'bench' : 'suspects'))
  const [view, setView] = useInAddress<View>('view', first, VIEWS)
  const actions = useCheckActions(props, () => setView('bench'))
  // once it is answered it stays where it was, with the way to the plan
  const [asksFirst] = useState(() => asksForVerdict(props))
  const isAskedAbove = asksFirst && toCheck(props.job).length === 0
  const dead = deathAskedFor(props)
  const shown = view === 'cause' && !dead ? 'suspects' : view
  return (
    <Box>
      <SetBar {...props} />
      <Tabs
        value={shown}
        onChange={(_event, value: View) => setView(value)}
        aria-label="Diagnosis"
        sx={{ px: 2, mb: 2, borderBottom: 1, borderColor: 'divider' }}
      >
        <Tab value="suspects" label="Suspects" />
        <Tab value="bench" label="Electrical bench" />
        {dead && <Tab value="cause" label="Why it died" />}
      </Tabs>
      {shown === 'bench' && <ElectricalBench {...props} />}
      {shown === 'cause' && dead && <Causes {...props} dead={dead} />}
      {shown === 'suspects' && isAskedAbove && (
        <Box sx={{ px: 2, pb: 2 }}>
          <DecideAny {...props} asksFirst />
        </Box>
      )}
      {shown === 'suspects' && asks.length > 0 && (
        <Box sx={{ px: 2, pb: 2, maxWidth: 520, display: 'grid', gap: 2 }}>
          <ToCheck {...props} />
          <AskFirst plate={props.job.unit} asks={asks} change={props.change} />
        </Box>
      )}
      {shown === 'suspects' && asks.length === 0 && (
        <Suspects props={props} actions={actions} decidesBelow={!isAskedAbove} />
      )}
    </Box>
  )
}
