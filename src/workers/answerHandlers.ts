import { type Answer, createAnswerer, type Question } from '@/core/answer/answer'
import { compareSets } from '@/core/answer/comparison'
import { loadFor } from '@/core/answer/load'
import { decisionStatesOf } from '@/core/diagnosis/proof/decisionState'
import { OrzoError } from '@/core/base/errors/orzoError'
import type { Display } from '@/core/base/units/show'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { Job } from '@/core/record/job/job'
import { documentOf, roundsOf, viewOf } from '@/core/record/job/rounds'
import { setsOfRound } from '@/core/record/job/setsOfRound'
import { withRefrigerants } from '@/core/record/state/refrigerants'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
import { legibleJob } from '@/core/record/job/known'
import { type DayPlan, dayQuestionOf } from '@/core/repair/day/planDay'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { type Delta, DeltaReceiver, DeltaSender } from '@/threads/delta'
import type { WorkerClient } from '@/threads/protocol'
import { relayed } from './relayed'
import type { scheduleHandlers } from './scheduleHandlers'

export type CompareQuestion = {
  readonly job: Pick<Job, 'unit' | 'arrival' | 'readingSets'>
  readonly display: Display
  readonly ids?: readonly (string | undefined)[]
}

/** A question as it comes over: what of it is not as in the one before on its line. */
export type AnswerCall = Pick<Question, 'setId' | 'display'> & {
  /** questions of one line follow each other: a round of a job that is looked at */
  readonly line: string
  readonly job: Delta<Job>
  readonly samples: Delta<LogSamples>
}

/** One line of questions: what is known of it here, and what was told of it last. */
class Line {
  readonly job = new DeltaReceiver<Job>()
  readonly samples = new DeltaReceiver<LogSamples>()
  readonly told = new DeltaSender<Answer>()
  answer: Answer | undefined
}

/** [practice] lines that are kept: the pages that are open. An older one is asked for the whole again. */
const MOST_LINES = 12

/** The line of a question; one that begins anew forgets what was told. */
function lineOf(lines: Map<string, Line>, { line: name, job }: AnswerCall): Line {
  const known = job.from === 0 ? undefined : lines.get(name)
  const line = known ?? new Line()
  lines.delete(name)
  lines.set(name, line)
  const [oldest] = lines.keys()
  if (lines.size > MOST_LINES && oldest !== undefined) lines.delete(oldest)
  return line
}

/**
 * What the answering worker can be asked. Tables and books are fetched once.
 * @param schedule the way to the worker of the time plan
 */
export function answerHandlers(schedule: () => WorkerClient<ReturnType<typeof scheduleHandlers>>) {
  const answerer = createAnswerer()
  const lines = new Map<string, Line>()
  return {
    async *answer(call: AnswerCall): AsyncGenerator<Delta<Answer>, Delta<Answer>> {
      const line = lineOf(lines, call)
      // before anything is waited for: what comes next builds on it
      const [job, samples] = [line.job.receive(call.job), line.samples.receive(call.samples)]
      await loadFor(drawnUnit(job.unit), job)
      const steps = answerer.inSteps({ job, samples, setId: call.setId, display: call.display })
      for (;;) {
        const step = steps.next()
        if (!step.done) {
          yield line.told.sendPart(step.value)
          continue
        }
        line.answer = step.value
        return line.told.send(step.value)
      }
    },
    /** The time plan of what was answered last on a line; the plan itself stays where it was made. */
    async *day({ line }: { readonly line: string }) {
      const answer = lines.get(line)?.answer
      if (!answer) throw new OrzoError('lost-base', 'Nothing is planned on this line yet.')
      return yield* relayed<DayPlan, DayPlan>((onStep) =>
        schedule().ask('day', dayQuestionOf(answer.plan), { channel: 'day', onStep }),
      )
    },
    async *compare({ job, display, ids }: CompareQuestion) {
      const known = legibleJob(job)
      await loadFor(known.unit, known)
      return compareSets(known, display, ids)
    },
    /** What was decided on jobs, in every round of each. */
    async *decisionStates(jobs: readonly Job[]) {
      const views = jobs.map((job) =>
        roundsOf(job).map(({ id }) => withRefrigerants(legibleJob(viewOf(documentOf(job), id)), effectsOf)),
      )
      await Promise.all(views.flat().map((view) => loadFor(view.unit, view)))
      return views.map((rounds) =>
        rounds.flatMap((view) => decisionStatesOf({ ...view, readingSets: setsOfRound(view) })),
      )
    },
  }
}
