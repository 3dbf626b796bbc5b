import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import { diagnoseJob, faultsToRepair } from '@/core/answer/diagnoseJob'
import { diagnosisJson } from '@/core/door/diagnosisJson'
import { planJson } from '@/core/door/planJson'
import { propertiesJson } from '@/core/door/propertiesJson'
import { attempt } from '@/core/base/errors/orzoError'
import type { Job } from '@/core/record/job/job'
import { knownJob } from '@/core/record/job/known'
import { problemSentence, readJobText } from '@/core/record/job/readJob'
import { viewOf } from '@/core/record/job/rounds'
import { withRefrigerants } from '@/core/record/state/refrigerants'
import { planOf } from '@/core/repair/plan/basis'
import { effectsOf } from '@/core/repair/plan/tasks/tasks'
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
  orzo properties REFRIGERANT --temperature 40F | --pressure 118psig [--elevation 1750m]`

type Answer = Record<string, unknown>

function readFile(file: string): string {
  try {
    return readFileSync(file, 'utf8')
  } catch (error) {
    throw new BadInput(
      `${file} cannot be read: ${(error as NodeJS.ErrnoException).code ?? error}. Check the path.`,
    )
  }
}

function readJobFile(file: string): Job {
  const reading = readJobText(readFile(file))
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

/** A job with what was inside at each of its sets. */
const asInside = (file: Job) => withRefrigerants(knownJob(file), effectsOf)

const COMMANDS: Readonly<Record<string, (args: readonly string[]) => Answer>> = {
  diagnose: onFile((job) => diagnosisJson(diagnoseJob(asInside(job)))),
  plan: onFile((file) => {
    const job = asInside(file)
    return planJson(planOf(job, faultsToRepair(job)))
  }),
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
