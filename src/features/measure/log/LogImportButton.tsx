'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type ChangeEvent, useRef, useState } from 'react'
import { captureReadings } from '@/core/record/edits/readingEdits'
import { type ColumnUse, guessColumns, type Log, type LogTable } from '@/core/record/logs/readLog'
import type { StageProps } from '../../shared/stageProps'
import { rememberedColumns } from './columnsMemory'
import { storeSentence } from '../../shared/storage/storeSentence'
import { keepLog } from './keepLog'
import { LogDialog, type TakenReading } from './LogDialog'
import { parseLog } from './parseLog'

type Opened = { readonly name: string; readonly table: LogTable; readonly columns: ColumnUse[] }

/** Chooses the log of any instrument; nothing enters the job before it was looked at. */
export function LogImportButton({ stage }: { stage: StageProps }) {
  const [opened, setOpened] = useState<Opened>()
  const [problem, setProblem] = useState<string>()
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
  const take = (name: string, log: Log, readings: readonly TakenReading[]) => {
    if (readings.length > 0) void stage.change(captureReadings(stage.setId, readings))
    keepLog(stage.job, name, log).catch((error: Error) =>
      setProblem(`The log ${name} was not kept: ${storeSentence(error)}`),
    )
  }
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Button variant="outlined" onClick={() => input.current?.click()}>
        Import a log (CSV)
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
      {opened && (
        <LogDialog
          {...opened}
          onTake={(log, readings) => take(opened.name, log, readings)}
          onClose={() => setOpened(undefined)}
        />
      )}
    </Box>
  )
}
