import { seededRandom } from '@/core/base/numeric/random'
import { UNITS } from '@/core/base/units/units'
import { waterVapourPressure } from '@/core/physics/air/psychrometrics'
import { fitDecay } from '@/core/physics/processes/decay'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { GrowingSamples } from '@/core/record/logs/growing'
import { PURPOSE_NAMES } from '@/core/record/records/purposeNames'
import { noSamples, type Samples } from '@/core/record/logs/samples'
import type { LogHead, LogMark, LogPurpose, LogVerdict } from '@/core/record/records/log'
import type { Plan } from '@/core/repair/plan/plan'
import type { TaskId } from '@/core/repair/plan/tasks/tasks'
import { judgeCharge } from '@/core/repair/work/judgeCharge'
import { judgeRecovery } from '@/core/repair/work/judgeRecovery'
import { judgeTest, SETTLE_SECONDS, testSetup } from '@/core/repair/work/judgeTest'
import { decayLooks, judgeDecay, judgeVacuum, vacuumLimits } from '@/core/repair/work/judgeVacuum'
import { PURPOSE_CHANNELS } from '@/core/repair/work/purposeChannels'
import { coldestOf } from '@/core/repair/work/pumpSetup'
import type { WorkLog } from '@/core/repair/work/series'
import {
  beginPlant,
  type PlantHands,
  plantPressure,
  type PlantQuestion,
  readPlant,
  setHands,
  stepPlant,
  type WorkPlant,
} from '@/core/simulate/workPlant'

/** A log of a step with what was said of it; what the scale moved belongs to the closing. */
type KeptLog = {
  readonly head: Omit<LogHead, 'id' | 'startedAt' | 'step'>
  readonly samples: Samples
  readonly verdict: Omit<LogVerdict, 'at'>
  readonly moved?: { readonly field: 'recovered' | 'charged'; readonly kilograms: number }
  readonly seconds: number
}

/** A simulated circuit under two hands. */
export type WorkHands = {
  readonly plant: () => WorkPlant
  readonly hands: (change: Partial<PlantHands>) => void
  readonly wait: (seconds: number) => void
  /** Begins a log, looked at in steps of some seconds while the hands wait. */
  readonly log: (purpose: LogPurpose, every: number) => Keeping
}
type Keeping = {
  readonly seconds: () => number
  readonly mark: (mark: Omit<LogMark, 'seconds'>) => void
  readonly wait: (seconds: number) => void
  readonly kept: () => WorkLog
}

/** A circuit as the work finds it, taken in hand. @throws OrzoError not-loaded */
export function operator(question: PlantQuestion, seed: number): WorkHands {
  let plant = beginPlant(question)
  const random = seededRandom(seed)
  const hands = (change: Partial<PlantHands>) => {
    plant = setHands(plant, change)
  }
  const wait = (seconds: number) => {
    plant = stepPlant(plant, seconds)
  }
  return {
    plant: () => plant,
    hands,
    wait,
    log: (purpose, every) => {
      const channels = PURPOSE_CHANNELS[purpose]
      const grown = new GrowingSamples(noSamples(channels.length))
      const marks: LogMark[] = []
      let at = 0
      const look = () =>
        grown.append(
          at,
          channels.map(([channel]) => readPlant(plant, channel, random).value),
        )
      look()
      return {
        seconds: () => at,
        mark: (mark) => void marks.push({ ...mark, seconds: at }),
        wait: (seconds) => {
          for (let left = seconds; left > 0; left -= every) {
            wait(Math.min(every, left))
            at += Math.min(every, left)
            look()
          }
        },
        kept: () => ({
          head: {
            channels: channels.map(([key, unit]) => ({ key, unit })),
            marks,
            startedAt: new Date(0).toISOString(),
          },
          samples: grown.view(),
        }),
      }
    },
  }
}

type Script = (hands: WorkHands, plan: Plan, unit: UnitPlate) => KeptLog

const saved = (
  purpose: LogPurpose,
  keeping: Keeping,
  { passed, sentence }: { readonly passed: boolean; readonly sentence: string },
  moved?: KeptLog['moved'],
): KeptLog => {
  const { head, samples } = keeping.kept()
  return {
    head: {
      name: PURPOSE_NAMES[purpose],
      source: 'instruments',
      purpose,
      channels: head.channels,
      marks: head.marks ?? [],
    },
    samples,
    verdict: { passed, sentence },
    ...(moved ? { moved } : {}),
    seconds: keeping.seconds(),
  }
}

const HOUR = 3600
const EVERY = 10
/** The machine is stopped, watched, and started again while it rises. */
const PASSES = 5

const recovery: Script = (hands, plan, unit) => {
  const log = hands.log('recovery', EVERY)
  const setup = { atmosphere: siteAtmosphere(unit), ...plan.recovery }
  const judged = () => judgeRecovery(log.kept(), setup)
  for (let pass = 0; pass < PASSES && !judged().passed; pass += 1) {
    hands.hands({ machine: true, warm: pass > 0 })
    log.mark({ what: 'valve-open' })
    while (plantPressure(hands.plant()) > plan.recovery.depth.pascals - 3000 && log.seconds() < 2 * HOUR)
      log.wait(60)
    hands.hands({ machine: false })
    log.mark({ what: 'stop' })
    log.wait(320)
  }
  const said = judged()
  return saved('recovery', log, said, { field: 'recovered', kilograms: said.weight?.moved ?? 0 })
}

const pressureTest: Script = (hands, plan, unit) => {
  const setup = testSetup(unit, plan)
  const log = hands.log('pressure-test', EVERY)
  for (const step of setup.steps) {
    hands.hands({ vent: false, pump: false, regulator: step })
    log.mark({ what: 'step', value: Math.round(step / UNITS.psia.si) })
    log.wait(180)
  }
  log.wait(SETTLE_SECONDS)
  hands.hands({ regulator: 0 })
  log.mark({ what: 'hold' })
  log.wait(judgeTest(log.kept(), setup, log.seconds()).wanted + EVERY)
  const said = judgeTest(log.kept(), setup, log.seconds())
  hands.hands({ vent: true })
  hands.wait(120)
  return saved('pressure-test', log, said)
}

const evacuation: Script = (hands, { policy, contamination }, unit) => {
  const limits = vacuumLimits(policy, contamination.contents.wet)
  const log = hands.log('evacuation', EVERY)
  hands.hands({ regulator: 0, vent: false, pump: true, valve: 'open', hose: 'open' })
  log.mark({ what: 'valve-open' })
  while (plantPressure(hands.plant()) > limits.target * 0.7 && log.seconds() < 6 * HOUR) log.wait(60)
  log.wait(300)
  return saved('evacuation', log, judgeVacuum(log.kept(), limits, coldestOf({}), siteAtmosphere(unit)))
}

const decay: Script = (hands, { policy, contamination }, unit) => {
  const limits = vacuumLimits(policy, contamination.contents.wet)
  const log = hands.log('decay', EVERY)
  hands.hands({ valve: 'shut' })
  log.mark({ what: 'valve-shut' })
  log.wait(limits.minutes * 60 + EVERY)
  const looks = decayLooks(log.kept(), siteAtmosphere(unit))
  const points = looks.map(({ seconds, value }) => ({ seconds, pascals: value }))
  const fit = fitDecay(points, waterVapourPressure(coldestOf({})))
  hands.hands({ pump: false })
  return saved('decay', log, judgeDecay(looks, limits, fit))
}

const weighIn: Script = (hands, { charge }, unit) => {
  const [wanted, isExact] = [charge?.total ?? 0, charge?.isExact ?? false]
  const log = hands.log('weigh-in', 2)
  const begins = hands.plant().inside.mass
  hands.hands({ pump: false, charging: true })
  log.mark({ what: 'valve-open' })
  while (hands.plant().inside.mass - begins < wanted && log.seconds() < HOUR) log.wait(2)
  hands.hands({ charging: false })
  log.mark({ what: 'valve-shut' })
  log.wait(30)
  const said = judgeCharge(log.kept(), wanted, isExact, siteAtmosphere(unit))
  return saved('weigh-in', log, said, { field: 'charged', kilograms: said.weight?.moved ?? 0 })
}

/** The steps that keep a log. */
export const WORK_LOGS: { readonly [task in TaskId]?: Script } = {
  recover: recovery,
  recoverRest: recovery,
  pressureTest,
  evacuate: evacuation,
  evacuatePart: evacuation,
  evacuateWet: evacuation,
  decayTest: decay,
  weighIn,
  letIn: weighIn,
}
