import { type Basis, isAssumed } from '../base/known/known'

/** One line of a report. */
export type ReportLine = {
  readonly name: string
  /** what Orzo says: its figures follow the chosen units */
  readonly value: string
  /** what somebody wrote: it stays as it was written */
  readonly note?: string
  /** what a guess in it rests on */
  readonly assumed?: string
}

export type ReportSection = {
  readonly id: string
  readonly title: string
  readonly lines: readonly ReportLine[]
}

/** A line as it may come out: nothing where there is nothing to tell. */
type Maybe = ReportLine | undefined

/** A line; undefined without a value. @param basis marks the line where it is a guess */
export function line(name: string, value: string | undefined, basis?: Basis): Maybe {
  if (value === undefined || value.trim() === '') return undefined
  return { name, value, ...(basis && isAssumed(basis) ? { assumed: basis.from.join('; ') } : {}) }
}

/** A line of which the value was written by somebody. */
export const written = (name: string, note: string | undefined): Maybe =>
  note === undefined || note.trim() === '' ? undefined : { name, value: '', note }

/** A section; undefined where it would be a heading over nothing. */
export function section(id: string, title: string, lines: readonly Maybe[]): ReportSection | undefined {
  const told = lines.filter((each) => each !== undefined)
  return told.length > 0 ? { id, title, lines: told } : undefined
}

/** What a line says, with the mark of a guess. */
export const lineText = ({ value, note, assumed }: Omit<ReportLine, 'name'>): string =>
  [value, note, assumed && `(assumed: ${assumed})`].filter(Boolean).join(' ')

/** "a", "a and b", "a, b and c". */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
