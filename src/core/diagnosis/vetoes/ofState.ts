import { isFlammable } from '../../physics/refrigerants/catalogue'
import { hasWaterCoil } from '../../record/equipment/kinds'
import type { UnitPlate } from '../../record/equipment/unit'
import { isGas, isNitrogenPressure, workedSections } from '../../record/state/contents'
import type { UnitState } from '../../record/state/unit'
import type { VetoId } from '../../safety/vetoes'
import type { JudgedVeto } from './vetoStates'

/** The states of the table of vetoes that follow from how the unit stands. */
type StateVeto = Exclude<VetoId, JudgedVeto>

type Holds = (state: UnitState, unit: UnitPlate) => boolean

const contentsOf = (state: UnitState) =>
  workedSections(state).map((section) => state.sections[section].contents)

const underPressure: Holds = ({ cover, vented, pressure }) =>
  cover === 'off' && vented !== true && (vented === false || pressure !== 'zero')

/** Whether each holds; one row a state. */
export const OF_STATE: Readonly<Record<StateVeto, Holds>> = {
  'cover-off': ({ cover }) => cover === 'off',
  'terminals-under-pressure': underPressure,
  evacuated: ({ sections }) => sections.compressor.contents === 'vacuum',
  'below-atmosphere': ({ pressure }) => pressure === 'below',
  'gas-inside': (state) => contentsOf(state).some(isGas),
  'under-nitrogen': (state) => contentsOf(state).some(isNitrogenPressure),
  isolated: ({ isolated }) => isolated,
  'water-not-flowing': ({ water }, unit) =>
    hasWaterCoil(unit) && (water === 'standing' || water === 'drained'),
  'water-standing': ({ water }, unit) => hasWaterCoil(unit) && water === 'standing',
  flammable: ({ refrigerant, clear }) => isFlammable(refrigerant) && clear === undefined,
}
