/** CRC-32 as zip files use it, polynomial EDB88320 reflected. [std: ISO 3309, ITU-T V.42] */
const POLYNOMIAL = 0xedb88320

const TABLE = Uint32Array.from({ length: 256 }, (_entry, byte) => {
  let rest = byte
  for (let bit = 0; bit < 8; bit += 1) rest = rest & 1 ? (rest >>> 1) ^ POLYNOMIAL : rest >>> 1
  return rest
})

/** Checksum of bytes, 0 to 2^32 - 1. */
export function crc32(bytes: Uint8Array): number {
  let sum = 0xffffffff
  for (const byte of bytes) sum = (sum >>> 8) ^ (TABLE[(sum ^ byte) & 0xff] as number)
  return (sum ^ 0xffffffff) >>> 0
}
