import type { Attachment } from '../records/attachment'

type PhotoType = Attachment['type']

/** How the files of each type begin; undefined for a byte that may be anything. [std: ISO 10918-1, ISO 15948, RFC 9649] */
const SIGNATURES: Readonly<Record<PhotoType, readonly (number | undefined)[]>> = {
  'image/jpeg': [0xff, 0xd8, 0xff],
  'image/png': [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a],
  'image/webp': [0x52, 0x49, 0x46, 0x46, undefined, undefined, undefined, undefined, 0x57, 0x45, 0x42, 0x50],
}

/** Whether bytes begin as a picture of a type does. */
export const isPhotoOf = (type: PhotoType, bytes: Uint8Array): boolean =>
  SIGNATURES[type].every((byte, i) => byte === undefined || bytes[i] === byte)

/** Segments of a JPEG file that say how it is drawn, and nothing of where and with what it was taken. [std: ISO 10918-1] */
const MARK = 0xff
const START_OF_SCAN = 0xda
const DRAWING = { from: 0xc0, to: 0xdf }
const APPLICATION = { picture: 0xe0, colours: 0xe2, transform: 0xee }

/**
 * Whether a picture carries nothing but the picture: no place, no camera, no words. Told of JPEG, which Orzo writes; of other
 * types it is not known.
 */
export function isBarePhoto(type: PhotoType, bytes: Uint8Array): boolean {
  if (type !== 'image/jpeg' || !isPhotoOf(type, bytes)) return false
  for (let at = 2; at + 4 <= bytes.length;) {
    const kind = bytes[at + 1]!
    if (bytes[at] !== MARK) return false
    if (kind === START_OF_SCAN) return true
    const isDrawing = kind >= DRAWING.from && kind <= DRAWING.to
    if (!isDrawing && !Object.values(APPLICATION).includes(kind)) return false
    at += 2 + bytes[at + 2]! * 256 + bytes[at + 3]!
  }
  return false
}
