'use client'
import { useEffect, useState } from 'react'
import { isoNow } from '@/core/base/units/instants'
import { systemClock } from '@/data/clock'
import { whenOpen } from '@/data/health'
import { whenRemovedSwept } from '@/data/logs'
import { database } from '@/data/shared'
import { whenSwept } from '@/data/legacy'

/**
 * Whether rows of an older Orzo were copied, so that lists and jobs are whole. Waited for outside live queries, which must
 * await nothing but the database.
 */
export function useSwept(): { readonly swept: boolean; readonly problem: string | undefined } {
  const [state, setState] = useState<{ swept: boolean; problem: string | undefined }>({
    swept: false,
    problem: undefined,
  })
  useEffect(() => {
    let current = true
    const done = (problem?: string) => {
      if (current) setState({ swept: true, problem })
    }
    const sweep = async () => {
      // a store that does not open is told above the page
      if (!(await whenOpen(database()))) return new Promise<never>(() => undefined)
      return whenSwept(database(), () => isoNow(systemClock))
    }
    // nothing waits for what undo can have back no more
    const sweepRemoved = () =>
      whenRemovedSwept(database(), systemClock.now()).catch((error: Error) =>
        done(`Samples of logs that were removed a day ago still take room: ${error.message}`),
      )
    sweep().then(
      ({ aside }) => {
        done(
          aside === 0
            ? undefined
            : `${aside === 1 ? 'One job' : `${aside} jobs`} of an earlier Orzo could not be read and ${aside === 1 ? 'is' : 'are'} kept aside, unchanged.`,
        )
        void sweepRemoved()
      },
      (error: Error) =>
        done(`Jobs of an earlier Orzo could not all be copied: ${error.message}. Reload the page to go on.`),
    )
    return () => {
      current = false
    }
  }, [])
  return state
}
