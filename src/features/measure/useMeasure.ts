'use client'
import { useCallback, useMemo, useState } from 'react'
import { READING_KEYS, type ReadingKey, readingRow } from '@/core/record/readings/vocabulary'
import { captureReadings } from '@/core/record/edits/readingEdits'
import { fitsTap, LIVE_PROBES } from '@/core/simulate/liveProbes'
import type { LiveTap } from '@/instruments/session'
import type { StageProps } from '../shared/stageProps'
import { captured } from './live/capture'
import { useLive } from './live/useLive'
import { useTakeSettled } from './live/useTakeSettled'
import { tapViews } from './tapViews'
import { useAskedTap } from '../shared/entry/useAskedTap'
import { useOpenKey } from '../shared/entry/useReadingEntry'
import { useEntry } from './useEntry'
import { useKept } from '../shared/display/useKept'
import { useNow } from '../shared/display/useNow'
import { useTapOrder } from './useTapOrder'

/** Live values into the set that is looked at. */
function useCapture({ setId, change, display }: StageProps, live: ReadonlyMap<ReadingKey, LiveTap>) {
  const take = useCallback(
    (taken: readonly (readonly [ReadingKey, LiveTap])[]) =>
      void change(captureReadings(setId, captured(taken, display.system))),
    [change, setId, display.system],
  )
  const capture = (keys: readonly ReadingKey[]) =>
    take(
      keys.flatMap((key) => {
        const tap = live.get(key)
        return tap ? [[key, tap] as const] : []
      }),
    )
  return { take, capture }
}

/** Everything that the Measure stage does, without its looks. */
export function useMeasure(props: StageProps) {
  const { job, unit, set, diagnosis } = props
  const order = useTapOrder(unit, set.mode)
  const live = useLive(job.id)
  const now = useNow()
  const entry = useEntry(props)
  const openKey = useOpenKey(entry)
  const [held, hold] = useState<string>()
  const [message, setMessage] = useState<string>()
  const [auto, setAuto] = useKept(`auto ${job.id}`, false)
  const { take, capture } = useCapture(props, live.taps)
  useTakeSettled(auto, live.taps, take)
  const wanted = useMemo(() => new Set(diagnosis.nextChecks.flatMap((check) => check.taps)), [diagnosis])
  const flagged = useMemo(() => new Set(diagnosis.flags.flatMap((flag) => flag.keys)), [diagnosis])
  const keys = useMemo(() => {
    const others = READING_KEYS.filter(
      (key) => !order.usual.includes(key) && (set.readings[key] || live.taps.has(key) || wanted.has(key)),
    )
    return [...order.usual, ...others]
  }, [order.usual, set.readings, live.taps, wanted])
  const views = useMemo(
    () => tapViews(keys, { set, values: diagnosis.snapshot.values, wanted, flagged, live: live.taps, now }),
    [keys, set, diagnosis.snapshot, wanted, flagged, live.taps, now],
  )
  useAskedTap(props, entry.open)
  const { open } = entry
  const { session } = live
  const select = useCallback(
    (key: ReadingKey) => {
      if (held === undefined || !session) return open(key)
      const probe = LIVE_PROBES.find(({ id }) => id === held)
      if (!probe) return
      if (!fitsTap(probe, key)) {
        setMessage(
          `${probe.name} cannot read ${readingRow(key).label.toLowerCase()}: choose another place or probe.`,
        )
        return
      }
      setMessage(undefined)
      hold(undefined)
      void session.assign(held, key)
    },
    [held, session, open],
  )
  return {
    order,
    live,
    entry,
    open: openKey,
    held,
    hold,
    message,
    setMessage,
    auto,
    setAuto,
    capture,
    keys,
    views,
    select,
  }
}
