import { diagnose } from '../answer/diagnose'
import { emptyJob, type KnownJob } from '../record/job/job'
import { planOf } from '../repair/plan/basis'
import { diagnosisJson } from './diagnosisJson'
import { planJson } from './planJson'
import { propertiesJson } from './propertiesJson'

const JOB: KnownJob = {
  ...emptyJob({ kind: 'split-ac', refrigerant: 'R-410A', metering: 'txv' }),
  readingSets: [
    {
      id: 'a',
      mode: 'cooling',
      readings: {
        suctionPressure: { value: 88, unit: 'psig' },
        liquidPressure: { value: 350, unit: 'psig' },
        suctionLineTemp: { value: 66, unit: 'F' },
        liquidLineTemp: { value: 86, unit: 'F' },
        suctionDryerInPressure: { value: 88, unit: 'psig' },
        suctionDryerOutPressure: { value: 87, unit: 'psig' },
      },
    },
  ],
}

type Shape = Record<string, unknown>
const keys = (value: unknown) => Object.keys(value as Shape).sort()

describe('shapes of design/architecture.md', () => {
  const json = diagnosisJson(diagnose(JOB.unit, JOB.readingSets[0]!)) as Record<string, Shape[]>
  test('diagnose', () => {
    expect(keys(json)).toEqual(['derived', 'flags', 'gates', 'nextChecks', 'suspects'])
    expect(keys(json.suspects![0])).toEqual(['evidence', 'family', 'fault', 'probability', 'severity'])
    expect(keys((json.suspects![0]!.evidence as Shape[])[0])).toEqual([
      'direction',
      'key',
      'sentence',
      'weight',
    ])
    expect(keys(json.nextChecks![0])).toEqual(expect.arrayContaining(['check', 'minutes', 'gain', 'splits']))
    expect(keys(json.gates![0])).toEqual(['gate', 'met', 'missing', 'part'])
  })
  test('derived values carry unit and error', () => {
    const derived = json.derived as unknown as Record<string, { value: number; error: number; unit: string }>
    expect(derived.superheat!.unit).toBe('F')
    expect(Math.abs(derived.superheat!.value - 41)).toBeLessThan(1)
    expect(derived.superheat!.error).toBeGreaterThan(1)
    expect(derived.suctionDryerDrop).toMatchObject({ value: 1, unit: 'psi' })
    expect(derived.compressionRatio!.unit).toBe('1')
  })
  test('plan', () => {
    const plan = planJson(planOf(JOB, ['txv-underfeeding'])) as Record<string, Shape>
    expect(keys(plan)).toEqual(
      expect.arrayContaining([
        'contamination',
        'dryers',
        'oil',
        'refrigerantPath',
        'parts',
        'tasks',
        'schedule',
      ]),
    )
    expect(keys(plan.contamination)).toEqual(
      expect.arrayContaining([
        'acid',
        'also',
        'class',
        'evidence',
        'known',
        'confidence',
        'settles',
        'water',
      ]),
    )
    const water = plan.contamination!.water as { sources: { grams: number }[]; totalGrams: number }
    expect(water.sources.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(water.totalGrams, 2)
  })
  test('everything survives JSON', () => {
    expect(JSON.parse(JSON.stringify(json))).toEqual(json)
  })
})

describe('properties', () => {
  type State = { temperature: { F: number; C: number }; pressure: { psig: number; psia: number } }
  const states = (answer: Shape) => answer as unknown as { bubble: State; dew: State; atmosphereKpa: number }
  test('by temperature and by pressure agree', () => {
    const byTemperature = states(
      propertiesJson({ refrigerant: 'R-407C', temperature: { value: 40, unit: 'F' } }),
    )
    const byPressure = states(
      propertiesJson({
        refrigerant: 'R-407C',
        pressure: { value: byTemperature.dew.pressure.psig, unit: 'psig' },
      }),
    )
    expect(byPressure.dew.temperature.F).toBeCloseTo(40, 1)
    expect(byPressure.bubble.temperature.F).toBeLessThan(32)
  })
  test('elevation moves the gauge, not the absolute pressure', () => {
    const question = { refrigerant: 'R-410A', temperature: { value: 40, unit: 'F' } } as const
    const [low, high] = [
      states(propertiesJson(question)),
      states(propertiesJson({ ...question, elevation: { value: 1750, unit: 'm' } })),
    ]
    expect(high.dew.pressure.psia).toBe(low.dew.pressure.psia)
    expect(high.dew.pressure.psig - low.dew.pressure.psig).toBeCloseTo(2.8, 1)
    expect(high.atmosphereKpa).toBeCloseTo(82, 0)
  })
})
