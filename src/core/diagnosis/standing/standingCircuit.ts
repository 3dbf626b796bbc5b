import { attempt } from '../../base/errors/orzoError'
import { differenceToKelvin, toKelvin, toSI } from '../../base/units/convert'
import { saturationPressure } from '../../physics/refrigerants/saturation'
import { hasLiquidValve } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Measured, Snapshot } from '../../record/readings/snapshot'
import { type Section, standingPressures } from '../../record/readings/standingPressures'
import { chargeShare, type Spread } from './chargeShare'
import { coldestUnread, placesAtRest, type Place } from './coldestPlace'

/** What a standing pressure says of what is inside (handbook 13). */
export const STANDING_STATES = ['liquid', 'over', 'vapour-only', 'empty', 'vacuum'] as const
export type StandingState = (typeof STANDING_STATES)[number]

export type StandingSection = {
  readonly section: Section
  readonly state: StandingState
  /** Pa absolute */
  readonly pressure: number
  /** the place whose saturation it is compared with; undefined where no temperature was read */
  readonly place: Place | undefined
  /** of the plate charge, where only vapour is left */
  readonly share: Spread | undefined
  /** kg, where the plate tells the charge */
  readonly weight: Spread | undefined
}

export type StandingCircuit = {
  readonly sections: readonly StandingSection[]
  /** of the whole circuit: liquid anywhere is liquid left; undefined where one side alone was read and another may hold it */
  readonly state: StandingState | undefined
  /** no liquid is left anywhere */
  readonly isLost: boolean
}

/** [practice] handbook 13: a standing pressure agrees with saturation within 3-5 F. */
const TOLERANCE = differenceToKelvin(4, 'F')
/** [practice] where no temperature was read: no place of a serviced circuit is colder. */
const COLDEST_PLAUSIBLE = toKelvin({ value: -20, unit: 'F' })
/** About 0 psig, Pa over the air: gas at 0 psig that cooled from 95 to 50 F makes 2.4 inHg [physics]. */
const EMPTY_LEAST = -10_200
const EMPTY_MOST = 7_000

const stateBelow = (gauge: number): StandingState =>
  gauge < EMPTY_LEAST ? 'vacuum' : gauge <= EMPTY_MOST ? 'empty' : 'vapour-only'

type Lines = { readonly dew: number; readonly bubble: number }

function saturations(at: Snapshot, coldest: number, warmest: number): Lines | undefined {
  const found = attempt(() => ({
    dew: saturationPressure(at.refrigerant, 'dew', coldest - TOLERANCE),
    bubble: saturationPressure(at.refrigerant, 'bubble', warmest + TOLERANCE),
  }))
  return found.ok ? found.value : undefined
}

function stateAt(at: Snapshot, { value, error }: Measured, lines: Lines): StandingState {
  if (value + error < lines.dew) return stateBelow(value - at.atmosphere)
  return value - error > lines.bubble ? 'over' : 'liquid'
}

/** Where the liquid lies by its pressure: at the coldest place, or at the warmest where the coldest could not hold so much. */
function placeOf(
  at: Snapshot,
  state: StandingState,
  pascals: number,
  { coldest, warmest }: { coldest: Place; warmest: Place },
): Place {
  const most = saturations(at, coldest.at.value, coldest.at.value)?.bubble
  const isWarmer = state === 'over' || (state === 'liquid' && most !== undefined && pascals > most)
  return isWarmer ? warmest : coldest
}

const scaled = ({ low, likely, high }: Spread, by: number): Spread => ({
  low: low * by,
  likely: likely * by,
  high: high * by,
})

function judgeSection(
  unit: UnitPlate,
  at: Snapshot,
  section: Section,
  pressure: Measured,
): StandingSection | undefined {
  const places = placesAtRest(at)
  const coldest = places?.coldest.at.value ?? COLDEST_PLAUSIBLE
  const lines = saturations(at, coldest, places?.warmest.at.value ?? coldest)
  if (!lines) return undefined
  const state = stateAt(at, pressure, lines)
  const isVapour = state !== 'liquid' && state !== 'over'
  // Without a temperature only the lack of liquid can be told.
  if (!places && !isVapour) return undefined
  // the cooled side was not read: it may hold liquid at a temperature that fits this pressure
  const unread = coldestUnread(unit, at)
  if (state === 'vapour-only' && unread !== undefined && unread < coldest) {
    const least = saturations(at, unread, unread)?.dew
    if (least !== undefined && pressure.value + pressure.error >= least) return undefined
  }
  const share = places && isVapour ? chargeShare(at.refrigerant, pressure.value, coldest) : undefined
  return {
    section,
    state,
    pressure: pressure.value,
    place: places && placeOf(at, state, pressure.value, places),
    share,
    weight: share && unit.factoryCharge ? scaled(share, toSI(unit.factoryCharge)) : undefined,
  }
}

/**
 * What a circuit at rest tells: liquid left, more than its saturation, vapour only with the share of the charge that is
 * left, empty, or vacuum. Where the sides differ each statement holds for its own section.
 * @returns undefined where the set was taken running, or nothing can be told
 * @throws OrzoError not-loaded when the refrigerant's table is not in memory
 */
export function standingCircuit(unit: UnitPlate, at: Snapshot): StandingCircuit | undefined {
  const sections = standingPressures(at).flatMap(
    ({ section, pressure }) => judgeSection(unit, at, section, pressure) ?? [],
  )
  const fullest = [...sections].sort((a, b) => b.pressure - a.pressure)[0]
  if (!fullest) return undefined
  const held = sections.find(({ state }) => hasLiquid(state))
  // A shut solenoid or a pump-down keeps liquid on the side that was not read.
  const isOneSide = sections.length === 1 && fullest.section !== 'circuit'
  const mayHide = isOneSide && (hasLiquidValve(unit) || at.observations.servicePortState === 'front-seated')
  const state = held?.state ?? (mayHide ? undefined : fullest.state)
  return { sections, state, isLost: state !== undefined && !hasLiquid(state) }
}

const hasLiquid = (state: StandingState) => state === 'liquid' || state === 'over'
