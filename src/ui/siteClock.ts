'use client'
import { createContext, useContext } from 'react'
import { clockIn, momentIn } from '@/core/base/units/siteTime'

/** The time of a site: its zone, undefined for that of this machine, and what is now there, ms. */
export type SiteTime = { readonly zone: string | undefined; readonly now?: () => number }

export const SiteTimeContext = createContext<SiteTime>({ zone: undefined })

/** "14:05" by the clock at the site, with its day where that is not today. */
export type ClockText = (moment: number | string) => string

/** Moments as the clock at the site shows them. */
export function useSiteClock(): {
  readonly time: ClockText
  /** "27 Nov 14:05" */
  readonly moment: ClockText
} {
  const { zone, now } = useContext(SiteTimeContext)
  return {
    time: (moment) => clockIn(moment, now?.(), zone),
    moment: (moment) => momentIn(moment, zone),
  }
}
