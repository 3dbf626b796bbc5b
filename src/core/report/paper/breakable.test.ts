import { breakable } from './breakable'

const CUT = '\u200B'
test.each([
  ['words as they are written', 'words as they are written'],
  ['x'.repeat(22), 'x'.repeat(22)],
  ['x'.repeat(23), `${'x'.repeat(22)}${CUT}x`],
  [`before ${'y'.repeat(45)} after`, `before ${'y'.repeat(22)}${CUT}${'y'.repeat(22)}${CUT}y after`],
])('%s', (text, cut) => expect(breakable(text)).toBe(cut))
