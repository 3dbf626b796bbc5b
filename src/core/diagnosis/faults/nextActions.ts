/** Next actions to which several faults lead; a fault that leads to one of its own stands alone. */
export type NextAction =
  /** find the leak, repair it, evacuate, weigh in */
  | 'leak'
  /** open the expansion valve or its screen */
  | 'valve-starves'
  /** bulb first, then the valve; in heating the check valve beside it */
  | 'valve-floods'
  /** walk the liquid line: the first drop is the place */
  | 'liquid-line'
  /** fan, filter, ice, coil of the evaporator */
  | 'low-air'
  | 'does-not-pump'
  | 'reversing-valve'
  | 'head-pressure-control'
  /** prove and replace the compressor */
  | 'motor-failed'
  /** recover, take the leads off, measure at the compressor's own terminals */
  | 'path-to-ground'
