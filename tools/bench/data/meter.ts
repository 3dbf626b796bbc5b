import type { Middleware } from 'dexie'
import type { DBCore, DBCoreMutateRequest } from 'dexie'
import type { OrzoDatabase } from '@/data/database'

/** What was written since the meter was set back. */
export type Written = { rows: number; bytes: number }

/** Bytes of a value as text, typed arrays as they are. */
function bytesOf(value: unknown): number {
  if (ArrayBuffer.isView(value)) return value.byteLength
  if (Array.isArray(value)) return value.reduce((sum: number, each) => sum + bytesOf(each), 2)
  if (typeof value !== 'object' || value === null) return JSON.stringify(value)?.length ?? 0
  return Object.entries(value).reduce((sum, [key, each]) => sum + key.length + 4 + bytesOf(each), 2)
}

function count(written: Written, request: DBCoreMutateRequest) {
  if (request.type !== 'add' && request.type !== 'put') return
  written.rows += request.values.length
  written.bytes += request.values.reduce((sum: number, value) => sum + bytesOf(value), 0)
}

/** Counts rows and bytes that a database is asked to write. */
export function meter(db: OrzoDatabase): Written {
  const written: Written = { rows: 0, bytes: 0 }
  const middleware: Middleware<DBCore> = {
    stack: 'dbcore',
    name: 'meter',
    create: (core) => ({
      ...core,
      table: (name) => {
        const table = core.table(name)
        return {
          ...table,
          mutate: (request) => {
            count(written, request)
            return table.mutate(request)
          },
        }
      },
    }),
  }
  db.use(middleware)
  return written
}
