import { UNITS } from '../../base/units/units'
import type { Policy } from '../../record/policy/policy'

const MICRON = UNITS.micron.si
/** [practice] handbook 08: targets and limits of the two schools, microns. */
const TARGETS = { usual: 500, deep: 300 } as const
const LIMITS = { 'field-1000': 1000, 'strict-500': 500 } as const

/** What this job is pulled to and judged by, Pa and s. */
export type VacuumLimits = {
  readonly target: number
  readonly limit: number
  readonly minutes: number
  readonly school: 'field' | 'strict'
}

/** Target, limit and length of the decay test by the policy (handbook 08, 11). */
export function vacuumLimits(policy: Policy, isWet: boolean): VacuumLimits {
  const isDeep = policy.vacuumTarget === 'always-300' || (policy.vacuumTarget === '500-300-wet' && isWet)
  const minutes = { '10-15-wet': isWet ? 15 : 10, 'always-5': 5, 'always-15': 15 }[policy.decayTime]
  return {
    target: (isDeep ? TARGETS.deep : TARGETS.usual) * MICRON,
    limit: LIMITS[policy.decayLimit] * MICRON,
    minutes,
    school: policy.decayLimit === 'strict-500' ? 'strict' : 'field',
  }
}
