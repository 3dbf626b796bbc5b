import { DEFAULT_POLICY, POLICY_KEYS, policyDifferences, policyOf, policySchema } from './policy'
import { policyAnswer, policyRow } from './questions'

/** Orzo's own answer to every row of handbook 11, told here once more. */
const OWN: Readonly<Record<string, RegExp>> = {
  decayLimit: /^1,000 microns/,
  vacuumTarget: /^500 microns, 300 after a wet class/,
  evacuation: /^one pull when clean and dry, three/,
  brazingNitrogen: /^a trickle/,
  recoveredRefrigerant: /^back into the same equipment when the class is clean/,
  compressorRemoval: /^cut out/,
  r22: /^decided by the table/,
  flushSolvent: /^nitrogen and filters/,
  suctionDryer: /^when acid or debris shows/,
  liquidDryer: /^the same size when clean/,
  valveChange: /^changed when cheap and reachable/,
  leakHunt: /^nitrogen and bubbles first/,
  pressureSteps: /^in steps/,
  access: /^all is recovered unless the valves prove tight/,
  valveAdjustment: /^left until the load is normal/,
  wetRag: /^protects the valve/,
  testPressure: /^near the low-side limit of the plate/,
  decayTime: /^10 minutes, 15 after a wet class/,
  lastWord: /^weight first/,
  moistureSuctionDryer: /^the largest liquid dryer only/,
  equaliser: /^whichever has room/,
  tightness: /^a timed hold and every joint bubbled/,
  nitrogenStarts: /^at fit-up in wet weather/,
  conversionCharge: /^90 %/,
  chargeEntry: /^the liquid line/,
  oilRefill: /^what came out/,
  neighbours: /^the cheap ones/,
  feederTubes: /^sleeved/,
  dryerPlace: /^outside, reachable/,
}

test('every row of handbook 11 is there, and no other', () =>
  expect([...POLICY_KEYS].sort()).toEqual(Object.keys(OWN).sort()))
test.each(POLICY_KEYS)(
  '%s: Orzo’s own answer comes first, the others are told, and one sentence why',
  (key) => {
    const { answers, why } = policyRow(key)
    expect(policyAnswer(DEFAULT_POLICY, key)).toMatch(OWN[key]!)
    expect(Object.keys(answers).length).toBeGreaterThan(1)
    expect(Object.keys(answers)[0]).toBe(DEFAULT_POLICY[key])
    expect(why).toMatch(/^[A-Z][^.]*\.$/)
    // a key of digits would be sorted before the others by the language
    for (const id of Object.keys(answers)) expect(id).toMatch(/[a-z-]/)
  },
)
test('a stored policy keeps its answers, and is silent where it is older than a row', () => {
  const old = policySchema.parse({ evacuation: 'always-triple' })
  expect(policyOf(old)).toEqual({ ...DEFAULT_POLICY, evacuation: 'always-triple' })
  expect(policyDifferences(policyOf(old), DEFAULT_POLICY)).toEqual(['evacuation'])
  expect(policySchema.safeParse({ evacuation: 'never' }).success).toBe(false)
})
