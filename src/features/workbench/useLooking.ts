'use client'
import { useState } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'

/** What a technician is looking at in a job; goes along from stage to stage, not into the document. */
type Looking = {
  readonly setId?: string | undefined
  /** suspectKey of the suspect */
  readonly suspect?: string
  /** the tap that a check asked for */
  readonly tap?: ReadingKey | undefined
}

const looking = new Map<string, Looking>()

/** Which set and which suspect of a job are looked at, kept while the tab lives. */
export function useLooking(jobId: string): Looking & { look: (at: Looking) => void } {
  const [now, setNow] = useState<Looking>(() => looking.get(jobId) ?? {})
  const look = (at: Looking) => {
    const next = { ...looking.get(jobId), ...at }
    looking.set(jobId, next)
    setNow(next)
  }
  return { ...now, look }
}
