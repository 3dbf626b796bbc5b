import { viewOf } from '../record/job/rounds'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import type { KnownJob } from '../record/job/job'
import { knownJob } from '../record/job/known'
import { readJobText } from '../record/job/readJob'
import type { UnitPlate } from '../record/equipment/unit'
import type { Mode, Observations, Readings } from '../record/readings/schema'
import { diagnose } from './diagnose'
import { diagnoseJob, faultsToRepair } from './diagnoseJob'
import { judgeGate } from '../diagnosis/proof/gates'
import { recordOf } from '../diagnosis/proof/record'
import { isGeneric, workOf } from '../diagnosis/checks/work'
import { CARRY_MINUTES } from '../diagnosis/checks/nextCheck'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const R410A: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
const R22: UnitPlate = { kind: 'package-ac', refrigerant: 'R-22', metering: 'fixed-orifice' }

const run = (unit: UnitPlate, readings: Readings, observations?: Observations, mode: Mode = 'cooling') =>
  diagnose(unit, { mode, readings, ...(observations ? { observations } : {}) })
const leader = (...args: Parameters<typeof run>) => run(...args).suspects[0]!
const share = (d: ReturnType<typeof run>, fault: string) =>
  d.suspects.find((s) => s.fault === fault)?.probability ?? 0

/** High head over much subcooling. */
const HIGH_AND_FULL: Readings = {
  suctionPressure: psig(122),
  liquidPressure: psig(470),
  suctionLineTemp: f(53),
  liquidLineTemp: f(103),
  outdoorAirTemp: f(85),
  returnAirTemp: f(76),
}

function example(name: string): KnownJob {
  const text = readFileSync(path.resolve(__dirname, '../../../examples', `${name}.orzo.json`), 'utf8')
  const reading = readJobText(text)
  if (!reading.ok) throw new Error(`${name} does not read`)
  return knownJob(viewOf(reading.job))
}

describe('worked pictures of handbook 03 [practice]', () => {
  test.each([
    ['plugged-orifices', 'fixed-orifice-plugged', 0.45],
    ['underfeeding-expansion-valve', 'txv-underfeeding', 0.6],
    ['plugged-dryer', 'plugged-liquid-dryer', 0.7],
    ['after-repair', 'healthy', 0.4],
    ['healthy-mild-day', 'healthy', 0.2],
  ])('%s: %s leads, and its family holds at least %d', (name, fault, least) => {
    const { suspects } = diagnoseJob(example(name))
    const [first] = suspects
    expect(first!.fault).toBe(fault)
    const family = suspects.filter((each) => each.family === first!.family)
    expect(family.reduce((sum, { probability }) => sum + probability, 0)).toBeGreaterThan(least)
  })
  test('the after-repair set with the liquid line at 126 F no longer says healthy', () => {
    expect(diagnoseJob(example('after-repair-liquid-line-126')).suspects[0]!.fault).not.toBe('healthy')
  })
  test.each(['txv', 'fixed-orifice'] as const)('so it is with a %s', (metering) => {
    const job = example('after-repair')
    const sound = diagnoseJob({ ...job, unit: { ...job.unit, metering } })
    expect(sound.suspects[0]!.fault).toBe('healthy')
    const readings = { ...job.readingSets[0]!.readings, liquidLineTemp: f(126) }
    expect(leader({ ...job.unit, metering }, readings).fault).not.toBe('healthy')
  })
})

describe('look-alikes of handbook 04, split by their check', () => {
  const STARVED: Readings = {
    suctionPressure: psig(88),
    liquidPressure: psig(330),
    suctionLineTemp: f(64),
    outdoorAirTemp: f(85),
    returnAirTemp: f(75),
  }
  test('undercharge or restriction: subcooling', () => {
    expect(leader(R410A, { ...STARVED, liquidLineTemp: f(100) }).fault).toBe('undercharge')
    expect(leader(R410A, { ...STARVED, liquidLineTemp: f(78) }).fault).not.toBe('undercharge')
  })
  test('dryer or valve: drop across the dryer', () => {
    const base = { ...STARVED, liquidLineTemp: f(86), dryerInTemp: f(85.5) }
    expect(leader(R410A, { ...base, dryerOutTemp: f(70) }).fault).toBe('plugged-liquid-dryer')
    expect(share(run(R410A, { ...base, dryerOutTemp: f(85) }), 'plugged-liquid-dryer')).toBeLessThan(0.02)
  })
  test('stuck, empty or iced valve: warm bulb, warm valve, indicator', () => {
    const base = { ...STARVED, liquidLineTemp: f(86) }
    expect(leader(R410A, base, { bulbState: 'lost-charge-feel', bulbWarmResponse: 'none' }).fault).toBe(
      'txv-lost-bulb-charge',
    )
    expect(leader(R410A, base, { warmValveResponse: 'flow-returned', moistureIndicator: 'wet' }).fault).toBe(
      'moisture-freeze-at-valve',
    )
  })
  test('underfeeding valve or low airflow: superheat and split', () => {
    const cold: Readings = {
      suctionPressure: psig(90),
      liquidPressure: psig(300),
      returnAirTemp: f(75),
      supplyAirTemp: f(47),
      outdoorAirTemp: f(85),
    }
    expect(leader(R410A, { ...cold, suctionLineTemp: f(32), liquidLineTemp: f(87) }).fault).toBe(
      'low-evaporator-airflow',
    )
  })
  test('worn compressor or leaking reversing valve: port temperatures', () => {
    const pump: UnitPlate = { ...R410A, kind: 'split-heat-pump' }
    const weak: Readings = {
      suctionPressure: psig(165),
      liquidPressure: psig(235),
      suctionLineTemp: f(76),
      outdoorAirTemp: f(85),
      returnAirTemp: f(76),
      supplyAirTemp: f(71),
    }
    expect(leader(pump, { ...weak, rvSuctionInTemp: f(60), rvSuctionOutTemp: f(76) }).fault).toMatch(
      /^reversing-valve/,
    )
    expect(
      leader(
        pump,
        { ...weak, rvSuctionInTemp: f(75.5), rvSuctionOutTemp: f(76) },
        { reliefNoise: 'no', pumpDownTest: 'cannot-pull-down' },
      ).fault,
    ).toBe('compressor-not-pumping')
  })
  test('overcharge, non-condensables or dirty condenser: standing pressure', () => {
    expect(leader(R410A, { ...HIGH_AND_FULL, standingPressure: psig(330) }).fault).toBe('non-condensables')
    expect(
      share(run(R410A, { ...HIGH_AND_FULL, standingPressure: psig(253) }), 'non-condensables'),
    ).toBeLessThan(0.03)
    expect(leader(R410A, { ...HIGH_AND_FULL, liquidLineTemp: f(118) }, { outdoorFan: 'off' }).fault).toBe(
      'condenser-fouled',
    )
  })
})

describe('the ranking as a probability', () => {
  const sets: readonly Readings[] = [
    {},
    { suctionPressure: psig(90) },
    example('plugged-dryer').readingSets[0]!.readings,
  ]
  test.each(sets)('sums to one over the suspects, none negative (%#)', (readings) => {
    const { suspects } = run(R410A, readings)
    expect(suspects.reduce((sum, s) => sum + s.probability, 0)).toBeCloseTo(1, 9)
    for (const { probability, severity } of suspects) {
      expect(probability).toBeGreaterThanOrEqual(0)
      expect(severity).toBeGreaterThanOrEqual(0)
      expect(severity).toBeLessThanOrEqual(1)
    }
  })
  test('always holds healthy and unlisted, each suspect once', () => {
    const ids: string[] = run(R410A, {}).suspects.map(({ fault, also }) =>
      also ? `${fault}+${also}` : fault,
    )
    expect(ids).toEqual(expect.arrayContaining(['healthy', 'unlisted', 'plugged-liquid-dryer+undercharge']))
    expect(new Set(ids).size).toBe(ids.length)
  })
  test('a missing reading does not count: the answer is the same as without the key', () => {
    const { suspects } = run(R410A, { suctionPressure: psig(90), liquidLineTemp: undefined })
    expect(suspects).toEqual(run(R410A, { suctionPressure: psig(90) }).suspects)
  })
  test('one wild reading does not decide alone', () => {
    const sound = example('after-repair')
    const wild = { ...sound.readingSets[0]!.readings, supplyAirTemp: f(200), returnAirTemp: f(73) }
    expect(share(run(sound.unit, wild), 'healthy')).toBeGreaterThan(0.005)
  })
  test('only faults that the unit can have', () => {
    const ids = run({ ...R22, metering: 'capillary' }, {}).suspects.map(({ fault }) => fault)
    expect(ids).toContain('capillary-plugged')
    for (const absent of [
      'txv-underfeeding',
      'fixed-orifice-plugged',
      'reversing-valve-stuck-mid',
      'condenser-water-low-flow',
      'head-pressure-control-stuck',
    ]) {
      expect(ids).not.toContain(absent)
    }
  })
  test('a worse reading means a higher severity', () => {
    const severity = (out: number) => {
      const { suspects } = run(R410A, { dryerInTemp: f(90), dryerOutTemp: f(out) })
      return suspects.find(({ fault }) => fault === 'plugged-liquid-dryer')!.severity
    }
    expect(severity(65)).toBeGreaterThan(severity(82))
  })
})

describe('a dryer without a drop in temperature', () => {
  const starved = (liquid: number, drop?: number): Readings => ({
    suctionPressure: psig(85),
    liquidPressure: psig(340),
    suctionLineTemp: f(68),
    liquidLineTemp: f(liquid),
    outdoorAirTemp: f(85),
    returnAirTemp: f(75),
    ...(drop === undefined ? {} : { dryerInTemp: f(liquid - 1), dryerOutTemp: f(liquid - 1 - drop) }),
  })
  const plugged = (readings: Readings) =>
    run(R410A, readings)
      .suspects.filter(({ fault }) => fault === 'plugged-liquid-dryer')
      .reduce((sum, { probability }) => sum + probability, 0)
  test('is hardly plugged where little subcooling could hide it', () => {
    expect(plugged(starved(100, 0.3))).toBeLessThan(0.3 * plugged(starved(100)))
  })
  test('handbook 13: behind 29 F of subcooling it may be plugged all the same; a drop that shows decides', () => {
    expect(plugged(starved(76, 0.3))).toBeGreaterThan(0.004)
    expect(plugged(starved(76, 0.3))).toBeLessThan(plugged(starved(76)))
    expect(plugged(starved(76, 8))).toBeGreaterThan(0.7)
  })
})

describe('evidence', () => {
  const d = run(
    R22,
    { suctionPressure: psig(43), liquidPressure: psig(300), suctionLineTemp: f(76), liquidLineTemp: f(94) },
    { frostPattern: 'metering-device' },
  )
  test('is told in a technician sentence, what speaks for it first, the strongest first', () => {
    const { evidence } = d.suspects[0]!
    const subcooling = evidence.find(({ key }) => key === 'subcooling')!
    expect(subcooling.sentence).toBe(
      'Subcooling 37 F is 27 F above the 10 F target: liquid is piling up ahead of something.',
    )
    expect(evidence.find(({ key }) => key === 'frostPattern')!.sentence).toBe(
      'Frost or sweat begins at: metering device.',
    )
    for (const direction of ['for', 'against'] as const) {
      const weights = evidence
        .filter((each) => each.direction === direction)
        .map(({ weight }) => Math.abs(weight))
      expect(weights).toEqual([...weights].sort((a, b) => b - a))
    }
    const directions = evidence.map(({ direction }) => direction)
    expect(directions).toEqual([...directions].sort((a, b) => b.localeCompare(a)))
  })
  test('for and against follow the sign of the weight', () => {
    for (const { evidence } of d.suspects) {
      for (const { direction, weight } of evidence) expect(direction).toBe(weight > 0 ? 'for' : 'against')
    }
    const healthy = d.suspects.find(({ fault }) => fault === 'healthy')!
    expect(healthy.evidence.find(({ key }) => key === 'subcooling')!.direction).toBe('against')
  })
  test('speaks the display unit', () => {
    const celsius = diagnose(
      R22,
      { mode: 'cooling', readings: { liquidPressure: psig(300), liquidLineTemp: f(94) } },
      { temperature: 'C' },
    )
    expect(celsius.suspects[0]!.evidence.map(({ sentence }) => sentence).join()).toMatch(
      /Subcooling 20 C is 15 C above/,
    )
  })
})

describe('next checks', () => {
  const d = run(R410A, { suctionPressure: psig(88), liquidPressure: psig(330), suctionLineTemp: f(64) })
  test('name only readings that are missing, and never one already taken', () => {
    const subcooling = d.nextChecks.find(({ check }) => check === 'subcooling')
    expect(subcooling?.taps).toEqual(['liquidLineTemp'])
    expect(d.nextChecks.map(({ check }) => check)).not.toContain('superheat')
  })
  test('count the time of a pressure that is missing too, and say so', () => {
    const bare = run(R410A, {}).nextChecks.find(({ check }) => check === 'subcooling')!
    expect(bare).toMatchObject({ minutes: 5, taps: ['liquidPressure', 'liquidLineTemp'] })
    expect(bare.label).toBe('Clamp the liquid line at the condenser, and read liquid pressure')
    expect(d.nextChecks.find(({ check }) => check === 'subcooling')!.minutes).toBe(2)
  })
  test('are ordered by information a minute, three kinds of work first, with chances that sum to one', () => {
    const rates = d.nextChecks.map(({ gain, minutes }) => gain / (minutes + CARRY_MINUTES))
    const first = rates.slice(0, 3)
    expect(first).toEqual([...first].sort((a, b) => b - a))
    expect(new Set(d.nextChecks.slice(0, 3).map(({ check }) => workOf(check))).size).toBe(3)
    expect(rates[0]).toBe(Math.max(...rates))
    for (const { splits, gain } of d.nextChecks) {
      expect(gain).toBeGreaterThan(0)
      expect(splits.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 6)
    }
  })
  const checksOf = (readings: Readings) => run(R410A, readings).nextChecks.map(({ check }) => check)
  test('high head over much subcooling: the standing test or the scales come before general questions', () => {
    const asked = checksOf(HIGH_AND_FULL)
    const question = asked.findIndex(isGeneric)
    const split = asked.findIndex((check) => check === 'standingOverAmbient' || check === 'weighedCharge')
    expect(split).toBeGreaterThanOrEqual(0)
    expect(question === -1 || split < question).toBe(true)
  })
  test.each([
    ['high and full', HIGH_AND_FULL],
    ['nothing read', {}],
  ] as const)('the three shown first are three kinds of work (%s)', (_name, readings) => {
    const kinds = checksOf(readings).slice(0, 3).map(workOf)
    expect(kinds.length).toBe(3)
    expect(new Set(kinds).size).toBe(3)
  })
  test('taking the proposed reading leaves less doubt on average', () => {
    const entropy = (suspects: readonly { probability: number }[]) =>
      -suspects.reduce((h, { probability: p }) => h + (p > 0 ? p * Math.log2(p) : 0), 0)
    const after = run(R410A, {
      suctionPressure: psig(88),
      liquidPressure: psig(330),
      suctionLineTemp: f(64),
      liquidLineTemp: f(78),
    })
    expect(entropy(after.suspects)).toBeLessThan(entropy(d.suspects))
  })
  test('a dangerous check carries its caution', () => {
    const hot = run(
      { ...R410A, power: { rla: 12 } },
      { suctionPressure: psig(150), liquidPressure: psig(220) },
    )
    const amps = hot.nextChecks.find(({ check }) => check === 'compressorAmps')
    const pumpDown = hot.nextChecks.find(({ check }) => check === 'pumpDownTest')
    expect([amps?.caution, pumpDown?.caution].filter(Boolean).join()).toMatch(/qualified|minimum suction/)
  })
  test('a valve check is not proposed where there is no expansion valve', () => {
    const ids = run(R22, {
      suctionPressure: psig(43),
      liquidPressure: psig(300),
      suctionLineTemp: f(76),
    }).nextChecks.map(({ check }) => check)
    expect(ids).not.toContain('bulbWarmResponse')
  })
})

describe('gates', () => {
  const found: Readings = {
    suctionPressure: psig(88),
    liquidPressure: psig(350),
    suctionLineTemp: f(66),
    liquidLineTemp: f(86),
  }
  const gateOf = (readings: Readings, observations?: Observations) =>
    run(R410A, readings, { frostPattern: 'distributor-tubes', ...observations }).gates.find(
      ({ gate }) => gate === 'expansion-valve',
    )!
  test('the expansion valve is not condemned on pressures alone', () => {
    const gate = gateOf(found)
    expect(gate.met).toBe(false)
    expect(gate.onRecord.map(({ id }) => id)).toContain('charge-adequate')
    expect(gate.missing).toHaveLength(5)
  })
  test('opens when everything is on record', () => {
    const full = {
      ...found,
      dryerInTemp: f(85.5),
      dryerOutTemp: f(85),
      // 25 F of subcooling hide a drop in pressure: what is read behind the dryer decides
      dryerOutPressure: psig(347),
      returnAirTemp: f(76),
      supplyAirTemp: f(66),
    }
    const proven = { bulbState: 'tight-insulated', bulbWarmResponse: 'none', inletScreen: 'clean' } as const
    expect(gateOf(full, proven)).toMatchObject({
      met: true,
      missing: [],
    })
    expect(gateOf(full, { ...proven, bulbState: 'loose' }).met).toBe(false)
  })
  test.each([
    [84, true],
    [80, false],
  ])('dryer in 85 F, out %i F: ruled out %s', (out, ruledOut) => {
    const readings = { ...found, dryerInTemp: f(85), dryerOutTemp: f(out), dryerOutPressure: psig(347) }
    const gate = judgeGate('expansion-valve', recordOf(R410A, [{ mode: 'cooling', readings }]))
    expect(gate.onRecord.some(({ id }) => id === 'dryer-and-line')).toBe(ruledOut)
    expect(gate.missing.some(({ id }) => id === 'dryer-and-line')).toBe(!ruledOut)
  })
})

describe('circumstances', () => {
  test.each([
    ['a unit that does not heat with its circuit', 'heating', {}, 'not-covered'],
    ['a compressor that does not run', 'cooling', { compressorState: 'off' }, 'compressor-not-running'],
  ] as const)('%s, and it is said', (_name, mode, observations, flag) => {
    const d = run(R410A, { suctionPressure: psig(40), liquidPressure: psig(300) }, observations, mode)
    expect(d.flags.map(({ id }) => id)).toContain(flag)
    expect(d.judged).toEqual({})
  })
  test('an impossible pressure is flagged and the rest still judged', () => {
    const d = run(R410A, { suctionPressure: psig(5000), liquidPressure: psig(350), liquidLineTemp: f(86) })
    expect(d.flags.map(({ id }) => id)).toContain('outside-table')
    expect(d.judged.subcooling).toBeDefined()
  })
})

describe('which set speaks for a job', () => {
  const job = example('plugged-dryer')
  const after = {
    id: 'after',
    mode: 'cooling' as const,
    readings: example('after-repair').readingSets[0]!.readings,
  }
  test('the latest with evidence; an empty new set changes nothing', () => {
    const extended = {
      ...job,
      readingSets: [...job.readingSets, { id: 'empty', mode: 'cooling' as const, readings: {} }],
    }
    expect(diagnoseJob(extended).suspects[0]!.fault).toBe('plugged-liquid-dryer')
    expect(diagnoseJob(extended, 1).suspects[0]!.fault).toBe('healthy')
  })
  test('no set at all is an error with a sentence', () => {
    expect(() => diagnoseJob({ ...job, readingSets: [] })).toThrow(/take readings first/)
  })
  test('the plan follows the decision, else the last set that shows a fault', () => {
    const both = {
      ...job,
      unit: { ...job.unit, refrigerant: 'R-22' as const },
      readingSets: [...job.readingSets, after],
    }
    const decision = (fault: string, state: 'decided' | 'draft' = 'decided') => ({ id: fault, fault, state })
    expect(faultsToRepair({ ...both, decisions: [decision('undercharge')] })).toEqual(['undercharge'])
    expect(
      faultsToRepair({ ...both, decisions: [decision('undercharge'), decision('contactor-failed')] }),
    ).toEqual(['undercharge', 'contactor-failed'])
    expect(faultsToRepair({ ...job, decisions: [decision('not-a-fault')] })).toEqual(['plugged-liquid-dryer'])
    expect(faultsToRepair({ ...job, decisions: [decision('undercharge', 'draft')] })).toEqual([
      'plugged-liquid-dryer',
    ])
    expect(faultsToRepair({ ...job, readingSets: [] })).toEqual(['healthy'])
  })
})

describe('what is known beside the set', () => {
  const starved: Readings = { suctionPressure: psig(95), suctionLineTemp: f(66), evaporatorOutletTemp: f(62) }
  const fed: Readings = { suctionPressure: psig(95), suctionLineTemp: f(45), evaporatorOutletTemp: f(41) }
  const branch = (number: number, readings: Readings) => ({
    mode: 'cooling' as const,
    branch: number,
    readings,
  })
  const family = (sets: ReturnType<typeof branch>[], wanted: string) =>
    diagnose(R410A, sets[0]!, undefined, { sets })
      .suspects.filter((each) => each.family === wanted)
      .reduce((sum, { probability }) => sum + probability, 0)

  test('one starved branch among good ones is its valve, all of them the line or the charge', () => {
    const one = [branch(1, starved), branch(2, fed), branch(3, fed)]
    const all = [branch(1, starved), branch(2, starved)]
    expect(family(one, 'valve-starves')).toBeGreaterThan(2 * family(all, 'valve-starves'))
    const restLeads = family(all, 'leak') + family(all, 'liquid-line')
    expect(restLeads).toBeGreaterThan(2 * (family(one, 'leak') + family(one, 'liquid-line')))
    const said = diagnose(R410A, one[0]!, undefined, { sets: one })
      .suspects.flatMap(({ evidence }) => evidence)
      .find(({ key }) => key === 'branches')
    expect(said?.sentence).toMatch(/its own valve/)
  })
  test('a single branch, or sets without branches, say nothing of it', () => {
    const alone = diagnose(R410A, branch(1, starved), undefined, { sets: [branch(1, starved)] })
    expect(alone.suspects).toEqual(diagnose(R410A, { mode: 'cooling', readings: starved }).suspects)
  })
  test('history and kind move priors a little, and say so', () => {
    const plain = run(R22, {}).suspects.find(({ fault }) => fault === 'fixed-orifice-oversized')!
    const changed = diagnose(R22, { mode: 'cooling', readings: {} }, undefined, {
      history: { previousCompressor: true },
    }).suspects
    const moved = changed.find(({ fault }) => fault === 'fixed-orifice-oversized')!
    expect(plain.prior).toMatchObject({ factor: 1, because: [] })
    expect(moved.prior).toMatchObject({ factor: 2, because: ['a compressor changed before'] })
    expect(moved.probability / plain.probability).toBeGreaterThan(1.5)
    expect(changed.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9)
  })
  test('a warm box widens the superheat bands and says that the load is still high', () => {
    const cooler: UnitPlate = { kind: 'walk-in-cooler', refrigerant: 'R-404A', metering: 'txv' }
    const bands = (box: number) => run(cooler, { boxTemp: f(box), evaporatorOutletTemp: f(30) })
    const [cold, warm] = [bands(36), bands(55)]
    expect(warm.targets.superheat!.tolerance).toBeCloseTo(2 * cold.targets.superheat!.tolerance, 6)
    expect(warm.targets.superheat!.source).toMatch(/load is still high/)
    expect(warm.flags.map(({ id }) => id)).toContain('load-still-high')
    expect(cold.flags.map(({ id }) => id)).not.toContain('load-still-high')
  })
})
