import type { Draft } from 'immer'
import { MINUTE } from '../../base/units/time'
import { POLICY_KEYS, type PolicyQuestion, type StoredPolicy } from '../policy/policy'
import type { Dryer } from '../records/dryer'
import type { AcidTest, AcidTestKind, FoundLeak, Repair } from '../records/repair'
import { type Edit, edit, put, putAll, type Stamp } from './edit'
import { observeLatest } from './readingEdits'

type Values<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Changes what was measured and chosen for the repair; one that says nothing any more is taken away. */
const editRepair = (change: (repair: Draft<Repair>, stamp: Stamp) => void): Edit =>
  edit((job, stamp) => {
    const repair = { ...job.repair }
    change(repair, stamp)
    if (Object.keys(repair).length > 0) job.repair = repair
    else delete job.repair
  })

/** Writes figures of the repair; undefined takes a field away. */
export const setRepair = (values: Values<Repair>): Edit => editRepair((repair) => putAll(repair, values))

/** Writes what was measured of the capillary. */
export const setCapillary = (values: Values<NonNullable<Repair['capillary']>>): Edit =>
  editRepair((repair) => {
    const capillary = { ...repair.capillary }
    putAll(capillary, values)
    put(repair, 'capillary', Object.keys(capillary).length > 0 ? capillary : undefined)
  })

/** Writes what is known of the recovery cylinder. */
export const setCylinder = (values: Values<NonNullable<Repair['cylinder']>>): Edit =>
  editRepair((repair) => {
    const cylinder = { ...repair.cylinder }
    putAll(cylinder, values)
    put(repair, 'cylinder', Object.keys(cylinder).length > 0 ? cylinder : undefined)
  })

/** It runs again for the first time: tests that follow are counted from this moment; false takes it back. */
export const setStarted = (started: boolean): Edit =>
  editRepair((repair, { now }) => put(repair, 'startedAt', started ? now : undefined))

const putTests = (repair: Draft<Repair>, tests: AcidTest[]) =>
  put(repair, 'acidTests', tests.length > 0 ? tests : undefined)

/** A test for acid was read; one of the same kind before it stays on record. */
export const addAcidTest = (test: Omit<AcidTest, 'id' | 'at'>): Edit =>
  editRepair((repair, { now, newId }) =>
    putTests(repair, [...(repair.acidTests ?? []), { ...test, id: newId(), at: now }]),
  )

/** Takes a test for acid that was written wrongly out. */
export const removeAcidTest = (id: string): Edit =>
  editRepair((repair) =>
    putTests(
      repair,
      (repair.acidTests ?? []).filter((each) => each.id !== id),
    ),
  )

/** Takes the last test of a kind back; where none has its moment, what was said or typed without one. */
export const takeBackAcidTest = (kind: AcidTestKind): Edit => {
  const forgetSaid = [observeLatest('acidTest', undefined), observeLatest('acidTestKind', undefined)]
  return (job, stamp) => {
    const last = job.repair?.acidTests?.findLast((test) => test.kind === kind)
    if (last) return removeAcidTest(last.id)(job, stamp)
    if (kind === 'lab') return setRepair({ acidNumber: undefined })(job, stamp)
    return forgetSaid.reduce((now, each) => each(now, stamp), job)
  }
}

/** [practice] a figure of the laboratory that is typed anew within this is the same test, ms. */
const SAME_TYPING = 10 * MINUTE

/** The acid number of a laboratory: typed over it stays one test, later it is another. @param acidNumber mg KOH a gram of oil */
export const setAcidNumber = (acidNumber: number): Edit =>
  editRepair((repair, { now, newId }) => {
    // what was typed before tests had their moments is typed over
    delete repair.acidNumber
    const tests = repair.acidTests ?? []
    const last = tests.findLast((test) => test.kind === 'lab')
    const isTyped = last !== undefined && Date.parse(now) - Date.parse(last.at) < SAME_TYPING
    const next: AcidTest = isTyped
      ? { ...last, acidNumber }
      : { id: newId(), at: now, kind: 'lab', acidNumber }
    putTests(repair, [...tests.filter((test) => !isTyped || test.id !== next.id), next])
  })

/** A leak that a test found joins the repair. */
export const addFoundLeak = (leak: Omit<FoundLeak, 'at'>): Edit =>
  editRepair((repair, { now }) => put(repair, 'leaks', [...(repair.leaks ?? []), { ...leak, at: now }]))

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
