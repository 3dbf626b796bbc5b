import { readFileSync, statSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { withKnownIds } from '@/core/diagnosis/proof/knownIds'
import { createAnswerer } from '@/core/answer/answer'
import { diagnoseJob } from '@/core/answer/diagnoseJob'
import { diagnosisJson } from '@/core/door/diagnosisJson'
import { planJson } from '@/core/door/planJson'
import { propertiesJson } from '@/core/door/propertiesJson'
import { attempt } from '@/core/base/errors/orzoError'
import type { Job } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import type { ArchivedJob } from '@/core/record/archive/jobArchive'
import { readArchive } from '@/core/record/archive/backup'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { readWorkLog } from '@/core/door/judgeCsv'
import { factsOf, judgeArchiveJson, judgeJson } from '@/core/door/judgeJson'
import { problemSentence, readJobText } from '@/core/record/job/readJob'
import { viewOf } from '@/core/record/job/rounds'
import { simulationJson } from '@/core/door/simulationJson'
import { readSimulationText } from '@/core/simulate/simulationFile'
import { parseRefrigerant } from '@/core/physics/refrigerants/catalogue'
import { parseQuantity } from '@/core/base/units/parseQuantity'

export class UsageError extends Error {}
export class BadInput extends Error {}

export const USAGE = `usage:
  orzo diagnose FILE
  orzo plan FILE
  orzo simulate FILE
  orzo validate FILE
  orzo judge KIND FILE... [--job JOB]     logs as CSV; KIND is recovery, pressure-test, evacuation, decay or weigh-in
  orzo judge JOB.orzo.zip
  orzo properties REFRIGERANT --temperature 40F | --pressure 118psig [--elevation 1750m]`

type Row = Record<string, unknown>
type Answer = Row | readonly Row[]

const readFile = (file: string): string => new TextDecoder().decode(readBytes(file))

/** Larger files are not read, bytes: none of Orzo is. */
const LARGEST_FILE = 2_000_000_000

function readBytes(file: string): Uint8Array {
  try {
    if (statSync(file).size > LARGEST_FILE)
      throw new BadInput(`${file} is larger than 2 GB: no file of Orzo is.`)
    return readFileSync(file)
  } catch (error) {
    if (error instanceof BadInput) throw error
    throw new BadInput(
      `${file} cannot be read: ${(error as NodeJS.ErrnoException).code ?? error}. Check the path.`,
    )
  }
}

function readJobFile(file: string): Job {
  const reading = withKnownIds(readJobText(readFile(file)))
  if (reading.ok) return viewOf(reading.job)
  throw new BadInput(reading.problems.map((problem) => `${file}: ${problemSentence(problem)}`).join('\n'))
}

/** A core error becomes bad input with its own sentence. */
function answer<T>(compute: () => T): T {
  const result = attempt(compute)
  if (!result.ok) throw new BadInput(result.error.message)
  return result.value
}

function onlyFile(args: readonly string[]): string {
  const [file, ...more] = args
  if (file === undefined || more.length > 0 || file.startsWith('--')) throw new UsageError(USAGE)
  return file
}

const onFile = (compute: (job: Job) => Answer) => (args: readonly string[]) => {
  const job = readJobFile(onlyFile(args))
  return answer(() => compute(job))
}

function parseOptions(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        temperature: { type: 'string' },
        pressure: { type: 'string' },
        elevation: { type: 'string' },
        job: { type: 'string' },
      },
    })
  } catch (error) {
    throw new UsageError(`${(error as Error).message}\n${USAGE}`)
  }
}

/** parseArgs takes "-40F" after an option for another option; join the two with "=". */
const joinNegative = (args: readonly string[]): string[] =>
  args.reduce<string[]>((out, word) => {
    const last = out.at(-1)
    const negative = /^-[\d.]/.test(word) && last?.startsWith('--') && !last.includes('=')
    return negative ? [...out.slice(0, -1), `${last}=${word}`] : [...out, word]
  }, [])

function properties(args: readonly string[]): Answer {
  const { values, positionals } = parseOptions(joinNegative(args))
  const [name, ...more] = positionals
  const oneGiven = (values.temperature === undefined) !== (values.pressure === undefined)
  if (name === undefined || more.length > 0 || !oneGiven) throw new UsageError(USAGE)
  return answer(() =>
    propertiesJson({
      refrigerant: parseRefrigerant(name),
      ...(values.temperature === undefined
        ? {}
        : { temperature: parseQuantity(values.temperature, 'temperature') }),
      ...(values.pressure === undefined ? {} : { pressure: parseQuantity(values.pressure, 'pressure') }),
      ...(values.elevation === undefined ? {} : { elevation: parseQuantity(values.elevation, 'length') }),
    }),
  )
}

const isKind = (word: string): word is LogPurpose => Object.hasOwn(LOG_KINDS, word)
const isArchive = (file: string) => file.toLowerCase().endsWith('.zip')

/** The one job of an archive or a document. */
function jobOf(file: string): Job {
  if (!isArchive(file)) return readJobFile(file)
  return viewOf(readingOf(file, onlyJob(file)).job)
}

function onlyJob(file: string): ArchivedJob {
  const found = answer(() => [...readArchive(readBytes(file))])
  const [first, ...more] = found
  if (!first || more.length > 0)
    throw new BadInput(`${file} holds ${found.length} jobs: give one with one job.`)
  return first
}

/** What was read, or why it could not be. */
function readingOf(file: string, { reading: read }: ArchivedJob) {
  const reading = withKnownIds(read)
  if (reading.ok) return reading
  throw new BadInput(reading.problems.map((problem) => `${file}: ${problemSentence(problem)}`).join('\n'))
}

/** What the judge of the screen says of logs, in the order of the files. */
function judge(args: readonly string[]): Answer {
  const { values, positionals } = parseOptions(args)
  const [first, ...files] = positionals
  if (first !== undefined && files.length === 0 && isArchive(first)) {
    const archived = onlyJob(first)
    readingOf(first, archived)
    // a log that cannot be read is not passed over in silence
    const lost = archived.problems.filter(({ path }) => path.includes('logs/'))
    if (lost.length > 0)
      throw new BadInput(lost.map((each) => `${first}: ${problemSentence(each)}`).join('\n'))
    return answer(() => judgeArchiveJson(archived))
  }
  if (first === undefined || !isKind(first) || files.length === 0) throw new UsageError(USAGE)
  const facts = values.job === undefined ? {} : answer(() => factsOf(knownJob(jobOf(values.job!))))
  return files.map((file) => {
    const log = attempt(() => readWorkLog(readFile(file), first))
    if (!log.ok) throw new BadInput(`${file}: ${log.error.message}`)
    return { file, ...answer(() => judgeJson(first, log.value, facts)) }
  })
}

const COMMANDS: Readonly<Record<string, (args: readonly string[]) => Answer>> = {
  diagnose: onFile((job) => diagnosisJson(diagnoseJob(knownJob(job)))),
  plan: onFile((job) => planJson(createAnswerer().whole({ job: knownJob(job) }).plan)),
  judge,
  simulate: (args) => {
    const text = readFile(onlyFile(args))
    return answer(() => simulationJson(readSimulationText(text)))
  },
  validate: onFile((job) => ({
    valid: true,
    format: job.format,
    version: job.version,
    readingSets: job.readingSets.length,
  })),
  properties,
}

/**
 * Answers one call of the door.
 * @throws UsageError for a wrong call, BadInput for input that cannot be used
 */
export function runDoor(args: readonly string[]): Answer {
  const [name, ...rest] = args
  const command = name !== undefined && Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined
  if (!command) throw new UsageError(USAGE)
  return command(rest)
}
