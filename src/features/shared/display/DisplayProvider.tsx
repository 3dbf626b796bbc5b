'use client'
import { createContext, type ReactNode, useContext } from 'react'
import { database } from '@/data/shared'
import { readSettings } from '@/data/settings'
import { ThemeRegistry } from '@/ui/theme/ThemeRegistry'
import { UnitsContext } from '@/ui/units'
import { StorageHealth } from '../storage/StorageHealth'
import { useLive } from '../storage/useLive'
import { type Look, lookOf } from './display'

const LookContext = createContext<Look>(lookOf({}))

/** How this browser shows Orzo. */
export const useLook = (): Look => useContext(LookContext)

/** Brings the chosen theme, text size and hand to every page. */
export function DisplayProvider({ children }: { children: ReactNode }) {
  const look = lookOf(useLive(() => readSettings(database()), [], {}))
  return (
    <LookContext value={look}>
      <UnitsContext value={look.system}>
        <ThemeRegistry name={look.theme} textSize={look.textSize}>
          <StorageHealth />
          {children}
        </ThemeRegistry>
      </UnitsContext>
    </LookContext>
  )
}
