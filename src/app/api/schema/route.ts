import { jobJsonSchema } from '@/core/door/schemaJson'
import { otherMethods } from '@/server/methods'

/** It is made when the app is built. */
export const dynamic = 'force-static'

/** GET the schema of a job document. */
export const GET = (): Response =>
  new Response(JSON.stringify(jobJsonSchema()), { headers: { 'Content-Type': 'application/schema+json' } })
export const { POST, PUT, PATCH, DELETE, OPTIONS } = otherMethods('GET')
