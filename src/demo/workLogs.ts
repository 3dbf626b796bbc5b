import { seededRandom } from '@/core/base/numeric/random'
import { UNITS } from '@/core/base/units/units'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { GrowingSamples } from '@/core/record/logs/growing'
import { noSamples, type Samples } from '@/core/record/logs/samples'
import type { LogHead, LogMark } from '@/core/record/records/log'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { isJudgedAsWet } from '@/core/repair/cleanup/contamination'
import type { Plan } from '@/core/repair/plan/plan'
import { type TaskId, taskRow } from '@/core/repair/plan/tasks/tasks'
import { judgeTest, SETTLE_SECONDS, testSetup } from '@/core/repair/logs/judgeTest'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { vacuumLimits } from '@/core/repair/logs/vacuumLimits'
import type { WorkLog } from '@/core/repair/logs/series'
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
import { isPlantChannel } from '@/core/simulate/workProbes'

/** A log of a step; what the scale moved belongs to the closing. */
type KeptLog = {
  readonly head: Omit<LogHead, 'id' | 'startedAt' | 'step'>
  readonly samples: Samples
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
      const channels = LOG_KINDS[purpose].channels
      const grown = new GrowingSamples(noSamples(channels.length))
      const marks: LogMark[] = []
      let at = 0
      const look = () =>
        grown.append(
          at,
          channels.map(([channel]) =>
            isPlantChannel(channel) ? readPlant(plant, channel, random).value : NaN,
          ),
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

const saved = (purpose: LogPurpose, keeping: Keeping, moved?: KeptLog['moved']): KeptLog => {
  const { head, samples } = keeping.kept()
  return {
    head: {
      name: LOG_KINDS[purpose].name,
      source: 'instruments',
      purpose,
      channels: head.channels,
      marks: head.marks ?? [],
    },
    samples,
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
  const judged = () => LOG_KINDS.recovery.judge(log.kept(), { unit, plan })
  for (let pass = 0; pass < PASSES && judged().limit !== 'passed'; pass += 1) {
    hands.hands({ machine: true, warm: pass > 0 })
    log.mark({ what: 'valve-open' })
    while (plantPressure(hands.plant()) > plan.recovery.depth.pascals - 3000 && log.seconds() < 2 * HOUR)
      log.wait(60)
    hands.hands({ machine: false })
    log.mark({ what: 'stop' })
    log.wait(320)
  }
  return saved('recovery', log, { field: 'recovered', kilograms: judged().moved ?? 0 })
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
  hands.hands({ vent: true })
  hands.wait(120)
  return saved('pressure-test', log)
}

const evacuation: Script = (hands, { policy, contamination }) => {
  const limits = vacuumLimits(policy, isJudgedAsWet(contamination))
  const log = hands.log('evacuation', EVERY)
  hands.hands({ regulator: 0, vent: false, pump: true, valve: 'open', hose: 'open' })
  log.mark({ what: 'valve-open' })
  while (plantPressure(hands.plant()) > limits.target * 0.7 && log.seconds() < 6 * HOUR) log.wait(60)
  log.wait(300)
  return saved('evacuation', log)
}

const decay: Script = (hands, { policy, contamination }) => {
  const limits = vacuumLimits(policy, isJudgedAsWet(contamination))
  const log = hands.log('decay', EVERY)
  hands.hands({ valve: 'shut' })
  log.mark({ what: 'valve-shut' })
  log.wait(limits.minutes * 60 + EVERY)
  hands.hands({ pump: false })
  return saved('decay', log)
}

const weighIn: Script = (hands, plan, unit) => {
  const wanted = plan.charge?.guess.value ?? 0
  const log = hands.log('weigh-in', 2)
  const begins = hands.plant().inside.mass
  hands.hands({ pump: false, charging: true })
  log.mark({ what: 'valve-open' })
  while (hands.plant().inside.mass - begins < wanted && log.seconds() < HOUR) log.wait(2)
  hands.hands({ charging: false })
  log.mark({ what: 'valve-shut' })
  log.wait(30)
  const { moved = 0 } = LOG_KINDS['weigh-in'].judge(log.kept(), { unit, plan })
  return saved('weigh-in', log, { field: 'charged', kilograms: moved })
}

/** How the log of each purpose is kept. */
const SCRIPTS: { readonly [P in LogPurpose]?: Script } = {
  recovery,
  'pressure-test': pressureTest,
  evacuation,
  decay,
  'weigh-in': weighIn,
}

/** The script of the log that a task keeps; undefined where it keeps none. */
export function scriptOf(task: TaskId): Script | undefined {
  const { log } = taskRow(task)
  return log === null ? undefined : SCRIPTS[log]
}
