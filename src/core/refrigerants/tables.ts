import type { RefrigerantName } from './catalogue'
import r134a from './tables/r134a.json'
import r22 from './tables/r22.json'
import r290 from './tables/r290.json'
import r32 from './tables/r32.json'
import r404a from './tables/r404a.json'
import r407c from './tables/r407c.json'
import r410a from './tables/r410a.json'
import r448a from './tables/r448a.json'
import r454b from './tables/r454b.json'

/** Values along the bubble line (liquid) or the dew line (vapour); Pa, kg/m3, J/kg, J/(kg K). */
export type LineColumns = {
  readonly pressure: readonly number[]
  readonly density: readonly number[]
  readonly enthalpy: readonly number[]
  readonly entropy: readonly number[]
  readonly heatCapacity: readonly number[]
}

/** The dew line also carries the mean heat capacity of vapour from the line to 40 K above it, J/(kg K). */
export type DewColumns = LineColumns & { readonly superheatedHeatCapacity: readonly number[] }

/** A generated property table; see tools/properties/generate.py. */
export type PropertyTable = {
  readonly name: string
  readonly library: string
  readonly model: string
  readonly note: string
  readonly molarMass: number
  readonly critical: { readonly temperature: number; readonly pressure: number; readonly density: number }
  readonly temperature: readonly number[]
  readonly bubble: LineColumns
  readonly dew: DewColumns
}

export const TABLES: Readonly<Record<RefrigerantName, PropertyTable>> = {
  'R-22': r22,
  'R-410A': r410a,
  'R-32': r32,
  'R-454B': r454b,
  'R-134a': r134a,
  'R-404A': r404a,
  'R-407C': r407c,
  'R-448A': r448a,
  'R-290': r290,
}
