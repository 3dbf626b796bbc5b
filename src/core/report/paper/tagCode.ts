import { type Tag, tagText } from '../tag'

/**
 * Bytes that a code of 101 modules carries, the most that fit at a point each. [std: ISO/IEC 18004, version 21: 711 with
 * correction M; version 20: 858 with L]
 */
const MOST = { M: 711, L: 858 } as const
export type TagCode = { readonly text: string; readonly correction: keyof typeof MOST }

const bytesOf = (text: string) => new TextEncoder().encode(text).length

/** A text cut at whole signs so that it has so many bytes, and told to be. */
function cutTo(text: string, most: number): string {
  const signs = [...text]
  while (bytesOf(`${signs.join('')}…`) > most) signs.pop()
  return `${signs.join('')}…`
}

/** What the code of a tag carries: its own text, with as much correction as there is room for. */
export function tagCode(tag: Tag): TagCode {
  const text = tagText(tag)
  const bytes = bytesOf(text)
  if (bytes <= MOST.M) return { text, correction: 'M' }
  return { text: bytes <= MOST.L ? text : cutTo(text, MOST.L), correction: 'L' }
}
