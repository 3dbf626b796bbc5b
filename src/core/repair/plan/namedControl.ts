import { CONTROL_PATH, nextPoint, type Tested } from '../../diagnosis/electrical/supplyPath'
import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Observations } from '../../record/readings/schema'
import type { PartId } from './parts/catalogue'

/** What the bench proved open, and by what. */
export type NamedControl = { readonly part: PartId; readonly by: string }

type Tells = (words: Observations, tested: Tested) => PartId | undefined

/** A transformer is the fault only where line volts reach it. */
const FED: readonly string[] = ['disconnect-load', 'contactor-line']

/** Thermostat or wire: the jump at the thermostat tells them apart (handbook 05). */
const byThermostat = ({ jumpAtThermostat }: Observations): PartId | undefined =>
  jumpAtThermostat && (jumpAtThermostat === 'holds' ? 'thermostat' : 'control-wire')

/** What lies just before each dead point of the control circuit; where several parts do, what tells them apart. */
const BEFORE: Readonly<Record<string, Tells>> = {
  transformer: (_words, tested) => (FED.some((id) => tested[id] === 'live') ? 'transformer' : undefined),
  'thermostat-call': byThermostat,
  'pressure-switches': ({ lowPressureSwitch }) =>
    lowPressureSwitch === 'open' ? 'low-pressure-switch' : undefined,
  'time-delay': () => 'time-delay',
  'contactor-coil': () => 'control-wire',
}

/** The ladder of jumps at the coil of a reversing valve (handbook 05). */
function byJumps(words: Observations): NamedControl | undefined {
  const part = words.jumpAtUnit === 'holds' ? byThermostat(words) : undefined
  const where = part === 'thermostat' ? 'and at the thermostat' : 'not at the thermostat'
  return part && { part, by: `the coil holds jumped at the unit, ${where}` }
}

/** Between a live point and a dead one. */
function byPath(words: Observations, tested: Tested): NamedControl | undefined {
  const { done, between } = nextPoint(CONTROL_PATH, tested)
  const part = done && between ? BEFORE[between.dead.id]?.(words, tested) : undefined
  if (!part || !between) return undefined
  const from = between.live ? `live at: ${between.live.label}; ` : ''
  return { part, by: `${from}dead at: ${between.dead.label}` }
}

/** Faults of which the bench can name the part. */
const OF: { readonly [F in SuspectId]?: (words: Observations, tested: Tested) => NamedControl | undefined } =
  {
    'rv-control-voltage-fault': byJumps,
    'control-open': byPath,
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
