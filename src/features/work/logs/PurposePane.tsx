'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { judgeLog, markLog } from '@/core/record/edits/workEdits'
import { countOf } from '@/core/record/logs/samples'
import { UNITS } from '@/core/base/units/units'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import type { LogHead, LogPurpose } from '@/core/record/records/log'
import { tagOf } from '@/core/record/job/idInRound'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { systemClock } from '@/data/clock'
import { randomWord } from '@/data/newId'
import { Figure, Figures } from '@/ui/Figure'
import { PURPOSE_NAMES } from '@/core/record/records/purposeNames'
import { keepLog } from '../../shared/logs/import/keepLog'
import { LogImportButton } from '../../shared/logs/import/LogImportButton'
import { storeSentence } from '../../shared/storage/storeSentence'
import type { StageProps } from '../../shared/stageProps'
import { jobNow } from '../useJobTime'
import { HandEntry } from './HandEntry'
import type { JudgedView } from './judged'
import { LogChart } from './LogChart'
import { type LogAction, PURPOSES } from './purposes'
import { PURPOSE_CHANNELS } from '@/core/repair/work/purposeChannels'
import { hasSamples, type PurposeLog, type Work } from './useWork'

export type PurposeProps = Pick<StageProps, 'job' | 'change'> & {
  /** the pass of a task that the log belongs to */
  step: string
  purpose: LogPurpose
  work: Work
  log: PurposeLog
  /** what is said of it; undefined before there is a look */
  view: JudgedView | undefined
  /** Pa, at the site */
  atmosphere: number
  /** no log may be begun yet */
  held: boolean
}

/** The head of a log that begins now. */
function headFor(
  { job, purpose, step }: Pick<PurposeProps, 'job' | 'purpose' | 'step'>,
  isLive: boolean,
): LogHead {
  const channels = PURPOSE_CHANNELS[purpose]
  const title = PURPOSE_NAMES[purpose]
  return {
    id: randomWord(),
    ...tagOf(job.round),
    name: title,
    startedAt: jobNow(job),
    source: isLive ? 'instruments' : 'hand',
    purpose,
    step,
    channels: channels.map(([key, unit]) => ({ key, unit })),
  }
}

/** What the instruments show now, large. */
function Now({ purpose, work: { watching } }: Pick<PurposeProps, 'purpose' | 'work'>) {
  return (
    <Figures>
      {PURPOSE_CHANNELS[purpose].map(([key]) => {
        const shown = watching.latest.get(key)
        const lost = watching.lost.has(key)
        return (
          <Figure
            key={key}
            label={channelRow(key).label}
            value={shown ? `${shown.value} ${shown.unit === 'micron' ? 'microns' : shown.unit}` : '–'}
            {...(lost ? { note: '△ out of reach' } : {})}
          />
        )
      })}
    </Figures>
  )
}

/** What can be done with a log: its beginning and end, what hands do, a typed look. Failures are told, not thrown. */
function logActs(props: PurposeProps) {
  const { job, change, work, log, view } = props
  const { recorder, source } = work
  const { head, isOwn } = log
  const now = () => jobTime(clockOf(job), systemClock.now())
  const begin = async (isLive: boolean) => {
    if (isLive) await recorder.connect()
    await recorder.start(headFor(props, isLive))
  }
  /** What is said of it is kept with it, then it is ended. */
  const end = async () => {
    if (!head) return
    if (view) await change(judgeLog(head.id, verdictOf(view)))
    await recorder.stop()
  }
  const act = async ({ mark, hands, isStep, label }: LogAction) => {
    const step = isStep ? view?.nextStep : undefined
    if (source && hands)
      await source.hands(step === undefined ? hands : { ...hands, regulator: step * UNITS.psia.si })
    if (!mark || !head || !isOwn) return
    await change(
      markLog(head.id, {
        what: mark,
        ...(mark === 'note' ? { text: label } : {}),
        ...(step === undefined ? {} : { value: Math.round(step) }),
      }),
    )
  }
  const type = async (values: ReadonlyMap<WorkChannel, { value: number; unit: string }>) => {
    const at = now()
    try {
      await recorder.type(at, new Map([...values].map(([key, value]) => [key, { ...value, at }])))
      return undefined
    } catch (error) {
      return storeSentence(error as Error)
    }
  }
  return {
    begin: (isLive: boolean) => void recorder.told(() => begin(isLive)),
    end: () => void recorder.told(end),
    judge: () =>
      void recorder.told(async () => head && view && (await change(judgeLog(head.id, verdictOf(view))))),
    act: (action: LogAction) => void recorder.told(() => act(action)),
    type,
  }
}

const LONGEST = 1900
const verdictOf = ({ passed, sentence, details }: JudgedView) => {
  const detail = details.join(' ').slice(0, LONGEST)
  return { passed, sentence: sentence.slice(0, LONGEST), ...(detail ? { detail } : {}) }
}

/** What the log says now, or what was said of it when it was ended. */
function Said({ view, log: { head, isOwn } }: Pick<PurposeProps, 'view' | 'log'>) {
  const kept = isOwn ? undefined : head?.verdict
  const word = kept ? (kept.passed ? 'passed' : 'refused') : view?.passed ? 'passed' : 'open'
  const sentence = kept?.sentence ?? view?.sentence
  if (sentence === undefined) return null
  const mark = word === 'passed' ? '●' : word === 'refused' ? '⬣' : '△'
  return (
    <>
      <Typography aria-live="polite" data-verdict={word} sx={{ fontSize: '1.1rem', fontWeight: 650 }}>
        {mark} {sentence}
      </Typography>
      {view && (
        <Figures>
          {view.figures.map(({ label, value, note }) => (
            <Figure key={label} label={label} value={value} {...(note ? { note } : {})} />
          ))}
        </Figures>
      )}
      {view?.details.map((detail) => (
        <Typography key={detail} sx={{ fontSize: '0.98rem' }}>
          {detail}
        </Typography>
      ))}
    </>
  )
}

type Acts = ReturnType<typeof logActs>

/** The log of another instrument: what begins in it is said in its dialog. */
function LogImport({ job, purpose, step, held }: PurposeProps) {
  const [words, mark] = PURPOSES[purpose].begins
  return (
    <LogImportButton
      label="Import CSV"
      disabled={held}
      begins={words}
      onTake={(name, imported, _readings, from) =>
        keepLog(job, name, imported, { purpose, step, marks: [{ seconds: from * 60, what: mark }] })
      }
    />
  )
}

/** Beginning, end and hands of a log. */
function LogButtons(props: PurposeProps & { acts: Acts }) {
  const {
    purpose,
    work: { source, watching },
    log,
    view,
    held,
    acts,
  } = props
  const { head, isOwn, isOpen } = log
  const { actions } = PURPOSES[purpose]
  const title = PURPOSE_NAMES[purpose]
  const isShut = held || watching.log !== undefined
  return (
    <Box role="group" aria-label={`${title} log`} sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
      {!isOwn && !isOpen && source && (
        <Button variant="contained" disabled={isShut} onClick={() => acts.begin(true)}>
          ● {head ? 'New log' : 'Start the log'}
        </Button>
      )}
      {!isOwn && !isOpen && (
        <Button variant="outlined" disabled={isShut} onClick={() => acts.begin(false)}>
          {head ? 'New log by hand' : 'Log by hand'}
        </Button>
      )}
      {isOwn &&
        actions.map((action) => (
          <Button
            key={action.label}
            variant="outlined"
            disabled={action.isStep === true && view?.nextStep === undefined}
            onClick={() => acts.act(action)}
          >
            {action.isStep && view?.nextStep !== undefined
              ? `To ${Math.round(view.nextStep)} psig`
              : action.label}
          </Button>
        ))}
      {isOwn && (
        <Button variant="contained" color={view?.passed ? 'primary' : 'inherit'} onClick={acts.end}>
          ■ End the log
        </Button>
      )}
      {isOpen && !isOwn && (
        <Typography sx={{ alignSelf: 'center' }}>
          Another window writes this log; it is shown there live.
        </Typography>
      )}
      {!isOwn && !isOpen && <LogImport {...props} />}
      {!isOwn && !isOpen && head && !head.verdict && view && (
        <Button variant="contained" onClick={acts.judge}>
          Keep what it says
        </Button>
      )}
      {!isOwn && watching.log && (
        <Typography sx={{ alignSelf: 'center' }}>
          “{watching.log.name}” is still being written: end it at its step first.
        </Typography>
      )}
    </Box>
  )
}

/** Channels that share an axis: those of one unit. */
const axesOf = (channels: LogHead['channels']): number[][] =>
  [...new Set(channels.map(({ unit }) => unit))].map((unit) =>
    channels.flatMap((channel, i) => (channel.unit === unit ? [i] : [])),
  )

function Curves({ purpose, log: { head, samples }, view }: Pick<PurposeProps, 'purpose' | 'log' | 'view'>) {
  if (!head || !hasSamples(samples)) return null
  const { isLogarithmic } = PURPOSES[purpose]
  const title = PURPOSE_NAMES[purpose]
  return axesOf(head.channels).map((channels) => (
    <LogChart
      key={channels.join()}
      head={head}
      samples={samples}
      channels={channels}
      label={`${title}: ${channels.map((at) => channelRow(head.channels[at]!.key).short).join(' and ')} over time`}
      isLogarithmic={isLogarithmic}
      levels={channels[0] === 0 ? (view?.levels ?? []) : []}
      zones={isLogarithmic ? (view?.zones ?? []) : []}
    />
  ))
}

/** Everything round one log: instruments, its beginning and end, what hands do, the curve, and what it says. */
export function PurposePane(props: PurposeProps) {
  const { purpose, work, log, view } = props
  const acts = logActs(props)
  const channels = PURPOSE_CHANNELS[purpose]
  const title = PURPOSE_NAMES[purpose]
  const { problem, unstored, message } = work.watching
  const wrong = unstored ?? problem ?? message
  return (
    <Box
      component="section"
      aria-label={title}
      data-log={log.head?.id}
      data-purpose={purpose}
      data-samples={log.samples ? countOf(log.samples) : 0}
      sx={{ display: 'grid', gap: 1 }}
    >
      {wrong && <Alert severity="error">{wrong}</Alert>}
      <Said view={view} log={log} />
      {!view && work.watching.status === 'connected' && <Now purpose={purpose} work={work} />}
      <LogButtons {...props} acts={acts} />
      {log.isOwn && log.head?.source === 'hand' && (
        <HandEntry channels={channels} atmosphere={props.atmosphere} onType={acts.type} />
      )}
      <Curves purpose={purpose} log={log} view={view} />
    </Box>
  )
}
