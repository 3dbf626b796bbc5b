import { isBarePhoto, isPhotoOf } from './photoBytes'

/** One segment of a JPEG file. */
const segment = (kind: number, ...bytes: number[]) => [0xff, kind, 0, bytes.length + 2, ...bytes]
const SCAN = [0xff, 0xda, 0, 3, 1, 7, 7]
const jpeg = (...segments: number[][]) => Uint8Array.from([0xff, 0xd8, ...segments.flat(), ...SCAN])
const PNG = Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0)
const WEBP = new TextEncoder().encode('RIFF\0\0\0\0WEBPVP8 ')

test.each([
  ['image/jpeg', jpeg()],
  ['image/png', PNG],
  ['image/webp', WEBP],
] as const)('%s begins as it should, and as no other type', (type, bytes) => {
  const types = ['image/jpeg', 'image/png', 'image/webp'] as const
  expect(types.filter((each) => isPhotoOf(each, bytes))).toEqual([type])
  expect(isPhotoOf(type, bytes.slice(0, 2))).toBe(false)
})

test.each([
  ['nothing but the picture', jpeg(segment(0xe0, 1), segment(0xdb, 1), segment(0xc0, 1)), true],
  ['colours', jpeg(segment(0xe0, 1), segment(0xe2, 1)), true],
  ['where it was taken', jpeg(segment(0xe0, 1), segment(0xe1, 69, 120, 105, 102)), false],
  ['words', jpeg(segment(0xfe, 65)), false],
  ['what a maker adds', jpeg(segment(0xed, 1)), false],
  ['a broken segment', Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 200, 1), false],
  ['no segment at all', Uint8Array.of(0xff, 0xd8, 0xff), false],
])('a JPEG file with %s', (_name, bytes, bare) => expect(isBarePhoto('image/jpeg', bytes)).toBe(bare))

test('of other types it is not known', () => expect(isBarePhoto('image/png', PNG)).toBe(false))
