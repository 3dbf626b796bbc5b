import { viewOf } from '../record/job/rounds'
import { diagnoseJob } from '../answer/diagnoseJob'
import { chargeShare } from '../diagnosis/standing/chargeShare'
import type { FaultId } from '../diagnosis/faults/faults'
import { saturationPressure } from '../physics/refrigerants/saturation'
import { knownJob } from '../record/job/known'
import { readJobText } from '../record/job/readJob'
import type { Observations, Readings } from '../record/readings/schema'
import { playing } from '../repair/plan/tasks/tasks'
import { planOf } from '../repair/plan/basis'
import { toKelvin } from '../base/units/convert'
import { diagnosisJson } from './diagnosisJson'
import { planJson } from './planJson'

/** The worked pictures of handbook 13 (the unit that does not run), as job files through the door. */
const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const inHg = (value: number) => ({ value, unit: 'inHgVac' as const })
const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const SINGLE = { phase: 1, volts: 230, rla: 16, lra: 96 }
const SPLIT = { kind: 'split-ac', refrigerant: 'R-22', metering: 'txv', power: SINGLE }
const COOLER = {
  kind: 'walk-in-cooler',
  refrigerant: 'R-404A',
  metering: 'txv',
  receiver: true,
  power: SINGLE,
}
const FREEZER = { ...COOLER, kind: 'walk-in-freezer' }
const THREE = { phase: 3, volts: 208, rla: 14, lra: 90 }

type Set = { mode?: string; readings?: Readings; observations?: Observations; also?: object }
const job = (unit: object, sets: readonly Set[], more: object = {}) => {
  const read = readJobText(
    JSON.stringify({
      format: 'orzo.job',
      version: 1,
      unit,
      readingSets: sets.map((set) => ({ mode: 'off', readings: {}, ...set })),
      ...more,
    }),
  )
  if (!read.ok) throw new Error(JSON.stringify(read))
  return knownJob(viewOf(read.job))
}

type Json = {
  suspects: {
    fault: string
    family: string
    probability: number
    evidence: { key: string; sentence: string }[]
  }[]
  nextChecks: { check: string; unmet?: string }[]
  flags: { id: string; sentence: string }[]
  gates: { gate: string; met: boolean; missing: string[] }[]
  vetoes?: { id: string; never: string[] }[]
  standing?: {
    state?: string
    isLost: boolean
    sentence: string
    sections: { section: string; state: string; share?: { low: number; likely: number; high: number } }[]
  }
  tests?: Record<string, { word: string; sentence: string; next?: string }>
}
const told = (unit: object, ...sets: Set[]): Json =>
  diagnosisJson(diagnoseJob(job(unit, sets))) as unknown as Json
const chance = ({ suspects }: Json, fault: FaultId | 'healthy') =>
  suspects.find((each) => each.fault === fault)?.probability ?? 0
const family = ({ suspects }: Json, name: string) =>
  suspects.filter((each) => each.family === name).reduce((sum, each) => sum + each.probability, 0)
const plan = (unit: object, faults: readonly FaultId[], ...sets: Set[]) =>
  planJson(planOf(job(unit, sets), faults)) as unknown as {
    contamination: { class: string; evidence: string[] }
    parts: { label: string }[]
    tasks: { id: string; refused?: string }[]
  }
const OFF: Observations = { compressorState: 'off', callForOperation: 'yes' }

describe('lost charge', () => {
  const EMPTY: Set = {
    readings: { standingPressure: psig(0), outdoorAirTemp: f(85) },
    observations: { ...OFF, oilStain: 'service-valve' },
  }
  test('the empty circuit: R-22 at 0 psig and 85 F, oil at the service valve', () => {
    const found = told(SPLIT, EMPTY)
    expect(family(found, 'leak')).toBeGreaterThan(0.93)
    expect(chance(found, 'wrong-or-mixed-refrigerant')).toBeLessThan(0.02)
    expect(found.standing).toMatchObject({ state: 'empty', isLost: true })
    expect(found.standing?.sentence).toMatch(
      /0\.0 psig; R-22 at 85 F \(outdoor\) saturates at 156 psig: the charge is gone/,
    )
    expect(found.suspects[0]?.evidence[0]?.sentence).toMatch(/the charge is gone/)
    expect(found.vetoes?.map(({ id }) => id)).toContain('no-liquid')
  })
  test('its work: nothing to recover but prove it, the leak first, no run of a compressor before', () => {
    const ids = plan(SPLIT, ['charge-lost'], EMPTY).tasks.map(({ id }) => id)
    expect(ids).not.toContain('recover')
    // oil was seen at a stem: that is what is repaired
    const repaired = ids.find((id) => (playing('leak-repair') as readonly string[]).includes(id))!
    expect(ids).toEqual(expect.arrayContaining(['proveEmpty', 'traceNitrogen', 'leakSearch', repaired]))
    expect(ids.indexOf('leakSearch')).toBeLessThan(ids.indexOf(repaired))
    const both = plan(SPLIT, ['charge-lost', 'compressor-grounded'], EMPTY).tasks.map(({ id }) => id)
    expect(both.indexOf('leakSearch')).toBeLessThan(both.indexOf('swapCompressor'))
  })
  test('the vacuum: gone, drawing air, open to air; no pump-down, no charge, class wet', () => {
    const set: Set = { readings: { standingPressure: inHg(10), outdoorAirTemp: f(80) }, observations: OFF }
    const found = told(SPLIT, set)
    expect(found.standing?.state).toBe('vacuum')
    expect(found.standing?.sentence).toMatch(/10\.0 inHg vacuum.*counts as open to air/)
    expect(found.suspects[0]?.fault).toBe('charge-lost')
    const never = found.vetoes?.flatMap((veto) => veto.never)
    expect(never).toEqual(expect.arrayContaining(['pump-down', 'start', 'charge', 'insulation-test']))
    expect(found.nextChecks[0]?.check).toBe('oilStain')
    const { contamination } = plan(SPLIT, ['charge-lost'], set)
    expect(contamination.class).toBe('wet')
    expect(contamination.evidence.join(' ')).toMatch(/drawing air/)
  })
  test('2.4 inHg may be gas at 0 psig that cooled from 95 to 50 F: no vacuum that somebody made', () => {
    expect(
      told(SPLIT, { readings: { standingPressure: inHg(2.4), outdoorAirTemp: f(50) } }).standing?.state,
    ).toBe('empty')
  })
  test('vapour only: R-407C at 75 F saturates at 128 to 153 psig; at 60 psig the share that is left', () => {
    const unit = { ...SPLIT, refrigerant: 'R-407C', factoryCharge: { value: 8, unit: 'lb' } }
    const at = (value: number) =>
      told(unit, { readings: { standingPressure: psig(value), outdoorAirTemp: f(75) }, observations: OFF })
    const found = at(60)
    expect(found.standing?.sentence).toMatch(
      /R-407C at 75 F \(outdoor\) saturates at 12[89] psig to 15[34] psig/,
    )
    expect(found.standing?.sentence).toMatch(
      /vapour only, no liquid is left: about \d+(\.\d)? % .* of the plate charge, 0\.\d+ to \d\.\d+ lb/,
    )
    const share = found.standing?.sections[0]?.share
    // [physics] density of R-407C vapour at 75 psia and 75 F is about 20 kg/m3, of its liquid about 1140.
    expect(share?.likely).toBeGreaterThan(0.05)
    expect(share?.likely).toBeLessThan(0.09)
    expect(found.suspects[0]?.fault).toBe('charge-lost')
    // Between dew and bubble some liquid is left.
    expect(at(140).standing?.state).toBe('liquid')
    expect(at(185).standing?.state).toBe('over')
  })
  // [physics] handbook 13: liquid vanishes at about 3-13 % of the plate at 32 F, 7-28 % at 75 F, 10-38 % at 95 F.
  test.each([
    [32, 0.02, 0.22],
    [75, 0.05, 0.45],
    [95, 0.07, 0.62],
  ])('at %i F the last liquid goes at shares of the plate between %p and %p', (fahrenheit, low, high) => {
    for (const name of ['R-22', 'R-134a', 'R-410A', 'R-404A', 'R-407C'] as const) {
      const kelvin = toKelvin(f(fahrenheit))
      const share = chargeShare(name, saturationPressure(name, 'dew', kelvin) * 0.999, kelvin)
      expect(share!.low).toBeGreaterThan(low)
      expect(share!.high).toBeLessThan(high)
      expect(share!.low < share!.likely && share!.likely < share!.high).toBe(true)
    }
  })
  test('the pumped-down box that is not empty: full receiver, 5 psig on the low side', () => {
    const readings = {
      standingSuctionPressure: psig(5),
      standingLiquidPressure: psig(189),
      boxTemp: f(38),
      outdoorAirTemp: f(85),
    }
    const found = told(COOLER, { readings, observations: OFF })
    expect(found.standing).toMatchObject({ state: 'liquid', isLost: false })
    expect(found.standing?.sections.map(({ section, state }) => [section, state])).toEqual([
      ['low-side', 'vapour-only'],
      ['high-side', 'liquid'],
    ])
    expect(chance(found, 'charge-lost')).toBeLessThan(0.02)
    expect(found.vetoes ?? []).toEqual([])
    // The low side alone says nothing of the receiver.
    const { standingLiquidPressure: _high, ...low } = readings
    const half = told(COOLER, { readings: low, observations: OFF })
    expect(half.standing).toMatchObject({ isLost: false })
    expect(half.standing?.sentence).toMatch(/The other side may hold liquid/)
  })
  test('the relief plug melted, with and without a receiver on the plate', () => {
    const set: Set = { ...EMPTY, observations: { ...OFF, reliefPlug: 'melted' } }
    const found = told({ ...SPLIT, receiver: true }, set)
    expect(found.suspects[0]?.family).toBe('leak')
    expect(chance(found, 'relief-plug-melted')).toBeGreaterThan(0.25)
    expect(chance(told(SPLIT, set), 'relief-plug-melted')).toBeGreaterThan(0.05)
  })
  test('the open low-pressure switch is a consequence: its pressure is asked for, then the leak', () => {
    const seen: Observations = { ...OFF, lowPressureSwitch: 'open', controlVolts: 'dead' }
    const before = told(SPLIT, { mode: 'cooling', observations: seen })
    expect(before.nextChecks.map(({ check }) => check)).toContain('standing')
    const empty = told(SPLIT, { mode: 'cooling', readings: EMPTY.readings ?? {}, observations: seen })
    expect(chance(empty, 'control-open')).toBeLessThan(0.05)
    expect(empty.suspects[0]?.fault).toBe('charge-lost')
    // With liquid left the switch itself is the fault.
    const full = told(SPLIT, {
      mode: 'cooling',
      readings: { standingPressure: psig(156), outdoorAirTemp: f(85) },
      observations: seen,
    })
    expect(full.suspects[0]?.fault).toBe('control-open')
  })
})

describe('a dead compressor', () => {
  const OPEN_LEG: Readings = {
    ohmsT1T2: ohm(1e9),
    ohmsT3T1: ohm(1e9),
    ohmsT2T3: ohm(2.4),
    voltageL1L2: { value: 208, unit: 'V' },
    voltageL2L3: { value: 209, unit: 'V' },
    voltageL3L1: { value: 207, unit: 'V' },
    inrushAmps: { value: 0, unit: 'A' },
  }
  test('the open leg with a warm box: a 65 F freezer is its consequence, not a vote', () => {
    const unit = { ...FREEZER, power: THREE }
    const words: Observations = {
      windingsMeasuredAt: 'terminals',
      callForOperation: 'yes',
      loadVolts: 'live',
    }
    const cold = told(unit, { mode: 'cooling', readings: OPEN_LEG, observations: words })
    const warm = told(unit, {
      mode: 'cooling',
      readings: { ...OPEN_LEG, boxTemp: f(65), outdoorAirTemp: f(80) },
      observations: words,
    })
    for (const found of [cold, warm]) expect(chance(found, 'compressor-open-winding')).toBeGreaterThan(0.75)
    expect(
      Math.abs(chance(warm, 'compressor-open-winding') - chance(cold, 'compressor-open-winding')),
    ).toBeLessThan(0.03)
  })
  test('the ground at the contactor: far more often the compressor, a lead one in five to ten; neighbours first', () => {
    const words: Observations = { compressorState: 'trips-breaker', groundMeasuredAt: 'contactor' }
    const found = told(SPLIT, { mode: 'cooling', readings: { ohmsToGround: ohm(2) }, observations: words })
    expect(found.tests?.ground?.sentence).toMatch(/^2\.0 ohm to ground from the contactor/)
    const lead = chance(found, 'wire-rubbed-to-ground') / family(found, 'path-to-ground')
    expect(lead).toBeGreaterThan(0.1)
    expect(lead).toBeLessThan(0.2)
    expect(found.nextChecks.map(({ check }) => check)).toContain('groundPath')
    expect(found.gates.find(({ gate }) => gate === 'compressor-grounded')?.met).toBe(false)
  })
  test('the ground at its own terminals: the compressor, and its gate opens', () => {
    const words: Observations = {
      compressorState: 'trips-breaker',
      groundMeasuredAt: 'terminals',
      terminalCover: 'off',
      pressureOff: 'yes',
    }
    const found = told(SPLIT, { mode: 'cooling', readings: { ohmsToGround: ohm(4700) }, observations: words })
    expect(found.tests?.groundAtTerminals?.sentence).toMatch(
      /^4\.7 kohm to ground at the compressor’s own terminals/,
    )
    expect(chance(found, 'compressor-grounded')).toBeGreaterThan(0.9)
    expect(found.gates.find(({ gate }) => gate === 'compressor-grounded')?.met).toBe(true)
    const live = ['supply', 'loadVolts', 'legAmps', 'breaker', 'startAttempt', 'hardStart']
    for (const { check } of found.nextChecks) expect(live).not.toContain(check)
  })
  test('the fan motor that was the ground', () => {
    const words: Observations = {
      compressorState: 'trips-breaker',
      groundMeasuredAt: 'contactor',
      groundPath: 'fan-motor',
    }
    const set: Set = { mode: 'cooling', readings: { ohmsToGround: ohm(3) }, observations: words }
    const found = told(SPLIT, set)
    expect(found.suspects[0]?.fault).toBe('fan-motor-grounded')
    expect(chance(found, 'compressor-grounded')).toBeLessThan(0.1)
    const { tasks, parts } = plan(SPLIT, ['fan-motor-grounded'], set)
    expect(tasks.map(({ id }) => id)).toEqual([
      'setUp',
      'confirmDead',
      'proveFirst',
      'checkBoxes',
      'lockOut',
      'swapFanMotor',
      'unlock',
      'settle',
      'writeUp',
      'closeUp',
    ])
    expect(tasks.some(({ refused }) => refused)).toBe(false)
    expect(parts.map(({ label }) => label).join(' ')).not.toMatch(/compressor/)
  })
  test('the heater without watts: 0.16 A at 210 V is 34 W, and no more is judged', () => {
    const readings: Readings = {
      crankcaseHeaterAmps: { value: 0.16, unit: 'A' },
      voltageL1L2: { value: 210, unit: 'V' },
    }
    const heater = (unit: object, more: Readings = {}) =>
      told(unit, { readings: { ...readings, ...more } }).tests?.heater
    const silent = heater(SPLIT)
    expect(silent?.sentence).toMatch(/34 W now: a sound 40 W at 230 V or 44 W at 240 V/)
    expect(silent?.word).toBe('good')
    expect(heater(SPLIT, { crankcaseHeaterAmps: { value: 0, unit: 'A' } })?.word).toBe('open')
    expect(heater({ ...SPLIT, crankcaseHeater: { watts: 44, volts: 240 } })?.word).toBe('good')
    expect(heater({ ...SPLIT, crankcaseHeater: { watts: 70, volts: 240 } })?.word).toBe('off-rating')
    expect(told(SPLIT, { readings: { crankcaseHeaterOhms: ohm(1300) } }).tests?.heater?.sentence).toMatch(
      /1\.3 kohm: neither open nor shorted/,
    )
  })
  test('no run capacitor for a three-phase compressor: neither in checks nor in parts', () => {
    const unit = { ...SPLIT, power: { ...THREE, runCapacitor: { value: 5, unit: 'uF' } } }
    const found = told(unit, {
      mode: 'cooling',
      readings: { runCapacitance: { value: 1, unit: 'uF' } },
      observations: OFF,
    })
    expect(found.tests?.runCapacitor).toBeUndefined()
    expect(found.nextChecks.map(({ check }) => check)).not.toContain('runCapacitor')
    const labels = (power: object) =>
      plan({ ...SPLIT, power }, ['compressor-grounded']).parts.map(({ label }) => label)
    expect(labels(SINGLE)).toContain('run capacitor')
    expect(labels(THREE)).not.toContain('run capacitor')
  })
  test('a burnt plug with sound windings condemns the plug, not the compressor', () => {
    const readings: Readings = { ohmsCR: ohm(0.9), ohmsCS: ohm(2.1), ohmsRS: ohm(3) }
    const found = told(SPLIT, {
      mode: 'cooling',
      readings,
      observations: {
        ...OFF,
        terminalLook: 'burnt',
        windingsMeasuredAt: 'terminals',
        terminalCover: 'off',
        pressureOff: 'yes',
      },
    })
    expect(found.suspects[0]?.fault).toBe('terminal-plug-burnt')
    expect(found.gates.find(({ gate }) => gate === 'terminal-plug')?.met).toBe(true)
    expect(family(found, 'motor-failed')).toBeLessThan(0.1)
  })
  test('two faults decided together: each with its own gate, the plan their union', () => {
    const sets: Set[] = [
      { readings: { standingPressure: psig(0), outdoorAirTemp: f(85) }, observations: OFF },
      { readings: { ohmsToGround: ohm(300) }, observations: { groundMeasuredAt: 'terminals' } },
    ]
    const decisions = ['charge-lost', 'compressor-grounded'].map((fault) => ({
      id: fault,
      fault,
      state: 'decided',
    }))
    const both = job(SPLIT, sets)
    const { tasks } = planJson(
      planOf({ ...both, decisions: decisions as never }, ['charge-lost', 'compressor-grounded']),
    ) as { tasks: { id: string }[] }
    const ids = tasks.map(({ id }) => id)
    expect(ids).toEqual(
      expect.arrayContaining([
        'proveEmpty',
        'leakSearch',
        'swapCompressor',
        'repairLeak',
        'evacuateTriple',
        'weighIn',
      ]),
    )
    expect(ids.filter((id) => id === 'leakSearch')).toHaveLength(1)
  })
})

describe('running circuits that mislead', () => {
  const RUNS: Observations = { compressorState: 'running' }
  test('the converted unit that is healthy: an old coil condenses as it always did', () => {
    // R-407C in an R-22 unit on a 90 F day: 38 F and 117 F, subcooling 10, superheat 12.
    const readings: Readings = {
      suctionPressure: psig(62),
      liquidPressure: psig(278),
      suctionLineTemp: f(54),
      liquidLineTemp: f(105),
      outdoorAirTemp: f(90),
      returnAirTemp: f(76),
      supplyAirTemp: f(57),
    }
    const unit = { ...SPLIT, refrigerant: 'R-407C' }
    const plain = told(unit, { mode: 'cooling', readings, observations: RUNS })
    const converted = told(
      { ...unit, convertedFrom: 'R-22' },
      { mode: 'cooling', readings, observations: RUNS },
    )
    expect(converted.suspects[0]?.fault).toBe('healthy')
    expect(chance(converted, 'healthy')).toBeGreaterThan(chance(plain, 'healthy'))
  })
  const glass = (unit: object, liquid: number, outdoor: number) =>
    told(unit, {
      mode: 'cooling',
      readings: {
        suctionPressure: psig(55),
        liquidPressure: psig(liquid),
        outdoorAirTemp: f(outdoor),
        boxTemp: f(37),
        dryerInTemp: f(80),
        dryerOutTemp: f(80),
      },
      observations: { ...RUNS, sightGlass: 'bubbles' },
    })
  test('the bubbling glass: at 95 F condensing too little charge first', () => {
    // R-404A at 224 psig condenses near 95 F.
    const warm = glass(COOLER, 224, 72)
    expect(warm.suspects.find(({ fault }) => fault !== 'healthy')?.family).toBe('leak')
    const sees = ({ suspects }: Json) =>
      suspects.some(({ evidence }) => evidence.some(({ key }) => key === 'sightGlass'))
    expect(sees(warm)).toBe(true)
    // Below 90 F without head-pressure control bubbles mean little: they are no vote.
    expect(sees(glass(COOLER, 165, 50))).toBe(false)
  })
  test('with head-pressure control and condensing below its setting: too little to flood, or a stuck control', () => {
    const found = glass({ ...COOLER, headPressureControl: true }, 150, 40)
    const sum = family(found, 'leak') + family(found, 'head-pressure-control')
    expect(sum).toBeGreaterThan(0.6)
    for (const name of ['leak', 'head-pressure-control']) expect(family(found, name)).toBeGreaterThan(0.03)
  })
  test('the reversed scroll: rotation first, and it is not judged worn before', () => {
    const unit = { ...SPLIT, power: THREE, compressor: { type: 'scroll' } }
    const readings: Readings = {
      suctionPressure: psig(120),
      liquidPressure: psig(140),
      compressorAmps: { value: 6, unit: 'A' },
      outdoorAirTemp: f(80),
    }
    const found = told(unit, {
      mode: 'cooling',
      readings,
      observations: { ...RUNS, compressorNoise: 'loud' },
    })
    expect(found.vetoes?.map(({ id }) => id)).toContain('rotation-unknown')
    expect(found.nextChecks.map(({ check }) => check)).toContain('phaseSequence')
    expect(found.nextChecks.map(({ check }) => check)).not.toContain('pumpDownTest')
    const read = told(unit, {
      mode: 'cooling',
      readings,
      observations: { ...RUNS, compressorNoise: 'loud', phaseSequence: 'reversed' },
    })
    expect(read.suspects[0]?.fault).toBe('phase-reversed')
  })
  test('figures that the instrument shows weigh as evidence', () => {
    const found = told(
      { ...SPLIT, refrigerant: 'R-410A' },
      {
        mode: 'cooling',
        readings: {
          superheatShown: f(38),
          subcoolingShown: f(1),
          splitShown: f(9),
          overAmbientShown: f(8),
          outdoorAirTemp: f(85),
        },
        observations: RUNS,
      },
    )
    expect(found.suspects[0]?.family).toBe('leak')
    const keys = found.suspects[0]?.evidence.map(({ key }) => key)
    expect(keys).toEqual(expect.arrayContaining(['superheat', 'subcooling', 'temperatureSplit']))
  })
  test('oil at a fitting and at the service valve: both are said, and count once', () => {
    const at = (also?: object) =>
      told(SPLIT, {
        mode: 'cooling',
        observations: { ...RUNS, oilStain: 'service-valve' },
        ...(also ? { also } : {}),
      })
    const [one, two] = [at(), at({ oilStain: ['joint'] })]
    const sentence = ({ suspects }: Json) =>
      suspects.flatMap(({ evidence }) => evidence).find(({ key }) => key === 'oilStain')?.sentence
    expect(sentence(two)).toMatch(/service valve, joint/)
    expect(chance(two, 'access-fitting-leak')).toBeGreaterThan(
      2 * chance(told(SPLIT, { mode: 'cooling', observations: RUNS }), 'access-fitting-leak'),
    )
    expect(chance(two, 'undercharge')).toBeGreaterThan(chance(one, 'undercharge'))
  })
  test('an indicator that free water washed out speaks for ice in the valve, not for a dry circuit', () => {
    const at = (moistureIndicator: 'unreadable' | 'dry') =>
      chance(
        told(SPLIT, { mode: 'cooling', observations: { ...RUNS, moistureIndicator } }),
        'moisture-freeze-at-valve',
      )
    expect(at('unreadable')).toBeGreaterThan(5 * at('dry'))
  })
})

describe('setpoint, differential and the low-pressure control', () => {
  const control = { setpoint: f(36), differential: f(4) }
  test('a compressor that is off inside its differential is satisfied, not dead', () => {
    const unit = { ...COOLER, control }
    const set = (box: number): Set => ({
      mode: 'cooling',
      readings: { boxTemp: f(box) },
      observations: { compressorState: 'off' },
    })
    const inside = told(unit, set(37))
    expect(inside.flags.map(({ id }) => id)).toContain('satisfied')
    const warm = told(unit, set(48))
    expect(warm.flags.map(({ id }) => id)).not.toContain('satisfied')
    expect(chance(inside, 'healthy')).toBeGreaterThan(3 * chance(warm, 'healthy'))
  })
  test('load still high is judged by the setpoint: a cellar at 55 F is no warm cooler', () => {
    const at = (unit: object) =>
      told(unit, {
        mode: 'cooling',
        readings: { boxTemp: f(55), suctionPressure: psig(60) },
        observations: RUNS,
      }).flags.map(({ id }) => id)
    const RUNS: Observations = { compressorState: 'running' }
    expect(at({ ...COOLER, control: { setpoint: f(54), differential: f(3) } })).not.toContain(
      'load-still-high',
    )
    expect(at(COOLER)).toContain('load-still-high')
  })
  test.each([
    ['R-404A', 60, { lowCutIn: psig(95) }, /will not start again.*Set the cut-in to [\d.]+ psig or less/],
    ['R-404A', 60, { lowCutIn: psig(40), lowCutOut: psig(38) }, /short-cycles/],
    ['R-404A', 60, { lowCutOut: inHg(5) }, /in vacuum/],
    // [physics] R-134a at -10 F is 1.9 psig: no setting does both.
    [
      'R-134a',
      -10,
      { lowCutIn: psig(15), lowCutOut: psig(3) },
      /coldest outdoor air is 1\.9 psig\. No setting/,
    ],
  ] as const)('%s with %i F outdoors', (refrigerant, outdoor, readings, sentence) => {
    const unit = { ...COOLER, refrigerant, control: { ...control, coldestOutdoor: f(outdoor) } }
    const found = told(unit, { readings })
    expect(
      found.flags
        .filter(({ id }) => id === 'low-pressure-control')
        .map((flag) => flag.sentence)
        .join(' '),
    ).toMatch(sentence)
  })
  test('a setting that fits is not spoken of', () => {
    const found = told(
      { ...COOLER, control: { ...control, coldestOutdoor: f(40) } },
      { readings: { lowCutIn: psig(50), lowCutOut: psig(5) } },
    )
    expect(found.flags.map(({ id }) => id)).not.toContain('low-pressure-control')
  })
})
