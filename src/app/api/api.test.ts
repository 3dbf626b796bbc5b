import { readFileSync } from 'node:fs'
import path from 'node:path'
import { runDoor } from '../../../tools/orzo/run'
import { POST as diagnose } from './diagnose/route'
import { AnswerPool } from '@/server/pool'
import { PROBLEM_TYPE } from '@/server/problem'
import { GET as health, POST as postHealth } from './health/route'
import { GET as nothing } from './[[...rest]]/route'
import { GET as getPlan, OPTIONS as planOptions, POST as plan } from './plan/route'
import { GET as schema } from './schema/route'

jest.mock('@/server/startThread', () => jest.requireActual('@/server/inProcess'))

const where = path.resolve(__dirname, '../../../examples/plugged-dryer.orzo.json')
const post = (body: string) => new Request('http://localhost/api', { method: 'POST', body })

test.each([
  ['diagnose', diagnose],
  ['plan', plan],
] as const)('POST /api/%s answers the same as the door', async (command, handler) => {
  const response = await handler(post(readFileSync(where, 'utf8')))
  expect(response.status).toBe(200)
  expect(await response.json()).toEqual(JSON.parse(JSON.stringify(runDoor([command, where]))))
})

test.each([
  ['no JSON', 'nonsense', 400, /is not JSON/],
  ['an empty body', '', 400, /is not JSON/],
  ['no job', '{}', 400, /orzo\.job/],
  ['a body over the limit', ' '.repeat(10_000_001), 413, /larger than 10 MB/],
])('%s is refused with its place', async (_name, body, status, message) => {
  const response = await diagnose(post(body))
  expect(response.status).toBe(status)
  expect(response.headers.get('content-type')).toBe(PROBLEM_TYPE)
  const told = (await response.json()) as { problems: { path: string; message: string }[] }
  expect(told).toMatchObject({ type: 'about:blank', status })
  expect(told.problems[0]!.message).toMatch(message)
  expect(told.problems[0]!.path).not.toBe('')
})

test.each([
  ['client-has-many', 429, '10', /from this address/],
  ['server-has-many', 503, '10', /ask again later/],
  ['too-long', 503, '10', /longer than 60 s/],
  ['too-much-memory', 422, null, /more memory/],
  ['broke', 500, null, /fault of the server/],
] as const)('%s is told with its status', async (none, status, retry, detail) => {
  jest.spyOn(AnswerPool.prototype, 'ask').mockResolvedValueOnce({ none })
  const response = await plan(post('{}'))
  expect(response.status).toBe(status)
  expect(response.headers.get('retry-after')).toBe(retry)
  expect(await response.json()).toMatchObject({ status, detail: expect.stringMatching(detail) as string })
})

test('a client is told by its own address', async () => {
  const ask = jest.spyOn(AnswerPool.prototype, 'ask').mockResolvedValueOnce({ json: '{}' })
  const headers = { 'X-Forwarded-For': '192.0.2.9, 192.0.2.7' }
  await plan(new Request('http://localhost/api', { method: 'POST', body: '{}', headers }))
  expect(ask.mock.calls.at(-1)?.[2]).toBe('192.0.2.7')
})

test.each([
  ['another method', getPlan, 405],
  ['another method', postHealth, 405],
  ['another address', nothing, 404],
])('%s is told as a problem', async (_name, handler, status) => {
  const response = handler()
  expect(response.status).toBe(status)
  expect(response.headers.get('content-type')).toBe(PROBLEM_TYPE)
  expect(await response.json()).toMatchObject({ status })
})

test('a method that is not taken says which is', () => {
  expect(getPlan().headers.get('allow')).toBe('POST, OPTIONS')
  expect(planOptions().status).toBe(204)
  expect(planOptions().headers.get('allow')).toBe('POST, OPTIONS')
  expect(postHealth().headers.get('allow')).toBe('GET, HEAD, OPTIONS')
})

test('health and schema', async () => {
  expect(await health().json()).toMatchObject({ status: 'ok', answers: { computing: 0, waiting: 0 } })
  expect(await schema().json()).toMatchObject({
    type: 'object',
    required: expect.arrayContaining(['unit']) as string[],
  })
})

test.each([diagnose, plan])('a plate that is silent is told, not presumed', async (handler) => {
  const job = JSON.parse(readFileSync(where, 'utf8')) as { unit: { refrigerant?: string } }
  delete job.unit.refrigerant
  const response = await handler(post(JSON.stringify(job)))
  expect(response.status).toBe(400)
  const { problems } = (await response.json()) as { problems: { path: string; message: string }[] }
  expect(problems).toEqual([
    {
      path: 'unit',
      message: expect.stringMatching(/does not tell refrigerant: write unit.refrigerant/) as string,
    },
  ])
})

test.each(['diagnose', 'plan'] as const)(
  'a thread loads the tables that %s needs on its own',
  async (ask) => {
    const job = JSON.parse(readFileSync(where, 'utf8')) as { unit: { refrigerant: string } }
    job.unit.refrigerant = 'R-454B'
    await jest.isolateModulesAsync(async () => {
      const { isLoaded } = await import('@/core/physics/refrigerants/tables')
      const { answerText } = await import('@/server/answerText')
      expect(isLoaded('R-454B')).toBe(false)
      expect(await answerText(ask, JSON.stringify(job))).toHaveProperty('json')
      expect(isLoaded('R-454B')).toBe(true)
      expect(isLoaded('R-12')).toBe(false)
    })
  },
)
