import { GAS_CONSTANT } from '../../base/numeric/gasConstant'

/** kg/mol [std: IAPWS-95]. */
const WATER_MOLE = 0.018015268
/** Gas constant of water vapour, J/(kg K). */
export const WATER_GAS = GAS_CONSTANT / WATER_MOLE
/** K [std: IAPWS-95]. */
export const TRIPLE_POINT = 273.16
