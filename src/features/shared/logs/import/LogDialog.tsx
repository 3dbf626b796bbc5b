'use client'
import { MINUTE } from '@/core/base/units/time'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Slider from '@mui/material/Slider'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { attempt } from '@/core/base/errors/orzoError'
import { drawable } from '@/core/record/logs/drawable'
import {
  type ColumnUse,
  impossible,
  type Log,
  type LogTable,
  meansBetween,
  readLog,
  timeGoesBack,
} from '@/core/record/logs/readLog'
import { channelRow } from '@/core/record/readings/channels'
import { isReadingKey, type ReadingKey } from '@/core/record/readings/vocabulary'
import type { Reading } from '@/core/record/readings/schema'
import { systemClock } from '@/data/clock'
import { LogPlots } from '../LogPlots'
import { isOrderUnclear } from '@/core/record/logs/logTime'
import { LogColumn } from './LogColumn'
import { rememberColumns } from './columnsMemory'

type StretchProps = { log: Log; from: number; to: number; onChange: (stretch: [number, number]) => void }

/** Which minutes of the log the readings are the mean of. */
function Stretch({ log, from, to, onChange }: StretchProps) {
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        Take the mean from minute {from.toFixed(1)} to {to.toFixed(1)}
        {log.skipped > 0 ? `; ${log.skipped} cells without a number are left out` : ''}
      </Typography>
      <Box sx={{ px: 2 }}>
        <Slider
          value={[from, to]}
          min={0}
          max={log.minutes}
          step={log.minutes / 200 || 1}
          onChange={(_event, value) => onChange(value as [number, number])}
          getAriaLabel={(i) => (i === 0 ? 'From minute' : 'To minute')}
        />
      </Box>
    </>
  )
}

export type TakenReading = readonly [ReadingKey, Reading]
type Props = {
  name: string
  table: LogTable
  columns: ColumnUse[]
  /** the log is kept with the job, and these readings are taken from it */
  onTake: (log: Log, readings: readonly TakenReading[], from: number) => void
  /** the log alone is wanted: what begins at the first end of the stretch */
  begins?: string | undefined
  onClose: () => void
}

/** For each column, whether a person must say which number of its dates is the day. */
const unclearDates = ({ headings, rows }: LogTable) =>
  headings.map((_heading, i) => isOrderUnclear(rows.map((row) => row[i])))

/** Where nothing was chosen, the end of a log is looked at. */
const lastMinutes = (end: number): readonly [number, number] => [Math.max(end - 2, 0), end]

type ActionsProps = {
  canKeep: boolean
  readings: number
  isLogOnly: boolean
  onClose: () => void
  onKeep: () => void
  onTake: () => void
}

function Actions({ canKeep, readings, isLogOnly, onClose, onKeep, onTake }: ActionsProps) {
  return (
    <DialogActions sx={{ flexWrap: 'wrap', gap: 1 }}>
      <Button color="inherit" onClick={onClose}>
        Cancel
      </Button>
      <Button variant={isLogOnly ? 'contained' : 'outlined'} disabled={!canKeep} onClick={onKeep}>
        {isLogOnly ? 'Keep the log' : 'Keep the log alone'}
      </Button>
      {!isLogOnly && (
        <Button variant="contained" disabled={readings === 0} onClick={onTake}>
          Take {readings} readings
        </Button>
      )}
    </DialogActions>
  )
}

/** The moment of a minute of a log; now where its file tells no date. */
const momentOf = ({ beganAt }: Log, minute: number) =>
  new Date(beganAt === undefined ? systemClock.now() : beganAt + minute * MINUTE).toISOString()

/** Where the clock of the file runs backwards: a log that is judged is not kept then. */
function GoesBack({ log, isJudged }: { log: Log | undefined; isJudged: boolean }) {
  if (log?.backAt === undefined) return null
  return <Alert severity={isJudged ? 'error' : 'warning'}>In {timeGoesBack(log.backAt)}</Alert>
}

/** Columns, plot, stretch: then the means of the stretch become readings. */
export function LogDialog({ name, table, columns: guessed, onTake, onClose, begins }: Props) {
  const [columns, setColumns] = useState(guessed)
  const read = useMemo(() => attempt(() => readLog(table, columns)), [table, columns])
  const log = read.ok ? read.value : undefined
  const unclear = useMemo(() => unclearDates(table), [table])
  const [stretch, setStretch] = useState<readonly [number, number]>()
  const [from, to] = stretch ?? lastMinutes(log?.minutes ?? 0)
  const all = log ? meansBetween(log, from, to) : []
  const means = all.filter((mean) => isReadingKey(mean.key) && impossible(mean) === undefined)
  const left = all.flatMap((mean) => impossible(mean) ?? [])
  const take = (taken: typeof means) => {
    if (!log) return
    const at = momentOf(log, to)
    const instrument = name.slice(0, 200)
    onTake(
      log,
      taken.flatMap(({ key, value, unit }): TakenReading[] =>
        isReadingKey(key) ? [[key, { value, unit, at, source: 'log', instrument }]] : [],
      ),
      from,
    )
    void rememberColumns(table.headings, columns)
    onClose()
  }
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="log-title">
      <DialogTitle id="log-title">Log {name}</DialogTitle>
      <DialogContent>
        <Typography sx={{ color: 'text.secondary' }}>
          {table.rows.length} rows. Look over what each column is; the mapping is kept for the next file with
          these headings. The whole log is kept with the job.
        </Typography>
        {table.headings.map((heading, i) => (
          <LogColumn
            key={`${i}-${heading}`}
            heading={heading}
            sample={table.rows[0]?.[i] ?? ''}
            column={columns[i] ?? { use: 'ignore' }}
            asksOrder={unclear[i] === true}
            onChange={(column) => setColumns(columns.map((each, at) => (at === i ? column : each)))}
          />
        ))}
        {!read.ok && <Alert severity="warning">{read.error.message}</Alert>}
        <GoesBack log={log} isJudged={begins !== undefined} />
        {log && (
          <>
            <LogPlots
              channels={log.series}
              samples={drawable({ channels: log.series }, log.samples)}
              marks={[
                { minute: from, label: 'from' },
                { minute: to, label: 'to' },
              ]}
            />
            {left.map((sentence) => (
              <Alert key={sentence} severity="warning">
                {sentence}
              </Alert>
            ))}
            {begins && <Typography>{begins}: put the first end there.</Typography>}
            <Stretch log={log} from={from} to={to} onChange={setStretch} />
            <Typography>
              {means.map(({ key, value, unit }) => `${channelRow(key).short} ${value} ${unit}`).join(' · ') ||
                'No value in this stretch.'}
            </Typography>
          </>
        )}
      </DialogContent>
      <Actions
        canKeep={log !== undefined && !(begins && log.backAt !== undefined)}
        readings={means.length}
        isLogOnly={begins !== undefined}
        onClose={onClose}
        onKeep={() => take([])}
        onTake={() => take(means)}
      />
    </Dialog>
  )
}
