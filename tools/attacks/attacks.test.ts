import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { attempt } from '@/core/base/errors/orzoError'
import { type ArchiveEnd, readArchive } from '@/core/record/archive/backup'
import { isZip } from '@/core/record/archive/zip'
import { readJobText } from '@/core/record/job/readJob'
import { answerText } from '@/server/answerText'
import { runDoor } from '../orzo/run'
import { ATTACKS } from './attacks'

const folder = mkdtempSync(path.join(tmpdir(), 'orzo-attacks-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** What is said of a file, as the worker of files reads it. */
function said(bytes: Uint8Array): string[] {
  if (!isZip(bytes)) {
    const reading = readJobText(new TextDecoder().decode(bytes))
    return reading.ok ? [] : reading.problems.map(({ message }) => message)
  }
  const reading = attempt(() => {
    const found: string[] = []
    const jobs = readArchive(bytes)
    for (;;) {
      const next: IteratorResult<{ problems: readonly { message: string }[] }, ArchiveEnd> = jobs.next()
      found.push(...next.value.problems.map(({ message }) => message))
      if (next.done) return found
    }
  })
  return reading.ok ? reading.value : [reading.error.message]
}

const SENTENCES: Readonly<Record<keyof typeof ATTACKS, RegExp>> = {
  'ten gigabytes of zeros': /more than 2 GB when it is unpacked/,
  'ten gigabytes of zeros that say they are few': /unpacks to more than its directory says/,
  'two hundred photos in one body': /share their bytes/,
  '120 MB of rows': /is larger than Orzo writes/,
  '65,000 files': /more than 60,000 files/,
  'nested brackets of 9.8 MB': /brackets far deeper/,
  'brackets beside each other': /far more values/,
  'a record of 600,000 fields': /far more values/,
}

test.each(Object.entries(ATTACKS))(
  '%s: ends in a sentence, in the worker of files and in the door',
  (what, { name, make }) => {
    const bytes = make()
    const sentences = said(bytes)
    expect(sentences.length).toBeGreaterThan(0)
    for (const sentence of sentences) expect(sentence).toMatch(SENTENCES[what] ?? /never/)
    const where = path.join(folder, name)
    writeFileSync(where, bytes)
    const call = name.endsWith('.zip') ? ['judge', where] : ['validate', where]
    const door = attempt(() => runDoorSafely(call))
    expect(door.ok && door.value).toMatch(SENTENCES[what] ?? /never/)
    rmSync(where)
  },
)

/** What the door says, an answer as text or its complaint. */
function runDoorSafely(args: readonly string[]): string {
  try {
    return JSON.stringify(runDoor(args))
  } catch (error) {
    return (error as Error).message
  }
}

test.each(Object.entries(ATTACKS).filter(([, { name }]) => name.endsWith('.json')))(
  '%s: ends in a problem, in the route',
  async (what, { make }) => {
    expect(await answerText('plan', new TextDecoder().decode(make()))).toMatchObject({
      status: 400,
      problems: [{ message: expect.stringMatching(SENTENCES[what] ?? /never/) as string }],
    })
  },
)
