import type { Answer, Question } from '@/core/answer/answer'
import type { DayPlan } from '@/core/repair/day/planDay'
import type { Job } from '@/core/record/job/job'
import type { LogSamples } from '@/core/repair/logs/verdicts'
import { connect } from '@/threads/connect'
import { DeltaReceiver, DeltaSender } from '@/threads/delta'
import { clientInPlace, clientTo, Superseded, type WorkerClient } from '@/threads/protocol'
import type { answerHandlers } from './answerHandlers'
import { scheduleClient, scheduleWorker } from './scheduleClient'

type AnswerHandlers = ReturnType<typeof answerHandlers>
type Client = WorkerClient<AnswerHandlers>
let client: Client | undefined

function start(): Worker {
  const worker = new Worker(new URL('./answer.worker.ts', import.meta.url), { type: 'module' })
  connect(worker, scheduleWorker(), 'schedule')
  return worker
}
const load = async () => (await import('./answerHandlers')).answerHandlers(scheduleClient)

/** The way to everything that is computed of a job, away from the screen's thread. */
export function answerClient(): Client {
  client ??= typeof Worker === 'undefined' ? clientInPlace(load) : clientTo<AnswerHandlers>(start)
  return client
}

/** One line of questions as this end knows it: what was asked, and what was heard. */
class Line {
  job = new DeltaSender<Job>()
  samples = new DeltaSender<LogSamples>()
  heard = new DeltaReceiver<Answer>()
}
const lines = new Map<string, Line>()

/** Questions of one round of a job follow each other. */
const lineName = ({ id, round }: Pick<Job, 'id' | 'round'>): string => `${id ?? ''} ${round}`

const NO_SAMPLES: LogSamples = {}

function askOnce(name: string, question: Question, onPart: (part: Partial<Answer>) => void): Promise<Answer> {
  const line = lines.get(name) ?? new Line()
  lines.set(name, line)
  const { job, samples = NO_SAMPLES, setId, display } = question
  const call = {
    line: name,
    job: line.job.send(job),
    samples: line.samples.send(samples),
    ...(setId === undefined ? {} : { setId }),
    ...(display === undefined ? {} : { display }),
  }
  return answerClient()
    .ask('answer', call, {
      channel: `answer ${name}`,
      onStep: (part) => onPart(line.heard.receive(part)),
    })
    .then((whole) => line.heard.receive(whole))
}

/**
 * Asks what is to be said of a job. Only what changed since the question before goes over, and only what is new comes back.
 * @param onPart what is known so far; parts that are not yet computed are those of the answer before
 * @throws Superseded where a newer question took its place
 */
export async function askAnswer(
  question: Question,
  onPart: (part: Partial<Answer>) => void,
): Promise<Answer> {
  const name = lineName(question.job)
  try {
    return await askOnce(name, question, onPart)
  } catch (error) {
    if (error instanceof Superseded) throw error
    // the other end begins anew, as after a crash: it is told everything, once
    lines.delete(name)
    return askOnce(name, question, onPart)
  }
}

/** The time plan of what was answered last of a job. @param onStep a good one at once; the best is what it resolves to */
export const askDay = (job: Pick<Job, 'id' | 'round'>, onStep: (day: DayPlan) => void): Promise<DayPlan> =>
  answerClient().ask('day', { line: lineName(job) }, { channel: 'day', onStep })
