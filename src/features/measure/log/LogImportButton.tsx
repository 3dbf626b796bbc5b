'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type ChangeEvent, useRef, useState } from 'react'
import { type ColumnUse, guessColumns, type LogTable } from '@/core/record/logs/readLog'
import type { StageProps } from '../../shared/stageProps'
import { rememberedColumns } from './columnsMemory'
import { LogDialog } from './LogDialog'
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
      {opened && <LogDialog {...opened} stage={stage} onClose={() => setOpened(undefined)} />}
    </Box>
  )
}
