import { type RefrigerantName, refrigerantRow } from './catalogue'

/**
 * 100-year warming potential of single substances against carbon dioxide.
 * [std: IPCC AR4, from memory: verify against the law that applies; fluorinated olefins as regulations list them]
 */
const OF_SUBSTANCE: Readonly<Record<string, number>> = {
  'R-12': 10_900,
  'R-22': 1810,
  'R-32': 675,
  'R-125': 3500,
  'R-134a': 1430,
  'R-143a': 4470,
  'R-1234yf': 4,
  'R-1234ze(E)': 7,
  'R-290': 3,
  'R-600': 4,
  'R-600a': 3,
  'R-601a': 5,
  'R-744': 1,
}

function ofSubstance(name: string): number {
  const value = OF_SUBSTANCE[name]
  if (value === undefined) throw new Error(`${name} has no warming potential in the table`)
  return value
}

/** 100-year warming potential; of a blend by its mass shares (see OF_SUBSTANCE for source and tag). */
export function warmingPotential(name: RefrigerantName): number {
  const { blend } = refrigerantRow(name)
  if (blend.length === 0) return ofSubstance(name)
  return blend.reduce((sum, [component, share]) => sum + share * ofSubstance(component), 0)
}

export const WARMING_SOURCE = 'IPCC AR4, 100 years, from memory: verify against the law that applies'
