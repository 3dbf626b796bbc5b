import type { ObservationKey } from '../../record/readings/observations'
import { type ReadingKey, readingRow } from '../../record/readings/vocabulary'
import { type Act, refusals, type VetoId, type VetoRow } from '../../safety/vetoes'
import type { Finding } from '../electrical/finding'
import { CHECK_IDS, checkRow } from './checks'

/** What is done when a word is answered: that of the check which asks for it. */
const ACTS_OF_WORD: ReadonlyMap<string, readonly Act[]> = new Map([
  ...CHECK_IDS.flatMap((id): (readonly [string, readonly Act[]])[] => {
    const { observation, acts = [] } = checkRow(id)
    return observation ? [[observation, acts] as const] : []
  }),
  ['jumpAtThermostat', ['energise']],
])

/** Single answers that are acts of their own. */
const ACTS_OF_VALUE: { readonly [K in ObservationKey]?: Readonly<Record<string, Act>> } = {
  groundInstrument: { 'insulation-tester': 'insulation-test' },
  groundMeasuredAt: { terminals: 'own-terminals' },
  windingsMeasuredAt: { terminals: 'own-terminals' },
}

const LIVE_KINDS = ['voltage', 'current']
/** Across a part that is fed from elsewhere nothing is put on. */
const STARTS: readonly ReadingKey[] = ['inrushAmps', 'voltageRunning']

/** What taking an electrical reading does. */
function actsOfReading(key: ReadingKey): readonly Act[] {
  const { kind, place } = readingRow(key)
  if (place !== 'electrical' || !LIVE_KINDS.includes(kind)) return []
  return STARTS.includes(key) ? ['start', 'energise'] : ['energise']
}

/** Why a reading is not taken now; undefined where it may be. */
export const refusalOfReading = (key: ReadingKey, holding: readonly VetoId[]): VetoRow | undefined =>
  refusals(actsOfReading(key), holding)[0]

/** Why a word is not tried now; undefined where it may be. */
export const refusalOfWord = (key: ObservationKey, holding: readonly VetoId[]): VetoRow | undefined =>
  refusals(ACTS_OF_WORD.get(key) ?? [], holding)[0]

/** Answers of a word that are not offered now, each with its reason. */
export function refusedValues(
  key: ObservationKey,
  holding: readonly VetoId[],
): Readonly<Record<string, VetoRow>> {
  return Object.fromEntries(
    Object.entries(ACTS_OF_VALUE[key] ?? {}).flatMap(([value, act]) => {
      const [row] = refusals([act], holding)
      return row ? [[value, row]] : []
    }),
  )
}

/** Why points of the way to a load are not tested live now. */
export const refusalOfPath = (holding: readonly VetoId[]): VetoRow | undefined =>
  refusals(['energise'], holding)[0]

/** What a finding says to do next, where no state refuses it. */
export const nextOf = ({ next, nextActs = [] }: Finding, holding: readonly VetoId[]): string | undefined =>
  refusals(nextActs, holding).length === 0 ? next : undefined
