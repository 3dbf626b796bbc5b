import { readFileSync } from 'node:fs'
import { expect, test } from './test'

const DRYER = readFileSync('examples/plugged-dryer.orzo.json', 'utf8')
const JSON_TYPE = { 'Content-Type': 'application/json' }

/** A job with so many sets that its plan takes seconds. */
function heavy(): string {
  const job = JSON.parse(DRYER) as { readingSets: object[] }
  const [set] = job.readingSets
  return JSON.stringify({
    ...job,
    readingSets: Array.from({ length: 200 }, (_set, i) => ({ ...set, id: `set-${i}`, label: `look ${i}` })),
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
  const many = (client: string) => Array.from({ length: 8 }, () => ask(client).catch(() => undefined))

  const waiting = many('192.0.2.1')
  await expect.poll(async () => (await state()).waiting).toBeGreaterThanOrEqual(4)
  expect((await state()).computing).toBeGreaterThanOrEqual(1)
  const ninth = await ask('192.0.2.1')
  expect(ninth.status).toBe(429)
  expect(ninth.headers.get('retry-after')).toBe('10')

  waiting.push(...many('192.0.2.2'), ...many('192.0.2.3'))
  await expect.poll(async () => (await state()).waiting).toBe(16)
  const late = await ask('192.0.2.4')
  expect(late.status).toBe(503)
  expect(late.headers.get('retry-after')).toBe('10')

  // whoever goes away frees the server
  asking.abort()
  await Promise.all(waiting)
  await expect.poll(state).toMatchObject({ computing: 0, waiting: 0 })
  expect((await request.post('/api/diagnose', { data: DRYER, headers: JSON_TYPE })).status()).toBe(200)
})
