'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { unitText } from '@/core/base/units/system'
import type { Unit } from '@/core/base/units/units'
import { format } from 'date-fns'
import { useState } from 'react'
import { channelRow } from '@/core/record/readings/channels'
import { figureState } from '@/core/record/readings/figureLimits'
import { changeLook, moveMark, removeLook, removeMark } from '@/core/record/edits/lookEdits'
import type { LogHead, LogMark, TypedLook } from '@/core/record/records/log'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { attempt } from '@/core/base/errors/orzoError'
import { HandEntry } from './HandEntry'
import { logWhen } from './logActs'
import { actionsOf } from './logActions'
import type { PurposeProps } from './purposeProps'

type Row =
  | { readonly kind: 'look'; readonly seconds: number; readonly look: TypedLook }
  | { readonly kind: 'mark'; readonly seconds: number; readonly mark: LogMark }

/** Looks and marks of a log in order of time; of the same moment the look comes first, as it was read before. */
function rowsOf({ looks = [], marks = [] }: LogHead): Row[] {
  const rows: Row[] = [
    ...looks.map((look): Row => ({ kind: 'look', seconds: look.seconds, look })),
    ...marks.map((mark): Row => ({ kind: 'mark', seconds: mark.seconds, mark })),
  ]
  return rows.sort((a, b) => a.seconds - b.seconds)
}

const keyOf = (row: Row) => (row.kind === 'look' ? row.look.id : `${row.mark.what} ${row.seconds}`)
const shownUnit = (unit: Unit) => unitText(unit)
const numberText = (value: number) => String(Number(value.toFixed(2)))

function valuesText({ channels }: LogHead, { values }: TypedLook): string {
  return channels
    .flatMap(({ key, unit }, i) => {
      const value = values[i]
      if (value === null || value === undefined) return []
      return [`${channelRow(key).short} ${numberText(value)} ${shownUnit(unit)}`]
    })
    .join(' · ')
}

type RowProps = PurposeProps & { head: LogHead; row: Row }

/** What a mark says: the words of the button that set it. */
const markText = (purpose: PurposeProps['purpose'], { what, text }: LogMark) =>
  text ?? actionsOf(purpose).find(({ mark }) => mark === what)?.label ?? what

/** A look or a mark that is corrected: its figures, its moment. */
function Correction({ row, head, onClose, ...props }: RowProps & { onClose: () => void }) {
  const { job, change, purpose } = props
  const [when, setWhen] = useState(format(Date.parse(head.startedAt) + row.seconds * 1000, 'HH:mm:ss'))
  const [began] = useState(when)
  const [problem, setProblem] = useState<string>()
  const field = (
    <TextField
      label="When"
      value={when}
      onChange={({ target }) => setWhen(target.value)}
      error={problem !== undefined}
      helperText={problem}
      sx={{ maxWidth: 310 }}
    />
  )
  if (row.kind === 'look')
    return (
      <Box sx={{ display: 'grid', gap: 1 }}>
        {field}
        <HandEntry
          {...props}
          label="Correct this look"
          channels={LOG_KINDS[purpose].channels}
          when={when === began ? '' : when}
          initial={Object.fromEntries(
            head.channels.map(({ key }, i) => [
              key,
              row.look.values[i] === null || row.look.values[i] === undefined
                ? ''
                : numberText(row.look.values[i] as number),
            ]),
          )}
          onType={async (values, at) => {
            const isKept = await change(changeLook(head.id, row.look.id, { values, at }))
            if (isKept) onClose()
            return isKept ? undefined : 'It could not be corrected: see above.'
          }}
        />
        <Button onClick={onClose}>Cancel</Button>
      </Box>
    )
  const save = async () => {
    const at = attempt(() => logWhen(job, head, when))
    if (!at.ok) return setProblem(at.error.message)
    await change(moveMark(head.id, row.mark, at.value))
    onClose()
  }
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}>
      {field}
      <Button variant="outlined" sx={{ minHeight: 56 }} onClick={() => void save()}>
        Correct this mark
      </Button>
      <Button sx={{ minHeight: 56 }} onClick={onClose}>
        Cancel
      </Button>
    </Box>
  )
}

/** What of a look cannot be, or hardly: it was let in by a file, or before there were limits. */
function doubtOf({ head, row, atmosphere, purpose }: RowProps): string | undefined {
  if (row.kind !== 'look') return undefined
  const states = head.channels.flatMap(({ key, unit }, i) => {
    const value = row.look.values[i]
    return value === null || value === undefined
      ? []
      : [figureState(key, { value, unit }, atmosphere, purpose)]
  })
  if (states.some(({ state }) => state === 'impossible')) return '⬣ cannot be: left out'
  return states.some(({ state }) => state === 'unlikely') ? '△ unlikely' : undefined
}

function LookRow(props: RowProps) {
  const { head, row, change, purpose } = props
  const [isOpen, setOpen] = useState(false)
  const time = format(Date.parse(head.startedAt) + row.seconds * 1000, 'HH:mm:ss')
  const text = row.kind === 'look' ? valuesText(head, row.look) : markText(purpose, row.mark)
  const doubt = doubtOf(props)
  const remove = () =>
    void change(row.kind === 'look' ? removeLook(head.id, row.look.id) : removeMark(head.id, row.mark))
  return (
    <Box component="li" data-row={row.kind} sx={{ borderBottom: 1, borderColor: 'divider', py: 0.25 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}>
        <Typography sx={{ flex: '1 1 200px', fontWeight: row.kind === 'mark' ? 650 : 400 }}>
          {time} {row.kind === 'mark' ? '▸ ' : ''}
          {text}
          {doubt && ` · ${doubt}`}
        </Typography>
        <Button
          sx={{ minHeight: 48 }}
          aria-expanded={isOpen}
          aria-label={`Correct ${text} at ${time}`}
          onClick={() => setOpen(!isOpen)}
        >
          Correct
        </Button>
        <Button
          sx={{ minHeight: 48 }}
          color="error"
          aria-label={`Remove ${text} at ${time}`}
          onClick={remove}
        >
          Remove
        </Button>
      </Box>
      {isOpen && <Correction {...props} onClose={() => setOpen(false)} />}
    </Box>
  )
}

/** What was typed into a log, in order of time: each look and mark can be corrected or taken out, and had back by Undo. */
export function LooksList(props: PurposeProps) {
  const { head, isTyped } = props.log
  if (!head || !isTyped) return null
  const rows = rowsOf(head)
  if (rows.length === 0) return null
  return (
    <Box component="ul" aria-label="Looks" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {rows.map((row) => (
        <LookRow key={keyOf(row)} {...props} head={head} row={row} />
      ))}
    </Box>
  )
}
