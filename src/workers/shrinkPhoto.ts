import { OrzoError } from '@/core/base/errors/orzoError'
import type { Attachment } from '@/core/record/records/attachment'

/** A photo as it is kept. */
export type ShrunkPhoto<T extends Attachment['type'] = 'image/jpeg'> = {
  readonly type: T
  readonly bytes: Uint8Array
  readonly width: number
  readonly height: number
}

/** Longest side of a photo that is kept, pixels: a nameplate stays readable, a job stays small. [practice] */
const LONGEST_SIDE = 1920
/** Quality of the stored picture, of one. [practice] */
const QUALITY = 0.82

/**
 * A picture made small enough to keep with a job; turned as it was held, without the place and the camera that its file names.
 * @param type what is written; a JPEG has no clear ground
 * @throws OrzoError bad-photo where this browser cannot read it
 */
export async function shrinkPhoto<T extends Attachment['type'] = 'image/jpeg'>(
  file: Blob,
  type = 'image/jpeg' as T,
): Promise<ShrunkPhoto<T>> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture)
    throw new OrzoError(
      'bad-photo',
      'is no picture that this browser reads: choose a JPEG, PNG or WebP file.',
    )
  const share = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const [width, height] = [picture.width, picture.height].map((side) =>
    Math.max(Math.round(side * share), 1),
  ) as [number, number]
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d')
  if (!context)
    throw new OrzoError('bad-photo', 'cannot be made smaller: this browser draws no pictures here.')
  // a JPEG knows no clear ground
  context.fillStyle = 'white'
  context.fillRect(0, 0, width, height)
  context.imageSmoothingQuality = 'high'
  context.drawImage(picture, 0, 0, width, height)
  picture.close()
  const blob = await canvas.convertToBlob({ type, quality: QUALITY })
  return { type, bytes: new Uint8Array(await blob.arrayBuffer()), width, height }
}
