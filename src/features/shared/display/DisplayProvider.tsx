'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { createContext, type ReactNode, useContext } from 'react'
import { database } from '@/data/database'
import { readSettings } from '@/data/settings'
import { ThemeRegistry } from '@/ui/theme/ThemeRegistry'
import { type Look, lookOf } from './display'

const LookContext = createContext<Look>(lookOf({}))

/** How this browser shows Orzo. */
export const useLook = (): Look => useContext(LookContext)

/** Brings the chosen theme, text size and hand to every page. */
export function DisplayProvider({ children }: { children: ReactNode }) {
  const look = lookOf(useLiveQuery(() => readSettings(database()), [], {}))
  return (
    <LookContext value={look}>
      <ThemeRegistry name={look.theme} textSize={look.textSize}>
        {children}
      </ThemeRegistry>
    </LookContext>
  )
}
