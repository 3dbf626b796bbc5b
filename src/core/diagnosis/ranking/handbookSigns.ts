import type { UnitPlate } from '../../record/equipment/unit'
import { type Cell, type Curve, SHIFT_OF_SIGN, type Signature } from '../faults/fault'
import type { FeatureKey } from '../evidence/features'
import { type FaultId, faultRow, type SuspectId } from '../faults/faults'

/** [practice] a band holds about nine sound units in ten of all makes. */
const SOUND_SPREAD = 0.6
/** A faulty circuit strays more than a sound one, in every column. */
const FAULTY_SPREAD = 0.8
/** A fault's shift is known only roughly: spread as a share of the shift. */
const SHIFT_SPREAD = 0.4
/** Either way, or not in the list: anything within some tolerances. */
const EITHER_WAY_SPREAD = 3.5
/** A missing cell says nothing. */
const BLANK_SPREAD = 2.5

function onCurve(curve: Curve, severity: number): number {
  const above = Math.max(
    curve.findIndex(([s]) => s >= severity),
    1,
  )
  const [s0, y0] = curve[above - 1] ?? [0, 0]
  const [s1, y1] = curve[above] ?? [1, 0]
  return y0 + ((severity - s0) / (s1 - s0)) * (y1 - y0)
}

/** Expected deviation in tolerances at a severity; undefined where the cell gives none. */
export function expectedShift(cell: Cell | undefined, severity: number): number | undefined {
  if (cell === undefined || cell === '*') return undefined
  return typeof cell === 'string' ? SHIFT_OF_SIGN[cell] * severity : onCurve(cell, severity)
}

/** The signature of a suspect on this unit; none for those without a row in the handbook's table. */
export function signatureOf(suspect: SuspectId, unit: UnitPlate): Signature | undefined {
  if (suspect === 'healthy' || suspect === 'unlisted') return undefined
  if (faultRow(suspect).showsAs === 'healthy') return undefined
  const own = faultRow(suspect)
  const row = own.signature || !own.showsAs ? own : faultRow(own.showsAs as FaultId)
  return row.variant?.metering.includes(unit.metering) ? row.variant.signature : row.signature
}

/** Centre and spread, in tolerances, of a feature under one hypothesis. */
export type Expected = { readonly centre: number; readonly spread: number }

/** What the handbook's signs expect of a feature at a severity. */
export function expectation(
  suspect: SuspectId,
  signature: Signature | undefined,
  key: FeatureKey,
  severity: number,
): Expected {
  if (suspect === 'healthy') return { centre: 0, spread: SOUND_SPREAD }
  if (suspect === 'unlisted') return { centre: 0, spread: EITHER_WAY_SPREAD }
  const cell = signature?.[key]
  if (cell === '*') return { centre: 0, spread: EITHER_WAY_SPREAD }
  const centre = expectedShift(cell, severity)
  if (centre === undefined) return { centre: 0, spread: BLANK_SPREAD }
  return { centre, spread: Math.hypot(FAULTY_SPREAD, SHIFT_SPREAD * centre) }
}
