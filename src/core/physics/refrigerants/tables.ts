import { OrzoError } from '../../base/errors/orzoError'
import type { RefrigerantName } from './catalogue'

/** Values along the bubble line (liquid) or the dew line (vapour); Pa, kg/m3, J/kg, J/(kg K). */
export type LineColumns = {
  readonly pressure: readonly number[]
  readonly density: readonly number[]
  readonly enthalpy: readonly number[]
  readonly entropy: readonly number[]
  readonly heatCapacity: readonly number[]
}

/** The bubble line also says what pressure does to liquid at constant temperature: relative density 1/Pa, enthalpy J/(kg Pa). */
export type BubbleColumns = LineColumns & {
  readonly compressibility: readonly number[]
  readonly enthalpySlope: readonly number[]
}

/** Superheated vapour: rows of dew temperature (K) by columns of superheat (K), written row after row. */
export type VapourColumns = {
  readonly superheat: readonly number[]
  readonly temperature: readonly number[]
  /** (h - h dew) / superheat, J/(kg K) */
  readonly meanHeatCapacity: readonly number[]
  /** (s - s dew) / ln(T / T dew), J/(kg K) */
  readonly entropyHeatCapacity: readonly number[]
  /** density / dew density x T / T dew */
  readonly densityRatio: readonly number[]
}

/** A generated property table; see tools/properties/generate.py. */
export type PropertyTable = {
  readonly name: string
  readonly library: string
  readonly model: string
  readonly note: string
  readonly molarMass: number
  readonly critical: { readonly temperature: number; readonly pressure: number; readonly density: number }
  readonly temperature: readonly number[]
  readonly bubble: BubbleColumns
  readonly dew: LineColumns
  readonly vapour: VapourColumns
}

type Fetched = Promise<{ readonly default: PropertyTable }>

/** One file a refrigerant, fetched when it is first needed. */
const FILES: Readonly<Record<RefrigerantName, () => Fetched>> = {
  'R-22': () => import('./tables/r22.json'),
  'R-410A': () => import('./tables/r410a.json'),
  'R-32': () => import('./tables/r32.json'),
  'R-454B': () => import('./tables/r454b.json'),
  'R-134a': () => import('./tables/r134a.json'),
  'R-404A': () => import('./tables/r404a.json'),
  'R-407C': () => import('./tables/r407c.json'),
  'R-448A': () => import('./tables/r448a.json'),
  'R-290': () => import('./tables/r290.json'),
  'R-407A': () => import('./tables/r407a.json'),
  'R-407F': () => import('./tables/r407f.json'),
  'R-507A': () => import('./tables/r507a.json'),
  'R-449A': () => import('./tables/r449a.json'),
  'R-438A': () => import('./tables/r438a.json'),
  'R-427A': () => import('./tables/r427a.json'),
  'R-422D': () => import('./tables/r422d.json'),
  'R-421A': () => import('./tables/r421a.json'),
  'R-513A': () => import('./tables/r513a.json'),
  'R-1234yf': () => import('./tables/r1234yf.json'),
  'R-600a': () => import('./tables/r600a.json'),
  'R-12': () => import('./tables/r12.json'),
  'R-452A': () => import('./tables/r452a.json'),
  'R-452B': () => import('./tables/r452b.json'),
  'R-454A': () => import('./tables/r454a.json'),
  'R-454C': () => import('./tables/r454c.json'),
  'R-455A': () => import('./tables/r455a.json'),
}

const kept = new Map<RefrigerantName, PropertyTable>()

/** Whether the table is in memory, so that the property functions answer. */
export const isLoaded = (name: RefrigerantName): boolean => kept.has(name)

/** Puts a table into memory that was read by other means (tests). */
export function keepTable(name: RefrigerantName, table: PropertyTable): void {
  kept.set(name, table)
}

/**
 * Fetches the tables that are not in memory yet; the property functions of these refrigerants answer afterwards.
 * @throws OrzoError not-loaded where a file cannot be fetched
 */
export async function loadRefrigerants(names: Iterable<RefrigerantName>): Promise<void> {
  await Promise.all(
    [...new Set(names)]
      .filter((name) => !kept.has(name))
      .map(async (name) => {
        try {
          keepTable(name, (await FILES[name]()).default)
        } catch (error) {
          throw new OrzoError(
            'not-loaded',
            `The properties of ${name} could not be loaded: reload the page while there is a connection.`,
            { cause: String(error) },
          )
        }
      }),
  )
}

/**
 * The table of a refrigerant in memory.
 * @throws OrzoError not-loaded when loadRefrigerants was not awaited before
 */
export function tableOf(name: RefrigerantName): PropertyTable {
  const table = kept.get(name)
  if (!table) throw new OrzoError('not-loaded', `The properties of ${name} are not loaded yet: try again.`)
  return table
}
