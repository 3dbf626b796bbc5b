import { OrzoError } from '@/core/base/errors/orzoError'

/** A field: whole, or a list of which some rows are where they were before. */
type Field = { readonly whole: unknown } | { readonly rows: readonly (number | { readonly row: unknown })[] }

/** What of an object is not what it was when it was sent last. */
export type Delta<T> = {
  /** which state it is added to: the whole comes with 0 */
  readonly from: number
  readonly to: number
  readonly fields: Readonly<Record<string, Field>>
  /** never there: the object that it makes */
  readonly of?: T
}

type Fields = Readonly<Record<string, unknown>>

/** [practice] a list of fewer rows is sent whole. */
const LEAST_ROWS = 2

function fieldOf(value: unknown, before: unknown): Field {
  if (!Array.isArray(value) || !Array.isArray(before) || value.length < LEAST_ROWS) return { whole: value }
  const places = new Map(before.map((row, i) => [row as unknown, i]))
  const rows = value.map((row: unknown) => {
    const at = typeof row === 'object' ? places.get(row) : undefined
    return at === undefined ? { row } : at
  })
  return rows.some((row) => typeof row === 'number') ? { rows } : { whole: value }
}

/** Sends an object again and again: only fields and rows that are other objects than before go over. */
export class DeltaSender<T extends object> {
  #last: Fields = {}
  #version = 0

  send(value: T): Delta<T> {
    const now = value as Fields
    const keys = new Set([...Object.keys(this.#last), ...Object.keys(now)])
    const fields: Record<string, Field> = {}
    for (const key of keys)
      if (!(key in this.#last) || !Object.is(now[key], this.#last[key]))
        fields[key] = fieldOf(now[key], this.#last[key])
    const from = this.#version
    this.#version += 1
    this.#last = now
    return { from, to: this.#version, fields }
  }

  /** Fields of an object that is told in parts: what is not among them stays as it was. */
  sendPart(value: Partial<T>): Delta<T> {
    return this.send({ ...this.#last, ...value } as T)
  }

  /** The other end knows nothing any more. */
  reset(): void {
    this.#last = {}
    this.#version = 0
  }
}

/** Makes of what comes the object that was sent; what did not change is the same object as before. */
export class DeltaReceiver<T extends object> {
  #last: Fields = {}
  #version = 0

  /** @throws OrzoError lost-base where what it is added to is not here: the whole is wanted */
  receive({ from, to, fields }: Delta<T>): T {
    if (from !== 0 && from !== this.#version)
      throw new OrzoError('lost-base', 'What changed is not known here: the whole is asked for.')
    const base = from === 0 ? {} : this.#last
    const changed = Object.entries(fields).map(([key, field]) => [key, valueOf(field, base[key])])
    this.#last = { ...base, ...Object.fromEntries(changed) }
    this.#version = to
    return this.#last as T
  }
}

const valueOf = (field: Field, before: unknown): unknown =>
  'whole' in field
    ? field.whole
    : field.rows.map((row) => (typeof row === 'number' ? (before as unknown[])[row] : row.row))
