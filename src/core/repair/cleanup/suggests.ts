import type { SuspectId } from '../../diagnosis/faults/faults'
import type { Contents } from './classes'

/** What a fault suggests of the inside while nothing was tested, with its sentence. [practice], handbook 06 */
export type Suggestion = {
  readonly contents: Partial<Contents>
  readonly sentence: string
  /** it burnt inside the circuit: the oil is tested before anything goes back */
  readonly electrical?: true
  /** the compressor itself failed: what it shed is in its oil */
  readonly compressor?: true
}

const burnt = (what: string): Suggestion => ({
  contents: { acid: 'mild' },
  sentence: `${what}: an electrical burn, planned as mild acid at least until the oil is tested.`,
  electrical: true,
  compressor: true,
})
const broken = (what: string): Suggestion => ({
  contents: { debris: true },
  sentence: `${what}: it may have shed metal, planned as debris until the oil is seen.`,
  compressor: true,
})

const SUGGESTIONS: { readonly [F in SuspectId]?: Suggestion } = {
  'compressor-grounded': burnt('A winding to ground'),
  'compressor-open-winding': burnt('An open winding'),
  'compressor-shorted-turns': burnt('Shorted turns'),
  'compressor-locked-rotor': broken('A locked rotor'),
  'compressor-not-pumping': broken('A compressor that does not pump'),
  'moisture-freeze-at-valve': {
    contents: { wet: true },
    sentence: 'Ice in the valve is the fault under repair.',
  },
  'txv-inlet-screen-plugged': {
    contents: { debris: true },
    sentence: 'The valve screen is plugged: something shed it.',
  },
  'capillary-plugged': { contents: { wax: true }, sentence: 'The capillary is plugged: wax or residue.' },
}

/** What the named faults suggest. */
export const suggestionsOf = (faults: readonly string[]): Suggestion[] =>
  faults.flatMap((fault) => SUGGESTIONS[fault as SuspectId] ?? [])
