'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type ChangeEvent, useRef, useState } from 'react'
import { type ColumnUse, guessColumns, type Log, type LogTable } from '@/core/record/logs/readLog'
import { momentIn, wallIn } from '@/core/base/units/siteTime'
import { systemClock } from '@/data/clock'
import { storeSentence } from '../../storage/storeSentence'
import { rememberedColumns } from './columnsMemory'
import { LogDialog, type TakenReading } from './LogDialog'
import { parseLog } from './parseLog'

type Opened = { readonly name: string; readonly table: LogTable; readonly columns: ColumnUse[] }
type Props = {
  label?: string
  disabled?: boolean
  /** the log alone is wanted: what begins at the first end of the stretch */
  begins?: string
  /** @param from minute at the first end of the stretch */
  onTake: (name: string, log: Log, readings: readonly TakenReading[], from: number) => Promise<void>
}

/** A log of another day does not stand where one looks: it is said where. undefined where it is of today */
function whereItWent(name: string, { beganAt }: Log): string | undefined {
  if (beganAt === undefined) return undefined
  const [then, today] = [wallIn(beganAt), wallIn(systemClock.now())].map((wall) => wall.slice(0, 10))
  if (then === today) return undefined
  return `${name} is of another day: kept at ${momentIn(beganAt)}. All logs of the job stand on Measure, Live, and on Close.`
}

/** Chooses the log of any instrument; nothing enters the job before it was looked at. */
export function LogImportButton({ label = 'Import a log (CSV)', disabled = false, begins, onTake }: Props) {
  const [opened, setOpened] = useState<Opened>()
  const [problem, setProblem] = useState<string>()
  const [kept, setKept] = useState<string>()
  const input = useRef<HTMLInputElement>(null)
  const choose = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0]
    target.value = ''
    if (!file) return
    try {
      const table = await parseLog(file)
      const columns = (await rememberedColumns(table.headings)) ?? guessColumns(table)
      setProblem(undefined)
      setOpened({ name: file.name, table, columns })
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error))
    }
  }
  const take = (name: string, log: Log, readings: readonly TakenReading[], from: number) => {
    onTake(name, log, readings, from).then(
      () => setKept(whereItWent(name, log)),
      (error: Error) => setProblem(`The log ${name} was not kept: ${storeSentence(error)}`),
    )
  }
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Button variant="outlined" disabled={disabled} onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept=".csv,.txt,.tsv,text/csv"
        aria-label="Log file"
        onChange={(event) => void choose(event)}
      />
      {problem && (
        <Alert severity="error" onClose={() => setProblem(undefined)}>
          {problem}
        </Alert>
      )}
      {kept && (
        <Alert severity="info" onClose={() => setKept(undefined)}>
          {kept}
        </Alert>
      )}
      {opened && (
        <LogDialog
          {...opened}
          begins={begins}
          onTake={(log, readings, from) => take(opened.name, log, readings, from)}
          onClose={() => setOpened(undefined)}
        />
      )}
    </Box>
  )
}
