import type { UnitSystem } from '@/core/base/units/system'
import type { Settings } from '@/core/record/settings/settings'
import { displayUnits } from '@/core/record/settings/displayUnits'
import type { HANDS } from '@/core/record/settings/settings'
import type { TextSize } from '@/ui/theme/theme'
import type { ThemeName } from '@/ui/theme/tokens'

type Hand = (typeof HANDS)[number]

/** How this browser shows Orzo. */
export type Look = {
  readonly theme: ThemeName
  readonly textSize: TextSize
  /** the hand that holds and taps: the pad and the taps stand on its side */
  readonly hand: Hand
  /** whether the screen is kept on while a job is open */
  readonly screenOn: boolean
  /** the units in which everything is shown */
  readonly system: UnitSystem
}

/** What was chosen; the first of each where nothing was. */
export const lookOf = (settings: Settings): Look => {
  const { theme, textSize, hand, screenOn } = settings
  return {
    theme: theme ?? 'sunlight',
    textSize: textSize ?? 'usual',
    hand: hand ?? 'right',
    screenOn: screenOn ?? false,
    system: displayUnits(settings).system,
  }
}
