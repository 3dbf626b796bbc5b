import { otherMethods } from '@/server/methods'
import { thePool } from '@/server/thePool'

export const dynamic = 'force-dynamic'

/** GET whether the server answers, which build it is, and how many questions it has. */
export const GET = (): Response =>
  Response.json(
    {
      status: 'ok',
      build: process.env.NEXT_PUBLIC_ORZO_BUILD,
      answers: thePool().state,
      memory: Math.round(process.memoryUsage.rss() / 1e6),
    },
    { headers: { 'Cache-Control': 'no-store' } },
  )
export const { POST, PUT, PATCH, DELETE, OPTIONS } = otherMethods('GET')
