'use client'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { convertValue } from '@/core/base/units/convertValue'
import { fieldUnit, type UnitSystem } from '@/core/base/units/system'
import type { Quantity } from '@/core/base/units/units'
import { useUnits } from '@/ui/units'
import { whenOpen } from '@/data/health'
import { database } from '@/data/shared'
import { changeSetting, readSettings, type Settings } from '@/data/settings'

type Stored = Readonly<Record<string, unknown>>

const isQuantity = (value: unknown): value is Quantity =>
  typeof value === 'object' && value !== null && 'value' in value && 'unit' in value

/** The first values of a table in the chosen units, as round as they were. */
function inSystem<T extends object>(initial: T, system: UnitSystem): T {
  const said = Object.entries(initial).map(([key, value]) => {
    if (!isQuantity(value)) return [key, value]
    const unit = fieldUnit(system, value.unit)
    if (unit === value.unit) return [key, value]
    return [key, { value: Number(convertValue(value, unit).toPrecision(2)), unit }]
  })
  return Object.fromEntries(said) as T
}

/** What was typed in the tables stays in this browser; `restored` says when it has been read. */
export function useRemembered<T extends object>(
  initial: T,
): { input: T; set: (part: Partial<T>) => void; restored: boolean } {
  const { system } = useUnits()
  // until something is typed the first values stand in the chosen units
  const [typed, setTyped] = useState<Partial<T>>({})
  const input = useMemo(() => ({ ...inSystem(initial, system), ...typed }), [initial, system, typed])
  const [restored, setRestored] = useState(false)
  useEffect(() => {
    let gone = false
    const restore = (stored: Stored) => {
      if (gone) return
      const known = Object.entries(stored).filter(([key]) => key in initial)
      setTyped((now) => ({ ...now, ...(Object.fromEntries(known) as Partial<T>) }))
      setRestored(true)
    }
    // Without storage the tables still compute; they only forget what was typed.
    const read = async () => ((await whenOpen(database())) ? readSettings(database()) : {})
    read().then(
      ({ tablesInput }: Settings) => restore(tablesInput ?? {}),
      () => restore({}),
    )
    return () => {
      gone = true
    }
    // The first values are a constant of each table.
  }, []) // eslint-disable-line react-hooks/exhaustive-deps
  const set = useCallback((part: Partial<T>) => {
    setTyped((now) => ({ ...now, ...part }))
    changeSetting(database(), 'tablesInput', (now) => ({ ...now, ...part })).catch(() => undefined)
  }, [])
  return { input, set, restored }
}
