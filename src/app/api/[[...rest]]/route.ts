import { problem } from '@/server/problem'

const nothingHere = (): Response => problem(404, 'Ask /api/diagnose, /api/plan, /api/schema or /api/health.')

export {
  nothingHere as GET,
  nothingHere as POST,
  nothingHere as PUT,
  nothingHere as PATCH,
  nothingHere as DELETE,
}
