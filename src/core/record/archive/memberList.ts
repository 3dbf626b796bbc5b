import { z } from '../../base/schema/zod'
import { crc32 } from './crc32'
import type { MemberProblem } from './jobArchive'
import type { ZipEntry, ZipMember } from './zip'

/** What a backup says is in it: each file with its bytes and its checksum, so that what is lost can be told. */
export const listSchema = z.array(
  z.object({
    path: z.string(),
    bytes: z.number().int().min(0),
    /** [std: ISO 3309] CRC-32 */
    crc32: z.number().int().min(0).max(0xffffffff),
  }),
)
export type MemberList = z.infer<typeof listSchema>

/** The list of the files of a backup. */
export const listOf = (members: readonly ZipMember[]): MemberList =>
  members.map(({ path, bytes }) => ({ path, bytes: bytes.length, crc32: crc32(bytes) }))

/** Files of the list that are not there, and files that are not what was packed. @param list none where the backup is older */
export function missingOf(
  list: MemberList | undefined,
  entries: ReadonlyMap<string, Pick<ZipEntry, 'size' | 'crc'>>,
): MemberProblem[] {
  return (list ?? []).flatMap(({ path, bytes, crc32: sum }) => {
    const entry = entries.get(path)
    if (!entry) return [{ path, message: 'was packed and is missing' }]
    return entry.size === bytes && entry.crc === sum ? [] : [{ path, message: 'is not what was packed' }]
  })
}
