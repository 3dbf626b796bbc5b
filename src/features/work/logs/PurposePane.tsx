'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { markLog } from '@/core/record/edits/workEdits'
import { countOf } from '@/core/record/logs/samples'
import { UNITS } from '@/core/base/units/units'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import type { LogHead, LogPurpose } from '@/core/record/records/log'
import { tagOf } from '@/core/record/job/idInRound'
import { clockOf, jobTime } from '@/core/record/job/jobTime'
import { systemClock } from '@/data/clock'
import { randomWord } from '@/data/newId'
import { Figure, Figures } from '@/ui/Figure'
import { keepLog } from '../../shared/logs/import/keepLog'
import { LogImportButton } from '../../shared/logs/import/LogImportButton'
import { storeSentence } from '../../shared/storage/storeSentence'
import type { StageProps } from '../../shared/stageProps'
import { jobNow } from '../useJobTime'
import { HandEntry } from './HandEntry'
import { LogChart } from './LogChart'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { logWord } from '@/core/repair/logs/logWord'
import { isOpening, type Told } from '@/core/repair/logs/told'
import type { Verdicts } from '@/core/repair/logs/verdicts'
import { LOG_ACTIONS, type LogAction } from './logActions'
import { hasSamples, type PurposeLog, type Work } from './useWork'

export type PurposeProps = Pick<StageProps, 'job' | 'change'> & {
  /** the pass of a task that the log belongs to */
  step: string
  purpose: LogPurpose
  work: Work
  log: PurposeLog
  /** what is said of it as it stands; undefined before there is a look */
  view: Told | undefined
  /** what is said of the ended logs */
  verdicts: Verdicts
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
  const channels = LOG_KINDS[purpose].channels
  const title = LOG_KINDS[purpose].name
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
      {LOG_KINDS[purpose].channels.map(([key]) => {
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
    end: () => void recorder.told(() => recorder.stop()),
    act: (action: LogAction) => void recorder.told(() => act(action)),
    type,
  }
}

/** How a log stands and its sentence: of one that is ended by its judge, of one that is written as it stands. */
function standsOf({ view, verdicts, log: { head, isOpen } }: SaidProps) {
  const ended = head && !isOpen ? verdicts[head.id] : undefined
  const verdict = ended === undefined || ended === 'no-samples' ? view : ended
  if (verdict) return { ...verdict, missing: [...verdict.missing, ...(isOpen ? ['end the log'] : [])] }
  return head && ended === 'no-samples'
    ? { limit: 'waiting' as const, missing: [], ...logWord(head, ended) }
    : undefined
}
type SaidProps = Pick<PurposeProps, 'view' | 'log' | 'verdicts'>

/** What the log says, and what is still missing. */
function Said(props: SaidProps) {
  const { view } = props
  const stands = standsOf(props)
  if (!stands) return null
  const { limit, missing, sentence } = stands
  const mark = isOpening(stands) ? '●' : limit === 'failed' ? '⬣' : '△'
  return (
    <>
      <Typography
        aria-live="polite"
        data-verdict={limit}
        data-opens={isOpening(stands)}
        sx={{ fontSize: '1.1rem', fontWeight: 650 }}
      >
        {mark} {sentence}
      </Typography>
      {missing.length > 0 && (
        <Typography data-missing sx={{ fontSize: '0.98rem' }}>
          Still to do: {missing.join('; ')}.
        </Typography>
      )}
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
  const [words, mark] = LOG_KINDS[purpose].begins
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
  const actions = LOG_ACTIONS[purpose]
  const title = LOG_KINDS[purpose].name
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
        <Button
          variant="contained"
          color={view && isOpening(view) ? 'primary' : 'inherit'}
          onClick={acts.end}
        >
          ■ End the log
        </Button>
      )}
      {isOpen && !isOwn && (
        <Typography sx={{ alignSelf: 'center' }}>
          Another window writes this log; it is shown there live.
        </Typography>
      )}
      {!isOwn && !isOpen && <LogImport {...props} />}
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
  const { isLogarithmic } = LOG_KINDS[purpose]
  const title = LOG_KINDS[purpose].name
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
  const channels = LOG_KINDS[purpose].channels
  const title = LOG_KINDS[purpose].name
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
      <Said view={view} log={log} verdicts={props.verdicts} />
      {!view && work.watching.status === 'connected' && <Now purpose={purpose} work={work} />}
      <LogButtons {...props} acts={acts} />
      {log.isOwn && log.head?.source === 'hand' && (
        <HandEntry channels={channels} atmosphere={props.atmosphere} onType={acts.type} />
      )}
      <Curves purpose={purpose} log={log} view={view} />
    </Box>
  )
}
