import type { RefrigerantName } from '../../physics/refrigerants/catalogue'
import { holding, isGas, workedSections } from './contents'
import { withCover } from './cover'
import { type Contents, type Effects, type Filling, type Section, SECTIONS } from './effects'
import { COVER } from './offParts'
import type { Change, UnitState } from './unit'

/** Pressure at the compressor after something was let in. */
const PRESSURE_OF: Readonly<Record<Filling, UnitState['pressure']>> = {
  nitrogen: 'zero',
  'nitrogen-pressure': 'above',
  trace: 'above',
  vacuum: 'below',
}

/** How the unit stands once a task begins: what can hurt counts from here. */
export function atBegin(state: UnitState, effects: Effects, at: number): UnitState {
  const which = workedSections(state)
  let next = state
  const put = (change: Change) => {
    next = { ...next, ...change }
  }
  if (effects.isolates) put({ isolated: true })
  if (effects.opens)
    put({
      sections: holding(next, which, 'air', at),
      openedAt: next.openedAt ?? at,
      pressure: 'zero',
      vented: undefined,
    })
  if (effects.fills)
    put({
      sections: holding(next, which, effects.fills, at),
      pressure: PRESSURE_OF[effects.fills],
      vented: undefined,
      ...(effects.fills === 'nitrogen' ? {} : { openedAt: undefined }),
    })
  for (const what of effects.takesOff ?? [])
    if (next.off[what]?.state !== 'stays') {
      if (what === COVER) put(withCover(next, 'off', at))
      else put({ off: { ...next.off, [what]: { state: 'off', at } } })
    }
  if (effects.starts) put({ startedAt: next.startedAt ?? at })
  return next
}

/** Sections out of which the refrigerant is; nitrogen or air that was let in is not gone with it, and a vacuum stays one. */
const emptied = (state: UnitState, which: readonly Section[], at: number): UnitState['sections'] =>
  holding(
    state,
    which.filter((section) => {
      const { contents } = state.sections[section]
      return contents === 'unknown' || contents === 'liquid'
    }),
    'vapour',
    at,
  )

/** The part that is worked on with its charge; gas that was not pumped out stays in it. */
function filled(state: UnitState, at: number): UnitState['sections'] {
  const isDirty = (section: Section) => isGas(state.sections[section].contents)
  const which = workedSections(state)
  const clean = holding(
    state,
    which.filter((each) => !isDirty(each)),
    'liquid',
    at,
    'weighed',
  )
  return holding({ ...state, sections: clean }, which.filter(isDirty), 'mixed', at, 'weighed')
}

/** Sections whose valves are opened to each other again: refrigerant of one comes into all. */
function joined(state: UnitState, at: number): UnitState['sections'] {
  if (state.shutIn.length === 0) return state.sections
  const has = (test: (contents: Contents) => boolean) =>
    SECTIONS.some((section) => test(state.sections[section].contents))
  const isLiquid = has((contents) => contents === 'liquid' || contents === 'unknown' || contents === 'mixed')
  if (!isLiquid) return state.sections
  return holding(state, SECTIONS, has(isGas) ? 'mixed' : 'liquid', at)
}

/** How the unit stands once a task is done: what ends a danger counts from here. @param goesIn what its round charges */
export function atEnd(
  state: UnitState,
  effects: Effects,
  goesIn: RefrigerantName | undefined,
  at: number,
): UnitState {
  let next = state
  const put = (change: Change) => {
    next = { ...next, ...change }
  }
  if (effects.pumpsDown)
    put({
      sections: emptied(
        { ...next, sections: holding(next, ['high'], 'liquid', at) },
        ['low', 'compressor'],
        at,
      ),
      shutIn: ['high'],
    })
  if (effects.isolates) put({ shutIn: ['high', 'low'] })
  if (effects.empties) put({ sections: emptied(next, workedSections(next), at) })
  if (effects.charges) {
    const refrigerant = goesIn ?? next.refrigerant
    put({ refrigerant })
    put({
      sections: filled(next, at),
      shutIn: next.isolated ? next.shutIn : [],
      pressure: 'above',
      vented: undefined,
      clear: undefined,
      openedAt: undefined,
    })
  }
  if (effects.fills === 'vacuum') put({ fixes: [...next.fixes, { at, did: 'evacuated' }] })
  if (effects.charges) put({ fixes: [...next.fixes, { at, did: 'charged' }] })
  if (effects.joins) put({ sections: joined(next, at), isolated: false, shutIn: [] })
  for (const what of effects.putsBack ?? []) {
    if (what === COVER) put(withCover(next, 'on', at))
    else put({ off: { ...next.off, [what]: { state: 'back', at } } })
  }
  if (effects.holdsOpen !== undefined) put({ heldOpen: effects.holdsOpen })
  if (effects.water) put({ water: effects.water })
  if (effects.clears) put({ clear: 'done' })
  for (const did of effects.replaces ?? []) put({ fixes: [...next.fixes, { at, did }] })
  if (effects.replaces?.includes('oil') || effects.replaces?.includes('compressor'))
    put({ oil: { ...next.oil, changedAt: at } })
  return next
}
