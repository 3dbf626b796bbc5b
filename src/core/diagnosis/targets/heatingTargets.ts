import type { Snapshot } from '../../record/readings/snapshot'
import { fromKelvin } from '../../base/units/convert'
import type { ProfileId } from './profiles'
import { band, bandAt, shifted, type Tag, type Target } from './target'

type HeatingProfile = Extract<ProfileId, 'air-heating' | 'water-heating' | 'pool-heating'>
type Difference = {
  readonly degrees: number
  readonly tolerance: number
  readonly source: string
  readonly tag: Tag
}
type HeatingRow = {
  /** evaporating below outdoor air or leaving water, F */
  readonly evaporating: Difference
  /** condensing over return air or leaving pool water, F */
  readonly condensing: Difference
  /** supply over return air, F */
  readonly rise?: Difference
  /** leaving over entering water, F; negative where water gives heat */
  readonly water?: Difference
}

/**
 * Handbook 03: heat pump 15-20, 25-40 and 20-35 F at mild outdoor temperatures [practice]; water source and pool [memory].
 * Where the simulated circuit runs near the edge of a band (docs/simulator.md) the middle is moved toward it inside the band.
 */
const ROWS: Readonly<Record<HeatingProfile, HeatingRow>> = {
  'air-heating': {
    evaporating: { degrees: 16, tolerance: 4.5, tag: 'practice', source: '15-20 F below outdoor air' },
    condensing: { degrees: 36, tolerance: 9, tag: 'practice', source: '25-40 F over return air' },
    rise: { degrees: 28, tolerance: 7, tag: 'practice', source: '20-35 F supply rise at mild outdoor air' },
  },
  'water-heating': {
    evaporating: { degrees: 13, tolerance: 5, tag: 'memory', source: '10-20 F below leaving water' },
    condensing: {
      degrees: 44,
      tolerance: 12,
      tag: 'physics',
      source: 'the simulated circuit; the handbook names no band',
    },
    rise: { degrees: 30, tolerance: 8, tag: 'practice', source: '20-35 F supply rise' },
    water: { degrees: -7, tolerance: 2, tag: 'memory', source: '4-8 F water drop' },
  },
  'pool-heating': {
    evaporating: { degrees: 15, tolerance: 5, tag: 'memory', source: '10-20 F below outdoor air' },
    condensing: { degrees: 11, tolerance: 5, tag: 'memory', source: '8-20 F over leaving water' },
    water: { degrees: 3.5, tolerance: 1.3, tag: 'memory', source: '3-6 F water rise at rated flow' },
  },
}

/**
 * [physics] less heat is drawn from colder air: differences as a share of those at a mild 47 F, as the simulated circuit shows.
 */
const shareAt = (outdoorFahrenheit: number) => 0.53 + 0.01 * Math.min(Math.max(outdoorFahrenheit, -20), 80)
const UNKNOWN_SHARE_SPREAD = 0.3

/** Share of the mild-weather differences at this set's outdoor air, and how uncertain it is. */
function load(profile: HeatingProfile, at: Snapshot): { share: number; spread: number } {
  if (profile === 'water-heating') return { share: 1, spread: 0 }
  const outdoor = at.values.outdoorAirTemp
  if (!outdoor) return { share: 1, spread: UNKNOWN_SHARE_SPREAD }
  return { share: shareAt(fromKelvin(outdoor.value, 'F')), spread: 0 }
}

function scaled(difference: Difference, { share, spread }: ReturnType<typeof load>): Target {
  const { degrees, tolerance, tag, source } = difference
  const wide = Math.hypot(tolerance, Math.abs(degrees) * spread)
  const moved = share === 1 ? source : `${source}, moved with outdoor air by the simulated circuit`
  return band(degrees * share, wide, tag, moved)
}

const EVAPORATING_UNKNOWN = bandAt(30, 18, 'practice', 'wide: outdoor air or leaving water would narrow it')
const CONDENSING_UNKNOWN = bandAt(105, 16, 'practice', 'wide: return air or leaving water would narrow it')

const isHeatingProfile = (profile: ProfileId): profile is HeatingProfile => Object.hasOwn(ROWS, profile)

/** Expected evaporating, condensing, rise and water difference while heating; none for other profiles. */
export function heatingTargets(
  profile: ProfileId,
  at: Snapshot,
):
  | { evaporating: Target; condensing: Target; rise: Target | undefined; water: Target | undefined }
  | undefined {
  if (!isHeatingProfile(profile)) return undefined
  const row = ROWS[profile]
  const now = load(profile, at)
  const { outdoorAirTemp, waterOutTemp, returnAirTemp } = at.values
  const source = profile === 'water-heating' ? waterOutTemp : outdoorAirTemp
  const sink = profile === 'pool-heating' ? waterOutTemp : returnAirTemp
  return {
    evaporating: source ? shifted(source, scaled(row.evaporating, now), -1) : EVAPORATING_UNKNOWN,
    condensing: sink ? shifted(sink, scaled(row.condensing, now), 1) : CONDENSING_UNKNOWN,
    rise: row.rise && scaled(row.rise, now),
    water: row.water && scaled(row.water, now),
  }
}
