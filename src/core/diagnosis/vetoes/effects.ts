import type { Effects, Filling, ReplacedPart } from '../../record/state/effects'
import { COVER } from '../../record/state/offParts'
import type { VetoId } from '../../safety/vetoes'

/** States that what a task does ends, and states that it makes. */
type VetoChange = { readonly lifts: readonly VetoId[]; readonly brings: readonly VetoId[] }

/** What nitrogen or a pump changes. */
const FILLING: Readonly<Record<Filling, VetoChange>> = {
  nitrogen: { lifts: ['under-nitrogen', 'evacuated', 'below-atmosphere'], brings: ['gas-inside'] },
  'nitrogen-pressure': { lifts: ['evacuated', 'below-atmosphere'], brings: ['gas-inside', 'under-nitrogen'] },
  trace: { lifts: ['evacuated', 'below-atmosphere'], brings: ['gas-inside', 'under-nitrogen'] },
  vacuum: {
    lifts: ['gas-inside', 'under-nitrogen', 'standing-vacuum'],
    brings: ['evacuated', 'below-atmosphere'],
  },
}

const GROUND: readonly VetoId[] = ['ground-path']
const BOTH: readonly VetoId[] = ['ground-path', 'terminals-burnt']
/** What the change of a part ends. */
export const ENDED_BY_PART: { readonly [P in ReplacedPart]?: readonly VetoId[] } = {
  compressor: BOTH,
  lead: BOTH,
  'terminal-plug': ['terminals-burnt'],
  'fan-motor': GROUND,
  'crankcase-heater': GROUND,
}

/** What each of the other effects changes. */
const changesOf = ({ opens, isolates, joins, charges, water, clears, takesOff, putsBack }: Effects) =>
  [
    [opens, ['evacuated', 'below-atmosphere', 'terminals-under-pressure'], ['gas-inside']],
    [isolates, [], ['isolated']],
    [joins, ['isolated'], []],
    [charges, ['evacuated', 'below-atmosphere', 'no-liquid', 'low-side-leak'], []],
    [water === 'drained', ['water-standing'], ['water-not-flowing']],
    [water === 'flowing', ['water-standing', 'water-not-flowing'], []],
    [clears, ['flammable'], []],
    [takesOff?.includes(COVER), [], ['cover-off']],
    [putsBack?.includes(COVER), ['cover-off', 'terminals-under-pressure'], []],
  ] as const satisfies readonly (readonly [boolean | undefined, readonly VetoId[], readonly VetoId[]])[]

/** The states that a task with these effects ends and makes; a plan is ordered by them before anything was done. */
export function vetoChange(effects: Effects): VetoChange {
  const filling = effects.fills && FILLING[effects.fills]
  const rows = changesOf(effects).filter(([does]) => does)
  const lifts: VetoId[] = [
    ...rows.flatMap(([, each]) => each),
    ...(filling?.lifts ?? []),
    ...(effects.replaces ?? []).flatMap((part) => ENDED_BY_PART[part] ?? []),
  ]
  return { lifts, brings: [...rows.flatMap(([, , each]) => each), ...(filling?.brings ?? [])] }
}

/** States that hold after a task, by its effects alone. */
export function vetoesAfter(holding: readonly VetoId[], effects: Effects): VetoId[] {
  const { lifts, brings } = vetoChange(effects)
  return [...new Set([...holding.filter((each) => !lifts.includes(each)), ...brings])]
}
