// npm run -s bench:diagnosis [-- OPTIONS]: how often the ranking is right on simulated units of all kinds and modes: conditions,
// faults of the circuit and electrical ones, severities 0.3-1, instruments, random subsets of readings, observations with
// lapses; on physics of the family that the books know and on one that they do not. Seeded; prints JSON.
//   --cases=N           4,000 of each physics unless said otherwise
//   --seeds=NAME        quoted (nobody tunes to them), tune, kept (for the end), train (for the learner beside it)
//   --physics=A,B       family, foreign, usual
//   --books=FOLDER      other case books (npm run learn -- --folder=FOLDER)
//   --faults=equal, --readings=even
//   --lines=FILE        the evidence of every case, one JSON line each, for tools/diagnosis/ceiling.py
import { appendFileSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { performance } from 'node:perf_hooks'
import { keepBook, loadBooks } from '@/core/diagnosis/ranking/cases/caseBook'
import { UNIT_CLASSES } from '@/core/diagnosis/ranking/cases/unitClass'
import { diagnose, type Suspect } from '@/core/answer/diagnose'
import { familyOf } from '@/core/diagnosis/faults/families'
import { REFRIGERANT_NAMES } from '@/core/physics/refrigerants/catalogue'
import { loadRefrigerants } from '@/core/physics/refrigerants/tables'
import { choices, option } from '../run/options'
import ceiling from '../diagnosis/ceiling.json'
import { PHYSICS_NAMES, type PhysicsName } from '../simulate/physics'
import { type Case, drawCase, type DrawOptions } from './diagnosis/draw'
import { COLUMNS, evidenceLine } from './diagnosis/evidence'
import { afterChecks, everything } from './diagnosis/further'
import {
  ANSWER,
  Beliefs,
  Calibration,
  Counter,
  type Hit,
  hitOf,
  isRight,
  leadingFamily,
  median,
  Score,
  Scores,
  shareOf,
} from './diagnosis/scores'

/** Where each run of seeds begins. */
const SEEDS = { tune: 1, quoted: 5_000_001, kept: 2_000_001, train: 3_000_001 } as const
const CASES = Number(option('cases') ?? 4000)
const SEED_NAMES = Object.keys(SEEDS) as (keyof typeof SEEDS)[]
const [SEED_NAME = 'quoted'] = choices<keyof typeof SEEDS>('seeds', SEED_NAMES, ['quoted'])
const PHYSICS = choices<PhysicsName>('physics', PHYSICS_NAMES, ['family', 'foreign'])
const BOOKS = option('books')
const LINES = option('lines')
/** Readings of a thorough visit: how long the whole diagnosis takes is told for these. */
const THOROUGH = 25
/** Faults up to this severity only begin. */
const MOST_WEAK = 0.6
/** A family with fewer cases is not judged by its calibration. */
const LEAST_CASES = 50

await loadRefrigerants(REFRIGERANT_NAMES)
await loadBooks(UNIT_CLASSES)
if (BOOKS)
  for (const file of readdirSync(BOOKS)) keepBook(JSON.parse(readFileSync(path.join(BOOKS, file), 'utf8')))
if (LINES) writeFileSync(LINES, `${JSON.stringify(COLUMNS)}\n`)

const readingsBin = (readings: number) =>
  readings <= 3 ? '3' : readings <= 7 ? '4-7' : readings <= 12 ? '8-12' : '13+'
const isAlarm = ({ fault, probability }: Suspect) =>
  fault !== 'healthy' && fault !== 'unlisted' && probability >= ANSWER

/** All that is counted of one physics. */
class Row {
  readonly well = new Score()
  readonly wellRunning = new Score()
  readonly byFault = new Scores()
  readonly byClass = new Scores()
  readonly byReadings = new Scores()
  readonly weak = new Score()
  readonly calledSound = { cases: 0, now: 0, after: 0 }
  /** believed against right by the family that leads, over the three stages */
  readonly believedByFamily = new Beliefs()
  readonly exact = [new Calibration(), new Calibration(), new Calibration()] as const
  readonly family = new Calibration()
  readonly confused = new Counter()
  readonly familiesConfused = new Counter()
  readonly confusedAll = new Counter()
  readonly times: number[] = []
  readonly thorough: number[] = []
  readonly sound = { cases: 0, alarms: 0, after: 0, all: 0 }

  score(found: Case): void {
    const { unit, truth, set } = found
    const start = performance.now()
    const { suspects } = diagnose(unit, set)
    this.times.push(performance.now() - start)
    const further = [afterChecks(found), everything(found)] as const
    const [after, all] = further.map((each) => diagnose(unit, each).suspects) as [Suspect[], Suspect[]]
    this.timeThorough(found)
    const stages = [suspects, after, all] as const
    for (const [i, each] of stages.entries()) {
      const leader = each[0] as Suspect
      this.exact[i]?.add(leader.probability, isRight(truth, leader))
      this.believedByFamily.add(leader.family, leader.probability, isRight(truth, leader))
    }
    const family = leadingFamily(suspects)
    this.family.add(family.probability, family.action === familyOf(truth))
    this.count(found, stages)
    if (LINES) writeLine(found, [set, ...further], stages)
  }

  /** The whole answer for about as many readings as a thorough visit takes. */
  private timeThorough({ unit, set, readings }: Case): void {
    if (readings < THOROUGH - 9) return
    const start = performance.now()
    diagnose(unit, set)
    this.thorough.push(performance.now() - start)
  }

  private count(found: Case, stages: readonly (readonly Suspect[])[]): void {
    const { truth, readings, severity, unitClass, show } = found
    const [now, after, all] = stages.map((each) => hitOf(truth, each))
    if (!now || !after || !all) return
    const isWell = readings >= 8 && severity >= 0.5
    const scores = [
      this.byFault.of(truth),
      this.byReadings.of(readingsBin(readings)),
      ...(isWell && truth !== 'healthy' ? [this.well, this.byClass.of(unitClass)] : []),
      ...(isWell && truth !== 'healthy' && show?.runs !== false ? [this.wellRunning] : []),
    ]
    for (const each of scores) each.add(now, after, all)
    if (readings >= 8 && severity <= MOST_WEAK && truth !== 'healthy')
      this.countWeak(stages, [now, after, all])
    if (!isWell) return
    if (truth === 'healthy') {
      const [one, two, three] = stages.map((each) => Number(isAlarm(each[0] as Suspect)))
      this.sound.cases += 1
      this.sound.alarms += one as number
      this.sound.after += two as number
      this.sound.all += three as number
    }
    const name = ({ fault, also }: Suspect) => `${truth} taken for ${fault}${also ? `+${also}` : ''}`
    if (!now.exact) this.confused.add(name(stages[0]?.[0] as Suspect))
    if (!now.family)
      this.familiesConfused.add(`${familyOf(truth)} taken for ${leadingFamily(stages[0] ?? []).action}`)
    if (!all.exact) this.confusedAll.add(name(stages[2]?.[0] as Suspect))
  }

  /** Faults that only begin: what they are taken for, before and after the checks that are asked for. */
  private countWeak(
    stages: readonly (readonly Suspect[])[],
    [now, after, all]: readonly [Hit, Hit, Hit],
  ): void {
    const isSound = (each: readonly Suspect[] | undefined) => Number(each?.[0]?.fault === 'healthy')
    this.weak.add(now, after, all)
    this.calledSound.cases += 1
    this.calledSound.now += isSound(stages[0])
    this.calledSound.after += isSound(stages[1])
  }

  shown() {
    const { sound, calledSound } = this
    return {
      eightReadingsSeverityHalfUp: this.well.shown(),
      ofThemRunning: this.wellRunning.shown(),
      weak: {
        ...this.weak.shown(),
        calledSound: shareOf(calledSound.now, calledSound.cases),
        calledSoundAfterThreeChecks: shareOf(calledSound.after, calledSound.cases),
      },
      falseAlarms: {
        sound: sound.cases,
        now: shareOf(sound.alarms, sound.cases),
        afterThreeChecks: shareOf(sound.after, sound.cases),
        everything: shareOf(sound.all, sound.cases),
      },
      calibrationError: {
        now: this.exact[0].error(),
        afterThreeChecks: this.exact[1].error(),
        everything: this.exact[2].error(),
        family: this.family.error(),
      },
      reliability: this.exact[0].reliability(),
      worstFamilies: this.believedByFamily.worst(LEAST_CASES, 6),
      milliseconds: {
        median: median(this.times),
        thorough: median(this.thorough),
        thoroughCases: this.thorough.length,
      },
      byReadings: this.byReadings.shown(),
      byClass: this.byClass.shown(),
      byFault: this.byFault.shown(),
      familiesConfused: this.familiesConfused.most(25),
      confused: this.confused.most(30),
      confusedWithEverything: this.confusedAll.most(20),
    }
  }
}

/** One case with its truth, its evidence at each stage and what the ranking said of it. */
function writeLine(found: Case, sets: readonly Case['set'][], stages: readonly (readonly Suspect[])[]): void {
  const { truth, readings, severity } = found
  const isWell = readings >= 8 && severity >= 0.5
  const hits = stages.map((each) => hitOf(truth, each))
  const evidence = sets.map((set) => evidenceLine(found, set))
  appendFileSync(
    LINES as string,
    `${JSON.stringify({ truth, family: familyOf(truth), isWell, hits, evidence })}\n`,
  )
}

const options: Omit<DrawOptions, 'physics'> = {
  evenReadings: option('readings') === 'even',
  equalFaults: option('faults') === 'equal',
}
for (const physics of PHYSICS) {
  const row = new Row()
  let [made, failed] = [0, 0]
  for (let seed: number = SEEDS[SEED_NAME] + Number(option('from') ?? 0); made < CASES; seed++) {
    const found = drawCase(seed, { ...options, physics })
    if (found) {
      row.score(found)
      made += 1
    } else failed += 1
  }
  const isQuoted = physics === 'family' && SEED_NAME === 'quoted' && !BOOKS
  const head = {
    physics,
    cases: made,
    seeds: SEED_NAME,
    books: BOOKS ?? 'shipped',
    wouldNotRun: failed,
    ...options,
  }
  // What a generic learner reached on these very rows (tools/diagnosis/ceiling.py).
  const best = isQuoted ? { genericLearner: ceiling.stages } : {}
  console.log(JSON.stringify({ ...head, ...best, ...row.shown() }, null, 1))
}
