import { ONLY_ID } from '../records/kinds'

/** The id of a record of a round, where ids of the first round are names of a table. */
export const idInRound = (round: string, name: string): string =>
  round === ONLY_ID ? name : `${round}.${name}`

/** What a record that belongs to a round says of it; one of the first round says nothing. */
export const tagOf = (round: string): { readonly round?: string } => (round === ONLY_ID ? {} : { round })
