import { familyOf } from '../faults/families'
import type { FaultId, SuspectId } from '../faults/faults'
import type { CheckId } from './checks'

/** Faults that readings of a running circuit cannot tell apart, and the checks that do, the cheapest first (handbook 04). */
type LookAlike = { readonly pair: readonly [FaultId, FaultId]; readonly checks: readonly CheckId[] }

const LOOK_ALIKES: readonly LookAlike[] = [
  { pair: ['non-condensables', 'overcharge'], checks: ['standingOverAmbient', 'weighedCharge'] },
  { pair: ['non-condensables', 'condenser-fouled'], checks: ['condenserCoil', 'standingOverAmbient'] },
  { pair: ['overcharge', 'condenser-fouled'], checks: ['condenserCoil', 'subcooling', 'weighedCharge'] },
  {
    pair: ['compressor-not-pumping', 'reversing-valve-leaking-through'],
    checks: ['reversingValveRise', 'pumpDownTest'],
  },
  { pair: ['compressor-not-pumping', 'internal-relief-open'], checks: ['reliefNoise'] },
  { pair: ['compressor-not-pumping', 'phase-reversed'], checks: ['phaseSequence'] },
  {
    pair: ['compressor-not-pumping', 'fixed-orifice-oversized'],
    checks: ['superheat', 'compressorAmps', 'pumpDownTest'],
  },
  { pair: ['undercharge', 'liquid-line-restriction'], checks: ['subcooling', 'liquidLineDrop'] },
  { pair: ['undercharge', 'txv-underfeeding'], checks: ['subcooling', 'bulbWarmResponse'] },
  { pair: ['plugged-liquid-dryer', 'txv-underfeeding'], checks: ['dryerDrop'] },
  { pair: ['liquid-line-restriction', 'txv-underfeeding'], checks: ['liquidLineDrop', 'frostPattern'] },
  { pair: ['terminal-plug-burnt', 'compressor-open-winding'], checks: ['windingsAtTerminals'] },
  { pair: ['control-open', 'charge-lost'], checks: ['standing'] },
  { pair: ['contactor-failed', 'charge-lost'], checks: ['standing', 'controlVolts'] },
  { pair: ['contactor-failed', 'control-open'], checks: ['controlVolts'] },
]

/** Two that lead within this factor of each other are not told apart. */
const NEARLY = 4
/** Together they must hold this share of the belief. */
const LEAST_TOGETHER = 0.5

/** Two suspects that the evidence does not tell apart, and what does. */
export type Undivided = { readonly pair: readonly [SuspectId, SuspectId]; readonly check: CheckId }

type Believed = { readonly suspect: SuspectId; readonly probability: number }

/**
 * The two suspects that lead and cannot be told apart by what is on record; undefined where one leads plainly, or where no
 * check that is left splits them.
 * @param ranked the most probable first
 * @param open checks that can be made now
 */
export function undivided(ranked: readonly Believed[], open: ReadonlySet<CheckId>): Undivided | undefined {
  const [first, ...others] = ranked
  const second = others.find(({ suspect }) => familyOf(suspect) !== familyOf(first?.suspect ?? 'healthy'))
  if (!first || !second) return undefined
  const isClose =
    first.probability < NEARLY * second.probability &&
    first.probability + second.probability >= LEAST_TOGETHER
  if (!isClose) return undefined
  const row = LOOK_ALIKES.find(({ pair }) =>
    [first.suspect, second.suspect].every((each) => (pair as readonly SuspectId[]).includes(each)),
  )
  const check = row?.checks.find((each) => open.has(each))
  return check && { pair: [first.suspect, second.suspect], check }
}
