import { strFromU8, zipSync, type Zippable } from 'fflate'
import { attempt, OrzoError } from '../../base/errors/orzoError'
import { crc32 } from './crc32'
import { inflateExactly } from './inflate'
import { limitMembers, refuseShared, refuseTooTight } from './limits'

/** One file inside a zip file. */
export type ZipMember = { readonly path: string; readonly bytes: Uint8Array }

/** Files that are packed tightly already: packing them again costs time and saves nothing. */
const PACKED = /\.(jpe?g|png|webp)$/i
/** A middle level of deflate: numbers as text come to a quarter either way. */
const LEVEL = 6

/**
 * Packs files into one.
 * @throws OrzoError bad-archive for more than is read back
 * @param at what their time says, ms since the epoch; zip knows no time before 1980
 */
export function packZip(members: readonly ZipMember[], at: number): Uint8Array {
  limitMembers(members.map(({ bytes }) => bytes.length))
  const files: Zippable = {}
  for (const { path, bytes } of members)
    files[path] = [bytes, { level: PACKED.test(path) ? 0 : LEVEL, mtime: at }]
  return zipSync(files)
}

/** A file inside a zip file as its directory tells of it; not yet unpacked. */
export type ZipEntry = {
  readonly path: string
  /** bytes when it is unpacked, as the directory says */
  readonly size: number
  /** its checksum, as the directory says */
  readonly crc: number
  /** @throws OrzoError bad-archive saying what is wrong with it: cut off, damaged, packed in a way that is not read */
  readonly read: () => Uint8Array
}

/** Signatures and offsets of the zip format. [std: ISO/IEC 21320-1] */
const LOCAL = 0x04034b50
const CENTRAL = 0x02014b50
const END = 0x06054b50
const LOCAL_LENGTH = 30
const CENTRAL_LENGTH = 46
const END_LENGTH = 22
const LONGEST_COMMENT = 0xffff
const STORED = 0
const DEFLATED = 8
/** Flag: sizes stand behind the data, so that without the directory its end is not known. */
const SIZES_BEHIND = 0x8
const ENCRYPTED = 0x1

type Place = {
  readonly path: string
  readonly flags: number
  readonly method: number
  readonly crc: number
  readonly packed: number
  readonly size: number
  /** where its local header begins */
  readonly at: number
}

const damaged = (why: string) => new OrzoError('bad-archive', why)

function unpack(bytes: Uint8Array, place: Place, from: number): Uint8Array {
  const { method, packed, size } = place
  const data = bytes.subarray(from, from + packed)
  if (data.length < packed) throw damaged('is cut off')
  if (method === STORED) return data.slice()
  if (method !== DEFLATED) throw damaged('is packed in a way that Orzo does not read')
  refuseTooTight(place)
  return inflateExactly(data, size)
}

function readPlace(bytes: Uint8Array, place: Place): Uint8Array {
  if (place.flags & ENCRYPTED) throw damaged('is locked with a password: unpack it first')
  const view = viewOf(bytes)
  const { at } = place
  if (at + LOCAL_LENGTH > bytes.length) throw damaged('is cut off')
  if (view.getUint32(at, true) !== LOCAL) throw damaged('is damaged')
  const [name, extra] = [view.getUint16(at + 26, true), view.getUint16(at + 28, true)]
  if (textAt(bytes, at + LOCAL_LENGTH, name) !== place.path)
    throw damaged('has another name in the list: it is damaged')
  const from = at + LOCAL_LENGTH + name + extra
  const whole = unpack(bytes, place, from)
  if (whole.length !== place.size || crc32(whole) !== place.crc) throw damaged('is damaged')
  return whole
}

const viewOf = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
const textAt = (bytes: Uint8Array, from: number, length: number) =>
  strFromU8(bytes.subarray(from, from + length))

/** Where the directory begins and ends, and how many files it lists; undefined where the end of the file is missing. */
function directoryOf(bytes: Uint8Array): { at: number; to: number; count: number } | undefined {
  const view = viewOf(bytes)
  const first = Math.max(bytes.length - END_LENGTH - LONGEST_COMMENT, 0)
  for (let at = bytes.length - END_LENGTH; at >= first; at -= 1) {
    if (view.getUint32(at, true) !== END) continue
    const from = view.getUint32(at + 16, true)
    return { at: from, to: from + view.getUint32(at + 12, true), count: view.getUint16(at + 10, true) }
  }
  return undefined
}

/** The files that the directory lists; undefined where it is not whole. */
function listed(bytes: Uint8Array): Place[] | undefined {
  const directory = directoryOf(bytes)
  if (!directory) return undefined
  const view = viewOf(bytes)
  const places: Place[] = []
  let { at } = directory
  for (let i = 0; i < directory.count; i += 1) {
    if (at + CENTRAL_LENGTH > bytes.length || view.getUint32(at, true) !== CENTRAL) return undefined
    const [name, extra, comment] = [28, 30, 32].map((field) => view.getUint16(at + field, true)) as [
      number,
      number,
      number,
    ]
    places.push({
      path: textAt(bytes, at + CENTRAL_LENGTH, name),
      flags: view.getUint16(at + 8, true),
      method: view.getUint16(at + 10, true),
      crc: view.getUint32(at + 16, true),
      packed: view.getUint32(at + 20, true),
      size: view.getUint32(at + 24, true),
      at: view.getUint32(at + 42, true),
    })
    at += CENTRAL_LENGTH + name + extra + comment
  }
  // a directory that says it is longer lists more than it counts
  return at === directory.to ? places : undefined
}

/** Where the next local header begins, from a place on. */
function nextLocal(view: DataView, from: number): number | undefined {
  for (let at = from; at + LOCAL_LENGTH <= view.byteLength; at += 1)
    if (view.getUint8(at) === 0x50 && view.getUint32(at, true) === LOCAL) return at
  return undefined
}

/** The files by their own headers, where the directory at the end is lost; what is damaged on the way is passed over. */
function scanned(bytes: Uint8Array): Place[] {
  const view = viewOf(bytes)
  const places: Place[] = []
  for (let at = nextLocal(view, 0); at !== undefined;) {
    const [name, extra] = [view.getUint16(at + 26, true), view.getUint16(at + 28, true)]
    const place: Place = {
      path: textAt(bytes, at + LOCAL_LENGTH, name),
      flags: view.getUint16(at + 6, true),
      method: view.getUint16(at + 8, true),
      crc: view.getUint32(at + 14, true),
      packed: view.getUint32(at + 18, true),
      size: view.getUint32(at + 22, true),
      at,
    }
    const to = at + LOCAL_LENGTH + name + extra + place.packed
    // without the directory its end is not known, or it is not true
    const isOpen = (place.flags & SIZES_BEHIND) !== 0 || view.byteLength < at + LOCAL_LENGTH + name + extra
    if (!isOpen) places.push(place)
    at = nextLocal(view, isOpen || to > view.byteLength ? at + 1 : to)
  }
  return places
}

const withoutFolders = (places: readonly Place[]) => places.filter(({ path }) => !path.endsWith('/'))

/** @throws OrzoError bad-archive for more than is read, or for files that share their bytes */
function refuseUnsound(places: readonly Place[]): void {
  limitMembers(places.map(({ size }) => size))
  refuseShared(places, LOCAL_LENGTH)
}

/** The files of an archive: by its directory, or by their own headers where that is lost or damaged. */
function placesOf(bytes: Uint8Array): { places: Place[]; isDirectoryLost: boolean } {
  const directory = listed(bytes)
  const known = directory && withoutFolders(directory)
  const sound = known && attempt(() => refuseUnsound(known))
  if (known && sound?.ok) return { places: known, isDirectoryLost: false }
  const places = withoutFolders(scanned(bytes))
  // one that holds fewer files than it lists was made to: it is no accident
  if (sound && !sound.ok && places.length < (known?.length ?? 0)) throw sound.error
  refuseUnsound(places)
  return { places, isDirectoryLost: true }
}

/** Whether bytes begin as a zip file does. */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes.length >= END_LENGTH && [LOCAL, END].includes(viewOf(bytes).getUint32(0, true))

/**
 * Lists what is in a zip file. One that was cut off gives the files before the cut, one whose directory is damaged those that
 * have headers of their own. Each is unpacked, and checked against its
 * checksum, when it is read.
 * @returns the files, and whether the directory at the end was missing or damaged
 * @throws OrzoError bad-archive for bytes that are no zip file, or that hold more than is read
 */
export function openZip(bytes: Uint8Array): { entries: ZipEntry[]; isDirectoryLost: boolean } {
  if (!isZip(bytes)) throw damaged('is no zip file')
  const { places, isDirectoryLost } = placesOf(bytes)
  const entries = places.map((place) => ({
    path: place.path,
    size: place.size,
    crc: place.crc,
    read: () => readPlace(bytes, place),
  }))
  return { entries, isDirectoryLost }
}

/** Reads a file as text. @throws OrzoError bad-archive as `read` does */
export const readText = (entry: ZipEntry): string => strFromU8(entry.read())
