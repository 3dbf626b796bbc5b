const BYTES = 16
const LONGEST = 22

/** A random word of 22 letters and digits; works on plain http too, where crypto.randomUUID does not. */
export const randomWord = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(BYTES)), (byte) => byte.toString(36).padStart(2, '0'))
    .join('')
    .slice(0, LONGEST)

/** A new id of a job. */
export const newJobId = (): string => `job-${randomWord()}`
