/** Letters after which a word may be cut: the narrowest column of a paper takes so many. */
const LONGEST = 22
const CUT = '\u200B'

/** A text of which long words may be cut, so that one that was typed without a blank stays on the paper. */
export const breakable = (text: string): string =>
  text.replace(new RegExp(`\\S{${LONGEST + 1},}`, 'g'), (word) =>
    Array.from({ length: Math.ceil(word.length / LONGEST) }, (_part, i) =>
      word.slice(i * LONGEST, (i + 1) * LONGEST),
    ).join(CUT),
  )
