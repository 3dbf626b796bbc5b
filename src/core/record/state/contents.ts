import { type Contents, type Section, SECTIONS } from './effects'
import type { SectionState, UnitState } from './unit'

const GASES: readonly Contents[] = ['nitrogen', 'nitrogen-pressure', 'trace', 'air', 'mixed']
/** Air or nitrogen, with or without refrigerant. */
export const isGas = (contents: Contents): boolean => GASES.includes(contents)
export const isNitrogenPressure = (contents: Contents): boolean =>
  contents === 'nitrogen-pressure' || contents === 'trace'

/** The sections that are worked on: all whose charge is not shut in. */
export const workedSections = ({ shutIn }: Pick<UnitState, 'shutIn'>): Section[] =>
  SECTIONS.filter((section) => !shutIn.includes(section))

/** Contents that leave nothing of the refrigerant, but what clings to oil. */
const REFRIGERANT_LEFT: readonly Contents[] = ['unknown', 'liquid', 'vapour', 'mixed']

/** Some sections with other contents. */
export function holding(
  state: UnitState,
  which: readonly Section[],
  contents: Contents,
  at: number,
  amount: SectionState['amount'] = 'unknown',
): UnitState['sections'] {
  const since = Number.isFinite(at) ? at : undefined
  const refrigerant = REFRIGERANT_LEFT.includes(contents) ? state.refrigerant : undefined
  const next = { contents, refrigerant, amount, since }
  return {
    ...state.sections,
    ...Object.fromEntries(
      which.map((section) => {
        const now = state.sections[section]
        const isSame = now.contents === contents && now.refrigerant === refrigerant && now.amount === amount
        return [section, isSame ? now : next]
      }),
    ),
  }
}

/** Sections that hold some contents become another. */
export const turned = (state: UnitState, from: (contents: Contents) => boolean, to: Contents, at: number) =>
  holding(
    state,
    SECTIONS.filter((section) => from(state.sections[section].contents)),
    to,
    at,
  )
