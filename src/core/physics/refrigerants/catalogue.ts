import { OrzoError } from '../../base/errors/orzoError'

export type SafetyClass = 'A1' | 'A2L' | 'A3'
export const OILS = ['mineral', 'alkylbenzene', 'POE', 'PVE'] as const
export type OilFamily = (typeof OILS)[number]

/** What the trade knows of a refrigerant beside its property table. */
export type RefrigerantRow = {
  /** [std: ASHRAE 34] safety group. */
  readonly safety: SafetyClass
  /** [practice] oils in use with it, the usual one first. */
  readonly oils: readonly OilFamily[]
  /** [std: ASHRAE 34] components and mass shares of a blend; empty for a single substance. */
  readonly blend: readonly (readonly [component: string, massShare: number])[]
  /** [practice] high-pressure family: dryers and hoses need the higher pressure class (handbook 06). */
  readonly highPressureClass: boolean
}

const REFRIGERANTS = {
  'R-22': { safety: 'A1', oils: ['mineral', 'alkylbenzene'], blend: [], highPressureClass: false },
  'R-410A': {
    safety: 'A1',
    oils: ['POE', 'PVE'],
    blend: [
      ['R-32', 0.5],
      ['R-125', 0.5],
    ],
    highPressureClass: true,
  },
  'R-32': { safety: 'A2L', oils: ['POE', 'PVE'], blend: [], highPressureClass: true },
  'R-454B': {
    safety: 'A2L',
    oils: ['POE', 'PVE'],
    blend: [
      ['R-32', 0.689],
      ['R-1234yf', 0.311],
    ],
    highPressureClass: true,
  },
  'R-134a': { safety: 'A1', oils: ['POE'], blend: [], highPressureClass: false },
  'R-404A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-125', 0.44],
      ['R-143a', 0.52],
      ['R-134a', 0.04],
    ],
    highPressureClass: false,
  },
  'R-407C': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.23],
      ['R-125', 0.25],
      ['R-134a', 0.52],
    ],
    highPressureClass: false,
  },
  'R-448A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.26],
      ['R-125', 0.26],
      ['R-1234yf', 0.2],
      ['R-134a', 0.21],
      ['R-1234ze(E)', 0.07],
    ],
    highPressureClass: false,
  },
  'R-290': { safety: 'A3', oils: ['mineral', 'alkylbenzene', 'POE'], blend: [], highPressureClass: false },
  'R-407A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.2],
      ['R-125', 0.4],
      ['R-134a', 0.4],
    ],
    highPressureClass: false,
  },
  'R-407F': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.3],
      ['R-125', 0.3],
      ['R-134a', 0.4],
    ],
    highPressureClass: false,
  },
  'R-507A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-125', 0.5],
      ['R-143a', 0.5],
    ],
    highPressureClass: false,
  },
  'R-449A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.243],
      ['R-125', 0.247],
      ['R-1234yf', 0.253],
      ['R-134a', 0.257],
    ],
    highPressureClass: false,
  },
  'R-438A': {
    safety: 'A1',
    oils: ['POE', 'mineral', 'alkylbenzene'],
    blend: [
      ['R-32', 0.085],
      ['R-125', 0.45],
      ['R-134a', 0.442],
      ['R-600', 0.017],
      ['R-601a', 0.006],
    ],
    highPressureClass: false,
  },
  'R-427A': {
    safety: 'A1',
    oils: ['POE', 'alkylbenzene'],
    blend: [
      ['R-32', 0.15],
      ['R-125', 0.25],
      ['R-143a', 0.1],
      ['R-134a', 0.5],
    ],
    highPressureClass: false,
  },
  'R-422D': {
    safety: 'A1',
    oils: ['POE', 'mineral', 'alkylbenzene'],
    blend: [
      ['R-125', 0.651],
      ['R-134a', 0.315],
      ['R-600a', 0.034],
    ],
    highPressureClass: false,
  },
  'R-421A': {
    safety: 'A1',
    oils: ['POE', 'alkylbenzene'],
    blend: [
      ['R-125', 0.58],
      ['R-134a', 0.42],
    ],
    highPressureClass: false,
  },
  'R-513A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-1234yf', 0.56],
      ['R-134a', 0.44],
    ],
    highPressureClass: false,
  },
  'R-1234yf': { safety: 'A2L', oils: ['POE'], blend: [], highPressureClass: false },
  'R-600a': { safety: 'A3', oils: ['mineral', 'alkylbenzene', 'POE'], blend: [], highPressureClass: false },
  'R-12': { safety: 'A1', oils: ['mineral', 'alkylbenzene'], blend: [], highPressureClass: false },
  'R-452A': {
    safety: 'A1',
    oils: ['POE'],
    blend: [
      ['R-32', 0.11],
      ['R-125', 0.59],
      ['R-1234yf', 0.3],
    ],
    highPressureClass: false,
  },
  'R-452B': {
    safety: 'A2L',
    oils: ['POE', 'PVE'],
    blend: [
      ['R-32', 0.67],
      ['R-125', 0.07],
      ['R-1234yf', 0.26],
    ],
    highPressureClass: true,
  },
  'R-454A': {
    safety: 'A2L',
    oils: ['POE'],
    blend: [
      ['R-32', 0.35],
      ['R-1234yf', 0.65],
    ],
    highPressureClass: false,
  },
  'R-454C': {
    safety: 'A2L',
    oils: ['POE'],
    blend: [
      ['R-32', 0.215],
      ['R-1234yf', 0.785],
    ],
    highPressureClass: false,
  },
  'R-455A': {
    safety: 'A2L',
    oils: ['POE'],
    blend: [
      ['R-744', 0.03],
      ['R-32', 0.215],
      ['R-1234yf', 0.755],
    ],
    highPressureClass: false,
  },
} as const satisfies Record<string, RefrigerantRow>

export type RefrigerantName = keyof typeof REFRIGERANTS

/** Names in the order in which a list shows them. */
export const REFRIGERANT_NAMES = Object.keys(REFRIGERANTS) as RefrigerantName[]

/** The row seen without its literal types. */
export const refrigerantRow = (name: RefrigerantName): RefrigerantRow => REFRIGERANTS[name]

/** The oil that is usual with a refrigerant where the plate is silent: the first of its row. */
export const usualOilOf = (name: RefrigerantName): OilFamily => refrigerantRow(name).oils[0] ?? 'POE'

/** Whether a refrigerant burns (A2L or A3), so that the cautions for flammables apply. */
export const isFlammable = (name: RefrigerantName): boolean => refrigerantRow(name).safety !== 'A1'

/**
 * The refrigerant meant by a word: "R-410A", "r410a", "410A".
 * @throws OrzoError unknown-refrigerant, naming those that are known
 */
export function parseRefrigerant(word: string): RefrigerantName {
  const plain = (text: string) =>
    text
      .toUpperCase()
      .replace(/[^A-Z0-9]/g, '')
      .replace(/^R/, '')
  const found = REFRIGERANT_NAMES.find((name) => plain(name) === plain(word))
  if (!found) {
    throw new OrzoError(
      'unknown-refrigerant',
      `"${word}" is not in the list: use ${REFRIGERANT_NAMES.join(', ')}.`,
    )
  }
  return found
}
