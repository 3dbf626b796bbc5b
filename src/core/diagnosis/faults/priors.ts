import type { Job } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { FaultId, SuspectId } from './faults'

/** A fault that somebody else found: how far it is believed before it is checked here. */
export type ToldFault = { readonly fault: FaultId; readonly share: number; readonly because: string }

/** What is known of a unit before any reading: its history from Arrive, what was seen, brought along, repaired before. */
export type History = Pick<NonNullable<Job['arrival']>, 'previousBurnout' | 'previousCompressor'> & {
  /** faults that were seen: they lead */
  readonly seenFaults?: readonly FaultId[]
  readonly told?: readonly ToldFault[]
  /** faults that were repaired on this unit before: their return is more likely than a new one */
  readonly repaired?: readonly FaultId[]
}

/** [practice] how much likelier a fault that was repaired before is than before any repair. */
const RETURNS = 4

type Factors = { readonly [F in FaultId]?: number }
type Rule = {
  /** said beside the suspect, so that nobody wonders */
  readonly because: string
  readonly holds: (unit: UnitPlate, history: History) => boolean
  readonly factors: Factors
}

/** [practice] small factors on how often a fault is found; each is shown with the suspect it moves. */
const RULES: readonly Rule[] = [
  {
    because: 'a burnout in its history',
    holds: (_unit, { previousBurnout }) => previousBurnout === true,
    factors: {
      'plugged-liquid-dryer': 2,
      'suction-line-restriction': 2,
      'txv-inlet-screen-plugged': 2,
      'compressor-grounded': 1.5,
      'compressor-shorted-turns': 1.5,
    },
  },
  {
    because: 'a compressor changed before',
    holds: (_unit, { previousCompressor }) => previousCompressor === true,
    factors: {
      'capillary-plugged': 2,
      'txv-inlet-screen-plugged': 2,
      'fixed-orifice-plugged': 1.5,
      'fixed-orifice-oversized': 2,
      'plugged-liquid-dryer': 1.5,
      'non-condensables': 1.5,
      'phase-reversed': 3,
      'wrong-or-mixed-refrigerant': 1.5,
    },
  },
  {
    because: 'a freezer',
    holds: ({ kind }) => kind === 'walk-in-freezer',
    factors: { 'defrost-failure': 1.5, 'moisture-freeze-at-valve': 1.5 },
  },
  {
    because: 'no receiver that would carry a plug',
    holds: ({ receiver }) => receiver !== true,
    factors: { 'relief-plug-melted': 0.15 },
  },
  {
    because: 'piped on site',
    holds: ({ kind }) => kind === 'split-ac' || kind === 'split-heat-pump',
    factors: { 'access-fitting-leak': 1.3, 'non-condensables': 1.2 },
  },
]

/** What somebody else said of a suspect; undefined where nobody named it. */
export const toldOf = (suspect: SuspectId, { told = [] }: History): ToldFault | undefined =>
  told.find(({ fault }) => fault === suspect)

export type PriorFactor = { readonly factor: number; readonly because: readonly string[] }

/** How kind and history move one suspect before any reading; factor 1 and no reason where they do not. */
export function priorFactor(suspect: SuspectId, unit: UnitPlate, history: History): PriorFactor {
  const ofRules = RULES.flatMap(({ because, holds, factors }) => {
    const factor = factors[suspect as FaultId]
    return factor !== undefined && holds(unit, history) ? [{ factor, because }] : []
  })
  const isBack = history.repaired?.includes(suspect as FaultId) ?? false
  const moved = [...ofRules, ...(isBack ? [{ factor: RETURNS, because: 'repaired here before' }] : [])]
  return {
    factor: moved.reduce((product, { factor }) => product * factor, 1),
    because: moved.map(({ because }) => because),
  }
}
