'use client'
import { useEffect, useRef } from 'react'
import type { Verdicts } from '@/core/repair/logs/verdicts'
import type { StoredJob } from '@/core/record/job/job'
import { systemClock } from '@/data/clock'
import { storeVerdict } from '@/data/logs'
import { database } from '@/data/shared'
import { tellFailed } from '@/data/health'

/**
 * Keeps what the judges say beside their logs, so that the next opening need not judge again. Each is written once: two
 * windows whose judges differ do not answer each other for ever.
 */
export function useKeptVerdicts({ id, logs }: StoredJob, verdicts: Verdicts | undefined): void {
  const written = useRef(new Set<string>())
  useEffect(() => {
    for (const log of logs) {
      const said = verdicts?.[log.id]
      if (said === undefined || said === 'no-samples') continue
      const key = `${id} ${log.id} ${said.digest} ${said.by}`
      const isKept = log.verdict?.digest === said.digest && log.verdict.by === said.by
      if (isKept || written.current.has(key)) continue
      written.current.add(key)
      storeVerdict(database(), id, log.id, said, systemClock).catch((error: Error) =>
        tellFailed(database(), error),
      )
    }
  }, [id, logs, verdicts])
}
