import { computed, guess } from '../../base/known/known'
import { toPascals } from '../../base/units/convert'
import { USUAL } from '../cleanup/usual'
import { kitOf, machineOf } from './machine'
import { causeParts } from './plannedCauses'
import type { PartId } from './parts/catalogue'
import { nitrogenFor } from './parts/nitrogen'
import { type PlanPart, planParts } from './parts/planParts'
import { guessedParts, jointsOf, partsOfTasks } from './parts/taskParts'
import type { PlanTask } from './planTasks'
import { isProvenEarly, type Proof } from './proofs'
import { type TaskId, taskRow, usesFlame } from './tasks/tasks'
import { type TestPressure, testPressureOf } from './testPressure'

import type { Whole } from './whole'

/** A part that the bench named stands in the place of the one that is still looked for. */
const namedParts = ({ remedy, control }: Pick<Whole, 'remedy' | 'control'>): readonly PartId[] =>
  control ? remedy.parts.map((id) => (id === 'control' ? control.part : id)) : remedy.parts

/** The test, where the circuit is opened. */
export function testOf({ job, figured, cleanup, policy }: Whole): TestPressure {
  const dryers = cleanup.dryers.flatMap(({ chosen }) =>
    chosen ? [toPascals({ value: chosen.dryer.pressure, unit: 'psia' })] : [],
  )
  return testPressureOf(job.unit, policy, figured.isPart, dryers)
}

const NOT_BOUGHT: Readonly<Record<NonNullable<Proof['why']>, string>> = {
  suspected: 'prove first: suspected, not decided',
  'gate-shut': 'prove first: not proven yet',
  shown: 'check first: seen or brought along, not checked here',
}

/** Why nothing is bought yet: it is not proven, or the owner did not agree. */
function purchaseStopOf({ proofs, approval }: Whole): string | undefined {
  // what was seen or brought along and shows itself only later is bought: nothing would prove it before
  const first = proofs.find((proof) => proof.isFirst && (proof.why !== 'shown' || isProvenEarly(proof)))
  if (first?.why) return NOT_BOUGHT[first.why]
  if (approval.state === 'given' || approval.without !== undefined) return undefined
  return approval.state === 'refused' ? 'the owner refused' : 'not before the owner agrees'
}

/** Joints of the tasks; the tubes of a header that nobody counted are a guess. */
function jointsKnown({ record, job, cleanup }: Whole, ids: readonly TaskId[]) {
  const { feederTubes, leaks = [] } = record.repair
  const planned = jointsOf(ids, feederTubes ?? USUAL.feederTubes, job.unit.oldDryer?.joint === 'flare')
  const again = leaks.reduce((sum, { joints: made = 0 }) => sum + made, 0)
  const joints = { ...planned, copper: planned.copper + again }
  const isGuess = feederTubes === undefined && ids.some((id) => taskRow(id).joints === 'as-feeder-tubes')
  return computed(
    joints,
    cleanup.basis,
    isGuess ? guess(`${USUAL.feederTubes} feeder tubes`, 'feederTubes') : undefined,
  )
}

/** Parts by the faults, by what killed the compressor, and by the schools of the policy. */
function wantedParts(whole: Whole, ids: readonly TaskId[]): PartId[] {
  const { job, causes, policy } = whole
  const isHunted = ids.some((id) => id === 'leakSearch' || id === 'traceNitrogen')
  return [
    ...namedParts(whole),
    ...causeParts(causes, job.unit),
    ...(policy.leakHunt === 'detector-first' && isHunted ? (['trace-gas'] as const) : []),
    ...(policy.flushSolvent === 'flush' && mayFlush(whole) && ids.includes('blowOut')
      ? (['flush-solvent'] as const)
      : []),
  ]
}

/** Solvent takes acid out; out of a capillary it never comes again (handbook 11). */
export const mayFlush = ({ job, cleanup }: Whole): boolean =>
  cleanup.contamination.contents.acid === 'strong' && job.unit.metering !== 'capillary'

export function partsOf(
  whole: Whole,
  tasks: readonly PlanTask[],
  test: TestPressure | undefined,
): PlanPart[] {
  const { job, cleanup, figured, opens, record, day } = whole
  const { size, dryers, contamination, water } = cleanup
  const ids = tasks.map(({ id }) => id)
  const flame = tasks.filter(({ id }) => usesFlame(id)).reduce((sum, { handsOn }) => sum + handsOn[1], 0)
  const wanted = wantedParts(whole, ids)
  const blows = ids.includes('blowOut') ? 2 : 0
  const isTriple = ids.includes('evacuateWet') || ids.includes('evacuateTriple')
  return planParts({
    parts: partsOfTasks(wanted, ids),
    guessed: guessedParts(wanted, tasks),
    kit: kitOf(machineOf(job.unit), whole.policy.neighbours === 'only-failed'),
    facts: {
      unit: job.unit,
      // nothing is matched to a refrigerant that may not go in
      refrigerant: figured.path.goesIn,
      oil: figured.oil.goesIn,
      tons: size.tons,
      feederTubes: record.repair.feederTubes,
      capillary: record.repair.capillary,
      coilVolts: figured.coilVolts,
    },
    consumables:
      opens && test
        ? {
            unit: job.unit,
            dryers,
            oil: figured.oil,
            charge: figured.charge,
            path: figured.path,
            recovery: figured.recovery,
            isEmpty: figured.inside === 'nothing',
            isPart: figured.isPart,
            nitrogen: computed(
              nitrogenFor({
                volume: size.volume.value,
                sweeps: 1 + blows + (contamination.class === 'clean' ? 0 : water.work.sweeps),
                flame,
                test: test.gauge,
                breaks: isTriple ? 2 : 0,
              }),
              size.volume,
              cleanup.basis,
              test.basis,
            ),
            joints: jointsKnown(whole, ids),
          }
        : undefined,
    hold: purchaseStopOf(whole),
    day,
    leaks: record.repair.leaks ?? [],
  })
}
