import { readFileSync } from 'node:fs'
import { expect, test } from './test'

const DRYER = readFileSync('examples/plugged-dryer.orzo.json', 'utf8')
const JSON_TYPE = { 'Content-Type': 'application/json' }

/** A job with so many sets that its plan takes seconds. */
function heavy(): string {
  type Readings = Record<string, { value: number; unit: string }>
  const job = JSON.parse(DRYER) as { readingSets: { readings: Readings }[] }
  const [set] = job.readingSets
  const readingsOf = (i: number) =>
    Object.fromEntries(
      Object.entries(set!.readings).map(([key, { value, unit }]) => [
        key,
        { value: value * (1 + i / 1e4), unit },
      ]),
    )
  return JSON.stringify({
    ...job,
    readingSets: Array.from({ length: 200 }, (_set, i) => ({
      ...set,
      id: `set-${i}`,
      readings: readingsOf(i),
    })),
  })
}

test('a plan, a schema and the health of the server are answered', async ({ request }) => {
  const plan = await request.post('/api/plan', { data: DRYER, headers: JSON_TYPE })
  expect(plan.status()).toBe(200)
  expect(Object.keys((await plan.json()) as object)).toEqual(
    expect.arrayContaining(['contamination', 'tasks']),
  )
  const schema = await request.get('/api/schema')
  expect(schema.headers()['content-type']).toContain('application/schema+json')
  expect(await schema.json()).toMatchObject({ type: 'object' })
  expect(await (await request.get('/api/health')).json()).toMatchObject({ status: 'ok' })
})

test('what cannot be answered is told as a problem: address, method, size, document', async ({ request }) => {
  const cases = [
    [await request.get('/api/none'), 404, {}],
    [await request.post('/api'), 404, {}],
    [await request.get('/api/%E0%A4%A'), 400, {}],
    [await request.get('/job/%E0%A4%A/arrive'), 400, {}],
    [await request.get('/api/plan'), 405, { allow: 'POST, OPTIONS' }],
    [await request.delete('/api/health'), 405, { allow: 'GET, HEAD, OPTIONS' }],
    [await request.post('/api/plan', { data: Buffer.alloc(10_000_001, ' '), headers: JSON_TYPE }), 413, {}],
    [await request.post('/api/plan', { data: Buffer.from('{'), headers: JSON_TYPE }), 400, {}],
    [
      await request.post('/api/diagnose', { data: DRYER.replace('"unit"', '"unity"'), headers: JSON_TYPE }),
      400,
      {},
    ],
  ] as const
  for (const [response, status, headers] of cases) {
    expect(response.status()).toBe(status)
    expect(response.headers()).toMatchObject({ 'content-type': 'application/problem+json', ...headers })
    const { problems, ...told } = (await response.json()) as { problems: { path: string }[] }
    expect(told).toMatchObject({ type: 'about:blank', status })
    if (response.url().includes('%')) continue
    if (status === 400 || status === 413) expect(problems[0]!.path).not.toBe('')
  }
})

test('heavy questions wait their turn, one too many is sent away, and health is answered meanwhile', async ({
  request,
  baseURL,
}) => {
  const body = heavy()
  const asking = new AbortController()
  const ask = (client: string) =>
    fetch(`${baseURL}/api/plan`, {
      method: 'POST',
      body,
      headers: { ...JSON_TYPE, 'X-Forwarded-For': client },
      signal: asking.signal,
    })
  const state = async () =>
    ((await (await request.get('/api/health')).json()) as { answers: { computing: number; waiting: number } })
      .answers
  const all: Promise<Response>[] = []
  /** Asks twelve times at once. */
  const many = (client: string) => {
    const asked = Array.from({ length: 12 }, () => ask(client))
    all.push(...asked)
    return asked
  }
  /** The first of them that was answered so. */
  const first = (asked: Promise<Response>[], status: number) =>
    Promise.any(
      asked.map(async (each) => {
        const response = await each
        if (response.status !== status) throw new Error(String(response.status))
        return response
      }),
    )

  const oneTooMany = await first(many('192.0.2.1'), 429)
  expect(oneTooMany.headers.get('retry-after')).toBe('10')
  const { computing, waiting } = await state()
  expect(computing).toBeGreaterThanOrEqual(1)
  expect(waiting).toBeGreaterThanOrEqual(1)
  const late = await first([...many('192.0.2.2'), ...many('192.0.2.3'), ...many('192.0.2.4')], 503)
  expect(late.headers.get('retry-after')).toBe('10')

  // whoever goes away frees the server
  asking.abort()
  await Promise.allSettled(all)
  await expect.poll(state).toMatchObject({ computing: 0, waiting: 0 })
  expect((await request.post('/api/diagnose', { data: DRYER, headers: JSON_TYPE })).status()).toBe(200)
})
