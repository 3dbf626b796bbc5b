import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'

/** Written anew with UPDATE_RECORDED=1, then read in the difference by hand. */
const isWritten = process.env.UPDATE_RECORDED === '1'

/** What was recorded under a name in the `fixtures` beside a test; the text that is told now, where it is written anew. */
export function recorded(folder: string, name: string, now: string): string {
  const file = path.join(folder, 'fixtures', name)
  if (isWritten) {
    mkdirSync(path.dirname(file), { recursive: true })
    writeFileSync(file, now)
  }
  return existsSync(file) ? readFileSync(file, 'utf8') : ''
}
