import { strToU8 } from 'fflate'
import { constants, deflateRawSync } from 'node:zlib'
import { crc32 } from '@/core/record/archive/crc32'
import { emptyJob, type JobDocument } from '@/core/record/job/job'
import { writeJobText } from '@/core/record/job/readJob'
import { documentOf } from '@/core/record/job/rounds'
import { type ToldMember, writeZip } from './zipWriter'

const JOB: JobDocument = {
  ...documentOf(emptyJob({ kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' })),
  id: 'job-attack',
  title: 'Lodge cooler',
}
const NOW = '2026-05-04T09:30:00.000Z'

const stored = (path: string, bytes: Uint8Array): ToldMember => ({
  path,
  packed: bytes,
  method: 0,
  size: bytes.length,
  crc: crc32(bytes),
})
const deflated = (path: string, bytes: Uint8Array): ToldMember => ({
  path,
  packed: new Uint8Array(deflateRawSync(bytes, { level: 1 })),
  method: 8,
  size: bytes.length,
  crc: crc32(bytes),
})
const document = (job: JobDocument) => stored('job.orzo.json', strToU8(writeJobText(job)))

const logs = (count: number, samples?: number): JobDocument['logs'] =>
  Array.from({ length: count }, (_l, i) => ({
    id: `log-${i}`,
    name: `Watch ${i}`,
    startedAt: NOW,
    source: 'file',
    channels: [{ key: 'boxTemp', unit: 'F' }],
    ...(samples === undefined ? {} : { samples }),
  }))
const logPath = (i: number) => `logs/${String(i + 1).padStart(2, '0')}-watch-${i}.csv`

const BLOCK = 64 * 1024 * 1024
const EMPTY_END = Uint8Array.of(3, 0)

/** A deflated stream of so many blocks of 64 MB of zeros, made without holding them. [std: RFC 1951] */
function zeros(blocks: number): Uint8Array {
  const one = deflateRawSync(Buffer.alloc(BLOCK), { level: 9, finishFlush: constants.Z_SYNC_FLUSH })
  return new Uint8Array(Buffer.concat([...Array.from({ length: blocks }, () => one), EMPTY_END]))
}

const MEMBERS = 3
const BLOCKS_EACH = 53

/** Ten gigabytes of zeros in some megabytes. @param told what each of its three files says it unpacks to */
export function tenGigabytes(told: number = BLOCKS_EACH * BLOCK): Uint8Array {
  const packed = zeros(BLOCKS_EACH)
  return writeZip([
    document({ ...JOB, logs: logs(MEMBERS) }),
    ...Array.from({ length: MEMBERS }, (_m, i): ToldMember => ({
      path: logPath(i),
      packed,
      method: 8,
      size: told,
    })),
  ])
}

const PHOTOS = 200

/** Two hundred photos of 9 MB that share one body. */
export function sharedPhotos(): Uint8Array {
  const body = stored('photos/01-plate.jpg', new Uint8Array(9_000_000).fill(7))
  const attachments = Array.from(
    { length: PHOTOS },
    (_p, i) => ({ id: `photo-${i}`, name: 'Plate', type: 'image/jpeg', size: body.size }) as const,
  )
  const more = attachments
    .slice(1)
    .map((_photo, i) => ({ ...body, path: `photos/${String(i + 2).padStart(2, '0')}-plate.jpg` }))
  return writeZip([document({ ...JOB, attachments }), body], more)
}

/** A log whose table has 120 MB of rows. */
export function longLog(): Uint8Array {
  const row = (i: number) => `2026-05-04T09:30:00.000Z,${i},${(38 + Math.sin(i / 7)).toFixed(15)}\n`
  const stretch = Array.from({ length: 20_000 }, (_row, i) => row(i)).join('')
  const text = `time,seconds,boxTemp (F)\n${stretch.repeat(Math.ceil(120e6 / stretch.length))}`
  return writeZip([document({ ...JOB, logs: logs(1) }), deflated(logPath(0), strToU8(text))])
}

/** An archive of 65,000 small files. */
export function manyMembers(): Uint8Array {
  const body = strToU8('x')
  return writeZip([
    document(JOB),
    ...Array.from({ length: 65_000 }, (_m, i) => stored(`photos/${i}.jpg`, body)),
  ])
}

/** A document of 9.8 MB of brackets inside each other. */
export const nestedBrackets = (): Uint8Array =>
  strToU8(`{"format":"orzo.job","unit":${'['.repeat(9_800_000)}`)

/** A document of 3 MB of brackets beside each other, where records should be. */
export const wideBrackets = (): Uint8Array =>
  strToU8(`{"format":"orzo.job","version":3,"unit":{},"readingSets":[${'[],'.repeat(1_000_000)}[]]}`)

/** A document in which one record has a million fields. */
export const manyFields = (): Uint8Array =>
  strToU8(
    `{"format":"orzo.job","version":3,"unit":{${Array.from({ length: 600_000 }, (_f, i) => `"field${i}":1`).join()}},"readingSets":[]}`,
  )

/** Files that hung an earlier Orzo or a program like it, by what they are. Each ends in a sentence. */
export const ATTACKS: Readonly<Record<string, { readonly name: string; readonly make: () => Uint8Array }>> = {
  'ten gigabytes of zeros': { name: 'zeros.orzo.zip', make: () => tenGigabytes() },
  'ten gigabytes of zeros that say they are few': { name: 'lie.orzo.zip', make: () => tenGigabytes(1000) },
  'two hundred photos in one body': { name: 'photos.orzo.zip', make: sharedPhotos },
  '120 MB of rows': { name: 'rows.orzo.zip', make: longLog },
  '65,000 files': { name: 'files.orzo.zip', make: manyMembers },
  'nested brackets of 9.8 MB': { name: 'nested.orzo.json', make: nestedBrackets },
  'brackets beside each other': { name: 'wide.orzo.json', make: wideBrackets },
  'a record of 600,000 fields': { name: 'fields.orzo.json', make: manyFields },
}
