import { faultsToRepair } from '@/core/answer/diagnoseJob'
import { planJson } from '@/core/door/planJson'
import { planRepair } from '@/core/repair/plan/plan'
import { answerJob } from '../answer'

/** POST a job document; answers as `npm run -s orzo -- plan FILE` does. */
export async function POST(request: Request): Promise<Response> {
  return answerJob(request, (job) => planJson(planRepair(job, faultsToRepair(job))))
}
