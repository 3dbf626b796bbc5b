import { answerJob } from '@/server/answerJob'
import { otherMethods } from '@/server/methods'

/** POST a job document; answers as `npm run -s orzo -- plan FILE` does. */
export const POST = (request: Request): Promise<Response> => answerJob('plan', request)
export const { GET, PUT, PATCH, DELETE, OPTIONS } = otherMethods('POST')
