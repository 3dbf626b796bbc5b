'use client'
import { useEffect } from 'react'
import type { Settings } from '@/core/record/settings/settings'
import { readSettings } from '@/data/settings'
import { database } from '@/data/shared'
import { StorageHealth } from '../storage/StorageHealth'
import { useLive } from '../storage/useLive'

/** What is stored of the looks, and how the store is; it comes behind the first paint, with the database. */
export function StoredSettings({ onSettings }: { onSettings: (settings: Settings) => void }) {
  const settings = useLive(() => readSettings(database()), [])
  useEffect(() => {
    if (settings) onSettings(settings)
  }, [settings, onSettings])
  return <StorageHealth />
}
