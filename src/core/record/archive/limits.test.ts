import { strToU8, zipSync } from 'fflate'
import { DEEPEST } from '../../base/json/excess'
import { readJobText } from '../job/readJob'
import { writeLogCsv } from '../logs/logCsv'
import { ARCHIVE_LIMITS, limitMembers, refuseShared, refuseTooTight } from './limits'
import { writeZip } from '../../../../tools/attacks/zipWriter'
import { openZip, packZip, readText } from './zip'

const { members, unpacked, ratio, smallAnyway } = ARCHIVE_LIMITS
const MEGABYTE = 1_000_000

/** Where the directory tells of a file, offsets from the start of its entry. [std: ISO/IEC 21320-1] */
const CENTRAL = 0x02014b50
const FIELD = { packed: 20, size: 24, at: 42 } as const

/** Writes something else into the directory than what is true. @param i number of the file */
function told(bytes: Uint8Array, i: number, field: keyof typeof FIELD, value: number): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const entries = Array.from(bytes.keys()).filter(
    (at) => at + 4 <= bytes.length && view.getUint32(at, true) === CENTRAL,
  )
  view.setUint32(entries[i]! + FIELD[field], value, true)
  return bytes
}

const zipOf = (files: Record<string, Uint8Array>) => zipSync(files, { level: 6 })
const noise = (length: number) => Uint8Array.from({ length }, (_byte, i) => (i * 2654435761) >>> 24)

test.each([
  ['less than is there', 10, /more than its directory says/],
  ['a little less', 49_999, /more than its directory says/],
  ['more than is there', 50_001, /is damaged/],
])('a directory that tells %s: the file is named, and is not unpacked further', (_name, size, message) => {
  const bytes = told(zipOf({ 'a.txt': noise(50_000) }), 0, 'size', size)
  expect(() => openZip(bytes).entries[0]!.read()).toThrow(message)
})

test('what is true is read', () => {
  const text = 'box at 38 F\n'.repeat(9000)
  expect(readText(openZip(zipOf({ 'a.txt': strToU8(text) })).entries[0]!)).toBe(text)
})

test('a directory that is wrong about the place of a file is told, and all is read by the headers of the files', () => {
  const bytes = zipOf({ 'a.bin': noise(3000), 'b.bin': noise(4000) })
  expect(openZip(bytes).isDirectoryLost).toBe(false)
  const { entries, isDirectoryLost } = openZip(told(bytes, 1, 'at', 0))
  expect(isDirectoryLost).toBe(true)
  expect(entries.map((entry) => [entry.path, entry.read()])).toEqual([
    ['a.bin', noise(3000)],
    ['b.bin', noise(4000)],
  ])
})

test('files that share their bytes are refused, also where they overlap by one', () => {
  const body = { path: 'a.bin', packed: noise(3000), method: 0, size: 3000 } as const
  expect(openZip(writeZip([body])).entries).toHaveLength(1)
  expect(() => openZip(writeZip([body], [{ ...body, path: 'b.bin' }]))).toThrow(/share their bytes/)
  expect(() =>
    refuseShared(
      [
        { at: 0, packed: 70, size: 0 },
        { at: 100, packed: 5, size: 0 },
      ],
      30,
    ),
  ).not.toThrow()
  expect(() =>
    refuseShared(
      [
        { at: 0, packed: 71, size: 0 },
        { at: 100, packed: 5, size: 0 },
      ],
      30,
    ),
  ).toThrow()
})

test('how often a file may be smaller when packed: just below, at, just above; short ones may', () => {
  const packed = 10 * MEGABYTE
  const tight = (size: number) => () => refuseTooTight({ packed, size, at: 0 })
  expect(tight(packed * ratio)).not.toThrow()
  expect(tight(packed * ratio + 1)).toThrow(/packed more than 250 times/)
  expect(() => refuseTooTight({ packed: 1, size: smallAnyway, at: 0 })).not.toThrow()
  expect(() => refuseTooTight({ packed: 1, size: smallAnyway + 1, at: 0 })).toThrow()
  const zeros = openZip(zipOf({ 'a.csv': new Uint8Array(5 * MEGABYTE) })).entries[0]!
  expect(() => zeros.read()).toThrow(/packed more than/)
})

test('the tightest log that Orzo writes, one that never moves, is far from that', () => {
  const [rows, channels] = [5_000, 40]
  const log = {
    startedAt: '2026-05-04T09:00:00.000Z',
    channels: Array.from({ length: channels }, () => ({ key: 'boxTemp', unit: 'F' }) as const),
  }
  const csv = strToU8(
    writeLogCsv(log, {
      time: Float64Array.from({ length: rows }, (_row, i) => i),
      values: Array.from({ length: channels }, () => new Float64Array(rows).fill(38)),
    }),
  )
  const bytes = packZip([{ path: 'a.csv', bytes: csv }], Date.parse(log.startedAt))
  expect(csv.length / bytes.length).toBeLessThan(ratio / 5)
  expect(openZip(bytes).entries[0]!.read()).toHaveLength(csv.length)
})

test('how many files and bytes an archive may hold, in and out: just below, at, just above', () => {
  const many = (count: number) => () => limitMembers(new Array<number>(count).fill(1))
  expect(many(members)).not.toThrow()
  expect(many(members + 1)).toThrow(/more than 60,000 files/)
  expect(() => limitMembers([unpacked])).not.toThrow()
  expect(() => limitMembers([unpacked, 1])).toThrow(/more than 2 GB/)
  // ten gigabytes, as it tells, in some bytes
  const large = (path: string) => ({ path, packed: noise(9), method: 8, size: 0xf0000000 }) as const
  expect(() => openZip(writeZip(['a', 'b', 'c'].map(large)))).toThrow(/more than 2 GB/)
})

test('brackets far too deep are no job, and are told before anything is built of them', () => {
  const deep = `{"a":${'['.repeat(DEEPEST)}${']'.repeat(DEEPEST)}}`
  expect(readJobText(deep)).toMatchObject({
    ok: false,
    problems: [{ message: expect.stringMatching(/deeper/) as string }],
  })
  expect(readJobText('['.repeat(9_800_000))).toMatchObject({ ok: false, code: 'not-a-job' })
})
