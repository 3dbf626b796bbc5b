import { drawnUnit, knownUnit, understood } from '../equipment/asked'
import type { Job, KnownJob } from './job'

type Part = Pick<Job, 'unit' | 'readingSets'>

/** A job as far as it can be understood: a unit to draw, sets without what needs a plate that is silent. */
export const legibleJob = <T extends Part>(job: T): T & Pick<KnownJob, 'unit'> => ({
  ...job,
  unit: drawnUnit(job.unit),
  readingSets: job.readingSets.map((set) => understood(job.unit, set)),
})

/** @throws OrzoError bad-document where the plate does not tell what a computation needs */
export const knownJob = <T extends Part>(job: T): T & Pick<KnownJob, 'unit'> => ({
  ...job,
  unit: knownUnit(job.unit),
})
