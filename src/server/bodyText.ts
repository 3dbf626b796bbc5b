import { ROUTE_LIMITS } from './limits'

/** A body that was read, or why it was not. */
export type Body = { readonly text: string } | { readonly refused: 'too-large' | 'too-slow' | 'broken-off' }

/** A body that is a little too large is read to its end and forgotten: who sends it would not hear the answer before. */
const READ_ON = 5

const LATE = Symbol('late')

/**
 * Reads the body of a request as text, no further and no longer than the limits say.
 * @param limits bytes, and ms until its end must be here
 */
export async function bodyText(
  request: Request,
  limits: { bodyBytes: number; bodyTime: number } = ROUTE_LIMITS,
): Promise<Body> {
  const told = Number(request.headers.get('content-length') ?? 0)
  if (told > limits.bodyBytes * READ_ON) return { refused: 'too-large' }
  const reader = request.body?.getReader()
  if (!reader) return { text: '' }
  const decoder = new TextDecoder()
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<typeof LATE>((tell) => {
    timer = setTimeout(() => tell(LATE), limits.bodyTime)
  })
  let [text, bytes] = ['', 0]
  try {
    for (;;) {
      const next = await Promise.race([reader.read(), late])
      if (next === LATE) return { refused: 'too-slow' }
      if (next.done)
        return bytes > limits.bodyBytes ? { refused: 'too-large' } : { text: text + decoder.decode() }
      bytes += next.value.length
      if (bytes > limits.bodyBytes * READ_ON) return { refused: 'too-large' }
      if (bytes > limits.bodyBytes) text = ''
      else text += decoder.decode(next.value, { stream: true })
    }
  } catch {
    return { refused: 'broken-off' }
  } finally {
    clearTimeout(timer)
    // what is still on its way is not waited for
    void reader.cancel().catch(() => undefined)
  }
}
