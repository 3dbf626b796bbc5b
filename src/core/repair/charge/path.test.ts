import { runs, seedOf } from '../../../../tools/run/propertyRuns'
import fc from 'fast-check'
import { isFlammable, REFRIGERANT_NAMES, type RefrigerantName } from '../../physics/refrigerants/catalogue'
import { emptyJob, type KnownJob } from '../../record/job/job'
import type { UnitPlate } from '../../record/equipment/unit'
import type { Observations, Readings } from '../../record/readings/schema'
import type { Repair } from '../../record/records/repair'
import type { SuspectId } from '../../diagnosis/faults/faults'
import { planOf } from '../plan/basis'
import { planJson } from '../../door/planJson'
import { goesIn, listingOf } from './listing'

const R22: UnitPlate = {
  kind: 'package-ac',
  refrigerant: 'R-22',
  metering: 'txv',
  nominalTons: 5,
  factoryCharge: { value: 10, unit: 'lb' },
}
const CLEAN: Observations = { acidTest: 'negative', acidTestKind: 'oil-kit', oilAppearance: 'clear' }
type Part = {
  unit?: Partial<UnitPlate>
  observations?: Observations
  readings?: Readings
  repair?: Repair
  policy?: KnownJob['policy']
}
const job = ({ unit, observations = CLEAN, readings = {}, repair, policy }: Part): KnownJob => ({
  ...emptyJob({ ...R22, ...unit }),
  readingSets: [{ id: 'a', mode: 'cooling', readings, observations }],
  ...(repair ? { repair } : {}),
  ...(policy ? { policy } : {}),
})
const plan = (part: Part, fault: SuspectId = 'txv-underfeeding') => planOf(job(part), [fault])
const path = (part: Part, fault?: SuspectId) => plan(part, fault).refrigerantPath
const row = (part: Part, name: RefrigerantName) =>
  path(part).comparison!.rows.find((each) => each.name === name)!

describe('keep, convert, go back', () => {
  test('kept where nothing was chosen; the table stands at this unit’s own temperatures', () => {
    const psig = (value: number) => ({ value, unit: 'psig' as const })
    const own = path({ readings: { suctionPressure: psig(68.5), liquidPressure: psig(260) } })
    expect(own).toMatchObject({ path: 'keep', goesIn: 'R-22', recovered: 'reuse-in-same-equipment' })
    // handbook 10: R-22 at 40 F 68.5 psig, at 120 F 259.9
    expect(
      [own.at.evaporating, own.at.condensing].map((kelvin) => Math.round(kelvin * 1.8 - 459.67)),
    ).toEqual([40, 120])
    expect(own.at.isMeasured).toBe(true)
    expect(path({}).at.isMeasured).toBe(false)
  })
  test.each([
    [{}, /while it is tight/],
    [{ r22: 'keep' }, /By policy R-22 is kept/],
    [{ r22: 'convert' }, /By policy a unit with R-22 is converted/],
  ] as const)('the policy %o on R-22 is told', (policy, sentence) =>
    expect(path({ policy }).reasons.join(' ')).toMatch(sentence),
  )
  test('R-407C in R-22 equipment: possible, POE, 90 % to start, valve, label, targets of the equipment', () => {
    const to = plan({ repair: { refrigerantTo: 'R-407C' } })
    expect(to.refrigerantPath).toMatchObject({ path: 'convert', goesIn: 'R-407C' })
    expect(to.oil).toMatchObject({ kind: { value: 'mineral' }, goesIn: 'POE', conversionChanges: 3 })
    expect(to.charge!.lines[0]!.kg).toBeCloseTo(0.9 * 10 * 0.45359237, 9)
    expect(to.tasks.map(({ id }) => id)).toEqual(expect.arrayContaining(['checkMetering', 'labelUnit']))
    expect(to.refrigerantPath.work.join()).toMatch(/targets stay those of the equipment/)
    const plate = plan({ repair: { refrigerantTo: 'R-407C' }, policy: { conversionCharge: 'plate' } })
    expect(plate.charge!.lines[0]!.kg).toBeCloseTo(10 * 0.45359237, 9)
    expect(plan({ repair: { refrigerantTo: 'R-438A' } }).oil.goesIn).toBe('mineral')
  })
  test.each([
    ['R-410A', /beyond what the equipment was built for|not built for/],
    ['R-454B', /not listed|Burns|burns/],
    ['R-32', /not listed|Burns|burns/],
  ] as const)('%s in R-22 equipment is refused whatever was chosen', (name, reason) => {
    const found = path({ repair: { refrigerantTo: name } })
    expect(found).toMatchObject({ path: 'keep', goesIn: 'R-22' })
    expect(found.reasons.join(' ')).toMatch(reason)
    expect(row({}, name).suitability).toMatchObject({ verdict: 'refused' })
  })
  test('a refused choice chooses no dryer either, and one that nobody compares is compared before it goes in', () => {
    const unit = { designPressures: { high: { value: 320, unit: 'psig' } } } as const
    const kept = plan({ unit })
    const asked = plan({ unit, repair: { refrigerantTo: 'R-407C' } })
    expect(asked.refrigerantPath.goesIn).toBe('R-22')
    expect(asked.dryers).toEqual(kept.dryers)
    const odd = path({ repair: { refrigerantTo: 'R-507A' } })
    expect(odd.comparison!.rows.some(({ name }) => name === 'R-507A')).toBe(true)
    expect(odd.goesIn).toBe(
      row({ repair: { refrigerantTo: 'R-507A' } }, 'R-507A').suitability.verdict === 'refused'
        ? 'R-22'
        : 'R-507A',
    )
    expect(path({ repair: { refrigerantTo: 'R-12' } })).toMatchObject({ path: 'keep', goesIn: 'R-22' })
  })
  test('an A1 retrofit is allowed where its pressures fit the plate, refused where they pass it', () => {
    const at = (psig: number) =>
      row({ unit: { designPressures: { high: { value: psig, unit: 'psig' } } } }, 'R-407C').suitability
    // R-407C bubble at 130 F is about 343 psig
    expect(at(400).verdict).toBe('possible')
    expect(at(320)).toMatchObject({ verdict: 'refused' })
    expect(at(320).reasons.join()).toMatch(/design pressure of the plate/)
  })
})

describe('what becomes of the recovered charge', () => {
  const STRIP: Observations = { acidTest: 'negative', acidTestKind: 'refrigerant-strip' }
  test.each([
    [CLEAN, 'txv-underfeeding', {}, 'reuse-in-same-equipment'],
    [STRIP, 'txv-underfeeding', {}, 'reuse-in-same-equipment'],
    [STRIP, 'compressor-grounded', {}, 'reclaim'],
    [CLEAN, 'compressor-grounded', {}, 'reuse-in-same-equipment'],
    [{}, 'txv-underfeeding', {}, 'reclaim'],
    [{ acidTest: 'weak' }, 'txv-underfeeding', {}, 'reclaim'],
    [{ ...CLEAN, moistureIndicator: 'wet' }, 'txv-underfeeding', {}, 'reclaim'],
    [CLEAN, 'txv-underfeeding', { recoveredRefrigerant: 'always-reclaimed' }, 'reclaim'],
  ] as const)('%o after %s with %o: %s', (observations, fault, policy, recovered) => {
    const found = path({ observations, policy }, fault)
    expect(found.recovered).toBe(recovered)
    expect(found.recoveredReason.length).toBeGreaterThan(20)
  })
  test('a strip frees nothing after an electrical failure, in words', () =>
    expect(
      path({ observations: { ...STRIP, oilAppearance: 'clear' } }, 'compressor-grounded').recoveredReason,
    ).toMatch(/mild acid|strip frees nothing/))
})

describe('flammable refrigerants only where listed', () => {
  test('the plate is the listing where it says no other', () => {
    expect(listingOf({ ...R22, refrigerant: 'R-454B' }, 'R-454B').ok).toBe(true)
    expect(listingOf({ ...R22, refrigerant: 'R-454B', listedFor: ['R-410A'] }, 'R-454B').ok).toBe(false)
    expect(listingOf({ ...R22, refrigerant: 'R-290', convertedFrom: 'R-22' }, 'R-290').ok).toBe(false)
    expect(listingOf({ ...R22, listedFor: ['R-22', 'R-454B'] }, 'R-454B').ok).toBe(true)
    expect(goesIn({ ...R22, refrigerant: 'R-290', convertedFrom: 'R-22' }, undefined)).toBe('R-22')
  })
  test('nothing that may go in: replace the unit, no refrigerant on the list', () => {
    const unit = {
      refrigerant: 'R-290',
      listedFor: [] as RefrigerantName[],
      convertedFrom: 'R-454B',
    } as const
    const found = plan({ unit: { ...unit, convertedFrom: 'R-600a', listedFor: [] } })
    expect(found.refrigerantPath).toMatchObject({ path: 'replace-unit', goesIn: undefined })
    expect(found.charge).toBeUndefined()
    expect(found.parts.map(({ label }) => label).join()).not.toMatch(/R-290|R-600a/)
  })
  test('over all refrigerants, listings and choices nothing flammable is offered that is not listed', () => {
    const name = fc.constantFrom(...REFRIGERANT_NAMES)
    fc.assert(
      fc.property(
        name,
        fc.option(name, { nil: undefined }),
        fc.option(fc.uniqueArray(name, { maxLength: 3 }), { nil: undefined }),
        fc.option(name, { nil: undefined }),
        (refrigerant, convertedFrom, listedFor, chosen) => {
          const unit: UnitPlate = {
            ...R22,
            refrigerant,
            ...(convertedFrom ? { convertedFrom } : {}),
            ...(listedFor ? { listedFor } : {}),
          }
          const found = planOf(
            { ...job({ ...(chosen ? { repair: { refrigerantTo: chosen } } : {}) }), unit },
            ['txv-underfeeding'],
          )
          const to = found.refrigerantPath.goesIn
          if (to) expect(listingOf(unit, to).ok).toBe(true)
          const offered = [
            ...(found.refrigerantPath.comparison?.rows ?? [])
              .filter(({ suitability }) => suitability.verdict === 'possible')
              .map((each) => each.name),
            ...(to ? [to] : []),
          ]
          for (const each of offered.filter(isFlammable)) expect(listingOf(unit, each).ok).toBe(true)
          const text = JSON.stringify([found.parts, found.charge])
          for (const each of REFRIGERANT_NAMES.filter(isFlammable))
            if (!listingOf(unit, each).ok) expect(text).not.toContain(`"${each}`)
          if (isFlammable(refrigerant) || (to && isFlammable(to)))
            expect(
              found.tasks.every(({ cautions }) => cautions.some((each) => each.startsWith('Flammable'))),
            ).toBe(true)
        },
      ),
      { numRuns: runs(40, 400), seed: seedOf(454) },
    )
  }, 60_000)
})

test('unknown is never planned cleaner than the fault asks for: a burn is mild acid at least until its oil is tested', () => {
  const words = fc.record(
    {
      oilAppearance: fc.constantFrom('clear', 'amber', 'dark', 'burnt-smell' as const),
      moistureIndicator: fc.constantFrom('dry', 'wet' as const),
      acidTest: fc.constantFrom('negative', 'weak', 'strong' as const),
    },
    { requiredKeys: [] },
  )
  const burns = fc.constantFrom(
    'compressor-grounded',
    'compressor-open-winding',
    'compressor-shorted-turns' as const,
  )
  fc.assert(
    fc.property(words, burns, (observations, fault) => {
      const { contamination } = plan({ observations: observations as Observations }, fault as SuspectId)
      expect(contamination.contents.acid).not.toBe('none')
      expect(contamination.class).not.toBe('clean')
    }),
    { numRuns: runs(30, 300), seed: seedOf(5) },
  )
})

test('the door prints class, ledgers, dryers, oil, path, recovery, charge and policy', () => {
  const printed = planJson(plan({ observations: { moistureIndicator: 'wet' } })) as Record<string, never>
  for (const key of [
    'size',
    'contamination',
    'dryers',
    'oil',
    'refrigerantPath',
    'recovery',
    'charge',
    'policy',
  ])
    expect([key, printed[key] !== undefined && printed[key] !== null]).toEqual([key, true])
  expect(JSON.parse(JSON.stringify(printed))).toBeTruthy()
})
