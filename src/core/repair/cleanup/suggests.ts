import type { InsideId } from '../../diagnosis/faults/fault'
import { faultRow, isSuspect } from '../../diagnosis/faults/faults'
import type { Contents } from './classes'

/** What a fault suggests of the inside while nothing was tested, with its sentence. [practice], handbook 06 */
export type Suggestion = {
  readonly contents: Partial<Contents>
  readonly sentence: string
  /** it burnt inside the circuit: the oil is tested before anything goes in again */
  readonly electrical?: true
  /** the compressor itself failed: what it shed is in its oil */
  readonly compressor?: true
  /** it is known, not merely suggested */
  readonly isSeen?: true
}

/** What each word of a fault's row means here, and its sentence after the name of the fault. */
const SUGGESTIONS: Readonly<Record<InsideId, (what: string) => Suggestion>> = {
  burnt: (what) => ({
    contents: { acid: 'mild' },
    sentence: `${what}: an electrical burn, planned as mild acid at least until the oil is tested.`,
    electrical: true,
    compressor: true,
  }),
  broken: (what) => ({
    contents: { debris: true },
    sentence: `${what}: it may have shed metal, planned as debris until the oil is seen.`,
    compressor: true,
  }),
  'broken-open': (what) => ({
    contents: { debris: true },
    sentence: `${what}: its metal is in the circuit.`,
    compressor: true,
    isSeen: true,
  }),
  ice: (what) => ({ contents: { wet: true }, sentence: `${what}: it is the fault under repair.` }),
  shed: (what) => ({ contents: { debris: true }, sentence: `${what}: something shed it.` }),
  wax: (what) => ({ contents: { wax: true }, sentence: `${what}: wax or residue.` }),
}

/** What the named faults suggest. */
export const suggestionsOf = (faults: readonly string[]): Suggestion[] =>
  faults.flatMap((fault) => {
    if (!isSuspect(fault) || fault === 'healthy' || fault === 'unlisted') return []
    const { inside, label } = faultRow(fault)
    return inside ? [SUGGESTIONS[inside](label)] : []
  })
