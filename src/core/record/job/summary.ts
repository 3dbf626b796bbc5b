import type { Metering, UnitKind, UnitPlate } from '../equipment/unit'
import type { Quantity } from '../../base/units/units'
import type { Job } from './job'

/** What a list of jobs shows, so that no job is opened for it. */
export type JobSummary = {
  readonly title?: string
  readonly complaint?: string
  readonly unitName?: string
  readonly siteName?: string
  readonly kind?: UnitKind
  readonly refrigerant?: UnitPlate['refrigerant']
  readonly metering?: Metering
  readonly tons?: number
  readonly elevation?: Quantity
  readonly createdAt?: string
}

/** What a summary is made of: any round's view, or the document. */
type Summarised = Pick<Job, 'title' | 'arrival' | 'unit' | 'createdAt'>

const known = <T extends object>(facts: T): T =>
  Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)) as T

/** The line of a job in a list. */
export const summaryOf = (job: Summarised): JobSummary =>
  known({
    title: job.title,
    complaint: job.arrival?.complaint,
    unitName: job.unit.name,
    siteName: job.unit.site?.name,
    kind: job.unit.kind,
    refrigerant: job.unit.refrigerant,
    metering: job.unit.metering,
    tons: job.unit.nominalTons,
    elevation: job.unit.site?.elevation,
    createdAt: job.createdAt,
  }) as JobSummary
