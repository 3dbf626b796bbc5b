import type { RefrigerantName } from '../../physics/refrigerants/catalogue'

const FOR_404A: readonly RefrigerantName[] = [
  'R-448A',
  'R-449A',
  'R-407A',
  'R-407F',
  'R-452A',
  'R-454C',
  'R-455A',
]

/** What is offered or asked for in the place of a refrigerant, the refused ones too, so that the reason is told. [practice] */
const CANDIDATES: { readonly [R in RefrigerantName]?: readonly RefrigerantName[] } = {
  'R-22': ['R-407C', 'R-438A', 'R-422D', 'R-427A', 'R-421A', 'R-410A', 'R-454B', 'R-32'],
  'R-404A': FOR_404A,
  'R-507A': FOR_404A,
  'R-134a': ['R-513A', 'R-1234yf'],
  'R-12': ['R-134a', 'R-513A'],
  'R-410A': ['R-454B', 'R-32', 'R-452B'],
  'R-407C': ['R-438A', 'R-427A', 'R-454C'],
  'R-448A': ['R-449A', 'R-454A', 'R-455A'],
  'R-449A': ['R-448A', 'R-454A', 'R-455A'],
  'R-454B': ['R-32', 'R-452B', 'R-410A'],
  'R-32': ['R-454B', 'R-410A'],
}

/** Refrigerants that are compared for a unit that holds one. */
export const candidatesFor = (name: RefrigerantName): readonly RefrigerantName[] => CANDIDATES[name] ?? []
