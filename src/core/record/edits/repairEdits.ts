import { POLICY_KEYS, type PolicyQuestion, type StoredPolicy } from '../policy/policy'
import type { Dryer } from '../records/dryer'
import type { Repair } from '../records/repair'
import { type Edit, edit, put, putAll } from './edit'

type Values<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Writes figures of the repair; undefined takes a field away. */
export const setRepair = (values: Values<Repair>): Edit =>
  edit((job) => {
    job.repair ??= {}
    putAll(job.repair, values)
    if (Object.keys(job.repair).length === 0) delete job.repair
  })

/** Writes what is known of the recovery cylinder. */
export const setCylinder = (values: Values<NonNullable<Repair['cylinder']>>): Edit =>
  edit((job) => {
    job.repair ??= {}
    const cylinder = { ...job.repair.cylinder }
    putAll(cylinder, values)
    put(job.repair, 'cylinder', Object.keys(cylinder).length > 0 ? cylinder : undefined)
    if (Object.keys(job.repair).length === 0) delete job.repair
  })

/** It runs again for the first time: tests that follow are counted from this moment; false takes it back. */
export const setStarted = (started: boolean): Edit =>
  edit((job, { now }) => {
    job.repair ??= {}
    put(job.repair, 'startedAt', started ? now : undefined)
    if (Object.keys(job.repair).length === 0) delete job.repair
  })

/** Answers one question of the policy for this job alone. */
export const setJobPolicy = (question: PolicyQuestion, answer: string): Edit =>
  edit((job) => {
    job.policy = { ...job.policy, [question]: answer }
  })

/** Takes over a whole policy into this job, by hand. */
export const takePolicy = (policy: StoredPolicy): Edit =>
  edit((job) => {
    job.policy = Object.fromEntries(POLICY_KEYS.map((key) => [key, policy[key]]))
  })

/** The job considers these own dryers and no others; copies, so that a later change of the store changes no old job. */
export const considerDryers = (dryers: readonly Dryer[]): Edit =>
  edit((job) => {
    job.dryers = dryers.map((each) => structuredClone(each))
  })
