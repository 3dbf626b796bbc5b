import { attempt } from '@/core/base/errors/orzoError'
import { convertValue } from '@/core/base/units/convertValue'
import { parseTyped } from '@/core/base/units/parseTyped'
import type { Unit } from '@/core/base/units/units'
import { channelRow, type WorkChannel } from '@/core/record/readings/channels'
import { figureState } from '@/core/record/readings/figureLimits'
import type { LogPurpose } from '@/core/record/readings/logPurposes'

/** What the fields of a look hold: values in the units of the log, or what is wrong with them. */
export type ReadLooks =
  | { readonly values: readonly (number | null)[] }
  | {
      readonly problem: string
      /** the channel whose field it is */
      readonly key: WorkChannel | undefined
      /** it is kept when it is written down once more */
      readonly isAsked: boolean
    }

type Channel = readonly [WorkChannel, Unit]

/**
 * Reads the fields of a look. What cannot be is refused, what is unlikely is asked once.
 * @param atmosphere Pa @param isSure it was asked before, and written down again
 */
export function readLooks(
  texts: Readonly<Record<string, string>>,
  channels: readonly Channel[],
  { atmosphere, purpose, isSure }: { atmosphere: number; purpose: LogPurpose; isSure: boolean },
): ReadLooks {
  const values: (number | null)[] = []
  for (const [key, unit] of channels) {
    const text = (texts[key] ?? '').trim()
    if (text === '') {
      values.push(null)
      continue
    }
    const { label, kind } = channelRow(key)
    const typed = attempt(() => parseTyped(text, kind, unit))
    if (!typed.ok) return { problem: `${label}: ${typed.error.message}`, key, isAsked: false }
    const state = figureState(key, typed.value, atmosphere, purpose)
    if (state.state === 'impossible') return { problem: state.sentence, key, isAsked: false }
    if (state.state === 'unlikely' && !isSure) return { problem: state.sentence, key, isAsked: true }
    const read = attempt(() => convertValue(typed.value, unit, atmosphere))
    if (!read.ok) return { problem: `${label}: ${read.error.message}`, key, isAsked: false }
    values.push(read.value)
  }
  if (values.every((value) => value === null))
    return { problem: 'Type what the instrument shows.', key: undefined, isAsked: false }
  return { values }
}
