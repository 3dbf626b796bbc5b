import { acidSigns, type Chances } from './acidEvidence'
import { exposureOf } from './exposure'
import type { CleanupRecord } from './record'
import { suggestionsOf } from './suggests'
import { waterSigns } from './waterEvidence'

/** [practice] acid in the oil before anything was looked at: after a burn, another dead compressor, anything else. */
const BURNT: Chances = [0.25, 0.4, 0.35]
const BROKEN: Chances = [0.75, 0.2, 0.05]
const OUTSIDE: Chances = [0.93, 0.06, 0.01]
/** [practice] a burnout in its history. */
const EARLIER: Chances = [0.5, 1.5, 2]
/** [practice] water where nothing speaks of it, where it was open, where ice is the fault. */
const DRY_CIRCUIT = 0.04
const OPENED = 0.15
const ICE = 0.9

const times = (a: Chances, b: Chances): Chances => [a[0] * b[0], a[1] * b[1], a[2] * b[2]]
function normal(all: Chances): Chances {
  const sum = all[0] + all[1] + all[2]
  return [all[0] / sum, all[1] / sum, all[2] / sum]
}

function priorOf({ faults, previousBurnout }: CleanupRecord): Chances {
  const suggested = suggestionsOf(faults)
  const base = suggested.some(({ electrical }) => electrical)
    ? BURNT
    : suggested.some(({ compressor }) => compressor)
      ? BROKEN
      : OUTSIDE
  return previousBurnout ? times(base, EARLIER) : base
}

/** Chances of no acid, a mild and a strong one, from everything on record; they add up to one. [practice] */
export const acidChances = (record: CleanupRecord): Chances =>
  normal(acidSigns(record).reduce((all, { chances }) => times(all, chances), priorOf(record)))

/** Chance that the circuit is wet, 0 to 1. [practice] */
export function waterChance(record: CleanupRecord): number {
  const isIce = suggestionsOf(record.faults).some(({ contents }) => contents.wet)
  const prior = isIce ? ICE : exposureOf(record) ? OPENED : DRY_CIRCUIT
  const [dry, wet] = waterSigns(record).reduce<[number, number]>(
    ([a, b], { chances }) => [a * chances[0], b * chances[1]],
    [1 - prior, prior],
  )
  return wet / (dry + wet)
}
