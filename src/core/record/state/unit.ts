import type { OilFamily, RefrigerantName } from '../../physics/refrigerants/catalogue'
import type { siteAtmosphere } from '../equipment/circumstances'
import type { UnitPlate } from '../equipment/unit'
import type { Contents, ReplacedPart, Section } from './effects'

export type SectionState = {
  readonly contents: Contents
  /** which refrigerant, where any is inside */
  readonly refrigerant: RefrigerantName | undefined
  /** whether how much is inside was weighed in on this job */
  readonly amount: 'weighed' | 'unknown'
  /** since when, ms; undefined: since before the job */
  readonly since: number | undefined
}

/** Where something is that comes off for the work. */
type OffState = { readonly state: 'off' | 'back' | 'stays'; readonly at: number | undefined }

/** Something that ended a state of danger: a part replaced, the circuit evacuated or charged. */
export type Fix = { readonly at: number; readonly did: ReplacedPart | 'evacuated' | 'charged' }

/** How the unit stands at a moment: what is recorded, no verdict. */
export type UnitState = {
  readonly sections: Readonly<Record<Section, SectionState>>
  /** sections whose charge is shut in while another is worked on */
  readonly shutIn: readonly Section[]
  /** the compressor stands between two shut valves */
  readonly isolated: boolean
  /** what is in it, or was until it was emptied */
  readonly refrigerant: RefrigerantName
  readonly oil: { readonly kind: OilFamily | undefined; readonly changedAt: number | undefined }
  readonly off: Readonly<Record<string, OffState>>
  readonly cover: 'on' | 'off' | undefined
  /** pressure at the compressor against the air around it */
  readonly pressure: 'below' | 'zero' | 'above' | undefined
  /** somebody says that the pressure is off, or that it is not; undefined: nothing was said since it was read */
  readonly vented: boolean | undefined
  readonly water: 'flowing' | 'standing' | 'drained' | undefined
  /** nothing flammable is left: as somebody says of the last visit, or as the sweep of the work showed */
  readonly clear: 'said' | 'done' | undefined
  /** solenoids and electronic valves are held open */
  readonly heldOpen: boolean
  /** since when it is open to air, ms */
  readonly openedAt: number | undefined
  readonly startedAt: number | undefined
  readonly fixes: readonly Fix[]
}

/** What an event changes of how the unit stands. */
export type Change = Partial<UnitState>

/** What of a plate says how a unit stands before anything was done. */
export type StateUnit = Pick<UnitPlate, 'refrigerant' | 'compressor'> & Parameters<typeof siteAtmosphere>[0]

/** A unit as it was found: nothing is known but its plate. */
export const asFound = (unit: StateUnit): UnitState => {
  const found: SectionState = {
    contents: 'unknown',
    refrigerant: unit.refrigerant,
    amount: 'unknown',
    since: undefined,
  }
  return {
    sections: { high: found, low: found, compressor: found },
    shutIn: [],
    isolated: false,
    refrigerant: unit.refrigerant,
    oil: { kind: unit.compressor?.oil, changedAt: undefined },
    off: {},
    cover: undefined,
    pressure: undefined,
    vented: undefined,
    water: undefined,
    clear: undefined,
    heldOpen: false,
    openedAt: undefined,
    startedAt: undefined,
    fixes: [],
  }
}
