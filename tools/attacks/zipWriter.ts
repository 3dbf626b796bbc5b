import { strToU8 } from 'fflate'

/** A file as a zip archive tells of it, true or not. */
export type ToldMember = {
  readonly path: string
  /** bytes as they lie in the archive */
  readonly packed: Uint8Array
  /** 0 stored, 8 deflated */
  readonly method: 0 | 8
  /** bytes that it says it unpacks to */
  readonly size: number
  readonly crc?: number
}

/** Signatures and lengths of the zip format. [std: ISO/IEC 21320-1] */
const LOCAL = 0x04034b50
const CENTRAL = 0x02014b50
const END = 0x06054b50
const LOCAL_LENGTH = 30
const CENTRAL_LENGTH = 46
const END_LENGTH = 22
const MOST_COUNTED = 0xffff

/** What local header and directory say alike. */
function describe(view: DataView, at: number, { packed, method, size, crc = 0, path }: ToldMember) {
  view.setUint16(at, 20, true)
  view.setUint16(at + 4, method, true)
  view.setUint32(at + 10, crc, true)
  view.setUint32(at + 14, packed.length, true)
  view.setUint32(at + 18, size, true)
  view.setUint16(at + 22, strToU8(path).length, true)
}

function local(member: ToldMember): Uint8Array[] {
  const head = new Uint8Array(LOCAL_LENGTH)
  const view = new DataView(head.buffer)
  view.setUint32(0, LOCAL, true)
  describe(view, 4, member)
  return [head, strToU8(member.path), member.packed]
}

function central(member: ToldMember, at: number): Uint8Array[] {
  const head = new Uint8Array(CENTRAL_LENGTH)
  const view = new DataView(head.buffer)
  view.setUint32(0, CENTRAL, true)
  view.setUint16(4, 20, true)
  describe(view, 6, member)
  view.setUint32(42, at, true)
  return [head, strToU8(member.path)]
}

const lengthOf = (parts: readonly Uint8Array[]) => parts.reduce((sum, { length }) => sum + length, 0)

/**
 * Writes an archive that need not be true.
 * @param shared files of the directory alone, which point at the bytes of the last one before them
 */
export function writeZip(members: readonly ToldMember[], shared: readonly ToldMember[] = []): Uint8Array {
  const parts: Uint8Array[] = []
  const directory: Uint8Array[] = []
  let at = 0
  let last = 0
  for (const member of members) {
    last = at
    const written = local(member)
    parts.push(...written)
    directory.push(...central(member, at))
    at += lengthOf(written)
  }
  for (const member of shared) directory.push(...central(member, last))
  const end = new Uint8Array(END_LENGTH)
  const view = new DataView(end.buffer)
  const count = Math.min(members.length + shared.length, MOST_COUNTED)
  view.setUint32(0, END, true)
  view.setUint16(8, count, true)
  view.setUint16(10, count, true)
  view.setUint32(12, lengthOf(directory), true)
  view.setUint32(16, at, true)
  return new Uint8Array(Buffer.concat([...parts, ...directory, end]))
}
