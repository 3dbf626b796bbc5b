'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { drawable } from '@/core/record/logs/drawable'
import { countOf } from '@/core/record/logs/samples'
import { curveText, shownLog } from '@/core/record/logs/shownLog'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import { convertValue } from '@/core/base/units/convertValue'
import { unitText } from '@/core/base/units/system'
import { isUnit, type Unit } from '@/core/base/units/units'
import type { LogHead } from '@/core/record/records/log'
import { Figure, Figures } from '@/ui/Figure'
import { fieldUnit } from '@/core/base/units/system'
import { useUnits } from '@/ui/units'
import { AskEntries } from '../../shared/unit/entryFields'
import { HandEntry } from './HandEntry'
import { LogChart } from './LogChart'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { logWord } from '@/core/repair/logs/logWord'
import { isOpening, type Level } from '@/core/repair/logs/told'
import { logActs } from './logActs'
import { LogButtons } from './LogButtons'
import { LooksList } from './LooksList'
import type { PurposeProps } from './purposeProps'
import { hasSamples } from './useWork'

/** What the instruments show now, large. */
function Now({ purpose, work: { watching } }: Pick<PurposeProps, 'purpose' | 'work'>) {
  const { say } = useUnits()
  return (
    <Figures>
      {LOG_KINDS[purpose].channels.map(([key]) => {
        const shown = watching.latest.get(key)
        const lost = watching.lost.has(key)
        return (
          <Figure
            key={key}
            label={channelRow(key).label}
            value={
              shown ? say(`${shown.value} ${isUnit(shown.unit) ? unitText(shown.unit) : shown.unit}`) : '–'
            }
            {...(lost ? { note: '△ out of reach' } : {})}
          />
        )
      })}
    </Figures>
  )
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
          {view.figures.map(({ label, value, note, basis }) => (
            <Figure key={label} label={label} value={value} {...(note ? { note } : {})} basis={basis} />
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

/** Channels that share an axis: those of one unit. */
const axesOf = (channels: LogHead['channels']): number[][] =>
  [...new Set(channels.map(({ unit }) => unit))].map((unit) =>
    channels.flatMap((channel, i) => (channel.unit === unit ? [i] : [])),
  )

type CurvesProps = Pick<PurposeProps, 'purpose' | 'log' | 'view' | 'atmosphere'>

/** Levels of a kind are in its own unit: they are drawn in that of the axis. */
function levelsIn(levels: readonly Level[], from: Unit, to: Unit, atmosphere: number): Level[] {
  return levels.map((level) => ({
    ...level,
    value: convertValue({ value: level.value, unit: from }, to, atmosphere),
  }))
}

function Curves({ purpose, log: { head, samples }, view, atmosphere }: CurvesProps) {
  const { system } = useUnits()
  if (!head || !hasSamples(samples)) return null
  const { isLogarithmic, name, channels: own } = LOG_KINDS[purpose]
  const shown = shownLog(head, drawable(head, samples), system, atmosphere)
  return axesOf(shown.head.channels).map((channels) => (
    <LogChart
      key={channels.join()}
      head={shown.head}
      samples={shown.samples}
      channels={channels}
      label={`${name}: ${channels.map((at) => curveText(shown.head, shown.samples, at)).join('; ')}`}
      isLogarithmic={isLogarithmic}
      levels={
        channels[0] === 0
          ? levelsIn(view?.levels ?? [], own[0]![1], shown.head.channels[0]!.unit, atmosphere)
          : []
      }
      zones={isLogarithmic ? (view?.zones ?? []) : []}
    />
  ))
}

/** Everything round one log: instruments, its beginning and end, what hands do, the curve, and what it says. */
export function PurposePane(given: PurposeProps) {
  const { said, system } = useUnits()
  const props = { ...given, view: said(given.view) }
  const { purpose, work, log, view } = props
  const acts = logActs(props)
  // what is typed is asked in the units of the log, and a new log is in those of the screen
  const channels = log.head
    ? log.head.channels.map(({ key, unit }) => [key as WorkChannel, unit] as const)
    : LOG_KINDS[purpose].channels.map(([key, unit]) => [key, fieldUnit(system, unit)] as const)
  const title = LOG_KINDS[purpose].name
  const { problem, unstored, message } = work.watching
  const [when, setWhen] = useState('')
  // who began it here goes on with its first look
  const [hasBegun, setBegun] = useState(false)
  // it is used up at once: what is typed while that is being stored belongs to the next one
  const used = async (storing: Promise<boolean>) => {
    setWhen('')
    const isKept = await storing
    if (!isKept) setWhen((now) => (now === '' ? when : now))
    return isKept
  }
  const isTyping = log.isTyped && log.isOpen && log.head !== undefined
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
      <AskEntries job={props.job} change={props.change} asks={view?.asks ?? []} />
      {!view && work.watching.status === 'connected' && <Now purpose={purpose} work={work} />}
      {isTyping && (
        <TextField
          label="When, if not now"
          placeholder="12 min ago, 14:05, after 12 min"
          value={when}
          onChange={({ target }) => setWhen(target.value)}
          sx={{ maxWidth: 310 }}
        />
      )}
      <LogButtons
        {...props}
        acts={acts}
        onAct={(action) => used(acts.act(action, when))}
        onBegin={(isLive) => {
          setBegun(!isLive)
          acts.begin(isLive)
        }}
      />
      {isTyping && (
        <HandEntry
          {...props}
          channels={channels}
          when={when}
          takesFocus={hasBegun}
          onType={async (values, at) => {
            const isKept = await used(acts.type(values, at))
            return isKept ? undefined : 'It could not be written down: see above.'
          }}
        />
      )}
      <LooksList {...props} />
      <Curves purpose={purpose} log={log} view={view} atmosphere={props.atmosphere} />
    </Box>
  )
}
