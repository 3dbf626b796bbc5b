import { viewOf } from '../record/job/rounds'
import { readFileSync } from 'node:fs'
import path from 'node:path'
import { knownJob } from '../record/job/known'
import { readJobText } from '../record/job/readJob'
import { planJson } from '../door/planJson'
import { faultsToRepair } from '../answer/diagnoseJob'
import { planOf } from './plan/basis'

/**
 * The eight jobs of docs/worked-cleanup.md. Their figures are calculated here once more from that page alone, by plain
 * arithmetic on its densities and shares; nothing of the code that plans is used for what is expected.
 */

const EXAMPLES = path.resolve(__dirname, '../../../examples/cleanup')
const read = (name: string) => readFileSync(path.join(EXAMPLES, `${name}.json`), 'utf8')

function planned(name: string) {
  const reading = readJobText(read(name))
  if (!reading.ok) throw new Error(JSON.stringify(reading))
  const job = knownJob(viewOf(reading.job))
  return planOf(job, faultsToRepair(job))
}

// the page's own figures
const POUND = 0.45359237
const OUNCE = POUND / 16
const FLUID_OUNCE = 0.0295735 // L
const VAPOUR = 21.63 // g/m3 at 75 F
const FILL = 0.25
const TAKEN = 0.75
const AT_75 = { 'R-410A': 1064.4, 'R-22': 1195.0, 'R-134a': 1210.9, 'R-404A': 1049.3 }
const AT_100 = { 'R-410A': 989.2, 'R-22': 1138.2, 'R-134a': 1156.1, 'R-404A': 977.5 }
const POE = { density: 0.98, full: 2500, fresh: 50 }
const MINERAL = { density: 0.91, full: 80, fresh: 20 }

/** g of liquid in a block of so many in^3. */
const inBlock = (block: number, name: keyof typeof AT_100) => (block * 16.387 * 0.5 * AT_100[name]) / 1000

type Sheet = {
  litres: number
  oilKg: number
  oil: typeof POE
  ppm: number
  came?: number
  free?: number
  changes: number
  sweeps: number
  hours: number
}

/** Grams left, worked down the page: capacity, in, oil, sweeps, vacuum. */
function gramsLeft({ litres, oilKg, oil, ppm, came = 0, free = 0, changes, sweeps, hours }: Sheet): number {
  const inOil = (oilKg * oil.full) / 1000
  const inGas = (litres / 1000) * VAPOUR
  const capacity = inOil + inGas + (litres / 1000) * 2
  let humid = (ppm / oil.full) * capacity + came
  let water = free
  for (let i = 0; i < changes; i++)
    humid = humid * (1 - (TAKEN * inOil) / capacity) + (oilKg * TAKEN * oil.fresh) / 1000
  for (let i = 0; i < sweeps; i++) {
    const takes = water > 0 ? inGas : (inGas * humid) / capacity
    const ofWater = Math.min(takes, water)
    water -= ofWater
    humid -= takes - ofWater
  }
  const boiling = Math.min(water / 16, hours)
  const rest = hours - boiling
  const gas = (humid * inGas) / capacity
  const stays = 0.2 * Math.exp(-rest / 4) + 0.8 * Math.exp(-rest / 48)
  return (humid - gas) * stays + water - boiling * 16
}

const likely = (plan: ReturnType<typeof planned>) => plan.contamination.water.remainder.likely * 1000
const liquid = (plan: ReturnType<typeof planned>) => plan.dryers.find(({ place }) => place === 'liquid')!
const suction = (plan: ReturnType<typeof planned>) => plan.dryers.find(({ place }) => place === 'suction')
const extraGrams = (plan: ReturnType<typeof planned>) =>
  (liquid(plan).holds - liquid(plan).oldHeld!.value) * 1000
const chosen = (plan: ReturnType<typeof planned>) => liquid(plan).chosen!.dryer
const parts = (plan: ReturnType<typeof planned>) => plan.parts.map(({ label }) => label).join('; ')

test('1 clean: block 8, no difference, 7 lb 15.2 oz', () => {
  const plan = planned('1-clean')
  expect(plan.contamination).toMatchObject({ class: 'clean', known: true, also: [] })
  const litres = (7 * POUND * 1000) / AT_75['R-410A'] / FILL + 2.16
  expect(plan.size.volume.value * 1000).toBeCloseTo(litres, 1)
  const left = gramsLeft({ litres, oilKg: 1.078, oil: POE, ppm: 50, changes: 0, sweeps: 1, hours: 0.6 })
  expect(left).toBeCloseTo(0.047, 3)
  expect(likely(plan)).toBeCloseTo(left, 3)
  expect(chosen(plan)).toMatchObject({ block: 8, core: 'sieve', flow: 'one-way' })
  expect(extraGrams(plan)).toBe(0)
  // handbook 09: about 0.6 oz/ft for the usual pair
  expect(plan.charge!.guess.value / OUNCE).toBeCloseTo(7 * 16 + 25 * 0.6065, 1)
})

test('2 debris in a capillary fridge: a size up for its dirt, new capillary, 13.3 oz', () => {
  const plan = planned('2-debris')
  expect(plan.contamination).toMatchObject({ class: 'debris', known: true })
  const byCharge = (12 * OUNCE) / 3.4
  const byAmps = (((115 * 1.8 * 0.9) / 1.3) * 1.6) / 3516.85
  expect(plan.size.tons.value).toBeCloseTo(Math.sqrt(byCharge * byAmps), 4)
  expect(chosen(plan)).toMatchObject({ block: 5, core: 'blend' })
  const extra = inBlock(5, 'R-134a') - inBlock(1, 'R-134a')
  expect(extraGrams(plan)).toBeCloseTo(extra, 1)
  expect((plan.charge!.guess.value / OUNCE).toFixed(1)).toBe((12 + extra / (OUNCE * 1000)).toFixed(1))
  expect((plan.charge!.guess.value / OUNCE).toFixed(1)).toBe('13.3')
  expect(plan.charge!.isExact).toBe(true)
  expect(parts(plan)).toMatch(/capillary of the same bore and length/)
  expect(plan.tasks.map(({ id }) => id)).toContain('swapCapillary')
  expect(suction(plan)).toBeUndefined()
})

test('3 mild acid: TAN 0.12, one change, 0.03; blend one size up; a suction dryer', () => {
  const plan = planned('3-mild-acid')
  expect(plan.contamination).toMatchObject({ class: 'mild-acid', known: true })
  expect(plan.contamination.acid).toMatchObject({ changes: 1, retestHours: [24], isMeasured: true })
  expect(plan.contamination.acid.after[0]!.tan).toBeCloseTo(0.12 * 0.25, 9)
  const litres = (6 * POUND * 1000) / AT_75['R-22'] / FILL
  const oilKg = 40 * FLUID_OUNCE * MINERAL.density
  const left = gramsLeft({ litres, oilKg, oil: MINERAL, ppm: 20, changes: 1, sweeps: 1, hours: 0.6 })
  expect(likely(plan)).toBeCloseTo(left, 3)
  expect(chosen(plan)).toMatchObject({ block: 8, core: 'blend' })
  expect(extraGrams(plan)).toBe(0)
  expect(suction(plan)!.chosen!.dryer).toMatchObject({ block: 16, core: 'blend' })
})

test('4 burnout: two changes to 0.019, alumina-rich 41 in³ and suction 30 in³, 8.2 oz more', () => {
  const plan = planned('4-burnout')
  expect(plan.contamination).toMatchObject({ class: 'burnout', known: true })
  expect(plan.contamination.acid.after.slice(0, 2).map(({ tan }) => Number(tan.toFixed(5)))).toEqual([
    0.075, 0.01875,
  ])
  expect(plan.contamination.acid.retestHours).toEqual([4, 24, 72])
  expect(chosen(plan)).toMatchObject({ block: 41, core: 'high-acid' })
  expect(suction(plan)!.chosen!.dryer).toMatchObject({ block: 30, core: 'high-acid' })
  const extra = inBlock(41, 'R-22') - inBlock(16, 'R-22')
  expect(extra / (OUNCE * 1000)).toBeCloseTo(8.2, 1)
  expect(extraGrams(plan)).toBeCloseTo(extra, 0)
  expect(plan.recovery.isDedicated).toBe(true)
  expect(plan.refrigerantPath.recovered).toBe('reclaim')
})

test('5 two years by the sea: 2.69 g came in, not 8.9; 0.54 g left; block 30; grams close', () => {
  const plan = planned('5-by-the-sea')
  expect(plan.contamination).toMatchObject({ class: 'wet', known: true, closes: true })
  const litres = (6 * POUND * 1000) / AT_75['R-410A'] / FILL
  const capacity = 3 + (litres / 1000) * (VAPOUR + 2)
  const came = 0.85 * capacity - 0.02 * capacity
  expect(came).toBeCloseTo(2.69, 2)
  const entered = plan.contamination.water.sources.find(({ id }) => id === 'entered')!
  expect(entered.kg.likely * 1000).toBeCloseTo(came, 2)
  const left = gramsLeft({ litres, oilKg: 1.2, oil: POE, ppm: 50, came, changes: 1, sweeps: 3, hours: 4 })
  expect(left).toBeCloseTo(0.542, 2)
  expect(likely(plan)).toBeCloseTo(left, 3)
  expect(chosen(plan)).toMatchObject({ block: 30, core: 'sieve' })
  expect(extraGrams(plan)).toBeCloseTo(inBlock(30, 'R-410A') - inBlock(8, 'R-410A'), 0)
  const { total, removed, remainder } = plan.contamination.water
  for (const side of ['low', 'likely', 'high'] as const)
    expect(removed[side] + remainder[side]).toBeCloseTo(total[side], 12)
})

test('6 water frozen at three valves: 12.47 g in, 1.33 left, new indicator, receiver kept, one-sided vacuum said', () => {
  const plan = planned('6-frozen-valves')
  expect(plan.contamination).toMatchObject({ class: 'wet', known: false })
  const litres = (14 * POUND * 1000) / AT_75['R-404A'] / FILL
  const oilKg = 64 * FLUID_OUNCE * POE.density
  const free = 0.3 * litres
  const left = gramsLeft({ litres, oilKg, oil: POE, ppm: 2500, free, changes: 1, sweeps: 3, hours: 4 })
  expect(left).toBeCloseTo(1.33, 1)
  expect(likely(plan)).toBeCloseTo(left, 1)
  expect(plan.contamination.water.total.likely * 1000).toBeCloseTo(12.54, 1)
  expect(chosen(plan)).toMatchObject({ block: 16, core: 'sieve' })
  expect(parts(plan)).toMatch(/moisture indicator/)
  expect(plan.access.chosen).toBe('pump-down')
  expect(plan.access.ways.find(({ way }) => way === 'pump-down')!.leaves).toMatch(/vacuum from one side only/)
})

test('7 capillary water-source heat pump: bi-flow block 5, every one-way refused', () => {
  const plan = planned('7-capillary-heat-pump')
  expect(plan.contamination).toMatchObject({ class: 'clean', known: true })
  expect(chosen(plan)).toMatchObject({ block: 5, flow: 'bi-flow' })
  const oneWay = liquid(plan).refused.filter(({ dryer }) => dryer.flow === 'one-way')
  expect(oneWay.length).toBeGreaterThan(10)
  for (const { judged } of oneWay)
    expect(judged.find(({ rule }) => rule === 'flow')).toMatchObject({ holds: false })
  const litres = (3 * POUND * 1000) / AT_75['R-410A'] / FILL
  const oilKg = 28 * FLUID_OUNCE * POE.density
  const left = gramsLeft({ litres, oilKg, oil: POE, ppm: 50, changes: 0, sweeps: 1, hours: 0.6 })
  expect(likely(plan)).toBeCloseTo(left, 3)
  expect(plan.access.ways[0]!.asks.join()).toMatch(/water coil drained or flowing/)
})

test('8 R-454B: goes in where listed, nowhere where not; its cautions stand at every step while it is there', () => {
  const listed = planned('8-listed')
  expect(listed.refrigerantPath).toMatchObject({ path: 'keep', goesIn: 'R-454B' })
  expect(parts(listed)).toMatch(/R-454B/)
  const not = planned('8-not-listed')
  expect(not.refrigerantPath).toMatchObject({
    path: 'back-to-listed',
    goesIn: 'R-410A',
    recovered: 'reclaim',
  })
  expect(parts(not)).not.toMatch(/R-454B/)
  expect(parts(not)).toMatch(/R-410A, 6\.5 lb/)
  expect(not.charge!.refrigerant).toBe('R-410A')
  for (const plan of [listed, not])
    for (const { id, cautions } of plan.tasks)
      expect([id, cautions.some((text) => text.includes('Flammable'))]).toEqual([id, true])
})

const NAMES = [
  '1-clean',
  '2-debris',
  '3-mild-acid',
  '4-burnout',
  '5-by-the-sea',
  '6-frozen-valves',
  '7-capillary-heat-pump',
  '8-listed',
  '8-not-listed',
]
test.each(NAMES)('%s: the door prints what stands in its golden file', (name) => {
  const golden = JSON.parse(readFileSync(path.join(EXAMPLES, 'plans', `${name}.json`), 'utf8')) as object
  expect(JSON.parse(JSON.stringify(planJson(planned(name))))).toEqual(golden)
})
