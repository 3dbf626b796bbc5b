import Dexie, { type EntityTable } from 'dexie'
import type { Job } from '@/core/record/job/job'

/** A stored job. The document itself carries its version; the columns beside it serve lists. */
export type JobRow = {
  id: string
  updatedAt: string
  demo: 0 | 1
  job: Job
}

/** Small facts about this browser: display units, whether demo data was offered. */
export type SettingRow = { key: string; value: string }

/** The browser's database. A new version is a new `version(n)` line with its upgrade and its test. */
export class OrzoDatabase extends Dexie {
  jobs!: EntityTable<JobRow, 'id'>
  settings!: EntityTable<SettingRow, 'key'>

  constructor(name = 'orzo') {
    super(name)
    this.version(1).stores({ jobs: '&id, updatedAt, demo', settings: '&key' })
  }
}

let shared: OrzoDatabase | undefined

/** The database of this tab, opened once. */
export function database(): OrzoDatabase {
  shared ??= new OrzoDatabase()
  return shared
}
