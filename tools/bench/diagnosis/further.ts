// What a case shows after the checks that are asked for, and with everything on record.
import { electricalTestRow } from '@/core/diagnosis/electrical/electricalTests'
import { checkRow } from '@/core/diagnosis/checks/checks'
import { diagnose } from '@/core/answer/diagnose'
import type { ObservationKey } from '@/core/record/readings/observations'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { ReadingSet } from '@/core/record/readings/schema'
import { observe } from '@/core/simulate/observe'
import { readSteady } from '@/core/simulate/simulateSet'
import { allLooks, allTaps, type Case, LAPSE } from './draw'

export const ASKED_CHECKS = 3

/** The set after the first check that is asked for was made. */
function afterCheck(found: Case, set: ReadingSet): ReadingSet {
  const { unit, steady, show, random } = found
  const asked = diagnose(unit, set).nextChecks[0]
  if (!asked) return set
  const { observation, test } = checkRow(asked.check)
  if (test === 'windingsAtTerminals') return atTerminals(found, set)
  const taken = asked.taps.filter((key) => show?.runs !== false || key !== 'contactorVoltageDrop')
  const readings = { ...set.readings, ...readSteady(steady, taken, random, show?.values) }
  const words: ObservationKey[] = observation
    ? [observation]
    : test === 'ground' || test === 'groundAtTerminals'
      ? ['groundMeasuredAt']
      : []
  const seen = observe(steady, words, random, LAPSE, show?.words)
  return { ...set, readings, observations: { ...set.observations, ...seen } }
}

/** The pairs at the compressor's own terminals: a burnt plug is out of the way there. */
function atTerminals({ unit, steady, show, random, truth }: Case, set: ReadingSet): ReadingSet {
  const values = truth === 'terminal-plug-burnt' ? undefined : show?.values
  const pairs = electricalTestRow('windingsAtTerminals').needs(unit)
  const there = Object.entries(readSteady(steady, pairs, random, values)).map(([key, reading]) => {
    const first = set.readings[key as ReadingKey]
    const before = first && [{ value: first.value, unit: first.unit, place: 'contactor' }]
    return [key, { ...reading, place: 'terminals', ...(before ? { before } : {}) }]
  })
  return { ...set, readings: { ...set.readings, ...(Object.fromEntries(there) as ReadingSet['readings']) } }
}

/** The set after three checks, the first of the list each time. */
export function afterChecks(found: Case): ReadingSet {
  let { set } = found
  for (let i = 0; i < ASKED_CHECKS; i++) set = afterCheck(found, set)
  return set
}

/** The set with every reading and look that the unit offers as it stands or runs; what was on record stays. */
export function everything(found: Case): ReadingSet {
  const { unit, steady, show, random, set } = found
  const runs = show?.runs ?? true
  const readings = readSteady(steady, allTaps(unit, runs), random, show?.values)
  const looks: ObservationKey[] = [...allLooks(unit, runs), 'groundMeasuredAt', 'groundInstrument']
  const seen = observe(steady, looks, random, LAPSE, show?.words)
  return {
    ...set,
    readings: { ...readings, ...set.readings },
    observations: { ...seen, ...set.observations },
  }
}
