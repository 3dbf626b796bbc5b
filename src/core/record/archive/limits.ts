import { OrzoError } from '../../base/errors/orzoError'

/** What an archive may hold: read and written alike, so that what Orzo takes in it can give out. */
export const ARCHIVE_LIMITS = {
  /** [std: ISO/IEC 21320-1] the format counts to 65,535; a little is left */
  members: 60_000,
  /** bytes unpacked in all; what is packed is held at once */
  unpacked: 2_000_000_000,
  /** times that a member may be smaller when it is packed; a log of 40 channels that never move comes to 26, zeros to 1,000 [measured] */
  ratio: 250,
  /** bytes up to which no ratio counts: short texts */
  smallAnyway: 1_000_000,
} as const

type Sized = { readonly packed: number; readonly size: number; readonly at: number }

const count = (value: number) => value.toLocaleString('en-US')
const refused = (why: string) => new OrzoError('bad-archive', why)

/** Refuses what is too much to be read or written. @throws OrzoError bad-archive */
export function limitMembers(sizes: readonly number[]): void {
  const { members, unpacked } = ARCHIVE_LIMITS
  if (sizes.length > members)
    throw refused(`holds more than ${count(members)} files: put the jobs into several`)
  if (sizes.reduce((sum, size) => sum + size, 0) > unpacked)
    throw refused(
      `holds more than ${count(unpacked / 1e9)} GB when it is unpacked: put the jobs into several`,
    )
}

/**
 * Refuses an archive whose files share bytes: a few bytes would be read as many files.
 * @param least bytes of a file beside what is packed
 * @throws OrzoError bad-archive
 */
export function refuseShared(places: readonly Sized[], least: number): void {
  const inOrder = [...places].sort((a, b) => a.at - b.at)
  const isShared = inOrder.some(({ at, packed }, i) => {
    const next = inOrder[i + 1]
    return next !== undefined && at + least + packed > next.at
  })
  if (isShared)
    throw refused('holds files that share their bytes: it was not packed by Orzo or a usual program')
}

/** Refuses a member that is packed tighter than any file of Orzo. @throws OrzoError bad-archive */
export function refuseTooTight({ packed, size }: Sized): void {
  const { ratio, smallAnyway } = ARCHIVE_LIMITS
  if (size > smallAnyway && size > packed * ratio)
    throw refused(`is packed more than ${ratio} times smaller: no file of Orzo is`)
}
