import { OrzoDatabase } from './database'
import { guard, whenOpen } from './health'

let shared: OrzoDatabase | undefined

/** The database of this tab, made once, guarded, looked at and opened. */
export function database(): OrzoDatabase {
  if (!shared) {
    shared = new OrzoDatabase()
    guard(shared)
    void whenOpen(shared)
  }
  return shared
}
