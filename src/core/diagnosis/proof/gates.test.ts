import { OPEN_OHMS } from '../../record/readings/openOhms'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Mode, Observations, Readings, ReadingSet } from '../../record/readings/schema'
import { FAULT_IDS, faultRow, gateIdOf } from '../faults/faults'
import { GATE_IDS, type GateId } from '../faults/gateIds'
import { hiddenDrop } from './dryerProof'
import { judgeGate } from './gates'
import { recordOf } from './record'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const ohm = (value: number, at?: string) => ({ value, unit: 'ohm' as const, ...(at ? { at } : {}) })
const volt = (value: number) => ({ value, unit: 'V' as const })
const amp = (value: number) => ({ value, unit: 'A' as const })
const SINGLE: UnitPlate = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 1, volts: 230, rla: 16, lra: 96 },
}
const THREE: UnitPlate = { ...SINGLE, power: { phase: 3, volts: 208, rla: 14, lra: 90 } }
const COOLER: UnitPlate = {
  kind: 'walk-in-cooler',
  refrigerant: 'R-404A',
  metering: 'txv',
  receiver: true,
  headPressureControl: true,
  power: { phase: 1, volts: 230, rla: 9, lra: 50 },
}
const ORIFICE: UnitPlate = { ...SINGLE, metering: 'fixed-orifice' }

/** 10:00 and later on the same day, at the site. */
const T = (minutes: number) =>
  new Date(Date.parse('2026-07-01T10:00:00-06:00') + 60_000 * minutes).toISOString()
const open = (at: string, before?: string) => ({
  ...ohm(OPEN_OHMS, at),
  ...(before ? { before: [{ value: OPEN_OHMS, unit: 'ohm' as const, at: before }] } : {}),
})
const WINDINGS: Readings = { ohmsCR: ohm(0.9), ohmsCS: ohm(2.1), ohmsRS: ohm(3) }
/** Measured at 10:00 and again at 10:45. */
const OPEN_TWICE: Readings = { ohmsCR: open(T(45), T(0)), ohmsCS: ohm(2.1), ohmsRS: open(T(45), T(0)) }
const OPEN_ONCE: Readings = { ohmsCR: open(T(0)), ohmsCS: ohm(2.1), ohmsRS: open(T(0)) }
const START: Readings = { inrushAmps: amp(94), voltageRunning: volt(228) }
const LOCKED: Observations = {
  compressorState: 'hums-and-trips',
  startGear: 'proven',
  hardStart: 'none',
  leadState: 'sound',
}
const THREE_START: Readings = {
  voltageL1L2: volt(208),
  voltageL2L3: volt(209),
  voltageL3L1: volt(207),
  voltageRunning: volt(205),
  inrushAmps: amp(88),
}
const PORTS: Readings = {
  rvDischargeTemp: f(160),
  rvHotOutTemp: f(155),
  rvSuctionInTemp: f(55),
  rvSuctionOutTemp: f(70),
}
/** A starved R-410A valve in 10 F of subcooling, everything else sound. */
const STARVED: Readings = {
  suctionPressure: psig(88),
  liquidPressure: psig(350),
  suctionLineTemp: f(70),
  liquidLineTemp: f(95),
  dryerInTemp: f(95),
  dryerOutTemp: f(94.5),
  returnAirTemp: f(75),
  supplyAirTemp: f(65),
}
const PROVEN_VALVE: Observations = {
  bulbState: 'tight-insulated',
  bulbWarmResponse: 'none',
  inletScreen: 'clean',
  evaporatorCoil: 'clean',
}
const FLOODS: Readings = { ...STARVED, suctionPressure: psig(125), suctionLineTemp: f(45) }
const PROVEN_FLOOD: Observations = {
  bulbState: 'tight-insulated',
  bulbIceResponse: 'stays-open',
  evaporatorCoil: 'clean',
}
/** Nearly equal pressures at two outdoor temperatures, amps far below their rating. */
const weakRun = (outdoor: number, suction: number, liquid: number): ReadingSet => ({
  mode: 'cooling',
  readings: {
    suctionPressure: psig(suction),
    liquidPressure: psig(liquid),
    outdoorAirTemp: f(outdoor),
    returnAirTemp: f(76),
    compressorAmps: amp(6),
    rvSuctionInTemp: f(60),
    rvSuctionOutTemp: f(61),
  },
  observations: { compressorState: 'running', reliefNoise: 'no' },
})

type Part = { readonly readings?: Readings; readonly words?: Observations; readonly mode?: Mode }
type Case = {
  readonly gate: GateId
  readonly unit: UnitPlate
  /** what meets it */
  readonly met: Part | readonly ReadingSet[]
  /** each way in which it must not be met: what is changed, and the point that must be missing */
  readonly not: readonly (readonly [name: string, change: Part, missing: string])[]
}

const CASES: readonly Case[] = [
  {
    gate: 'expansion-valve',
    unit: SINGLE,
    met: { readings: STARVED, words: PROVEN_VALVE },
    not: [
      ['the bulb answers', { words: { bulbWarmResponse: 'opens' } }, 'bulb-response'],
      ['the screen is plugged', { words: { inletScreen: 'plugged' } }, 'screen'],
      ['the bulb is loose', { words: { bulbState: 'loose' } }, 'bulb'],
      ['the dryer drops 5 F', { readings: { dryerOutTemp: f(90) } }, 'dryer-and-line'],
      ['no subcooling shows the charge', { readings: { liquidLineTemp: f(106) } }, 'charge-adequate'],
      [
        'the split is far too great',
        { words: { evaporatorCoil: 'dirty' }, readings: { supplyAirTemp: f(40) } },
        'airflow',
      ],
      [
        '30 F of subcooling hide a pressure drop',
        { readings: { liquidLineTemp: f(75), dryerInTemp: f(75), dryerOutTemp: f(74.5) } },
        'dryer-and-line',
      ],
    ],
  },
  {
    gate: 'expansion-valve-overfeeding',
    unit: SINGLE,
    met: { readings: FLOODS, words: PROVEN_FLOOD },
    not: [
      ['it closes in ice water', { words: { bulbIceResponse: 'closes' } }, 'bulb-in-ice'],
      ['the bulb is bare', { words: { bulbState: 'uninsulated' } }, 'bulb'],
      ['superheat is in its band', { readings: { suctionLineTemp: f(56) } }, 'floods'],
      [
        'air was not ruled out',
        { words: { evaporatorCoil: 'dirty' }, readings: { supplyAirTemp: f(40) } },
        'airflow',
      ],
    ],
  },
  {
    gate: 'liquid-dryer',
    unit: SINGLE,
    met: { readings: { ...STARVED, dryerOutTemp: f(88) } },
    not: [
      ['a drop of half a degree', { readings: { dryerOutTemp: f(94.5) } }, 'dryer-drop'],
      [
        '30 F of subcooling and no pressure behind it',
        { readings: { liquidLineTemp: f(75), dryerInTemp: f(75), dryerOutTemp: f(74) } },
        'dryer-drop',
      ],
      [
        'no drop in pressure either',
        {
          readings: {
            liquidLineTemp: f(75),
            dryerInTemp: f(75),
            dryerOutTemp: f(74),
            dryerOutPressure: psig(348),
          },
        },
        'dryer-drop',
      ],
      ['nothing measured', { readings: { dryerOutTemp: undefined } }, 'dryer-drop'],
    ],
  },
  {
    gate: 'liquid-line',
    unit: SINGLE,
    met: { readings: { ...STARVED, meteringInletTemp: f(82) } },
    not: [
      ['it is the dryer', { readings: { dryerOutTemp: f(84) } }, 'dryer-clear'],
      ['the line is as warm as it was', { readings: { meteringInletTemp: f(94) } }, 'line-drop'],
    ],
  },
  {
    gate: 'liquid-solenoid-stuck',
    unit: COOLER,
    met: { readings: { solenoidVolts: volt(24) }, words: { callForOperation: 'yes', solenoidPull: 'none' } },
    not: [
      ['no call', { words: { callForOperation: 'no' } }, 'call'],
      ['no volts', { readings: { solenoidVolts: volt(0) } }, 'coil-volts'],
      ['it pulls', { words: { solenoidPull: 'pulls' } }, 'no-pull'],
    ],
  },
  {
    gate: 'liquid-solenoid-leaking',
    unit: COOLER,
    met: { words: { pumpDownTest: 'cannot-pull-down', handValveTest: 'pulls-down' } },
    not: [
      [
        'nor against a hand valve: the compressor',
        { words: { handValveTest: 'cannot-pull-down' } },
        'hand-valve',
      ],
      ['it pumps down', { words: { pumpDownTest: 'pulls-down' } }, 'no-pump-down'],
    ],
  },
  {
    gate: 'service-valve',
    unit: SINGLE,
    met: { words: { frostPattern: 'service-valve', servicePortState: 'open' } },
    not: [
      ['its stem is not open', { words: { servicePortState: 'cracked' } }, 'stem-open'],
      ['frost begins elsewhere', { words: { frostPattern: 'metering-device' } }, 'drop-there'],
    ],
  },
  {
    gate: 'head-pressure-control',
    unit: COOLER,
    met: {
      readings: { liquidPressure: psig(120), outdoorAirTemp: f(35) },
      words: { sightGlass: 'clear', condenserCoil: 'clean' },
    },
    not: [
      ['too little charge to flood', { words: { sightGlass: 'bubbles' } }, 'charge-to-flood'],
      ['it holds its setting', { readings: { liquidPressure: psig(205) } }, 'off-setting'],
      ['the coil is dirty', { words: { condenserCoil: 'dirty' } }, 'coil-clean'],
    ],
  },
  {
    gate: 'fixed-orifice',
    unit: ORIFICE,
    met: { readings: STARVED, words: { evaporatorCoil: 'clean' } },
    not: [
      ['no liquid', { readings: { liquidLineTemp: f(108) } }, 'charge-adequate'],
      ['the dryer drops', { readings: { dryerOutTemp: f(85) } }, 'dryer-and-line'],
      ['air', { words: { evaporatorCoil: 'dirty' }, readings: { supplyAirTemp: f(40) } }, 'airflow'],
    ],
  },
  {
    gate: 'capillary',
    unit: { ...SINGLE, kind: 'reach-in', metering: 'capillary', refrigerant: 'R-134a' },
    met: { readings: { dryerInTemp: f(95), dryerOutTemp: f(94.5) }, words: { weighedCharge: 'at-plate' } },
    not: [
      ['charge below the plate', { words: { weighedCharge: 'below-plate' } }, 'charge-adequate'],
      ['the dryer drops', { readings: { dryerOutTemp: f(85) } }, 'dryer-and-line'],
    ],
  },
  {
    gate: 'compressor-grounded',
    unit: SINGLE,
    met: { readings: { ohmsToGround: ohm(500) }, words: { groundMeasuredAt: 'terminals' } },
    not: [
      [
        'from the contactor it may be a lead or a neighbour',
        { words: { groundMeasuredAt: 'contactor' } },
        'own-terminals',
      ],
      ['nobody said where', { words: { groundMeasuredAt: undefined } }, 'own-terminals'],
      ['no path at the terminals', { readings: { ohmsToGround: ohm(5e7) } }, 'own-terminals'],
    ],
  },
  {
    gate: 'compressor-open-winding',
    unit: SINGLE,
    met: { readings: OPEN_TWICE, words: { windingsMeasuredAt: 'terminals', compressorShell: 'cold' } },
    not: [
      ['"cold" alone is a word: no second measurement', { readings: OPEN_ONCE }, 'cooled'],
      [
        'measured again after five minutes',
        { readings: { ohmsCR: open(T(5), T(0)), ohmsRS: open(T(5), T(0)) } },
        'cooled',
      ],
      ['one of two open pairs measured again', { readings: { ohmsRS: open(T(0)) } }, 'cooled'],
      ['the shell is hot', { words: { compressorShell: 'hot' } }, 'cooled'],
      ['nobody felt the shell', { words: { compressorShell: undefined } }, 'cooled'],
      ['measured from the contactor', { words: { windingsMeasuredAt: 'contactor' } }, 'own-terminals'],
      ['nobody said where', { words: { windingsMeasuredAt: undefined } }, 'own-terminals'],
      ['no pair is open', { readings: WINDINGS }, 'open-pair'],
      [
        'a ground is another fault',
        { readings: { ohmsCR: undefined, ohmsRS: undefined, ohmsToGround: ohm(5) } },
        'open-pair',
      ],
    ],
  },
  {
    gate: 'compressor-shorted-turns',
    unit: SINGLE,
    met: {
      readings: { ohmsCR: ohm(1), ohmsCS: ohm(2.1), ohmsRS: ohm(4.5), ohmsToGround: ohm(OPEN_OHMS) },
      words: { windingsMeasuredAt: 'terminals' },
    },
    not: [
      ['the pairs add up', { readings: WINDINGS }, 'pairs'],
      ['from the contactor', { words: { windingsMeasuredAt: 'contactor' } }, 'own-terminals'],
      ['ground not measured', { readings: { ohmsToGround: undefined } }, 'ground'],
      ['it is grounded: another fault', { readings: { ohmsToGround: ohm(20) } }, 'ground'],
    ],
  },
  {
    gate: 'compressor-broken',
    unit: SINGLE,
    met: { readings: WINDINGS, words: { oilAppearance: 'metal-flakes' } },
    not: [
      ['no metal was seen', { words: { oilAppearance: 'clear' } }, 'metal'],
      ['a winding does not agree', { readings: { ohmsRS: ohm(40) } }, 'windings'],
    ],
  },
  {
    gate: 'compressor-locked',
    unit: SINGLE,
    met: { readings: START, words: LOCKED },
    not: [
      ['no hard start was tried', { words: { hardStart: undefined } }, 'hard-start'],
      ['it started with the kit', { words: { hardStart: 'starts' } }, 'hard-start'],
      ['gear failed', { words: { startGear: 'failed' } }, 'gear'],
      ['volts sag', { readings: { voltageRunning: volt(180) } }, 'starting-volts'],
      ['it starts', { readings: { inrushAmps: amp(40) } }, 'inrush'],
      ['a lead is rubbed', { words: { leadState: 'rubbed' } }, 'leads'],
    ],
  },
  {
    gate: 'compressor-locked',
    unit: THREE,
    met: {
      readings: THREE_START,
      words: { compressorState: 'hums-and-trips', leadState: 'sound', phaseSequence: 'correct' },
    },
    not: [
      ['sequence not read', { words: { phaseSequence: undefined } }, 'sequence'],
      ['a phase is lost', { readings: { voltageL3L1: volt(60) } }, 'phases'],
    ],
  },
  {
    gate: 'compressor-not-pumping',
    unit: COOLER,
    met: { words: { pumpDownTest: 'cannot-pull-down', reliefNoise: 'no' } },
    not: [
      ['it pulls down', { words: { pumpDownTest: 'pulls-down' } }, 'pump-down'],
      ['the relief hisses', { words: { reliefNoise: 'yes' } }, 'relief'],
    ],
  },
  {
    gate: 'compressor-not-pumping',
    unit: THREE,
    met: {
      readings: { rvSuctionInTemp: f(60), rvSuctionOutTemp: f(61) },
      words: { pumpDownTest: 'cannot-pull-down', reliefNoise: 'no', phaseSequence: 'correct' },
    },
    not: [
      ['the phases are reversed', { words: { phaseSequence: 'reversed' } }, 'phase-sequence'],
      ['heat crosses the reversing valve', { readings: { rvSuctionOutTemp: f(75) } }, 'reversing-valve'],
    ],
  },
  {
    // Two conditions: no liquid valve can be shut on a packaged unit.
    gate: 'compressor-not-pumping',
    unit: { ...SINGLE, kind: 'package-heat-pump' },
    met: [weakRun(82, 160, 215), weakRun(82, 165, 245)],
    not: [
      [
        'one condition twice',
        { readings: { liquidPressure: psig(216), suctionPressure: psig(160) } },
        'pump-down-or-two-conditions',
      ],
      ['amps as they should be', { readings: { compressorAmps: amp(13) } }, 'pump-down-or-two-conditions'],
      [
        'a ratio as expected',
        { readings: { suctionPressure: psig(120), liquidPressure: psig(330) } },
        'pump-down-or-two-conditions',
      ],
    ],
  },
  {
    gate: 'internal-relief',
    unit: SINGLE,
    met: {
      readings: weakRun(82, 160, 215).readings,
      words: { reliefNoise: 'yes', reliefAfterRestart: 'stays-open' },
    },
    not: [
      ['it reseated', { words: { reliefAfterRestart: 'reseated' } }, 'stays-open'],
      ['not equalised and restarted', { words: { reliefAfterRestart: undefined } }, 'stays-open'],
      ['no hiss', { words: { reliefNoise: 'no' } }, 'hiss'],
      [
        'the pressures are apart',
        { readings: { suctionPressure: psig(118), liquidPressure: psig(330) } },
        'pressures-close',
      ],
    ],
  },
  {
    gate: 'terminal-plug',
    unit: SINGLE,
    met: { readings: WINDINGS, words: { terminalLook: 'burnt', windingsMeasuredAt: 'terminals' } },
    not: [
      ['the windings are open too', { readings: OPEN_TWICE }, 'own-terminals'],
      ['measured through the plug', { words: { windingsMeasuredAt: 'contactor' } }, 'own-terminals'],
      ['it looks sound', { words: { terminalLook: 'sound' } }, 'burnt'],
    ],
  },
  {
    gate: 'reversing-valve',
    unit: SINGLE,
    met: {
      readings: { ...PORTS, solenoidVolts: volt(24), solenoidOhms: ohm(16) },
      words: { weighedCharge: 'at-plate' },
    },
    not: [
      ['no heat crosses', { readings: { rvSuctionOutTemp: f(56) } }, 'crosses'],
      ['a port is missing', { readings: { rvHotOutTemp: undefined } }, 'four-ports'],
      ['no volts at its coil', { readings: { solenoidVolts: volt(3) } }, 'coil'],
      ['its coil is open', { readings: { solenoidOhms: ohm(OPEN_OHMS) } }, 'coil-pull'],
      ['a starved circuit cannot shift it', { words: { weighedCharge: 'below-plate' } }, 'charge-adequate'],
    ],
  },
  {
    gate: 'reversing-valve-coil',
    unit: SINGLE,
    met: { readings: { solenoidVolts: volt(24) }, words: { jumpAtUnit: 'does-not-hold' } },
    not: [
      ['too few volts reach it', { readings: { solenoidVolts: volt(8) } }, 'coil-volts'],
      ['it holds when jumped', { words: { jumpAtUnit: 'holds' } }, 'coil-ohms'],
      [
        'its ohms are sound',
        { words: { jumpAtUnit: undefined }, readings: { solenoidOhms: ohm(16) } },
        'coil-ohms',
      ],
    ],
  },
]

const partOf = (met: Case['met']): { sets: readonly ReadingSet[]; last: ReadingSet } => {
  if (Array.isArray(met)) return { sets: met.slice(0, -1), last: met.at(-1) as ReadingSet }
  const { readings = {}, words = {}, mode = 'cooling' } = met as Part
  return { sets: [], last: { mode, readings, observations: words } }
}
const changed = ({ met }: Case, { readings = {}, words = {} }: Part): ReadingSet[] => {
  const { sets, last } = partOf(met)
  return [
    ...sets,
    {
      ...last,
      readings: { ...last.readings, ...readings },
      observations: { ...last.observations, ...words },
    },
  ]
}
const missing = (gate: GateId, unit: UnitPlate, sets: readonly ReadingSet[]) =>
  judgeGate(gate, recordOf(unit, sets)).missing.map(({ id }) => id)

describe.each(CASES.map((row) => [`${row.gate}, ${row.unit.kind}`, row] as const))('%s', (_name, row) => {
  test('can be met', () => {
    const gate = judgeGate(row.gate, recordOf(row.unit, changed(row, {})))
    expect(gate.missing).toEqual([])
    expect(gate).toMatchObject({ met: true, refused: [] })
  })
  test.each(row.not)('not while %s', (_why, change, id) => {
    expect(missing(row.gate, row.unit, changed(row, change))).toContain(id)
  })
})

test('every gate has its pair of tests', () => {
  expect(new Set(CASES.map(({ gate }) => gate))).toEqual(new Set(GATE_IDS))
  for (const { not } of CASES) expect(not.length).toBeGreaterThan(0)
})

describe('cooled and measured again', () => {
  const at = { windingsMeasuredAt: 'terminals' } as const
  const sets = (later: Observations): ReadingSet[] => [
    { mode: 'off', readings: OPEN_ONCE, observations: { ...at, compressorShell: 'hot' } },
    { mode: 'off', readings: { ohmsCR: open(T(50)), ohmsRS: open(T(50)) }, observations: later },
  ]
  test('a second set of the same day is a second measurement', () => {
    expect(missing('compressor-open-winding', SINGLE, sets({ compressorShell: 'cold' }))).toEqual([])
    expect(missing('compressor-open-winding', SINGLE, sets({}))).toEqual(['cooled'])
  })
  test('a shell measured as cold as the air needs no second one', () => {
    const cold: ReadingSet = {
      mode: 'off',
      readings: { ...OPEN_ONCE, compressorShellTemp: f(84), outdoorAirTemp: f(80) },
      observations: at,
    }
    expect(missing('compressor-open-winding', SINGLE, [cold])).toEqual([])
    const warm = { ...cold, readings: { ...cold.readings, compressorShellTemp: f(130) } }
    expect(missing('compressor-open-winding', SINGLE, [warm])).toEqual(['cooled'])
  })
})

// [physics] handbook 13: R-410A at 110 F with 30 F of subcooling hides about 130 psi, R-22 at 120 F with 20 F about 64.
test.each([
  ['R-410A', 364, 80, 130],
  ['R-22', 260, 100, 64],
] as const)(
  '%s at %i psig and a liquid line of %i F hides about %i psi',
  (refrigerant, pressure, line, hidden) => {
    const record = recordOf({ ...SINGLE, refrigerant }, [
      { mode: 'cooling', readings: { liquidPressure: psig(pressure), liquidLineTemp: f(line) } },
    ])
    expect(Math.abs((hiddenDrop(record) as number) / 6894.757 - hidden)).toBeLessThan(4)
  },
)

describe('states that refuse', () => {
  const empty: ReadingSet = {
    mode: 'off',
    readings: { standingPressure: psig(0), outdoorAirTemp: f(85) },
  }
  test('no valve is condemned on a circuit without liquid, whatever is proven', () => {
    const proven: ReadingSet = { mode: 'cooling', readings: STARVED, observations: PROVEN_VALVE }
    const gate = judgeGate('expansion-valve', recordOf(SINGLE, [proven, empty]))
    expect(gate.met).toBe(false)
    expect(gate.refused.join(' ')).toMatch(/no liquid is left.*Until the leak is repaired/i)
    expect(judgeGate('liquid-dryer', recordOf(SINGLE, [proven, empty])).refused).toEqual([])
  })
  test('a three-phase scroll of unknown rotation is not judged worn', () => {
    const scroll: UnitPlate = { ...THREE, kind: 'split-ac', compressor: { type: 'scroll' } }
    const words: Observations = { pumpDownTest: 'cannot-pull-down', reliefNoise: 'no' }
    const gate = (more: Observations) =>
      judgeGate(
        'compressor-not-pumping',
        recordOf(scroll, [{ mode: 'cooling', readings: {}, observations: { ...words, ...more } }]),
      )
    expect(gate({}).refused.join(' ')).toMatch(/rotation/)
    expect(gate({ phaseSequence: 'correct' })).toMatchObject({ met: true, refused: [] })
  })
  test('a point that a state refuses is shown with the reason and is not asked for', () => {
    const grounded: ReadingSet = {
      mode: 'off',
      readings: { ohmsToGround: ohm(2) },
      observations: { compressorState: 'trips-breaker' },
    }
    const gate = judgeGate('compressor-locked', recordOf(SINGLE, [grounded]))
    const refused = gate.missing.filter((line) => line.refused)
    expect(refused.map(({ id }) => id)).toEqual(['starting-volts', 'inrush', 'hard-start'])
    expect(refused[0]?.refused).toMatch(/path to ground.*blow a terminal/i)
  })
  test('the step at its own terminals carries its caution; the place is said at the reading, not ticked at the gate', () => {
    const gate = judgeGate('compressor-grounded', recordOf(SINGLE, [{ mode: 'off', readings: {} }]))
    expect(gate.missing[0]?.id).toBe('own-terminals')
    expect(gate.missing[0]?.observation).toBeUndefined()
    expect(gate.missing[0]?.caution).toMatch(/Recover the refrigerant/)
  })
})

test('in heating the airflow point reads the rise, not the split', () => {
  const readings = { returnAirTemp: f(70), supplyAirTemp: f(95), outdoorAirTemp: f(45) }
  const gate = judgeGate('expansion-valve', recordOf(SINGLE, [{ mode: 'heating', readings }]))
  expect(gate.onRecord.map(({ id }) => id)).toContain('airflow')
})

test('every part that is condemned has its gate; what is set right says why it has none', () => {
  for (const fault of FAULT_IDS) {
    const guard = faultRow(fault).gate
    expect([fault, guard !== undefined]).toEqual([fault, true])
    if (faultRow(fault).part === 'compressor') expect(typeof guard).toBe('string')
  }
  expect(gateIdOf('txv-bulb-loose')).toBeUndefined()
  expect(gateIdOf('liquid-line-restriction')).toBe('liquid-line')
  expect(gateIdOf('service-valve-damaged')).toBe('service-valve')
  expect(gateIdOf('head-pressure-control-stuck')).toBe('head-pressure-control')
})

describe('a line on record means what was said', () => {
  const lines = (readings: Readings, words: Observations) =>
    judgeGate(
      'expansion-valve',
      recordOf(SINGLE, [{ mode: 'cooling', readings, observations: words }]),
    ).onRecord.map(({ label }) => label)
  test.each<readonly [string, Readings, Observations, RegExp, RegExp]>([
    [
      'a bulb that feels hollow',
      STARVED,
      { ...PROVEN_VALVE, bulbState: 'lost-charge-feel' },
      /feels hollow/,
      /tight and insulated/,
    ],
    ['a tight bulb', STARVED, PROVEN_VALVE, /tight and insulated/, /hollow/],
    [
      'a dryer, and no walk along the line',
      STARVED,
      PROVEN_VALVE,
      /the line was not walked/,
      /^Dryer and liquid line/,
    ],
    [
      'dryer and line',
      { ...STARVED, meteringInletTemp: f(94) },
      PROVEN_VALVE,
      /^Dryer and liquid line/,
      /not walked/,
    ],
    ['charge by subcooling', STARVED, PROVEN_VALVE, /adequate: subcooling/, /sight glass|weighed/],
    [
      'charge by weight',
      STARVED,
      { ...PROVEN_VALVE, weighedCharge: 'at-plate' },
      /adequate: weighed/,
      /adequate: subcooling/,
    ],
    ['air by the split', STARVED, PROVEN_VALVE, /return and supply air taken/, /^Airflow ruled out: coil/],
    [
      'air by a clean coil',
      { ...STARVED, supplyAirTemp: f(40) },
      PROVEN_VALVE,
      /^Airflow ruled out: coil/,
      /air taken/,
    ],
  ])('%s', (_name, readings, words, said, notSaid) => {
    const all = lines(readings, words)
    expect(all.some((each) => said.test(each))).toBe(true)
    expect(all.some((each) => notSaid.test(each))).toBe(false)
  })
})
