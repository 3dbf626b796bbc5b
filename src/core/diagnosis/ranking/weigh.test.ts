import type { UnitPlate } from '../../record/equipment/unit'
import { studentT } from '../../base/numeric/densities'
import type { Observations, Readings } from '../../record/readings/schema'
import { assess, itemsOf } from '../evidence/assess'
import { hypothesesOf, prepare } from './components'
import { contributions, itemTotals } from './contributions'
import type { FeatureItem, Item } from '../evidence/items'
import { askChecks } from '../checks/nextCheck'
import { featureOutcomes, predictorOf, wordOutcomes } from './predict'
import { priorFactor } from '../faults/priors'
import { rank } from './rank'
import { type Ranked, wordSeverity } from './weigh'

const f = (value: number) => ({ value, unit: 'F' as const })
const psig = (value: number) => ({ value, unit: 'psig' as const })
const UNIT: UnitPlate = {
  kind: 'split-heat-pump',
  refrigerant: 'R-410A',
  metering: 'txv',
  power: { phase: 1, volts: 230, rla: 16, lra: 96, runCapacitor: { value: 45, unit: 'uF' } },
}
const READINGS: Readings = {
  suctionPressure: psig(92),
  liquidPressure: psig(330),
  suctionLineTemp: f(62),
  liquidLineTemp: f(84),
  outdoorAirTemp: f(88),
  returnAirTemp: f(75),
}
const SEEN: Observations = { frostPattern: 'distributor-tubes', bulbWarmResponse: 'none' }

const assessed = (readings: Readings, observations: Observations = {}) =>
  assess(UNIT, { mode: 'cooling', readings, observations })
const items = itemsOf(assessed(READINGS, SEEN))
const ranked = rank(UNIT, 'cooling', items)
const find = (all: readonly Ranked[], id: string) => all.find(({ hypothesis }) => hypothesis.id === id)!

describe('Bayes’ rule, checked against itself', () => {
  test('what an item says with all others known is what taking it out takes away [physics of probability]', () => {
    for (const [k, item] of items.entries()) {
      const without = rank(
        UNIT,
        'cooling',
        items.filter((each) => each !== item),
      )
      for (const id of ['healthy', 'undercharge', 'txv-underfeeding', 'plugged-liquid-dryer+undercharge']) {
        const odds = (all: readonly Ranked[]) =>
          find(all, id).probability / find(all, 'overcharge').probability
        const said = find(ranked, id).itemLogs[k]! - find(ranked, 'overcharge').itemLogs[k]!
        expect(Math.log(odds(ranked) / odds(without))).toBeCloseTo(said, 6)
      }
    }
  })
  test('the order in which evidence comes does not matter', () => {
    const backwards = rank(UNIT, 'cooling', items.toReversed())
    for (const { hypothesis, probability } of ranked) {
      expect(find(backwards, hypothesis.id).probability).toBeCloseTo(probability, 9)
    }
  })
  test('without evidence the priors stand, moved by kind', () => {
    const blank = rank(UNIT, 'cooling', [])
    const rows = prepare(UNIT, 'cooling')
    const ratio = (id: string) => find(blank, id).probability / find(blank, 'healthy').probability
    for (const { hypothesis } of rows) {
      const weights = hypothesis.weight / hypothesesOf(UNIT, 'cooling')[0]!.weight
      const { factor } = priorFactor(hypothesis.suspect, UNIT, {})
      expect(ratio(hypothesis.id)).toBeCloseTo(weights * factor, 9)
    }
  })
  test('electrical faults that leave the circuit sound are not moved by its features against a sound circuit', () => {
    const features = items.filter((item) => item.type === 'feature')
    const before = rank(UNIT, 'cooling', [])
    const after = rank(UNIT, 'cooling', features)
    const ratio = (all: readonly Ranked[]) =>
      find(all, 'supply-fault').probability / find(all, 'healthy').probability
    expect(ratio(after)).toBeCloseTo(ratio(before), 6)
    expect(find(after, 'txv-underfeeding').probability).toBeGreaterThan(
      10 * find(after, 'healthy').probability,
    )
  })
  test('a suspect with several ways of failing believes in the way that was seen', () => {
    const stands = { compressorState: 'off', controlVolts: 'live', loadVolts: 'dead' } as const
    const waysFor = (observations: Observations) => {
      const all = rank(UNIT, 'cooling', itemsOf(assessed({}, observations)))
      return find(all, 'contactor-failed')
    }
    const coil = waysFor({ ...stands, contactorPoints: 'not-pulled-in' })
    const burnt = waysFor({ ...stands, contactorPoints: 'pitted' })
    const worn = waysFor({ compressorState: 'running', contactorPoints: 'pitted' })
    for (const { ways } of [coil, burnt, worn]) expect(ways.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    expect([coil, burnt, worn].map(({ ways }) => ways.indexOf(Math.max(...ways)))).toEqual([0, 1, 2])
    expect(coil.probability).toBeGreaterThan(0.5)
  })
  test('beliefs within a suspect sum to one, severities stay between none and full', () => {
    for (const { weights, severity, hypothesis } of ranked) {
      expect(weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
      expect(severity).toBeGreaterThanOrEqual(0)
      expect(severity).toBeLessThanOrEqual(1)
      if (hypothesis.suspect === 'healthy') expect(severity).toBe(0)
    }
    expect(wordSeverity('supply-fault', 0)).toBe(1)
    expect(wordSeverity('undercharge', 0.4)).toBe(0.4)
  })
})

describe('error and doubt', () => {
  const feature = (part: Partial<FeatureItem>): Item[] => [
    { type: 'feature', key: 'subcooling', deviation: -3, error: 0.2, tolerance: 1.67, ...part },
  ]
  const leak = (all: Item[]) => {
    const result = rank(UNIT, 'cooling', all)
    return find(result, 'undercharge').probability / find(result, 'healthy').probability
  }
  test('a larger instrument error makes the same deviation less telling', () => {
    expect(leak(feature({ error: 2.5 }))).toBeLessThan(leak(feature({ error: 0.2 })))
  })
  test('so does a band that is wide for want of conditions', () => {
    // The same 5 K below target, three half widths of a narrow band or one of a wide one.
    expect(leak(feature({ deviation: -1, tolerance: 5 }))).toBeLessThan(leak(feature({})))
  })
  test('one wild reading costs a suspect, but never beyond recall', () => {
    const wild = rank(UNIT, 'cooling', feature({ deviation: 80 }))
    for (const { probability } of wild) expect(probability).toBeGreaterThan(1e-7)
  })
  test('heavier tails than a normal curve', () => {
    const normal = Math.exp(-0.5 * 6 ** 2) / Math.sqrt(2 * Math.PI)
    expect(studentT(6, 1)).toBeGreaterThan(1000 * normal)
    expect(studentT(-2, 0.7)).toBeCloseTo(studentT(2, 0.7), 12)
  })
})

describe('evidence', () => {
  const totals = itemTotals(ranked, items)
  test('others are everyone but oneself, weighted as often as each is found', () => {
    const self = find(ranked, 'txv-underfeeding')
    for (const { item, weight } of contributions(totals, self, items)) {
      const k = items.indexOf(item)
      let sum = 0
      let share = 0
      for (const other of ranked) {
        if (other === self) continue
        sum += other.prior * Math.exp(other.itemLogs[k]!)
        share += other.prior
      }
      expect(weight).toBeCloseTo(self.itemLogs[k]! - Math.log(sum / share), 6)
    }
  })
  test('a running compressor that nobody wrote down is counted and not told', () => {
    expect(items.filter((item) => 'implied' in item)).toHaveLength(1)
    expect(
      itemsOf(assessed(READINGS, { compressorState: 'running' })).some((item) => 'implied' in item),
    ).toBe(false)
    expect(
      itemsOf(assessed({ ohmsToGround: { value: 100, unit: 'ohm' } })).some((item) => 'implied' in item),
    ).toBe(false)
  })
})

describe('what a check may show', () => {
  const predictors = ranked.slice(0, 12).map(predictorOf)
  test.each(['temperatureSplit', 'dryerDrop'] as const)(
    '%s: chances sum to one under every suspect',
    (key) => {
      const outcomes = featureOutcomes(key, predictors)
      for (const i of predictors.keys()) {
        expect(outcomes.reduce((sum, { shares }) => sum + shares[i]!, 0)).toBeCloseTo(1, 4)
      }
    },
  )
  test.each(['bulbState', 'frostPattern', 'windings', 'branches'] as const)('%s: so do its words', (key) => {
    const outcomes = wordOutcomes(key, predictors)
    for (const i of predictors.keys()) {
      expect(outcomes.reduce((sum, { shares }) => sum + shares[i]!, 0)).toBeCloseTo(1, 2)
    }
  })
})

describe('which checks are asked', () => {
  const ask = (readings: Readings, observations: Observations = {}, unit = UNIT) => {
    const assessment = assess(unit, { mode: 'cooling', readings, observations })
    const evidence = itemsOf(assessment)
    return askChecks(assessment, rank(unit, 'cooling', evidence), evidence, [])
  }
  test('a compressor that stands is not asked for running readings, and power-off checks say so', () => {
    const { nextChecks } = ask({}, { compressorState: 'off', callForOperation: 'yes' })
    expect(nextChecks.length).toBeGreaterThan(2)
    for (const { check } of nextChecks) {
      expect(['suctionPressure', 'superheat', 'subcooling', 'contactor']).not.toContain(check)
    }
  })
  test('of a running unit they say that it must be stopped first', () => {
    const wrong = ask({}, { compressorState: 'trips-breaker', breaker: 'trips' })
    const ground = wrong.nextChecks.find(({ check }) => check === 'ground')
    expect(ground?.unmet).toMatch(/Lock out and prove it dead/)
    expect(ground?.caution).toMatch(/terminal cover stays on/)
    const running = ask({ contactorVoltageDrop: { value: 5, unit: 'V' } }, { compressorState: 'running' })
    for (const { check, unmet } of running.nextChecks) {
      if (check === 'contactorPoints') expect(unmet).toMatch(/the unit runs. Stop it/)
    }
  })
  test('a test whose plate value is missing is not asked', () => {
    const bare: UnitPlate = { kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }
    const { nextChecks } = ask({}, { compressorState: 'hums-and-trips' }, bare)
    for (const { check } of nextChecks) {
      expect(['supply', 'legAmps', 'startAttempt', 'runCapacitor', 'heater']).not.toContain(check)
    }
  })
  test('what would change my mind names another leader, at most one result a check', () => {
    const { mindChangers } = ask(READINGS, SEEN)
    const leader = ranked[0]!.hypothesis.suspect
    expect(mindChangers.length).toBeGreaterThan(0)
    for (const { leads, chance } of mindChangers) {
      expect(leads).not.toBe(leader)
      expect(chance).toBeGreaterThan(0.02)
    }
    expect(new Set(mindChangers.map(({ check }) => check)).size).toBe(mindChangers.length)
  })
})
