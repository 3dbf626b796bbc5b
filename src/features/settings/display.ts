import type { Settings } from '@/data/settings'
import { TEXT_SIZES, type TextSize } from '@/ui/theme/theme'
import { THEME_NAMES, type ThemeName } from '@/ui/theme/tokens'

export const HANDS = ['right', 'left'] as const
export type Hand = (typeof HANDS)[number]

/** How this browser shows Orzo. */
export type Look = {
  readonly theme: ThemeName
  readonly textSize: TextSize
  /** the hand that holds and taps: the pad and the taps stand on its side */
  readonly hand: Hand
  /** whether the screen is kept on while a job is open */
  readonly screenOn: boolean
}

const oneOf = <T extends string>(values: readonly T[], word: string | undefined): T =>
  values.find((value) => value === word) ?? (values[0] as T)

const SIZES = Object.keys(TEXT_SIZES) as TextSize[]

/** What was chosen; the first of each where nothing was. */
export const lookOf = (settings: Settings): Look => ({
  theme: oneOf(THEME_NAMES, settings.theme),
  textSize: oneOf(SIZES, settings.textSize),
  hand: oneOf(HANDS, settings.hand),
  screenOn: settings.screenOn === 'yes',
})
