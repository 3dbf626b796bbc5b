'use client'
import Button from '@mui/material/Button'
import { useRef, useState } from 'react'

type Props = {
  jobId: string
  label: string
  testId: string
  /** sentences for those that could not be stored; an empty list when all were */
  onProblems: (problems: readonly string[]) => void
  /** ids of those that were stored */
  onAdded?: (ids: readonly string[]) => Promise<unknown>
}

/** Chooses photos from the camera or from files, makes them small and stores them with the job. */
export function PhotoButton({ jobId, label, testId, onProblems, onAdded }: Props) {
  const input = useRef<HTMLInputElement>(null)
  const [busy, setBusy] = useState(false)
  const add = async (files: readonly File[]) => {
    setBusy(true)
    try {
      const { addPhotos } = await import('./addPhotos')
      const { ids, problems } = await addPhotos(jobId, files)
      onProblems(problems)
      if (ids.length > 0) await onAdded?.(ids)
    } catch (error) {
      onProblems([`No photo was added: ${(error as Error).message}. Reload the page.`])
    }
    setBusy(false)
  }
  return (
    <>
      <Button
        variant="outlined"
        disabled={busy}
        sx={{ justifySelf: 'start', whiteSpace: 'nowrap', flexShrink: 0 }}
        onClick={() => input.current?.click()}
      >
        {busy ? 'Making them smaller' : label}
      </Button>
      <input
        ref={input}
        hidden
        multiple
        type="file"
        accept="image/*"
        data-testid={testId}
        onChange={({ target }) => {
          const chosen = [...(target.files ?? [])]
          target.value = ''
          if (chosen.length > 0) void add(chosen)
        }}
      />
    </>
  )
}
