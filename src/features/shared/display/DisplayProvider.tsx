'use client'
import dynamic from 'next/dynamic'
import { createContext, type ReactNode, useContext, useMemo, useState } from 'react'
import type { Settings } from '@/core/record/settings/settings'
import { ThemeRegistry } from '@/ui/theme/ThemeRegistry'
import { UnitsContext } from '@/ui/units'
import { type Look, lookOf } from './display'

const LookContext = createContext<Look>(lookOf({}))

/** How this browser shows Orzo. */
export const useLook = (): Look => useContext(LookContext)

const StoredSettings = dynamic(
  () => import('./StoredSettings').then(({ StoredSettings: loaded }) => loaded),
  { ssr: false },
)

/**
 * Brings the chosen theme, text size, hand and units to every page.
 * @param nonce word by which the page's policy knows its styles
 */
export function DisplayProvider({ nonce, children }: { nonce?: string | undefined; children: ReactNode }) {
  const [settings, setSettings] = useState<Settings>({})
  const look = useMemo(() => lookOf(settings), [settings])
  return (
    <LookContext value={look}>
      <UnitsContext value={look.system}>
        <ThemeRegistry name={look.theme} textSize={look.textSize} nonce={nonce}>
          <StoredSettings onSettings={setSettings} />
          {children}
        </ThemeRegistry>
      </UnitsContext>
    </LookContext>
  )
}
