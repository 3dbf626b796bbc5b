import { diagnoseJob } from '@/core/answer/diagnoseJob'
import { diagnosisJson } from '@/core/door/diagnosisJson'
import { answerJob } from '../answer'

/** POST a job document; answers as `npm run -s orzo -- diagnose FILE` does. */
export async function POST(request: Request): Promise<Response> {
  return answerJob(request, (job) => diagnosisJson(diagnoseJob(job)))
}
