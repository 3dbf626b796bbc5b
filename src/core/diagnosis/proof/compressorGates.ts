import { hasLiquidValve, isThreePhase } from '../../record/equipment/kinds'
import { ELECTRICAL_CAUTIONS } from '../../safety/electricalCautions'
import { cooledAndMeasuredAgain } from '../electrical/cooled'
import { readsOpen } from '../electrical/testResult'
import type { GateId } from '../faults/gateIds'
import type { GateRow } from './gate'
import { isSingle, pairsAtTerminals, phaseRight, reversingValveRuledOut } from './gateItems'
import { isRatioLow, isWeakAtTwoConditions } from './pumpProof'

const { live: LIVE, dead: DEAD, ownTerminals: PRESSURE_OFF } = ELECTRICAL_CAUTIONS
const COVER_STAYS = 'Live test: the terminal cover stays on.'
const STARTS = ['start', 'energise'] as const

/** Gates before a compressor, or what its terminals carry, is condemned (handbook 04, corrected by 13). */
export const COMPRESSOR_GATES = {
  'compressor-grounded': {
    part: 'compressor',
    items: [
      {
        id: 'own-terminals',
        label:
          "A path to ground measured at the compressor's own terminals with the leads off, the refrigerant recovered or the pressure off",
        acts: ['own-terminals'],
        caution: PRESSURE_OFF,
        onRecord: ({ tests }) => tests.groundAtTerminals?.word === 'grounded',
      },
    ],
  },
  'compressor-open-winding': {
    part: 'compressor',
    items: [
      {
        id: 'open-pair',
        label: 'An open winding shown by its three pairs',
        caution: DEAD,
        onRecord: ({ tests }) => readsOpen(tests.windings),
      },
      pairsAtTerminals,
      {
        id: 'cooled',
        label:
          'Cooled and measured again: every open pair measured twice, at least 20 minutes apart, the shell cold; or the shell measured as cold as the air',
        caution: DEAD,
        onRecord: ({ snapshot }) => cooledAndMeasuredAgain(snapshot),
      },
    ],
  },
  'compressor-shorted-turns': {
    part: 'compressor',
    items: [
      {
        id: 'pairs',
        label: 'Three pairs that do not agree or do not add up',
        caution: DEAD,
        onRecord: ({ tests }) => tests.windings?.word === 'unbalanced',
      },
      pairsAtTerminals,
      {
        id: 'ground',
        label: 'Ohms to ground measured, no path found',
        caution: DEAD,
        onRecord: ({ tests }) => tests.ground?.word === 'none' || tests.groundAtTerminals?.word === 'none',
      },
    ],
  },
  'compressor-locked': {
    part: 'compressor',
    items: [
      {
        id: 'starting-volts',
        label: 'Correct volts on the load side of the contactor while starting',
        acts: STARTS,
        caution: COVER_STAYS,
        onRecord: ({ tests, snapshot: { values } }) =>
          tests.startAttempt !== undefined &&
          tests.startAttempt.word !== 'locked-volts-sag' &&
          values.voltageRunning !== undefined,
      },
      {
        id: 'inrush',
        label: 'Inrush stays at locked-rotor amps',
        acts: STARTS,
        caution: COVER_STAYS,
        onRecord: ({ tests }) => tests.startAttempt?.word === 'stays-locked',
      },
      {
        id: 'gear',
        observation: 'startGear',
        label: 'Starting gear proven good',
        onRecord: ({ snapshot }) => snapshot.observations.startGear === 'proven',
        applies: isSingle,
        caution: DEAD,
      },
      {
        id: 'hard-start',
        observation: 'hardStart',
        label: 'One hard-start attempt made, without success',
        acts: STARTS,
        caution: COVER_STAYS,
        onRecord: ({ snapshot }) => snapshot.observations.hardStart === 'none',
        applies: isSingle,
      },
      {
        id: 'phases',
        label: 'All three phases present',
        acts: ['energise'],
        caution: LIVE,
        onRecord: ({ tests }) => tests.supply?.word === 'good',
        applies: isThreePhase,
      },
      { ...phaseRight, id: 'sequence', label: 'Phase sequence right' },
      {
        id: 'leads',
        observation: 'leadState',
        label: 'Lead continuity proven dead',
        onRecord: ({ snapshot }) => snapshot.observations.leadState === 'sound',
        caution: DEAD,
      },
    ],
  },
  'compressor-broken': {
    part: 'compressor',
    items: [
      {
        id: 'metal',
        observation: 'oilAppearance',
        label: 'Metal seen in the oil, on the stubs or in the opened compressor, or the shaft stuck by hand',
        onRecord: ({ snapshot: { observations } }) =>
          observations.oilAppearance === 'metal-flakes' ||
          observations.compressorInside === 'broken' ||
          observations.shaftTurns === 'stuck',
      },
      {
        id: 'windings',
        label: 'Windings sound: the three pairs agree',
        caution: DEAD,
        onRecord: ({ tests }) => tests.windings?.word === 'good',
      },
    ],
  },
  'compressor-not-pumping': {
    part: 'compressor',
    acts: ['judge-worn'],
    items: [
      phaseRight,
      reversingValveRuledOut,
      {
        id: 'pump-down',
        observation: 'pumpDownTest',
        label: "Cannot pull down with the liquid valve shut, within the maker's minimum suction",
        acts: ['run', 'pump-down', 'judge-worn'],
        caution: 'A scroll must not be pulled deep; never with a suspected low-side leak.',
        onRecord: ({ snapshot }) => snapshot.observations.pumpDownTest === 'cannot-pull-down',
        applies: hasLiquidValve,
      },
      {
        id: 'pump-down-or-two-conditions',
        observation: 'pumpDownTest',
        label:
          "Cannot pull down, where a liquid valve can be shut; else amps and ratio below this unit's expected ones at two conditions (condensing at least 5 F apart)",
        acts: ['run', 'pump-down', 'judge-worn'],
        caution: 'A scroll must not be pulled deep; never with a suspected low-side leak.',
        onRecord: (record) =>
          record.snapshot.observations.pumpDownTest === 'cannot-pull-down' || isWeakAtTwoConditions(record),
        applies: (unit) => !hasLiquidValve(unit),
      },
      {
        id: 'relief',
        observation: 'reliefNoise',
        label: 'Internal relief closed: no hiss inside',
        acts: ['run'],
        onRecord: ({ snapshot }) => snapshot.observations.reliefNoise === 'no',
      },
    ],
  },
  'internal-relief': {
    part: 'compressor',
    acts: ['judge-worn'],
    items: [
      phaseRight,
      reversingValveRuledOut,
      {
        id: 'hiss',
        observation: 'reliefNoise',
        label: 'A hiss inside the compressor',
        acts: ['run'],
        onRecord: ({ snapshot }) => snapshot.observations.reliefNoise === 'yes',
      },
      {
        id: 'pressures-close',
        label: 'Pressures closer together than a sound compressor leaves them',
        acts: ['run'],
        onRecord: (record) => isRatioLow(record) || record.runs.some(isRatioLow),
      },
      {
        id: 'stays-open',
        observation: 'reliefAfterRestart',
        label:
          'Equalised and restarted, after 10 minutes it is still open; one that reseated is not condemned',
        acts: ['run', 'start'],
        onRecord: ({ snapshot }) => snapshot.observations.reliefAfterRestart === 'stays-open',
      },
    ],
  },
  'terminal-plug': {
    part: 'terminal-plug',
    items: [
      {
        id: 'burnt',
        observation: 'terminalLook',
        label: 'Plug, lead or terminal seen burnt',
        acts: ['own-terminals'],
        caution: PRESSURE_OFF,
        onRecord: ({ snapshot }) => snapshot.observations.terminalLook === 'burnt',
      },
      {
        ...pairsAtTerminals,
        label: "Windings sound at the compressor's own terminals: the plug is condemned, not the compressor",
        onRecord: (record) => pairsAtTerminals.onRecord(record) && record.tests.windings?.word === 'good',
      },
    ],
  },
} as const satisfies { readonly [G in GateId]?: GateRow }
