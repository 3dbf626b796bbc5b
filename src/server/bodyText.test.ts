import { bodyText } from './bodyText'

const LIMITS = { bodyBytes: 10, bodyTime: 1000 }
const request = (body: BodyInit, headers = {}) =>
  new Request('http://localhost/api', { method: 'POST', body, headers, duplex: 'half' } as RequestInit)
/** A body that comes in pieces. @param end what happens after them */
const inPieces = (pieces: Uint8Array[], end: 'closes' | 'stays open' | 'breaks off' = 'closes') =>
  new ReadableStream<Uint8Array>({
    pull(controller) {
      const piece = pieces.shift()
      if (piece) controller.enqueue(piece)
      else if (end === 'closes') controller.close()
      else if (end === 'breaks off') controller.error(new Error('gone'))
      else return new Promise(() => undefined)
    },
  })
const bytes = (text: string) => new TextEncoder().encode(text)

test.each([
  ['just at the limit', '1234567890', { text: '1234567890' }],
  ['just above it', '12345678901', { refused: 'too-large' }],
  ['eleven bytes in six signs', 'ééééé1', { refused: 'too-large' }],
])('a body %s', async (_name, body, outcome) => {
  expect(await bodyText(request(body), LIMITS)).toEqual(outcome)
  expect(
    await bodyText(request(inPieces([...bytes(body)].map((one) => Uint8Array.of(one)))), LIMITS),
  ).toEqual(outcome)
})

test('a length that is told is believed where it is far too much, and nothing is read', async () => {
  const { body, headers } = request(inPieces([bytes('1')], 'stays open'), { 'Content-Length': '51' })
  const asked = { body, headers } as Request
  expect(await bodyText(asked, LIMITS)).toEqual({ refused: 'too-large' })
})

test('a body that goes on far beyond the limit is not read to its end', async () => {
  const pieces = Array.from({ length: 100 }, () => bytes('12345'))
  expect(await bodyText(request(inPieces(pieces)), LIMITS)).toEqual({ refused: 'too-large' })
  expect(pieces.length).toBeGreaterThan(80)
})

test('a body that does not end is cut off by the clock, not before', async () => {
  jest.useFakeTimers()
  let outcome: unknown
  const reading = bodyText(request(inPieces([bytes('{')], 'stays open')), LIMITS).then((it) => (outcome = it))
  await jest.advanceTimersByTimeAsync(999)
  expect(outcome).toBeUndefined()
  await jest.advanceTimersByTimeAsync(1)
  await reading
  expect(outcome).toEqual({ refused: 'too-slow' })
  jest.useRealTimers()
})

test('a body that breaks off is told', async () => {
  expect(await bodyText(request(inPieces([bytes('{')], 'breaks off')), LIMITS)).toEqual({
    refused: 'broken-off',
  })
})
