import { OrzoDatabase } from './database'
import { guard } from './health'

let shared: OrzoDatabase | undefined

/** The database of this tab, made once and guarded. */
export function database(): OrzoDatabase {
  if (!shared) {
    shared = new OrzoDatabase()
    guard(shared)
  }
  return shared
}
