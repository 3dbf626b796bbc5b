import { toSI } from '../../base/units/convert'
import { convertValue } from '../../base/units/convertValue'
import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { Dryer, DRYER_CORES, DRYER_FORMS, DRYER_PLACES } from '../../record/records/dryer'
import type { DRYER_FLOWS, DRYER_JOINTS } from '../../record/equipment/unit'

export type DryerCore = (typeof DRYER_CORES)[number]
export type DryerPlace = (typeof DRYER_PLACES)[number]
export type DryerFlow = (typeof DRYER_FLOWS)[number]

/** A dryer to choose from, generic or of the user's own store. Capacities are [memory]: check the maker's sheet. */
export type DryerModel = {
  readonly id: string
  readonly label: string
  /** from the user's own store */
  readonly own: boolean
  readonly place: DryerPlace
  readonly form: (typeof DRYER_FORMS)[number]
  readonly core: DryerCore
  readonly flow: DryerFlow
  readonly joint?: (typeof DRYER_JOINTS)[number]
  /** highest working pressure, psig */
  readonly pressure: number
  /** block volume, cubic inches, as it is sold */
  readonly block: number
  /** outer diameters of the lines that it takes, inches */
  readonly connections: readonly number[]
  /** tons at 1 psi (liquid) or at the comfort limit of 2 psi (suction), and what they are told for */
  readonly tons: number
  readonly tonsFor: RefrigerantName
  /** grams of water in R-22, and in refrigerants that run with POE */
  readonly waterR22: number
  readonly waterOther: number
  /** acid, mg KOH */
  readonly acid: number
  /** inches from end to end */
  readonly length: number
  /** how many are on the van; own ones only */
  readonly onVan: number
}

const INCH = 0.0254
/** [memory] acid that a core binds, mg KOH an in^3; alumina-rich 2.5 times the blend, handbook 06. */
const ACID_AN_INCH: Readonly<Record<DryerCore, number>> = { sieve: 3, blend: 10, 'high-acid': 25 }
/** [memory] water in the POE refrigerants over that in R-22, handbook 06 sizes. */
const OTHER_SHARE = 0.8
/** [memory] grams an in^3 where a maker's sheet tells none. */
const WATER_AN_INCH = 0.6

/** Acid that a block binds, mg KOH. */
export const acidOfBlock = (core: DryerCore, block: number): number => ACID_AN_INCH[core] * block

/** [memory] length of a sealed dryer with its stubs, inches, by its block. */
export const usualLength = (block: number): number => Math.min(3 + 1.5 * Math.sqrt(block), 14)

const gramsOf = (quantity: Dryer['waterR22']) => quantity && toSI(quantity) * 1000

/** An own dryer as one to choose from; what its sheet does not tell is calculated from the block. */
export function modelOf(dryer: Dryer): DryerModel {
  const [r22, other] = [gramsOf(dryer.waterR22), gramsOf(dryer.waterOther)]
  const waterR22 = r22 ?? (other === undefined ? dryer.block * WATER_AN_INCH : other / OTHER_SHARE)
  return {
    id: dryer.id,
    label: dryer.label,
    own: true,
    place: dryer.place,
    form: dryer.form ?? 'sealed',
    core: dryer.core,
    flow: dryer.flow,
    ...(dryer.joint ? { joint: dryer.joint } : {}),
    pressure: convertValue(dryer.pressure, 'psig'),
    block: dryer.block,
    connections: dryer.connections.map((size) => toSI(size) / INCH),
    tons: dryer.tons,
    tonsFor: dryer.tonsFor ?? 'R-22',
    waterR22,
    waterOther: other ?? waterR22 * OTHER_SHARE,
    acid: acidOfBlock(dryer.core, dryer.block),
    length: dryer.length ? toSI(dryer.length) / INCH : usualLength(dryer.block),
    onVan: dryer.onVan ?? 0,
  }
}
