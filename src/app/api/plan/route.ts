import { createAnswerer } from '@/core/answer/answer'
import { planJson } from '@/core/door/planJson'
import { answerJob } from '../answer'

/** POST a job document; answers as `npm run -s orzo -- plan FILE` does. */
export async function POST(request: Request): Promise<Response> {
  return answerJob(request, (job) => planJson(createAnswerer().whole({ job }).plan))
}
