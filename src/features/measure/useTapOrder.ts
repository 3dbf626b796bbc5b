'use client'
import { useMemo } from 'react'
import { settingTapsOf, SHOWN_TAPS, tapsOf } from '@/core/record/equipment/taps'
import type { UnitPlate } from '@/core/record/equipment/unit'
import type { Mode } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { useLive } from '../shared/storage/useLive'
import { database } from '@/data/shared'
import { changeSetting, readSettings } from '@/data/settings'

/** Taps in one's own order; those that the order does not name keep their place behind the one before them. */
export function ordered(taps: readonly ReadingKey[], own: readonly ReadingKey[]): ReadingKey[] {
  const result = own.filter((key) => taps.includes(key))
  taps.forEach((key, i) => {
    if (result.includes(key)) return
    const before = taps.slice(0, i).findLast((each) => result.includes(each))
    result.splice(before === undefined ? 0 : result.indexOf(before) + 1, 0, key)
  })
  return result
}

/** The order in which a technician takes this kind of unit, and how to change it. */
export function useTapOrder(
  unit: UnitPlate,
  mode: Mode,
): {
  usual: ReadingKey[]
  move: (key: ReadingKey, by: 1 | -1) => void
  reset: () => void
  isOwn: boolean
} {
  const orders = useLive(() => readSettings(database()), [])?.tapOrder
  const own = useMemo(() => orders?.[unit.kind] ?? [], [orders, unit.kind])
  const usual = useMemo(
    () =>
      ordered([...tapsOf(unit, mode), ...(mode === 'off' ? [] : SHOWN_TAPS), ...settingTapsOf(unit)], own),
    [unit, mode, own],
  )
  const write = (keys: ReadingKey[]) =>
    void changeSetting(database(), 'tapOrder', (now) => ({ ...now, [unit.kind]: keys }))
  return {
    usual,
    isOwn: own.length > 0,
    reset: () => write([]),
    move: (key, by) => {
      const from = usual.indexOf(key)
      const to = from + by
      if (from === -1 || to < 0 || to >= usual.length) return
      const next = usual.filter((each) => each !== key)
      next.splice(to, 0, key)
      write(next)
    },
  }
}
