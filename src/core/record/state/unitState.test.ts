import type { UnitPlate } from '../equipment/unit'
import type { JobSet } from '../records/set'
import type { StepRecord } from '../records/step'
import type { Contents, Effects } from './effects'
import { COVER } from './offParts'
import { withRefrigerants } from './refrigerants'
import type { StateRecords } from './timeline'
import { unitState } from './unitState'

/** Handbook 07, More of the pressure test: state is kept by section; 13: what is off, shut, in vacuum. */
const UNIT: UnitPlate = {
  kind: 'split-ac',
  refrigerant: 'R-22',
  metering: 'txv',
  compressor: { type: 'scroll', oil: 'mineral' },
}
const START = Date.parse('2026-11-27T08:00:00Z')
const at = (minute: number) => new Date(START + minute * 60_000).toISOString()

const EFFECTS: Readonly<Record<string, Effects>> = {
  pumpDown: { pumpsDown: true },
  isolate: { isolates: true },
  recover: { empties: true },
  open: { opens: true },
  compressor: { opens: true, takesOff: [COVER], replaces: ['compressor'] },
  sweep: { fills: 'nitrogen' },
  press: { fills: 'nitrogen-pressure' },
  trace: { fills: 'trace' },
  pull: { fills: 'vacuum' },
  charge: { charges: true },
  join: { joins: true },
  cover: { putsBack: [COVER] },
  hold: { holdsOpen: true },
  start: { starts: true },
}
const effectsOf = ({ task }: { readonly task: string }): Effects => EFFECTS[task] ?? {}

/** Steps one after another, each from its minute to the next; the last one is not ended where it says so. */
const stepsOf = (tasks: readonly string[], isOpen = false): StepRecord[] =>
  tasks.map((task, i) => {
    const isLast = i === tasks.length - 1
    const [from, to] = [at(10 * i), at(10 * i + 9)]
    return {
      id: `${task}-${i}`,
      task,
      spans: [isLast && isOpen ? { from } : { from, to }],
      ...(isLast && isOpen ? {} : { doneAt: to }),
    }
  })
type Part = Partial<StateRecords>
const job = (part: Omit<Part, 'unit'> = {}) => ({
  unit: UNIT,
  readingSets: [],
  steps: [],
  takenOff: [],
  rounds: [],
  ...part,
})
const set = (minute: number, part: Partial<JobSet> = {}): JobSet => ({
  id: `set-${minute}`,
  at: at(minute),
  mode: 'off',
  readings: {},
  ...part,
})

describe('contents by section', () => {
  type Row = readonly [string, readonly string[], boolean, Record<'high' | 'low' | 'compressor', Contents>]
  const all = (contents: Contents) => ({ high: contents, low: contents, compressor: contents })
  test.each<Row>([
    ['as found nothing is known', [], false, all('unknown')],
    ['a recovery that runs changes nothing yet', ['recover'], true, all('unknown')],
    ['recovered', ['recover'], false, all('vapour')],
    ['a recovery takes no nitrogen away', ['sweep', 'recover'], false, all('nitrogen')],
    ['what opens is open from its beginning', ['recover', 'open'], true, all('air')],
    ['a test presses from its beginning', ['recover', 'press'], true, all('nitrogen-pressure')],
    ['a pump that was put on', ['recover', 'open', 'press', 'pull'], true, all('vacuum')],
    ['charged', ['recover', 'open', 'pull', 'charge'], false, all('liquid')],
    ['a charge that runs is none yet', ['recover', 'open', 'pull', 'charge'], true, all('vacuum')],
    ['charged onto nitrogen', ['recover', 'sweep', 'charge'], false, all('mixed')],
    ['pumped down', ['pumpDown'], false, { high: 'liquid', low: 'vapour', compressor: 'vapour' }],
    ['pumped down, opened', ['pumpDown', 'open'], false, { high: 'liquid', low: 'air', compressor: 'air' }],
    ['and let in again', ['pumpDown', 'open', 'pull', 'charge'], false, all('liquid')],
    [
      'the compressor alone between its valves',
      ['isolate', 'recover', 'compressor'],
      false,
      { high: 'unknown', low: 'unknown', compressor: 'air' },
    ],
    ['its valves opened onto air', ['isolate', 'recover', 'compressor', 'join'], false, all('mixed')],
    ['its valves opened onto vacuum', ['isolate', 'recover', 'pull', 'join'], false, all('liquid')],
  ])('%s', (_name, tasks, isOpen, wanted) => {
    const { sections } = unitState(job({ steps: stepsOf(tasks, isOpen) }), effectsOf)
    expect(
      Object.fromEntries(Object.entries(sections).map(([name, { contents }]) => [name, contents])),
    ).toEqual(wanted)
  })
  test('until a moment: what came later is left out', () => {
    const steps = stepsOf(['recover', 'open', 'pull', 'charge'])
    const then = (minute: number) =>
      unitState(job({ steps }), effectsOf, START + minute * 60_000).sections.low.contents
    expect([5, 9, 10, 20, 38, 39].map(then)).toEqual([
      'unknown',
      'vapour',
      'air',
      'vacuum',
      'vacuum',
      'liquid',
    ])
  })
  test('weighed in is known, what is found is not; since when is kept', () => {
    const { sections, openedAt } = unitState(
      job({ steps: stepsOf(['recover', 'open', 'pull', 'charge']) }),
      effectsOf,
    )
    expect(sections.low).toEqual({
      contents: 'liquid',
      refrigerant: 'R-22',
      amount: 'weighed',
      since: Date.parse(at(39)),
    })
    expect(openedAt).toBeUndefined()
    const open = unitState(job({ steps: stepsOf(['recover', 'open', 'open']) }), effectsOf)
    expect(open.openedAt).toBe(Date.parse(at(10)))
    expect(open.sections.low.amount).toBe('unknown')
  })
  test('nitrogen is bled off by word or by gauge; over 0 psig it stands under pressure', () => {
    const steps = stepsOf(['recover', 'press'])
    const bled = unitState(job({ steps, run: { bledAt: at(30) } }), effectsOf)
    expect([bled.sections.low.contents, bled.pressure]).toEqual(['nitrogen', 'zero'])
    const gauge = (value: number) =>
      unitState(
        job({ steps, readingSets: [set(30, { readings: { standingPressure: { value, unit: 'psig' } } })] }),
        effectsOf,
      ).sections.low.contents
    expect([0.9, 1.1].map(gauge)).toEqual(['nitrogen', 'nitrogen-pressure'])
  })
  test('a task that is gone on with does again what it does', () => {
    const [recover, press] = stepsOf(['recover', 'press'])
    const sweep: StepRecord = {
      id: 's',
      task: 'sweep',
      spans: [
        { from: at(5), to: at(6) },
        { from: at(40), to: at(41) },
      ],
    }
    expect(unitState(job({ steps: [recover!, sweep, press!] }), effectsOf).sections.low.contents).toBe(
      'nitrogen',
    )
  })
})

describe('what is off', () => {
  const off = (part: Part) => unitState(job(part), effectsOf)
  test('the cover comes off with its task, by the bench or by the list; the last word counts', () => {
    const steps = stepsOf(['compressor'])
    expect(off({ steps }).cover).toBe('off')
    const row = { id: COVER, what: COVER, label: 'Cover', offAt: at(1), backAt: at(30) }
    expect(off({ steps, takenOff: [row] }).cover).toBe('on')
    const word = set(0, { observations: { terminalCover: 'off' }, seenAt: { terminalCover: at(45) } })
    const both = off({ steps, takenOff: [row], readingSets: [word] })
    expect([both.cover, both.off[COVER]?.state]).toEqual(['off', 'off'])
    expect(off({ steps: stepsOf(['compressor', 'cover']) }).off[COVER]?.state).toBe('back')
  })
  test('a word without a moment is as old as its set', () => {
    const steps = stepsOf(['compressor'])
    expect(off({ steps, readingSets: [set(-5, { observations: { terminalCover: 'on' } })] }).cover).toBe(
      'off',
    )
    expect(off({ steps, readingSets: [set(20, { observations: { terminalCover: 'on' } })] }).cover).toBe('on')
  })
  test('measured at its own terminals it is off, a compressor that ran had it on', () => {
    const measured = set(1, {
      readings: { ohmsToGround: { value: 1e9, unit: 'ohm', at: at(1) } },
      observations: { groundMeasuredAt: 'terminals' },
    })
    expect(off({ readingSets: [measured] }).cover).toBe('off')
    const ran = set(2, { mode: 'cooling', observations: { compressorState: 'running' } })
    expect(off({ readingSets: [measured, ran] }).cover).toBe('on')
  })
  test('what stays never comes off; valves are held open, the start is kept, oil and parts too', () => {
    const stays = { id: COVER, what: COVER, label: 'Cover', stays: true as const }
    const state = off({ steps: stepsOf(['hold', 'compressor', 'start'], true), takenOff: [stays] })
    expect([state.cover, state.heldOpen, state.startedAt]).toEqual([undefined, true, Date.parse(at(20))])
    expect(state.fixes.map(({ did }) => did)).toEqual(['compressor'])
    expect(state.oil).toEqual({ kind: 'mineral', changedAt: Date.parse(at(19)) })
  })
})

describe('what was inside at a set', () => {
  const inside = (part: Part) =>
    withRefrigerants(job(part), effectsOf).readingSets.map(
      ({ refrigerant }) => refrigerant ?? UNIT.refrigerant,
    )
  const steps = stepsOf(['recover', 'open', 'pull', 'charge'])
  const sets = [set(5), set(38), set(40), set(60)]
  test('by what was charged until then', () => {
    const rounds = [{ id: 'only', why: 'first' as const, refrigerant: 'R-407C' as const }]
    expect(inside({ steps, rounds, readingSets: sets })).toEqual(['R-22', 'R-22', 'R-407C', 'R-407C'])
  })
  test('of a job from before it was written down, by what was chosen', () => {
    expect(inside({ steps, repair: { refrigerantTo: 'R-407C' }, readingSets: sets }).at(-1)).toBe('R-407C')
    expect(inside({ steps, readingSets: sets }).at(-1)).toBe('R-22')
  })
  test('somebody who knows better is believed until the next charge', () => {
    const said = [set(5, { refrigerant: 'R-438A' }), ...sets.slice(1)]
    const rounds = [{ id: 'only', why: 'first' as const, refrigerant: 'R-407C' as const }]
    expect(inside({ steps, rounds, readingSets: said })).toEqual(['R-438A', 'R-438A', 'R-407C', 'R-407C'])
  })
  test('a job that was never converted stays the same object', () => {
    const plain = job({ readingSets: sets })
    expect(withRefrigerants(plain, effectsOf)).toBe(plain)
  })
})
