'use client'
import Button from '@mui/material/Button'
import { useRef } from 'react'
import { importFile, type ImportMessage } from './importFile'

type Props = { label: string; onMessage: (message: ImportMessage) => void }

/** A button that takes a job file; the outcome is told by the page around it. */
export function ImportButton({ label, onMessage }: Props) {
  const file = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button variant="outlined" onClick={() => file.current?.click()}>
        {label}
      </Button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        hidden
        data-testid="import-file"
        onChange={(event) => {
          const [chosen] = event.target.files ?? []
          event.target.value = ''
          if (chosen) void importFile(chosen).then(onMessage)
        }}
      />
    </>
  )
}
