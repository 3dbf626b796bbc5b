import type { Clock } from '@/core/base/units/instants'
import { addAttachment, removeAttachment } from '@/core/record/edits/listEdits'
import type { Attachment } from '@/core/record/records/attachment'
import type { BlobRow, OrzoDatabase } from './database'
import { changeJob } from './records'

/** Bytes of photos as rows, to be written where their job is. */
export const photoRows = (
  jobId: string,
  heads: readonly Attachment[],
  photos: Readonly<Record<string, Uint8Array>>,
): BlobRow[] =>
  heads.flatMap(({ id, type }) => {
    const bytes = photos[id]
    return bytes ? [{ id, jobId, type, bytes }] : []
  })

/** Stores a photo, what it is and its bytes, in one transaction. Not a step of undo. */
export async function storePhoto(
  db: OrzoDatabase,
  jobId: string,
  photo: Attachment,
  bytes: Uint8Array,
  clock: Clock,
): Promise<void> {
  await changeJob(db, jobId, addAttachment(photo), clock, {
    stores: [db.blobs],
    write: () => db.blobs.put({ id: photo.id, jobId, type: photo.type, bytes }),
  })
}

/** The picture of a photo; undefined where its bytes are not here, as after a file without them. */
export async function readPhoto(db: OrzoDatabase, jobId: string, id: string): Promise<BlobRow | undefined> {
  return db.blobs.get([jobId, id])
}

/** Removes a photo with its bytes. Not a step of undo. */
export async function removeStoredPhoto(
  db: OrzoDatabase,
  jobId: string,
  id: string,
  clock: Clock,
): Promise<void> {
  await changeJob(db, jobId, removeAttachment(id), clock, {
    stores: [db.blobs],
    write: () => db.blobs.delete([jobId, id]),
  })
}
