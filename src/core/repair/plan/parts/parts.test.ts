import type { SuspectId } from '../../../diagnosis/faults/faults'
import type { UnitPlate } from '../../../record/equipment/unit'
import { emptyJob, type KnownJob } from '../../../record/job/job'
import type { Day } from '../../../record/records/day'
import type { Observations } from '../../../record/readings/schema'
import type { Repair } from '../../../record/records/repair'
import { planOf } from '../basis'
import { PART_IDS, partRow, withDragged } from './catalogue'
import { compareMatch, type MatchId, nominalVolts } from './match'
import { cubicFeet, nitrogenFor } from './nitrogen'
import { jointsOf } from './taskParts'

type Case = {
  readonly unit?: Partial<UnitPlate>
  readonly repair?: Repair
  readonly day?: Day
  readonly observations?: Observations
  readonly causes?: readonly string[]
}
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit' }

function partsOf(
  faults: readonly SuspectId[],
  { unit = {}, repair = {}, day = {}, observations = CLEAN, causes = [] }: Case = {},
) {
  const job: KnownJob = {
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3, ...unit }),
    repair,
    day,
    readingSets: [{ id: 'a', mode: 'off', readings: {}, observations }],
    decisions: faults.map((fault) => ({
      id: fault,
      fault,
      state: 'decided' as const,
      override: 'shown by the owner',
      causes: [...causes],
    })),
  }
  return planOf(job, faults, { holding: [] }).parts
}
const ids = (...given: Parameters<typeof partsOf>) =>
  partsOf(...given).map(({ id }) => id.replace('part:', ''))

describe('what a part drags along', () => {
  test.each<readonly [string, readonly SuspectId[], Case, readonly string[], readonly string[]]>([
    [
      'a valve: gaskets, strap, insulation',
      ['txv-underfeeding'],
      {},
      [
        'expansion-valve',
        'gaskets',
        'bulb-strap',
        'bulb-insulation',
        'liquid-dryer',
        'cores-caps-seals',
        'tags',
      ],
      ['contactor', 'indicator'],
    ],
    [
      'a reversing valve: its coil, paste',
      ['reversing-valve-stuck-mid'],
      { unit: { kind: 'split-heat-pump' } },
      ['reversing-valve', 'reversing-valve-coil', 'heat-blocking'],
      [],
    ],
    [
      'a compressor on one phase: contactor and run capacitor',
      ['compressor-open-winding'],
      { unit: { power: { phase: 1 } } },
      ['compressor', 'run-capacitor', 'contactor', 'rods-silver'],
      [],
    ],
    [
      'on three phases no run capacitor',
      ['compressor-open-winding'],
      { unit: { power: { phase: 3 } } },
      ['compressor', 'contactor'],
      ['run-capacitor'],
    ],
    [
      'flooded starts: a heater',
      ['compressor-open-winding'],
      { causes: ['flooded-start'] },
      ['crankcase-heater'],
      [],
    ],
    [
      'ran out of charge: a low-pressure switch',
      ['compressor-open-winding'],
      { causes: ['ran-out-of-charge'] },
      ['low-pressure-switch'],
      [],
    ],
    [
      'wet: an indicator',
      ['txv-underfeeding'],
      { observations: { ...CLEAN, moistureIndicator: 'wet' } },
      ['indicator'],
      [],
    ],
    [
      'debris in a capillary: a capillary and its cutter',
      ['compressor-open-winding'],
      { unit: { metering: 'capillary' }, observations: { oilAppearance: 'metal-flakes' } },
      ['capillary', 'capillary-cutter'],
      [],
    ],
    [
      'piston to scroll: kit and starting gear',
      ['compressor-open-winding'],
      { repair: { compressorWay: 'piston-to-scroll' } },
      ['compressor', 'scroll-kit', 'start-gear'],
      [],
    ],
    [
      'the whole condensing unit: no compressor',
      ['compressor-open-winding'],
      { repair: { compressorWay: 'condensing-unit' } },
      ['condensing-unit', 'contactor'],
      ['compressor', 'run-capacitor', 'feet'],
    ],
    [
      'a header becomes a distributor',
      ['fixed-orifice-plugged'],
      { unit: { metering: 'fixed-orifice' }, repair: { orificeWay: 'distributor', feederTubes: 8 } },
      ['distributor', 'expansion-valve'],
      ['orifices'],
    ],
    [
      'two faults: both, each part once',
      ['txv-underfeeding', 'compressor-open-winding'],
      {},
      ['expansion-valve', 'compressor'],
      [],
    ],
    [
      'a closed repair uses no nitrogen',
      ['contactor-failed'],
      {},
      ['contactor'],
      ['nitrogen', 'liquid-dryer', 'recovery-cylinder'],
    ],
  ])('%s', (_name, faults, given, has, hasNot) => {
    const list = ids(faults, given)
    expect(list).toEqual(expect.arrayContaining([...has]))
    for (const id of hasNot) expect(list).not.toContain(id)
    expect(new Set(list).size).toBe(list.length)
  })
  test('every part that is dragged is one, and none drags itself round', () => {
    for (const id of PART_IDS) {
      for (const each of partRow(id).drags ?? []) expect(PART_IDS).toContain(each)
      expect(new Set(withDragged([id])).size).toBe(withDragged([id]).length)
    }
  })
})

describe('what is not proven or agreed is not bought', () => {
  const job = (decisions: KnownJob['decisions'], day: Day = {}): KnownJob => ({
    ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv', nominalTons: 3 }),
    readingSets: [{ id: 'a', mode: 'cooling', readings: {}, observations: CLEAN }],
    decisions,
    day,
  })
  const fault = 'compressor-open-winding'
  const hold = (...given: Parameters<typeof job>) => {
    const plan = planOf(job(...given), [fault])
    return [
      plan.parts.find(({ id }) => id === 'part:compressor')!.hold,
      plan.tasks.some(({ id }) => id === 'proveFirst'),
    ]
  }
  const decided = { id: fault, fault, state: 'decided' as const }
  test('suspected; gate shut; reason written; agreed', () => {
    expect(hold([])).toEqual(['prove first: suspected, not decided', true])
    expect(hold([decided])).toEqual(['prove first: not proven yet', true])
    expect(hold([{ ...decided, override: 'windings shown by the owner' }])).toEqual([
      'not before the owner agrees',
      false,
    ])
    expect(
      hold([{ ...decided, override: 'windings shown by the owner' }], { quote: { answer: 'given' } }),
    ).toEqual([undefined, false])
    expect(
      hold([{ ...decided, override: 'windings shown by the owner' }], { quote: { answer: 'refused' } }),
    ).toEqual(['the owner refused', false])
  })
  test('its missing points are the task', () => {
    const { tasks, proofs } = planOf(job([decided]), [fault])
    expect(proofs).toEqual([expect.objectContaining({ isFirst: true, why: 'gate-shut' })])
    const { missing, atTerminals } = proofs[0]!
    expect(atTerminals.length).toBeGreaterThan(0)
    expect(tasks.find(({ id }) => id === 'proveFirst')!.notes).toEqual(
      missing.filter((point) => !atTerminals.includes(point)),
    )
    expect(tasks.find(({ id }) => id === 'proveAtTerminals')!.notes).toEqual(atTerminals)
    expect(proofs[0]!.missing.length).toBeGreaterThan(0)
  })
  test('weeks between quote and day: the unit is looked at again', () => {
    const tasks = (start: string) =>
      planOf(
        job([], {
          start,
          quote: { askedAt: '2026-10-01T08:00', answer: 'given', answeredAt: '2026-10-05T08:00' },
        }),
        [fault],
      )
    expect(tasks('2026-10-12T08:00').tasks.some(({ id }) => id === 'recheck')).toBe(false)
    const late = tasks('2026-11-12T08:00')
    expect(late.tasks.some(({ id }) => id === 'recheck')).toBe(true)
    expect(late.approval.sentence).toMatch(/agreed, 38 days before the work\. More than 14 days/)
  })
})

describe('match', () => {
  test.each<readonly [MatchId, string, string, string]>([
    ['refrigerant', 'R-410A', 'r-410a', 'fits'],
    ['refrigerant', 'R-410A', 'R-22', 'differs'],
    ['capacity', '3 tons', '3.2 tons', 'fits'],
    ['capacity', '3 tons', '4 tons', 'differs'],
    ['capacity', '3 tons', '3', 'fits'],
    ['capacity', '36,000 Btu/h', '3 tons', 'unknown'],
    ['ports', '2', '1', 'differs'],
    ['ports', '2', '3', 'fits'],
    ['amps', '20 A', '25 A', 'fits'],
    ['amps', '20 A', '15 A', 'differs'],
    ['volts', '230 V', '', 'unknown'],
    ['volts', '208 V', '208', 'fits'],
    ['volts', '208 V', '230 V', 'differs'],
    ['phase', '3 phases', '3', 'fits'],
    ['phase', '3 phases', '1 phase', 'differs'],
    ['connections', '3/8', '3/4', 'differs'],
    ['connections', '3/8 x 1/2', '3/8 X 1/2', 'fits'],
    ['microfarad', '45 uF', '45 uF', 'fits'],
  ])('%s: %s against %s %s', (id, wanted, offered, fit) => {
    expect(compareMatch(id, wanted, offered)).toBe(fit)
  })
  test('the plate fills what it knows, an edit what it does not', () => {
    const edits: Day = {
      parts: {
        'part:expansion-valve': {
          wanted: { equaliser: 'external 1/4' },
          offered: { equaliser: 'internal', capacity: '3 tons' },
        },
      },
    }
    const valve = partsOf(['txv-underfeeding'], { day: edits }).find(
      ({ id }) => id === 'part:expansion-valve',
    )!
    const point = (id: string) => valve.match.find((each) => each.id === id)!
    expect(point('refrigerant').wanted).toBe('R-410A')
    expect(point('capacity')).toMatchObject({ wanted: '3 tons', offered: '3 tons', fit: 'fits' })
    expect(point('equaliser')).toMatchObject({ wanted: 'external 1/4', fit: 'differs' })
    expect(point('chargeType').fit).toBe('unknown')
  })
  test('struck off, renamed, added by hand', () => {
    const list = partsOf(['txv-underfeeding'], {
      day: {
        parts: { 'part:tags': { struck: true }, 'part:nitrogen': { quantity: '80 ft³', label: 'nitrogen' } },
        ownParts: [{ id: 'ladder', label: 'long ladder' }],
      },
    })
    expect(list.find(({ id }) => id === 'part:tags')!.struck).toBe(true)
    expect(list.find(({ id }) => id === 'part:nitrogen')).toMatchObject({
      label: 'nitrogen',
      quantity: '80 ft³',
    })
    expect(list.find(({ id }) => id === 'part:ladder')).toMatchObject({ isOwn: true, label: 'long ladder' })
  })
})

describe('quantities', () => {
  test('nitrogen: Boyle’s law [physics], 10 L to 300 psig', () => {
    // 0.010 m3 x 300 psi / 14.696 psi = 0.2041 m3 = 7.21 ft3; one sweep of five volumes 0.05 m3 = 1.77 ft3
    const need = { volume: 0.01, sweeps: 1, flame: 0, test: 300 * 6894.757, breaks: 0 }
    const found = nitrogenFor(need)
    expect(cubicFeet(found.test)).toBeCloseTo(7.21, 2)
    expect(cubicFeet(found.sweep)).toBeCloseTo(1.77, 2)
    expect(cubicFeet(found.withRound)).toBeCloseTo(2 * 8.98, 1)
    expect(found.cylinder).toBe(20)
    // 5 ft3 an hour while half of 60 minutes has a flame on
    expect(cubicFeet(nitrogenFor({ ...need, flame: 60 }).brazing)).toBeCloseTo(2.5, 6)
    expect(nitrogenFor({ ...need, volume: 0.2 })).toMatchObject({ cylinder: 125, cylinders: 4 })
  })
  test('joints: a valve and a dryer, a flare, a header of eight', () => {
    expect(jointsOf(['swapValve', 'swapLiquidDryer'], 6, false)).toEqual({ copper: 5, steel: 0 })
    expect(jointsOf(['swapValveFlare', 'swapLiquidDryer'], 6, true)).toEqual({ copper: 0, steel: 0 })
    expect(jointsOf(['swapHeader'], 8, false).copper).toBe(11)
    expect(jointsOf(['swapCompressor'], 6, false)).toEqual({ copper: 1, steel: 2 })
  })
  test('no rods and no extinguisher where nothing is brazed', () => {
    const ids = partsOf(['txv-underfeeding'], {
      unit: { oldDryer: { cubicInches: 8, joint: 'flare' } },
      repair: { valveJoints: 'flare' },
    }).map(({ id }) => id)
    expect(ids).toContain('part:nitrogen')
    for (const id of ['part:rods-copper', 'part:rods-silver', 'part:extinguisher'])
      expect(ids).not.toContain(id)
    expect(partsOf(['txv-underfeeding']).map(({ id }) => id)).toContain('part:extinguisher')
  })
  test('the list says cubic feet, rods, cylinders', () => {
    const list = partsOf(['compressor-open-winding'])
    const line = (id: string) => list.find((each) => each.id === `part:${id}`)!
    expect(line('nitrogen').why).toMatch(
      /^sweeps [\d.]+ ft³, brazing [\d.]+ ft³, test [\d.]+ ft³: [\d.]+ ft³; with one round more [\d.]+ ft³$/,
    )
    expect(line('rods-copper').quantity).toBe('1')
    expect(line('rods-silver').why).toBe('2 joints with steel or brass')
    expect(line('refrigerant').quantity).toBe('1 new cylinder')
    expect(line('recovery-cylinder').quantity).toBe('1')
  })
})

describe('volts that a coil is ordered for: within 15 % of what it is named for', () => {
  test.each([
    [24.6, 24],
    [20.5, 24],
    [20.3, 20.3],
    [27.5, 24],
    [27.7, 27.7],
    [212, 208],
    [228, 230],
    [118, 115],
  ])('%p V: %p V', (read, named) => expect(nominalVolts(read)).toBe(named))
})
