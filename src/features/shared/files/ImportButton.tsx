'use client'
import Button from '@mui/material/Button'
import { useRef, useState } from 'react'
import type { ImportMessage } from './importFile'

type Props = { label: string; onMessages: (messages: readonly ImportMessage[]) => void }

/** A button that takes job files and backups, many at once; the outcome is told by the page around it. */
export function ImportButton({ label, onMessages }: Props) {
  const input = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const take = async (files: readonly File[]) => {
    setBusy(true)
    try {
      // what reads files is fetched when there is one
      const { importFiles } = await import('./importFile')
      onMessages(await importFiles(files))
    } catch (error) {
      onMessages([{ good: false, text: `Nothing was read: ${(error as Error).message}. Reload the page.` }])
    }
    setBusy(false)
  }
  return (
    <>
      <Button variant="outlined" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Reading' : label}
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        accept=".json,.zip,application/json,application/zip"
        hidden
        data-testid="import-file"
        onChange={(event) => {
          const chosen = [...(event.target.files ?? [])]
          event.target.value = ''
          if (chosen.length > 0) void take(chosen)
        }}
      />
    </>
  )
}
