import { SEEN_PARTS } from '../diagnosis/faults/seenParts'
import { type FaultId, type SuspectId } from '../diagnosis/faults/faults'
import { emptyJob, type KnownJob } from '../record/job/job'
import type { UnitPlate } from '../record/equipment/unit'
import { OPEN_OHMS } from '../record/readings/openOhms'
import type { Mode, Observations, Reading, Readings } from '../record/readings/schema'
import type { Shown } from '../record/records/decision'
import { BY_ROUND, LISTS, SINGLES } from '../record/records/kinds'
import type { JobSet } from '../record/records/set'
import { createAnswerer } from './answer'
import { diagnose, type Suspect } from './diagnose'

/** Pictures as they are found in practice (handbook 04, 05, 13): what is seen, and what is measured beside it. */
const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const ohm = (value: number) => ({ value, unit: 'ohm' as const })
const amp = (value: number) => ({ value, unit: 'A' as const })
const volt = (value: number) => ({ value, unit: 'V' as const })
const open = ohm(OPEN_OHMS)

const power = { phase: 1, volts: 230, rla: 16, lra: 96 } as const
const SPLIT: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', power }
const PUMP: UnitPlate = { ...SPLIT, kind: 'split-heat-pump' }
const THREE: UnitPlate = { ...SPLIT, power: { phase: 3, volts: 208, rla: 14, lra: 90 } }
const COOLER: UnitPlate = {
  kind: 'walk-in-cooler',
  refrigerant: 'R-448A',
  metering: 'txv',
  receiver: true,
  power,
}
const FREEZER: UnitPlate = { ...COOLER, kind: 'walk-in-freezer', refrigerant: 'R-404A' }

/** A sound split system on a mild day (handbook 03, after a good repair). */
const SOUND: Readings = {
  suctionPressure: psig(122),
  liquidPressure: psig(340),
  suctionLineTemp: f(53),
  liquidLineTemp: f(95),
  outdoorAirTemp: f(82),
  returnAirTemp: f(75),
  supplyAirTemp: f(56),
}
/** Starved with plenty of liquid ahead of the valve, line and dryer ruled out (handbook 03: 88 psig, over 40 F of superheat). */
const STARVED: Readings = {
  suctionPressure: psig(88),
  liquidPressure: psig(318),
  suctionLineTemp: f(70),
  liquidLineTemp: f(84),
  outdoorAirTemp: f(80),
  returnAirTemp: f(75),
  supplyAirTemp: f(68),
  dryerInTemp: f(83.8),
  dryerOutTemp: f(83.5),
  meteringInletTemp: f(83),
}
/** Liquid back to the compressor. */
const FLOODED: Readings = {
  suctionPressure: psig(140),
  liquidPressure: psig(345),
  suctionLineTemp: f(50),
  liquidLineTemp: f(98),
  outdoorAirTemp: f(82),
  returnAirTemp: f(75),
}
const VACUUM: Readings = { standingPressure: { value: 15, unit: 'inHgVac' }, outdoorAirTemp: f(80) }
const OPEN_WINDING: Readings = { ohmsCR: open, ohmsRS: open, ohmsCS: ohm(3.1) }
const AT_REST: Observations = { compressorState: 'off', callForOperation: 'yes' }

const suspectsOf = (
  unit: UnitPlate,
  readings: Readings,
  observations: Observations,
  mode: Mode = 'cooling',
) => diagnose(unit, { mode, readings, observations }).suspects
/** The most probable beside what was seen. */
const beside = (suspects: readonly Suspect[]) => suspects.find(({ seen }) => !seen)!.fault
const seenFaults = (suspects: readonly Suspect[]) =>
  suspects.filter(({ seen }) => seen).map(({ fault }) => fault)

describe('a word that names a part leads, alone and against any pattern', () => {
  type Row = readonly [string, UnitPlate, Observations, FaultId, Readings, Observations, SuspectId]
  /** What is measured beside it, and what then leads beside it. */
  test.each<Row>([
    ['plug melted', COOLER, { reliefPlug: 'melted' }, 'relief-plug-melted', VACUUM, AT_REST, 'healthy'],
    [
      'equaliser broken',
      SPLIT,
      { equalizerState: 'broken' },
      'equalizer-broken-or-blocked',
      SOUND,
      {},
      'healthy',
    ],
    [
      'equaliser blocked',
      SPLIT,
      { equalizerState: 'blocked' },
      'equalizer-broken-or-blocked',
      SOUND,
      { bulbWarmResponse: 'none' },
      'healthy',
    ],
    ['bulb loose', SPLIT, { bulbState: 'loose' }, 'txv-bulb-loose', FLOODED, {}, 'healthy'],
    ['screen plugged', SPLIT, { inletScreen: 'plugged' }, 'txv-inlet-screen-plugged', STARVED, {}, 'healthy'],
    [
      'service valve cooked',
      SPLIT,
      { overheatedValve: 'service-valve' },
      'service-valve-damaged',
      VACUUM,
      AT_REST,
      'healthy',
    ],
    [
      'expansion valve cooked',
      SPLIT,
      { overheatedValve: 'expansion-valve' },
      'txv-underfeeding',
      STARVED,
      {},
      'healthy',
    ],
    [
      'reversing valve cooked',
      PUMP,
      { overheatedValve: 'reversing-valve' },
      'reversing-valve-leaking-through',
      SOUND,
      {},
      'healthy',
    ],
    [
      'lead rubbed through',
      SPLIT,
      { leadState: 'rubbed-through' },
      'wire-rubbed-to-ground',
      { ohmsToGround: ohm(300) },
      { compressorState: 'trips-breaker', breaker: 'trips', groundMeasuredAt: 'contactor' },
      'healthy',
    ],
    ['belt off', SPLIT, { indoorFan: 'belt-off' }, 'evaporator-fan-failed', VACUUM, AT_REST, 'charge-lost'],
    [
      'valves front-seated',
      SPLIT,
      { servicePortState: 'front-seated' },
      'service-valve-shut',
      { ...STARVED, dryerInTemp: f(64), dryerOutTemp: f(63.7), meteringInletTemp: f(63) },
      { frostPattern: 'service-valve' },
      'healthy',
    ],
    [
      'lead burnt at the plug',
      SPLIT,
      { terminalLook: 'burnt' },
      'terminal-plug-burnt',
      OPEN_WINDING,
      { ...AT_REST, windingsMeasuredAt: 'contactor' },
      'healthy',
    ],
    [
      'compressor seen broken',
      SPLIT,
      { compressorInside: 'broken' },
      'compressor-broken-inside',
      { inrushAmps: amp(95), voltageRunning: volt(228) },
      { compressorState: 'hums-and-trips', hardStart: 'none' },
      'healthy',
    ],
    [
      'shaft stuck by hand',
      SPLIT,
      { shaftTurns: 'stuck' },
      'compressor-broken-inside',
      { inrushAmps: amp(95), voltageRunning: volt(228) },
      { compressorState: 'hums-and-trips' },
      'healthy',
    ],
  ])('%s', (_name, unit, word, fault, readings, more, rest) => {
    const alone = suspectsOf(unit, {}, word)
    expect([alone[0]!.fault, alone[0]!.seen, alone[0]!.probability > 0.95]).toEqual([fault, true, true])
    expect(beside(alone)).toBe('healthy')
    const measured = suspectsOf(unit, readings, { ...more, ...word })
    expect([measured[0]!.fault, beside(measured)]).toEqual([fault, rest])
  })

  test.each<readonly [string, UnitPlate, Observations, FaultId, Readings, Observations, SuspectId]>([
    [
      'plug melted, yet it runs full',
      COOLER,
      { reliefPlug: 'melted' },
      'relief-plug-melted',
      {},
      { sightGlass: 'clear', compressorState: 'running' },
      'healthy',
    ],
    [
      'equaliser broken and a winding open',
      SPLIT,
      { equalizerState: 'broken' },
      'equalizer-broken-or-blocked',
      OPEN_WINDING,
      { ...AT_REST, windingsMeasuredAt: 'terminals', compressorShell: 'cold' },
      'compressor-open-winding',
    ],
    [
      'bulb loose and starved',
      SPLIT,
      { bulbState: 'loose' },
      'txv-bulb-loose',
      STARVED,
      { bulbWarmResponse: 'none' },
      'txv-underfeeding',
    ],
    [
      'screen plugged and flooding',
      SPLIT,
      { inletScreen: 'plugged' },
      'txv-inlet-screen-plugged',
      FLOODED,
      { bulbIceResponse: 'stays-open' },
      'txv-overfeeding',
    ],
    [
      'service valve cooked and a dirty coil',
      SPLIT,
      { overheatedValve: 'service-valve' },
      'service-valve-damaged',
      { ...SOUND, liquidPressure: psig(460), liquidLineTemp: f(120) },
      { condenserCoil: 'dirty' },
      'condenser-fouled',
    ],
    [
      'lead rubbed through and a heater open',
      SPLIT,
      { leadState: 'rubbed-through', compressorState: 'trips-breaker' },
      'wire-rubbed-to-ground',
      { crankcaseHeaterOhms: open },
      {},
      'healthy',
    ],
    [
      'belt off and a plugged dryer',
      SPLIT,
      { indoorFan: 'belt-off' },
      'evaporator-fan-failed',
      { ...STARVED, dryerInTemp: f(82), dryerOutTemp: f(62), meteringInletTemp: f(61) },
      { frostPattern: 'after-dryer' },
      'plugged-liquid-dryer',
    ],
    [
      'valves front-seated and no supply',
      SPLIT,
      { servicePortState: 'front-seated' },
      'service-valve-shut',
      { voltageL1L2: volt(0) },
      { ...AT_REST, loadVolts: 'dead', controlVolts: 'dead' },
      'supply-fault',
    ],
    [
      'lead burnt, and the winding bad at its own terminals',
      SPLIT,
      { terminalLook: 'burnt' },
      'terminal-plug-burnt',
      OPEN_WINDING,
      { ...AT_REST, windingsMeasuredAt: 'terminals', compressorShell: 'cold' },
      'compressor-open-winding',
    ],
    [
      'compressor seen broken, and the charge gone',
      SPLIT,
      { compressorInside: 'broken' },
      'compressor-broken-inside',
      VACUUM,
      { compressorState: 'off' },
      'charge-lost',
    ],
  ])('%s: it leads, the rest keeps its own leader', (_name, unit, word, fault, readings, more, rest) => {
    const suspects = suspectsOf(unit, readings, { ...word, ...more })
    expect(seenFaults(suspects)).toContain(fault)
    expect(suspects[0]!.seen).toBe(true)
    expect(beside(suspects)).toBe(rest)
  })

  test('every word of the table is one of these pictures', () => {
    const words = new Set(SEEN_PARTS.map(({ key, word }) => `${key} ${word}`))
    const shown = [
      'reliefPlug melted',
      'equalizerState broken',
      'equalizerState blocked',
      'bulbState loose',
      'inletScreen plugged',
      'overheatedValve service-valve',
      'overheatedValve expansion-valve',
      'overheatedValve reversing-valve',
      'servicePortState front-seated',
      'indoorFan belt-off',
      'leadState rubbed-through',
      'terminalLook burnt',
      'windingsAtTerminals sound-there',
      'heater open',
      'compressorInside broken',
      'shaftTurns stuck',
    ]
    expect(words).toEqual(new Set(shown))
  })
})

describe('two faults, symptoms and places', () => {
  test('an open heater explains no open winding and nothing of the supply: two faults', () => {
    const both = suspectsOf(
      SPLIT,
      { ...OPEN_WINDING, crankcaseHeaterOhms: open },
      { ...AT_REST, windingsMeasuredAt: 'terminals', compressorShell: 'cold' },
    )
    expect(both[0]!.fault).toBe('crankcase-heater-open')
    expect(beside(both)).toBe('compressor-open-winding')
    const alone = suspectsOf(SPLIT, { crankcaseHeaterOhms: open }, {})
    expect([alone[0]!.fault, beside(alone)]).toEqual(['crankcase-heater-open', 'healthy'])
  })
  test('a heater without current at a unit without volts tells nothing of itself', () => {
    const dead = suspectsOf(
      SPLIT,
      { crankcaseHeaterAmps: amp(0), voltageL1L2: volt(0) },
      { ...AT_REST, loadVolts: 'dead', controlVolts: 'dead' },
    )
    expect(dead[0]!.fault).toBe('supply-fault')
  })
  test('a coil iced over is a symptom: what was read over ice does not vote, after the thaw it does', () => {
    const iced = diagnose(SPLIT, {
      mode: 'cooling',
      readings: STARVED,
      observations: { evaporatorCoil: 'iced' },
    })
    expect(Object.keys(iced.judged)).toEqual([])
    expect(iced.flags.find(({ id }) => id === 'iced')!.sentence).toMatch(/Thaw it whole/)
    expect(iced.suspects[0]!.family).toBe('low-air')
    const thawed = suspectsOf(SPLIT, STARVED, { evaporatorCoil: 'clean' })
    expect(thawed[0]!.family).toBe('valve-starves')
  })
  test('metal flakes with locked-rotor amps: broken inside, not an electrical burn', () => {
    const [first] = suspectsOf(
      SPLIT,
      { inrushAmps: amp(95), voltageRunning: volt(229), ohmsCR: ohm(0.9), ohmsCS: ohm(2.1), ohmsRS: ohm(3) },
      {
        compressorState: 'hums-and-trips',
        oilAppearance: 'metal-flakes',
        hardStart: 'none',
        startGear: 'proven',
      },
    )
    expect(first!.fault).toBe('compressor-broken-inside')
  })
  test('rubbed, not through, is no seen ground; rubbed through is', () => {
    const rubbed = suspectsOf(SPLIT, {}, { leadState: 'rubbed' })
    expect(rubbed[0]!.seen).toBeUndefined()
    expect(suspectsOf(SPLIT, {}, { leadState: 'rubbed-through' })[0]!.fault).toBe('wire-rubbed-to-ground')
  })
  test('the lost charge is the consequence of the plug, and stands nowhere beside it', () => {
    const suspects = suspectsOf(COOLER, VACUUM, {
      ...AT_REST,
      reliefPlug: 'melted',
      lowPressureSwitch: 'open',
    })
    expect(suspects[0]!.fault).toBe('relief-plug-melted')
    expect(suspects.map(({ fault }) => fault)).not.toContain('charge-lost')
    expect(suspectsOf(COOLER, VACUUM, AT_REST)[0]!.fault).toBe('charge-lost')
  })
})

describe('ohms say where they were measured', () => {
  const placed = (
    reading: Reading,
    place: 'contactor' | 'terminals',
    before?: Reading['before'],
  ): Reading => ({
    ...reading,
    place,
    ...(before ? { before } : {}),
  })
  const before = [{ ...open, place: 'contactor' as const }]
  test('bad at the terminals clears plug and leads', () => {
    const there = {
      ohmsCR: placed(open, 'terminals'),
      ohmsRS: placed(open, 'terminals'),
      ohmsCS: placed(ohm(3.1), 'terminals'),
    }
    const suspects = suspectsOf(SPLIT, there, { ...AT_REST, compressorShell: 'cold' })
    expect(suspects[0]!.fault).toBe('compressor-open-winding')
    expect(suspects.find(({ fault }) => fault === 'terminal-plug-burnt')!.probability).toBeLessThan(0.01)
  })
  test('good there and open at the contactor convicts them', () => {
    const there = {
      ohmsCR: placed(ohm(0.9), 'terminals', before),
      ohmsRS: placed(ohm(3), 'terminals', before),
      ohmsCS: placed(ohm(2.1), 'terminals'),
    }
    const { suspects, tests } = diagnose(SPLIT, { mode: 'off', readings: there, observations: AT_REST })
    expect(suspects[0]!.fault).toBe('terminal-plug-burnt')
    expect(tests.windingsAtTerminals!.finding.sentence).toMatch(/not the compressor/)
  })
  test('a re-label proves nothing: what was read at the contactor stays read there', () => {
    const relabelled = diagnose(SPLIT, {
      mode: 'off',
      readings: { ohmsToGround: placed(ohm(300), 'contactor') },
      observations: { groundMeasuredAt: 'terminals', compressorState: 'trips-breaker' },
    })
    expect(relabelled.tests.groundAtTerminals).toBeUndefined()
    expect(relabelled.tests.ground!.word).toBe('at-contactor')
  })
  test('ground proven at the terminals is not asked again at the contactor', () => {
    const { nextChecks } = diagnose(SPLIT, {
      mode: 'off',
      readings: { ohmsToGround: placed(ohm(300), 'terminals') },
      observations: { compressorState: 'trips-breaker' },
    })
    expect(nextChecks.map(({ check }) => check)).not.toContain('ground')
    expect(nextChecks.map(({ check }) => check)).not.toContain('groundAtTerminals')
  })
  test('no hard-start kit is asked of three phases', () => {
    const { nextChecks } = diagnose(THREE, {
      mode: 'off',
      readings: { inrushAmps: amp(88), voltageRunning: volt(206) },
      observations: { compressorState: 'hums-and-trips' },
    })
    expect(nextChecks.map(({ check }) => check)).not.toContain('hardStart')
  })
})

describe('superheat as shown, by its place and kind', () => {
  const judged = (unit: UnitPlate, shown: number, at?: 'coil-outlet' | 'compressor') => {
    const found = diagnose(unit, {
      mode: 'cooling',
      readings: { superheatShown: f(shown) },
      observations: at ? { superheatShownAt: at } : {},
    })
    const key = at === 'coil-outlet' ? 'evaporatorSuperheat' : 'superheat'
    const { measured, target } = found.judged[key]!
    return { off: (measured.value - target.value) / target.tolerance, flags: found.flags.map(({ id }) => id) }
  }
  test.each([
    ['freezer coil, 6 F', FREEZER, 6, 'coil-outlet', true],
    ['freezer coil, 21.5 F', FREEZER, 21.5, 'coil-outlet', false],
    ['cooler coil, 21 F is too much', COOLER, 21, 'coil-outlet', false],
    ['cooler coil, 10 F', COOLER, 10, 'coil-outlet', true],
    ['cooler at the compressor, 25 F', COOLER, 25, 'compressor', true],
    ['cooler at the compressor, 6 F', COOLER, 6, 'compressor', false],
  ] as const)('%s', (_name, unit, shown, at, isInBand) => {
    const { off, flags } = judged(unit, shown, at)
    expect(Math.abs(off) <= 1).toBe(isInBand)
    expect(flags).not.toContain('shown-where')
  })
  test('without a place it is asked for, and opens no gate', () => {
    expect(judged(FREEZER, 6).flags).toContain('shown-where')
  })
})

describe('what was found before', () => {
  const set = (id: string, readings: Readings, observations: Observations = {}, at?: string): JobSet => ({
    id,
    mode: 'cooling',
    readings,
    observations,
    ...(at ? { at } : {}),
  })
  const answer = (job: KnownJob, setId?: string) => createAnswerer().whole({ job, setId })
  const jobOf = (unit: UnitPlate, readingSets: JobSet[]): KnownJob => ({ ...emptyJob(unit), readingSets })
  const shownAs = (fault: FaultId, shown: Shown): KnownJob['decisions'] => [
    { id: 'd', fault, state: 'draft', shown },
  ]

  const lists = [...BY_ROUND, ...SINGLES.map((kind) => LISTS[kind].list)]
  const NO_OTHERS = Object.fromEntries(lists.map((list) => [list, []])) as unknown as NonNullable<
    KnownJob['others']
  >

  test('windings of one set are not wiped by a later one that holds the heater alone', () => {
    const job = jobOf(SPLIT, [
      set('one', OPEN_WINDING, { ...AT_REST, windingsMeasuredAt: 'terminals', compressorShell: 'cold' }),
      set('two', { crankcaseHeaterOhms: open }, AT_REST),
    ])
    const { suspects } = answer(job).ranking
    expect(seenFaults(suspects)).toEqual(['crankcase-heater-open'])
    expect(beside(suspects)).toBe('compressor-open-winding')
  })
  test('a plug that was seen melted leads on every later set', () => {
    const job = jobOf(COOLER, [set('one', {}, { reliefPlug: 'melted' }), set('two', VACUUM, AT_REST)])
    expect(answer(job).ranking.suspects[0]!.fault).toBe('relief-plug-melted')
  })
  test('the verdict of another firm leads before anything is read, and readings overturn it', () => {
    const decisions = shownAs('compressor-not-pumping', { how: 'another-firm', who: 'the other firm' })
    const unread = answer({ ...jobOf(SPLIT, []), decisions }).ranking.suspects
    expect(unread[0]).toMatchObject({ fault: 'compressor-not-pumping' })
    expect(unread[0]!.prior.because).toEqual(['the verdict of another firm, not checked here yet'])
    const read = answer({ ...jobOf(SPLIT, [set('one', { ...SOUND, compressorAmps: amp(12) })]), decisions })
    expect(read.ranking.suspects[0]!.fault).toBe('healthy')
  })
  test('a fault that somebody saw leads whatever is read', () => {
    const decisions = shownAs('txv-inlet-screen-plugged', { how: 'seen' })
    const { suspects } = answer({ ...jobOf(SPLIT, [set('one', SOUND)]), decisions }).ranking
    expect(suspects[0]).toMatchObject({ fault: 'txv-inlet-screen-plugged', seen: true })
  })
  test('what was repaired is remembered: its return is named, and likelier than before', () => {
    const starved = set('one', { ...STARVED, liquidLineTemp: f(101) }, {}, '2026-11-20T10:00:00Z')
    const fresh = answer(jobOf(SPLIT, [starved])).ranking.suspects.find(
      ({ fault }) => fault === 'undercharge',
    )!
    const others = {
      ...NO_OTHERS,
      decisions: [{ id: 'e', fault: 'undercharge', state: 'decided' as const, round: 'only' }],
    }
    const again = answer({ ...jobOf(SPLIT, [starved]), others }).ranking.suspects.find(
      ({ fault }) => fault === 'undercharge',
    )!
    expect(fresh.repairedBefore).toBeUndefined()
    expect(again.repairedBefore).toBe(true)
    expect(again.probability).toBeGreaterThan(fresh.probability)
  })
  test('air and overcharge look alike: the list says so, and the next check tells them apart', () => {
    const readings: Readings = {
      suctionPressure: psig(128),
      liquidPressure: psig(400),
      suctionLineTemp: f(56),
      liquidLineTemp: f(92),
      outdoorAirTemp: f(85),
      returnAirTemp: f(76),
    }
    const found = diagnose(SPLIT, { mode: 'cooling', readings, observations: { condenserCoil: 'clean' } })
    expect(new Set(found.undivided!.pair)).toEqual(new Set(['non-condensables', 'overcharge']))
    expect(found.nextChecks[0]!.check).toBe(found.undivided!.check)
    expect(['standingOverAmbient', 'weighedCharge']).toContain(found.undivided!.check)
  })
})
