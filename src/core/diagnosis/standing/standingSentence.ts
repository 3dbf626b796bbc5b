import { fromPascals, fromSI } from '../../base/units/convert'
import { type Display, rounded, showTemperature } from '../../base/units/show'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import type { Snapshot } from '../../record/readings/snapshot'
import { readingRow } from '../../record/readings/vocabulary'
import type { Spread } from './chargeShare'
import type { StandingCircuit, StandingSection, StandingState } from './standingCircuit'

const OTHER_SIDE = 'The other side may hold liquid: read it too before the charge is called lost.'

type Site = Pick<Snapshot, 'refrigerant' | 'atmosphere'>

/** "128 psig", "10 inHg vacuum" or "880 kPa" from Pa absolute, by the temperature unit's country. */
function showGauge(pascals: number, atmosphere: number, { temperature }: Display): string {
  if (temperature === 'C') return `${rounded((pascals - atmosphere) / 1000)} kPa gauge`
  const psig = fromPascals(pascals, 'psig', atmosphere)
  return psig < 0
    ? `${rounded(fromPascals(pascals, 'inHgVac', atmosphere), 1)} inHg vacuum`
    : `${rounded(psig, psig < 10 ? 1 : 0)} psig`
}

const percent = (share: number) => rounded(100 * share, share < 0.095 ? 1 : 0)
const showSpread = ({ low, likely, high }: Spread) =>
  `about ${percent(likely)} % (${percent(low)} to ${percent(high)} %)`

function shownWeight({ weight }: StandingSection, { temperature }: Display): string {
  if (!weight) return ''
  const unit = temperature === 'C' ? 'kg' : 'lb'
  const show = (kilograms: number) => rounded(fromSI(kilograms, unit), 2)
  return `, ${show(weight.low)} to ${show(weight.high)} ${unit}`
}

const PREFIX: Readonly<Record<StandingSection['section'], string>> = {
  circuit: 'It stands',
  'low-side': 'The low side stands',
  'high-side': 'The high side stands',
}

/** Saturation at the place it is compared with: one figure, or bubble and dew where they lie apart. */
function saturationAt(
  { place }: StandingSection,
  { refrigerant, atmosphere }: Site,
  display: Display,
): string {
  if (!place) return ''
  const { value } = place.at
  const [dew, bubble] = (['dew', 'bubble'] as const).map((line) =>
    showGauge(saturationPressure(refrigerant, line, value), atmosphere, display),
  )
  const figures = dew === bubble ? bubble : `${dew} to ${bubble}`
  return `; ${refrigerant} at ${showTemperature(value, display)} (${readingRow(place.key).short.toLowerCase()}) saturates at ${figures}`
}

/** What each state means, and what it does not mean. */
const MEANS: Readonly<Record<StandingState, (section: StandingSection, display: Display) => string>> = {
  liquid: () => 'some liquid is left, which does not say that the charge is right',
  over: () =>
    'above saturation: air or nitrogen in it, another refrigerant, or liquid at a warmer place that was not measured',
  'vapour-only': (section, display) =>
    section.share
      ? `vapour only, no liquid is left: ${showSpread(section.share)} of the plate charge${shownWeight(section, display)}, and what the oil holds`
      : 'vapour only, no liquid is left',
  empty: () => 'the charge is gone',
  vacuum: () => 'the charge is gone, and it has been drawing air: it counts as open to air',
}

/** One statement: "It stands at 0.0 psig; R-22 at 85 F (outdoor) saturates at 156 psig: the charge is gone." */
function sectionSentence(section: StandingSection, site: Site, display: Display): string {
  const at = showGauge(section.pressure, site.atmosphere, display)
  return `${PREFIX[section.section]} at ${at}${saturationAt(section, site, display)}: ${MEANS[section.state](section, display)}.`
}

/** What is done next where the charge is gone. */
export const LOST_NEXT =
  'Nothing to recover, but prove it: pressure, and a search for cold spots. Then nitrogen in steps, with a trace where a detector is used; find and repair the leak before money goes into a compressor.'

/** Each statement with its sentence, ready to be shown. */
export type StandingTold = {
  readonly sections: readonly (Pick<StandingSection, 'section' | 'state'> & { readonly sentence: string })[]
  /** what is not said yet because one side alone was read */
  readonly open: string | undefined
  /** what follows where the charge is lost */
  readonly next: string | undefined
}

/** What a circuit at rest tells, statement by statement. */
export const tellStanding = (standing: StandingCircuit, site: Site, display: Display): StandingTold => ({
  sections: standing.sections.map((section) => ({
    section: section.section,
    state: section.state,
    sentence: sectionSentence(section, site, display),
  })),
  open: standing.state === undefined ? OTHER_SIDE : undefined,
  next: standing.isLost ? LOST_NEXT : undefined,
})

/** All that a circuit at rest tells, in sentences; what one side alone leaves open is said. */
export function standingSentence(standing: StandingCircuit, site: Site, display: Display): string {
  const { sections, open } = tellStanding(standing, site, display)
  return [...sections.map(({ sentence }) => sentence), ...(open ? [open] : [])].join(' ')
}
