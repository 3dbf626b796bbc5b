import { z } from '../../base/schema/zod'
import { REFRIGERANT_NAMES, type RefrigerantName } from '../../physics/refrigerants/catalogue'

/** A refrigerant of the catalogue. */
export const refrigerantSchema = z.enum(REFRIGERANT_NAMES as [RefrigerantName, ...RefrigerantName[]], {
  error: `is not one of ${REFRIGERANT_NAMES.join(', ')}`,
})
