import { Inflate } from 'fflate'
import { OrzoError } from '../../base/errors/orzoError'

/** Packed bytes that are taken at once: they unpack to a thousand times as much at most. [std: RFC 1951, 258 bytes for two bits] */
const SLICE = 16_384

/**
 * Unpacks a deflated member, and stops as soon as it holds more than its directory says: the directory is not trusted.
 * @param size bytes that it should hold; the caller has limited it
 * @throws OrzoError bad-archive where it holds more, or is damaged
 */
export function inflateExactly(packed: Uint8Array, size: number): Uint8Array {
  const whole = new Uint8Array(size)
  let filled = 0
  const inflate = new Inflate((chunk) => {
    if (filled + chunk.length > size)
      throw new OrzoError('bad-archive', 'unpacks to more than its directory says: it is damaged')
    whole.set(chunk, filled)
    filled += chunk.length
  })
  try {
    for (let from = 0; from < packed.length; from += SLICE)
      inflate.push(packed.subarray(from, from + SLICE), from + SLICE >= packed.length)
  } catch (error) {
    throw error instanceof OrzoError ? error : new OrzoError('bad-archive', 'is damaged')
  }
  if (filled < size) throw new OrzoError('bad-archive', 'is damaged')
  return whole
}
