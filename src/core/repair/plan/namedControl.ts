import { CONTROL_PATH, nextPoint, type Tested } from '../../diagnosis/electrical/supplyPath'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Observations } from '../../record/readings/schema'
import type { PartId } from './parts/catalogue'

/** What the bench proved open, and by what. */
export type NamedControl = { readonly part: PartId; readonly by: string }

/** What lies just before each dead point of the control circuit. */
const BEFORE: Readonly<Record<string, PartId>> = {
  transformer: 'transformer',
  'thermostat-call': 'thermostat',
  'pressure-switches': 'low-pressure-switch',
  'time-delay': 'time-delay',
  'contactor-coil': 'control-wire',
}

/** The ladder of jumps at the coil of a reversing valve (handbook 05). */
function byJumps({ jumpAtUnit, jumpAtThermostat }: Observations): NamedControl | undefined {
  if (jumpAtUnit !== 'holds' || jumpAtThermostat === undefined) return undefined
  return jumpAtThermostat === 'holds'
    ? { part: 'thermostat', by: 'the coil holds jumped at the unit and at the thermostat' }
    : { part: 'control-wire', by: 'the coil holds jumped at the unit, not at the thermostat' }
}

/** Between a live point and a dead one. */
function byPath(tested: Tested): NamedControl | undefined {
  const { done, between } = nextPoint(CONTROL_PATH, tested)
  const part = between && BEFORE[between.dead.id]
  if (!done || !part || !between) return undefined
  const from = between.live ? `live at: ${between.live.label}; ` : ''
  return { part, by: `${from}dead at: ${between.dead.label}` }
}

/** Faults of which the bench can name the part. */
const OF: { readonly [F in SuspectId]?: (words: Observations, tested: Tested) => NamedControl | undefined } =
  {
    'rv-control-voltage-fault': (words) => byJumps(words),
    'control-open': (_words, tested) => byPath(tested),
  }

/**
 * The part of a control circuit that the bench proved to be open; undefined while the circuit must still be followed.
 * @param tested points of the control circuit by what was read there, of every set
 */
export function namedControl(
  faults: readonly SuspectId[],
  words: Observations,
  tested: Tested,
): NamedControl | undefined {
  for (const fault of faults) {
    const named = OF[fault]?.(words, tested)
    if (named) return named
  }
  return undefined
}
