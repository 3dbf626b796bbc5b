import { isoNow } from '@/core/base/units/instants'
import type { Attachment } from '@/core/record/records/attachment'
import { systemClock } from '@/data/clock'
import { randomWord } from '@/data/newId'
import { storePhoto } from '@/data/photos'
import { database } from '@/data/shared'
import { filesClient } from '@/workers/filesClient'
import { storeSentence } from '../storage/storeSentence'

const LONGEST_NAME = 200

async function addPhoto(jobId: string, file: File): Promise<string> {
  const { bytes, ...shrunk } = await filesClient().ask('photo', file)
  const photo: Attachment = {
    id: randomWord(),
    name: file.name.replace(/\.[^.]*$/, '').slice(0, LONGEST_NAME) || 'Photo',
    ...shrunk,
    size: bytes.length,
    at: isoNow(systemClock),
  }
  await storePhoto(database(), jobId, photo, bytes, systemClock)
  return photo.id
}

/** Makes photos small and stores them with a job, one after another. @returns their ids, and a sentence for each that could not be */
export async function addPhotos(
  jobId: string,
  files: readonly File[],
): Promise<{ readonly ids: readonly string[]; readonly problems: readonly string[] }> {
  const [ids, problems]: [string[], string[]] = [[], []]
  for (const file of files) {
    try {
      ids.push(await addPhoto(jobId, file))
    } catch (error) {
      problems.push(`${file.name}: ${storeSentence(error as Error)}`)
    }
  }
  return { ids, problems }
}
