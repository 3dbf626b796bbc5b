import { faultsToRepair } from '@/core/answer/diagnoseJob'
import { planJson } from '@/core/door/planJson'
import { planOf } from '@/core/repair/plan/basis'
import { answerJob } from '../answer'

/** POST a job document; answers as `npm run -s orzo -- plan FILE` does. */
export async function POST(request: Request): Promise<Response> {
  return answerJob(request, (job) => planJson(planOf(job, faultsToRepair(job))))
}
