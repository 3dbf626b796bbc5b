'use client'
import Alert from '@mui/material/Alert'
import Link from 'next/link'
import type { ImportMessage } from './importFile'

type Props = {
  messages: readonly ImportMessage[]
  /** the job that is open: no link leads to it */
  here?: string
  onClose: () => void
}

/** What became of imported files: what failed first, so that it is not scrolled away. */
export function ImportMessages({ messages, here, onClose }: Props) {
  return [false, true].map((good) => {
    const told = messages.filter((message) => message.good === good)
    if (told.length === 0) return null
    return (
      <Alert key={String(good)} severity={good ? 'success' : 'error'} onClose={onClose}>
        {told.map(({ text, id }, i) => (
          <div key={i} style={{ whiteSpace: 'pre-line' }}>
            {text} {id && id !== here && <Link href={`/job/${encodeURIComponent(id)}/arrive`}>Open it</Link>}
          </div>
        ))}
      </Alert>
    )
  })
}
