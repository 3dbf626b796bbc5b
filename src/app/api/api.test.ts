import { readFileSync } from 'node:fs'
import path from 'node:path'
import { runDoor } from '../../../tools/orzo/run'
import { POST as diagnose } from './diagnose/route'
import { POST as plan } from './plan/route'

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
  const { problems } = (await response.json()) as { problems: { path: string; message: string }[] }
  expect(problems[0]!.message).toMatch(message)
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
  'POST /api/%s loads the tables it needs on its own',
  async (name) => {
    const job = JSON.parse(readFileSync(where, 'utf8')) as { unit: { refrigerant: string } }
    job.unit.refrigerant = 'R-454B'
    await jest.isolateModulesAsync(async () => {
      const { isLoaded } = await import('@/core/physics/refrigerants/tables')
      expect(isLoaded('R-454B')).toBe(false)
      const route = name === 'plan' ? await import('./plan/route') : await import('./diagnose/route')
      const response = await route.POST(post(JSON.stringify(job)))
      expect(response.status).toBe(200)
      expect(isLoaded('R-454B')).toBe(true)
      expect(isLoaded('R-12')).toBe(false)
    })
  },
)
