'use client'
import { useState } from 'react'
import type { ReadingKey } from '@/core/record/readings/vocabulary'

/** What a technician is looking at in a job; goes along from stage to stage, not into the document. */
type At = {
  /** which round; undefined: the last that began */
  readonly round?: string | undefined
  readonly setId?: string | undefined
  /** suspectKey of the suspect */
  readonly suspect?: string
  /** the tap that a check asked for */
  readonly tap?: ReadingKey | undefined
}

export type Looking = At & { readonly look: (at: At) => void }

const looking = new Map<string, At>()

/** Which set and which suspect of a job are looked at, kept while the tab lives. */
export function useLooking(jobId: string): Looking {
  const [now, setNow] = useState<At>(() => looking.get(jobId) ?? {})
  const look = (at: At) => {
    const next = { ...looking.get(jobId), ...at }
    looking.set(jobId, next)
    setNow(next)
  }
  return { ...now, look }
}
