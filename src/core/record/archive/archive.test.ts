import { strToU8, zipSync } from 'fflate'
import { seededRandom } from '../../base/numeric/random'
import { emptyJob, type JobDocument } from '../job/job'
import { documentOf } from '../job/rounds'
import { type ArchiveEnd, type BackupContents, backupJob, packBackup, readArchive } from './backup'
import { crc32 } from './crc32'
import { type ArchivedJob, type JobFiles, jobMembers } from './jobArchive'
import { openZip, packZip, readText } from './zip'

const AT = Date.parse('2026-05-04T09:30:00Z')

const JOB: JobDocument = {
  ...documentOf(emptyJob({ kind: 'walk-in-cooler', refrigerant: 'R-448A', metering: 'txv' })),
  id: 'job-1',
  title: 'Lodge cooler',
  logs: [
    {
      id: 'log-a',
      name: 'Decay test',
      startedAt: '2026-05-04T09:00:00.000Z',
      source: 'file',
      channels: [{ key: 'suctionPressure', unit: 'psig' }],
      samples: 400,
    },
    {
      id: 'log-b',
      name: '../../decay test',
      startedAt: '2026-05-04T10:00:00.000Z',
      source: 'instruments',
      channels: [{ key: 'boxTemp', unit: 'F' }],
    },
  ],
  attachments: [{ id: 'photo', name: 'Plate', type: 'image/jpeg', size: 3000, caption: 'the plate' }],
}
const random = seededRandom(7)
const samples = (count: number) => ({
  time: Float64Array.from({ length: count }, (_s, i) => i),
  values: [Float64Array.from({ length: count }, () => 40 + random())],
})
const FILES: JobFiles = {
  logs: { 'log-a': samples(400), 'log-b': samples(3) },
  photos: {
    photo: Uint8Array.from(
      { length: 3000 },
      (_byte, i) => [0xff, 0xd8, 0xff][i] ?? Math.floor(random() * 256),
    ),
  },
}
const CONTENTS: BackupContents = {
  at: '2026-05-04T09:30:00.000Z',
  settings: [{ key: 'theme', value: 'cellar' }],
  aside: [
    { id: 'old', at: '2026-05-04T09:30:00.000Z', reason: 'version is missing.', row: { id: 'old', job: {} } },
  ],
  unread: [],
  store: [],
}

function readAll(bytes: Uint8Array): { jobs: ArchivedJob[]; end: ArchiveEnd } {
  const reading = readArchive(bytes)
  const jobs: ArchivedJob[] = []
  for (;;) {
    const step = reading.next()
    if (step.done) return { jobs, end: step.value }
    jobs.push(step.value)
  }
}
const packed = () => packZip(jobMembers(JOB, FILES), AT)
const problemsOf = ({ jobs, end }: ReturnType<typeof readAll>) => [
  ...jobs.flatMap(({ problems, reading }) => [...problems, ...(reading.ok ? [] : reading.problems)]),
  ...end.problems,
]

// check value of the CRC catalogue for the text "123456789" [std: ISO 3309]
test('CRC-32 gives its check value', () => expect(crc32(strToU8('123456789'))).toBe(0xcbf43926))

// written by Python's zipfile, stored and deflated
test.each([
  'UEsDBBQAAAAAAMBLpFwZM+p/SAAAAEgAAAAQAAAAZm9sZGVyL25vdGVzLnR4dGJveCBhdCAzOCBGCmJveCBhdCAzOCBGCmJveCBhdCAzOCBGCmJveCBhdCAzOCBGCmJveCBhdCAzOCBGCmJveCBhdCAzOCBGClBLAQIUAxQAAAAAAMBLpFwZM+p/SAAAAEgAAAAQAAAAAAAAAAAAAACAAQAAAABmb2xkZXIvbm90ZXMudHh0UEsFBgAAAAABAAEAPgAAAHYAAAAAAA==',
  'UEsDBBQAAAAIAMBLpFwZM+p/EQAAAEgAAAAQAAAAZm9sZGVyL25vdGVzLnR4dEvKr1BILFEwtlBw40qigA0AUEsBAhQDFAAAAAgAwEukXBkz6n8RAAAASAAAABAAAAAAAAAAAAAAAIABAAAAAGZvbGRlci9ub3Rlcy50eHRQSwUGAAAAAAEAAQA+AAAAPwAAAAAA',
])('a zip file of another program is read', (text) => {
  const { entries, isDirectoryLost } = openZip(new Uint8Array(Buffer.from(text, 'base64')))
  expect(isDirectoryLost).toBe(false)
  expect(entries.map(({ path, size }) => [path, size])).toEqual([['folder/notes.txt', 72]])
  expect(readText(entries[0]!)).toBe('box at 38 F\n'.repeat(6))
})

describe('an archive of a job', () => {
  test('holds files that other programs read, under names that lead nowhere', () => {
    expect(jobMembers(JOB, FILES).map(({ path }) => path)).toEqual([
      'job.orzo.json',
      'logs/01-decay-test.csv',
      'logs/02-decay-test.csv',
      'photos/01-plate.jpg',
    ])
  })
  test('reads back the same in every field, sample and byte', () => {
    const read = readAll(packed())
    expect(problemsOf(read)).toEqual([])
    expect(read.jobs).toHaveLength(1)
    expect(read.jobs[0]).toMatchObject({ reading: { ok: true, job: JOB } })
    expect(read.jobs[0]!.logs).toEqual(FILES.logs)
    expect(read.jobs[0]!.photos).toEqual(FILES.photos)
  })
  test('packed again by another program, inside a folder and with its hidden files, it is still read', () => {
    const members = Object.fromEntries(
      jobMembers(JOB, FILES, 'my job/').map(({ path, bytes }) => [path, bytes]),
    )
    const bytes = zipSync({ ...members, '__MACOSX/my job/._job.orzo.json': strToU8('x') })
    const read = readAll(bytes)
    expect(problemsOf(read)).toEqual([])
    expect(Object.keys(read.jobs[0]!.photos)).toEqual(['photo'])
  })
  test('one byte changed anywhere in a member: that one is named, the rest is given', () => {
    const bytes = packed()
    const { entries } = openZip(bytes)
    expect(entries).toHaveLength(4)
    const photo = FILES.photos.photo!
    // the photo stands in the archive as it is: find it and hurt it
    const at = Buffer.from(bytes).indexOf(Buffer.from(photo.subarray(0, 64)))
    bytes[at + 1000]! ^= 1
    const read = readAll(bytes)
    expect(problemsOf(read)).toEqual([{ path: 'photos/01-plate.jpg', message: 'is damaged' }])
    expect(read.jobs[0]!.logs).toEqual(FILES.logs)
  })
  test('a file that was cut off gives what stands before the cut', () => {
    const bytes = packed()
    const read = readAll(bytes.slice(0, bytes.length - 1500))
    expect(read.jobs[0]!.reading.ok).toBe(true)
    expect(read.jobs[0]!.logs).toEqual(FILES.logs)
    expect(problemsOf(read)).toEqual([
      { path: 'photos/01-plate.jpg', message: 'is cut off' },
      { path: 'the end of the file', message: 'is cut off or damaged' },
    ])
  })
  test('a member that is missing, and one with a wrong row, are named', () => {
    const members = jobMembers(JOB, FILES)
      .filter(({ path }) => !path.startsWith('photos/'))
      .map((member) =>
        member.path === 'logs/02-decay-test.csv'
          ? { ...member, bytes: strToU8('seconds,boxTemp (F)\n0,38\n1,cold\n') }
          : member,
      )
    expect(problemsOf(readAll(packZip(members, AT)))).toEqual([
      { path: 'logs/02-decay-test.csv', message: expect.stringContaining('row 3 holds "cold"') },
      { path: 'photos/01-plate.jpg', message: 'is missing' },
    ])
  })
  test.each([
    ['no zip file', strToU8('{"format":"orzo.job"} padded to some length'), /is no zip file/],
    ['a zip file of something else', zipSync({ 'a.txt': strToU8('x') }), /holds no Orzo job/],
    ['nothing', new Uint8Array(0), /is no zip file/],
  ])('%s is refused in a sentence', (_name, bytes, message) => {
    expect(() => readAll(bytes)).toThrow(message)
  })
  test('300 seeded mutations: never a crash, and nothing that was read differs without being told', () => {
    const bytes = packed()
    const draw = seededRandom(300)
    for (let i = 0; i < 300; i += 1) {
      const hurt = bytes.slice()
      hurt[Math.floor(draw() * hurt.length)]! ^= 1 << Math.floor(draw() * 8)
      let read: ReturnType<typeof readAll>
      try {
        read = readAll(hurt)
      } catch (error) {
        expect((error as Error).name).toBe('OrzoError')
        continue
      }
      if (problemsOf(read).length > 0) continue
      // not told: then the byte was one of those that carry nothing, and all is as it was
      for (const { reading, logs, photos } of read.jobs) {
        expect(reading.ok && reading.job).toEqual(JOB)
        expect([logs, photos]).toEqual([FILES.logs, FILES.photos])
      }
    }
  })
})

describe('a backup', () => {
  const two = () =>
    packBackup(
      [
        { job: JOB, files: FILES },
        {
          job: { ...JOB, id: 'job-2', title: 'Dome', logs: [], attachments: [] },
          files: { logs: {}, photos: {} },
        },
      ].flatMap(backupJob),
      CONTENTS,
      AT,
    )
  test('gives every job with its files, the settings and the rows kept aside', () => {
    const read = readAll(two())
    expect(problemsOf(read)).toEqual([])
    expect(read.jobs.map(({ path }) => path)).toEqual([
      'jobs/001-lodge-cooler/job.orzo.json',
      'jobs/002-dome/job.orzo.json',
    ])
    expect(read.jobs[0]!.logs).toEqual(FILES.logs)
    expect(read.end).toEqual({ contents: CONTENTS, jobs: 2, problems: [] })
  })
  test('says what is in it, with counts and checksums: what is lost, or was changed by another program, is named', () => {
    const { entries } = openZip(two())
    const about = JSON.parse(readText(entries[0]!)) as {
      inside: { path: string; bytes: number; crc32: number }[]
    }
    expect(about.inside.map(({ path }) => path)).toEqual(entries.slice(1).map(({ path }) => path))
    expect(about.inside.map(({ bytes, crc32: sum }) => [bytes, sum])).toEqual(
      entries.slice(1).map(({ size, crc }) => [size, crc]),
    )
    const again = (change: (member: { path: string; bytes: Uint8Array }) => Uint8Array | undefined) =>
      readAll(
        packZip(
          entries.flatMap((entry) => {
            const bytes = change({ path: entry.path, bytes: entry.read() })
            return bytes ? [{ path: entry.path, bytes }] : []
          }),
          AT,
        ),
      ).end.problems
    expect(again(({ bytes }) => bytes)).toEqual([])
    expect(again(({ path, bytes }) => (path.includes('dome') ? undefined : bytes))).toEqual([
      { path: 'jobs/002-dome/job.orzo.json', message: 'was packed and is missing' },
    ])
    expect(again(({ path, bytes }) => (path.endsWith('plate.jpg') ? bytes.slice(1) : bytes))).toEqual([
      { path: 'jobs/001-lodge-cooler/photos/01-plate.jpg', message: 'is not what was packed' },
    ])
    expect(again(({ path, bytes }) => (path === 'backup.json' ? undefined : bytes))).toEqual([
      { path: 'backup.json', message: expect.stringContaining('is missing') as string },
    ])
  })
  test('a file list at the end that is damaged is told, and everything is read by what stands before it', () => {
    const bytes = two()
    const { entries } = openZip(bytes)
    const end = bytes.length - 22
    for (const at of [end + 10, end + 12, end + 16, end]) {
      const hurt = bytes.slice()
      hurt[at]! ^= 1
      const read = readAll(hurt)
      expect(read.jobs).toHaveLength(2)
      expect(read.end.contents).toEqual(CONTENTS)
      expect(read.end.problems).toEqual([{ path: 'the end of the file', message: 'is cut off or damaged' }])
    }
    expect(entries).toHaveLength(6)
  })
  test('300 seeded flipped bits: nothing is lost untold', () => {
    const bytes = two()
    const draw = seededRandom(34)
    let told = 0
    for (let i = 0; i < 300; i += 1) {
      const hurt = bytes.slice()
      hurt[Math.floor(draw() * hurt.length)]! ^= 1 << Math.floor(draw() * 8)
      const read = readAll(hurt)
      if (problemsOf(read).length > 0) {
        told += 1
        continue
      }
      expect(read.jobs.map(({ reading }) => reading.ok && reading.job.title)).toEqual([
        'Lodge cooler',
        'Dome',
      ])
      expect([read.jobs[0]!.logs, read.jobs[0]!.photos]).toEqual([FILES.logs, FILES.photos])
      expect(read.end.contents).toEqual(CONTENTS)
    }
    expect(told).toBeGreaterThan(200)
  })
  test('without any job it is a backup all the same', () => {
    expect(readAll(packBackup([], CONTENTS, AT)).end.contents).toEqual(CONTENTS)
  })
  test('a list of a newer Orzo, or a broken one, is named; the jobs are given', () => {
    const withList = (text: string) =>
      readAll(
        packZip([{ path: 'backup.json', bytes: strToU8(text) }, ...jobMembers(JOB, FILES, 'jobs/1/')], AT),
      )
    expect(withList('{').end.problems).toEqual([
      { path: 'backup.json', message: expect.stringContaining('not JSON') },
    ])
    const newer = JSON.stringify({ format: 'orzo.backup', version: 9, ...CONTENTS })
    expect(withList(newer).end.problems[0]!.message).toContain('update Orzo')
    expect(withList(newer).jobs[0]!.reading.ok).toBe(true)
  })
})
