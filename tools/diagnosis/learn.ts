// npm run learn [-- --cases=N --class=NAME --physics=A,B --folder=PATH]: writes the case books of the diagnosis from
// the simulated circuit, every case of a physics of its own. Seeded; minutes.
import { isSimulated } from '@/core/simulate/circuitFaults'
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { circuitFaultsOf } from '@/core/diagnosis/faults/applies'
import { assess } from '@/core/diagnosis/evidence/assess'
import type { StoredBook, StoredCases } from '@/core/diagnosis/ranking/cases/caseBook'
import { toByte } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES, type UnitClass } from '@/core/diagnosis/ranking/cases/unitClass'
import { FEATURE_KEYS, featureRow } from '@/core/diagnosis/evidence/features'
import { faultRow } from '@/core/diagnosis/faults/faults'
import { pairId, PAIRS } from '@/core/diagnosis/faults/pairs'
import { seededRandom, type RandomSource } from '@/core/base/numeric/random'
import { observationRow } from '@/core/record/readings/observations'
import { READING_KEYS } from '@/core/record/readings/vocabulary'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { seenInState } from '@/core/simulate/observe'
import { DESIGNS } from '@/core/simulate/scatter'
import { exactReadings } from '@/core/simulate/simulateSet'
import type { FaultNow } from '@/core/simulate/steady'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { choices, option } from '../run/options'
import { findUnit } from '../simulate/found'
import { CLASS_UNITS, withPlate } from '../simulate/fleet'
import { PHYSICS_NAMES, type PhysicsName } from '../simulate/physics'

const CASES = Number(option('cases') ?? 360)
/** Sound units are shared by every electrical suspect: they are worth more cases. */
const SOUND_TIMES = 4
const CLASSES = choices('class', UNIT_CLASSES, UNIT_CLASSES)
/** Cases are shared evenly among the families. */
const PHYSICS = choices<PhysicsName>('physics', PHYSICS_NAMES, ['family', 'second'])
/** Below this nobody would call it a fault. */
const LEAST_SEVERITY = 0.15
const LEAST_PAIR_SEVERITY = 0.3
const SEVERITY_STEPS = 250
const FOLDER = path.resolve(option('folder') ?? 'src/core/diagnosis/ranking/cases/books')

type Question = {
  readonly faults: (random: RandomSource, share: number) => FaultNow[]
  readonly otherMode?: true
}

const base64 = (bytes: readonly number[]) => Buffer.from(Int8Array.from(bytes).buffer).toString('base64')
const unsigned = (bytes: readonly number[]) => Buffer.from(Uint8Array.from(bytes)).toString('base64')

/** One solved state with the features it shows. */
function solve(
  unit: UnitPlate,
  unitClass: UnitClass,
  question: Question,
  share: number,
  random: RandomSource,
  physics: PhysicsName,
) {
  const mode = CLASS_UNITS[unitClass].mode
  const runs = question.otherMode ? (mode === 'cooling' ? 'heating' : 'cooling') : mode
  const faults = question.faults(random, share)
  const steady = findUnit({ unit, mode, runs, faults, physics, spreads: DESIGNS }, random)
  if (!steady) return undefined
  const readings = exactReadings(steady, READING_KEYS)
  const { targets, derived, snapshot, judged } = assess(unit, { mode, readings })
  const row = FEATURE_KEYS.map((key) => {
    const target = targets[key]
    const measured = judged[key]?.measured ?? (target && featureRow(key).measure(unit, snapshot, derived))
    if (!target || !measured) return undefined
    return { deviation: (measured.value - target.value) / target.tolerance, tolerance: target.tolerance }
  })
  return { steady, row, severity: faults[0]?.severity ?? 0 }
}

const wordIndex = (key: 'frostPattern' | 'sightGlass', word: string): number =>
  (observationRow(key).values as readonly string[]).indexOf(word)

function learn(
  unitClass: UnitClass,
  members: readonly UnitPlate[],
  id: string,
  question: Question,
  tolerances: number[][],
) {
  const cases = id === 'healthy' ? SOUND_TIMES * CASES : CASES
  const random = seededRandom(
    [...`${unitClass}/${id}`].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) >>> 0, 7),
  )
  const [severities, deviations, frost, glass]: number[][] = [[], [], [], []] as never
  for (let i = 0, tries = 0; i < cases && tries < 3 * cases; tries++) {
    const member = members[Math.floor(random() * members.length)] as UnitPlate
    const physics = PHYSICS[i % PHYSICS.length] as PhysicsName
    const found = solve(member, unitClass, question, (i + random()) / cases, random, physics)
    if (!found) continue
    i += 1
    severities!.push(Math.round(found.severity * SEVERITY_STEPS))
    for (const [k, cell] of found.row.entries()) {
      deviations!.push(toByte(cell?.deviation))
      if (cell) tolerances[k]!.push(cell.tolerance)
    }
    const { frostPattern, sightGlass } = seenInState(found.steady)
    frost!.push(wordIndex('frostPattern', frostPattern))
    glass!.push(wordIndex('sightGlass', sightGlass))
  }
  const stored: StoredCases = {
    severities: unsigned(severities!),
    deviations: base64(deviations!),
    frostPattern: unsigned(frost!),
    sightGlass: unsigned(glass!),
  }
  return { count: severities!.length, cases: stored }
}

function questionsOf(
  unitClass: UnitClass,
  members: readonly UnitPlate[],
): Map<string, { question: Question; members: UnitPlate[] }> {
  const { mode } = CLASS_UNITS[unitClass]
  const out = new Map<string, { question: Question; members: UnitPlate[] }>()
  out.set('healthy', { question: { faults: () => [] }, members: [...members] })
  const has = (member: UnitPlate, fault: string) =>
    (circuitFaultsOf(member, mode) as readonly string[]).includes(fault)
  const graded = (share: number) => LEAST_SEVERITY + (1 - LEAST_SEVERITY) * share
  const faults = new Set(members.flatMap((member) => circuitFaultsOf(member, mode).filter(isSimulated)))
  for (const fault of faults) {
    // Its cases are those of the fault it shows as, where a unit of the class can have that one.
    const twin = faultRow(fault).showsAs
    if (twin === 'healthy' || (twin && (faults as ReadonlySet<string>).has(twin))) continue
    out.set(fault, {
      question: { faults: (_random, share) => [{ fault, severity: graded(share) }] },
      members: members.filter((member) => has(member, fault)),
    })
  }
  for (const [first, second] of PAIRS) {
    const both = members.filter((member) => has(member, first) && has(member, second))
    if (both.length === 0 || !isSimulated(first) || !isSimulated(second)) continue
    const severe = (share: number) => LEAST_PAIR_SEVERITY + (1 - LEAST_PAIR_SEVERITY) * share
    const question: Question = {
      faults: (random, share) => [
        { fault: first, severity: severe(share) },
        { fault: second, severity: severe(random()) },
      ],
    }
    out.set(pairId(first, second), { question, members: both })
  }
  const reversible = members.filter(
    (member) => member.kind.includes('heat-pump') && unitClass !== 'heating-pool',
  )
  if (reversible.length > 0)
    out.set('wrong-mode', { question: { faults: () => [], otherMode: true }, members: reversible })
  return out
}

await loadRefrigerants(REFRIGERANT_NAMES)
mkdirSync(FOLDER, { recursive: true })
for (const unitClass of CLASSES) {
  const members = CLASS_UNITS[unitClass].units.map((unit) => withPlate(unit))
  const tolerances: number[][] = FEATURE_KEYS.map(() => [])
  const suspects: Record<string, StoredCases> = {}
  for (const [id, { question, members: able }] of questionsOf(unitClass, members)) {
    const { count, cases } = learn(unitClass, able, id, question, tolerances)
    if (count < CASES / 2) console.log(`${unitClass} ${id}: only ${count} cases solved`)
    if (count >= CASES / 4) suspects[id] = cases
  }
  const mean = (values: readonly number[]) =>
    values.length === 0 ? 1 : Number((values.reduce((a, b) => a + b, 0) / values.length).toPrecision(4))
  const book: StoredBook = { unitClass, features: FEATURE_KEYS, tolerances: tolerances.map(mean), suspects }
  writeFileSync(path.join(FOLDER, `${unitClass}.json`), `${JSON.stringify(book)}\n`)
  console.log(unitClass, Object.keys(suspects).length, 'suspects')
}
