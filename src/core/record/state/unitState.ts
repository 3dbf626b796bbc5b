import { isNitrogenPressure, turned, workedSections } from './contents'
import { known, withCover } from './cover'
import { COVER } from './offParts'
import { afterSet, afterWord } from './ofSets'
import { atBegin, atEnd } from './ofWork'
import { type EffectsOf, type StateRecords, type Timed, timelineOf } from './timeline'
import { asFound, type StateUnit, type UnitState } from './unit'

function after(state: UnitState, event: Timed, unit: StateUnit): UnitState {
  const { at } = event
  switch (event.type) {
    case 'set':
      return afterSet(state, unit, event.set, event.words, at)
    case 'word':
      return afterWord(state, event.word, event.value, at)
    case 'begin':
      return atBegin(state, event.effects, at)
    case 'end':
      return atEnd(state, event.effects, event.refrigerant, at)
    case 'off':
      if (event.what === COVER && event.state !== 'stays')
        return { ...state, ...withCover(state, event.state === 'off' ? 'off' : 'on', at) }
      return { ...state, off: { ...state.off, [event.what]: { state: event.state, at: known(at) } } }
    case 'bled':
      return {
        ...state,
        sections: turned(state, isNitrogenPressure, 'nitrogen', at),
        pressure: workedSections(state).some((section) =>
          isNitrogenPressure(state.sections[section].contents),
        )
          ? 'zero'
          : state.pressure,
      }
  }
}

/**
 * How the unit stands: contents by section, what is off, shut, held open, replaced, from the records of all rounds in the
 * order in which they happened.
 * @param effectsOf the effects of a step's task
 * @param until ms; what happened later is left out. Now where not given
 */
export function unitState(
  job: StateRecords & { readonly unit: StateUnit },
  effectsOf: EffectsOf,
  until = Infinity,
): UnitState {
  return timelineOf(job, effectsOf)
    .filter(({ at }) => at <= until)
    .reduce((state, event) => after(state, event, job.unit), asFound(job.unit))
}
