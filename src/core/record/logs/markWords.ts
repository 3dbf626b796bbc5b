import type { MarkKind } from '../records/log'

/** What stands at a mark of a curve. */
export const MARK_WORDS: Readonly<Record<MarkKind, string>> = {
  step: 'step',
  hold: 'clock on',
  stop: 'stopped',
  sweep: 'sweep',
  'valve-shut': 'shut',
  'valve-open': 'open',
  cylinder: 'cylinder',
  note: '',
}
