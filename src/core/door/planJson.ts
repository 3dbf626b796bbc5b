import { type Basis, basisOf } from '../base/known/known'
import { fromKelvin, fromPascals } from '../base/units/convert'
import type { ComparisonRow } from '../repair/charge/compareRefrigerants'
import type { AcidLedger } from '../repair/cleanup/acid'
import type { Range } from '../repair/cleanup/exposure'
import { DRAINED_GUESS } from '../repair/cleanup/drained'
import type { JudgedDryer } from '../repair/cleanup/dryers'
import type { WaterLine } from '../repair/cleanup/water'
import { wallText } from '../base/units/wall'
import { type DayPlan, dayQuestionOf, planDay } from '../repair/day/planDay'
import type { Plan, PlannedDryer } from '../repair/plan/plan'
import type { WayCost } from '../repair/plan/unitSwap'

const rounded = (value: number, digits: number) => Number(value.toFixed(digits))
const grams = (kg: number) => rounded(kg * 1000, 3)
const millilitres = (cubicMetres: number) => rounded(cubicMetres * 1e6, 0)
const fahrenheit = (kelvin: number | undefined) =>
  kelvin === undefined ? null : rounded(fromKelvin(kelvin, 'F'), 1)
const gramsRange = ({ low, likely, high }: Range) => ({
  low: grams(low),
  likely: grams(likely),
  high: grams(high),
})

/** How a value beside it is known: plate, measured, typed, computed or assumed, from what, and what would settle it. */
const basisJson = ({ source, from, asks }: Basis) => ({ source, from, asks })

/** The same with its basis as the door prints it, where it rests on a guess. */
const withBasis = <T extends { readonly basis?: Basis }>({ basis, ...rest }: T) =>
  basis ? { ...rest, basis: basisJson(basis) } : rest

const sentences = ({ judged }: JudgedDryer, holds: boolean) =>
  judged.filter((each) => each.holds === holds).map(({ sentence }) => sentence)

function dryerJson(choice: PlannedDryer) {
  const { place, chosen, ways, refused, others, holds, oldHeld, placing, changes, basis, figures } = choice
  return {
    place,
    chosen: chosen ? { ...chosen.dryer, ...(chosen.reducer ? { reducer: chosen.reducer } : {}) } : null,
    reasons: chosen ? sentences(chosen, true) : [],
    ...(ways ? { lacks: chosen ? sentences(chosen, false) : [], ways } : {}),
    extraChargeGrams: oldHeld ? grams(holds - oldHeld.value) : null,
    isOldAssumed: oldHeld === undefined,
    basis: basisJson(basis),
    sources: {
      extraChargeGrams: basisJson(basisOf(oldHeld, basis)),
      reasons: basisJson(figures),
      refused: basisJson(figures),
      others: basisJson(figures),
    },
    others: others.map(({ dryer }) => dryer.id),
    refused: refused.map((each) => ({ id: each.dryer.id, reasons: sentences(each, false) })),
    placing,
    coreChanges: changes,
  }
}

const halfWidth = ({ low, high }: Range) => grams(Math.abs(high - low) / 2)
const waterLine = ({ label, kg }: WaterLine) => ({
  label,
  grams: grams(kg.likely),
  error: halfWidth(kg),
  range: gramsRange(kg),
})

const acidJson = ({ before, after, ...acid }: AcidLedger) => ({
  ...acid,
  before: before.likely,
  beforeRange: before,
  after: after.map(({ tan }) => rounded(tan, 5)),
  steps: after.map(({ label }) => label),
})

function contaminationJson({ contamination, dryers }: Plan) {
  const { water, acid, settles, exposure, confidence, closes, closesHigh, missing, effort } = contamination
  return {
    class: contamination.class,
    also: contamination.also,
    known: contamination.known,
    confidence: rounded(confidence, 3),
    evidence: contamination.evidence,
    conflicts: contamination.conflicts,
    assumed: contamination.assumed,
    basis: basisJson(contamination.basis),
    sources: { settles: basisJson(basisOf(contamination.basis, DRAINED_GUESS)) },
    exposure: exposure
      ? {
          hours: exposure.hours,
          sentence: exposure.sentence,
          basis: basisJson(basisOf(exposure.time, exposure.weather)),
        }
      : null,
    settles,
    water: {
      sources: water.sources.map(waterLine),
      sinks: water.sinks.map(waterLine),
      totalGrams: grams(water.total.likely),
      remainderGrams: grams(water.remainder.likely),
      errorGrams: halfWidth(water.remainder),
      totalRange: gramsRange(water.total),
      remainderRange: gramsRange(water.remainder),
      ...water.work,
      oilPpmFound: water.ppmFound,
      oilPpmLeft: water.ppmLeft,
      closes,
      closesHigh,
      missingGrams: grams(missing),
      effort,
      basis: basisJson(basisOf(water.basis, dryers[0]?.figures)),
    },
    acid: acidJson(acid),
  }
}

const comparisonJson = ({ name, cycle, suitability, safety, oils, warming, ...shares }: ComparisonRow) => ({
  refrigerant: name,
  suctionPsig: rounded(fromPascals(cycle.suctionPressure, 'psig'), 1),
  dischargePsig: rounded(fromPascals(cycle.dischargePressure, 'psig'), 1),
  ratio: rounded(cycle.ratio, 3),
  glideKelvin: rounded(cycle.evaporatingGlide, 2),
  dischargeF: fahrenheit(cycle.dischargeTemperature),
  relativeCapacity: rounded(shares.relativeCapacity, 3),
  relativeMassFlow: rounded(shares.relativeMassFlow, 3),
  relativeCharge: rounded(shares.relativeCharge, 3),
  safety,
  warming,
  oils,
  ...suitability,
})

function pathJson({ refrigerantPath: path }: Plan) {
  const { at, comparison, goesIn, holds, basis, ...rest } = path
  return {
    keep: path.path === 'keep' ? holds : null,
    ...rest,
    holds,
    goesIn: goesIn ?? null,
    basis: basisJson(basis),
    at: {
      evaporatingF: fahrenheit(at.evaporating),
      condensingF: fahrenheit(at.condensing),
      isMeasured: at.isMeasured,
    },
    comparison: comparison?.rows.map(comparisonJson) ?? [],
  }
}

function recoveryJson({ recovery, access }: Plan) {
  const { cylinder, depth, weight, isDedicated, guess, expected, vapour } = recovery
  return {
    access,
    cylinder: {
      limitGrams: grams(cylinder.limit),
      roomGrams: grams(cylinder.room),
      count: cylinder.count,
      state: cylinder.state,
      liquidFullF: fahrenheit(cylinder.fullAt),
      isDedicated,
    },
    depth: { ...depth, basis: basisJson(depth.basis) },
    expectedGrams: expected ? grams(expected.value) : null,
    ...(vapour ? { vapourGrams: grams(vapour.value) } : {}),
    sources: {
      cylinder: basisJson(basisOf(cylinder.basis, guess)),
      expectedGrams: basisJson(expected ?? guess),
      ...(vapour ? { vapourGrams: basisJson(vapour) } : {}),
      unjudged: basisJson(guess),
    },
    unjudged: recovery.unjudged ?? null,
    weight: weight
      ? {
          ...weight,
          recovered: undefined,
          recoveredGrams: grams(weight.recovered),
          expectedGrams: grams(weight.expected),
        }
      : null,
    sentences: recovery.sentences,
  }
}

function chargeJson({ charge }: Plan) {
  if (!charge) return null
  const { lines, total, guess, trim, unjudged, ...rest } = charge
  return {
    ...rest,
    totalGrams: total ? grams(total.value) : null,
    guessGrams: grams(guess.value),
    isPlateAssumed: total === undefined,
    sources: {
      totalGrams: basisJson(total ?? guess),
      guessGrams: basisJson(guess),
      unjudged: basisJson(guess),
    },
    lines: lines.map(({ kg, basis, ...line }) => ({
      ...line,
      basis: basisJson(basis),
      grams: kg === undefined ? null : grams(kg),
    })),
    unjudged: unjudged ?? null,
    trim: trim ? { ...trim, charged: grams(trim.charged) } : null,
  }
}

const newOilJson = ({ ships, together, pourOff }: NonNullable<Plan['oil']['newCompressor']>) => ({
  shipsMillilitres: millilitres(ships.value),
  togetherMillilitres: millilitres(together.value),
  pourOffMillilitres: millilitres(pourOff.value),
  sources: {
    shipsMillilitres: basisJson(ships),
    togetherMillilitres: basisJson(together),
    pourOffMillilitres: basisJson(pourOff),
  },
})

function oilJson({ oil }: Plan) {
  return {
    kind: oil.kind.value,
    goesIn: oil.goesIn,
    millilitres: millilitres(oil.plate.value),
    outMillilitres: oil.out === undefined ? null : millilitres(oil.out),
    refillMillilitres: millilitres(oil.refill.value),
    leftMillilitres: millilitres(oil.left.value),
    changes: oil.changes,
    laterChanges: oil.laterChanges,
    newCompressor: oil.newCompressor ? newOilJson(oil.newCompressor) : null,
    cans: oil.cans,
    strokes: oil.strokes ?? null,
    newShare: rounded(oil.newShare, 3),
    reasons: oil.reasons,
    sources: {
      kind: basisJson(oil.kind),
      millilitres: basisJson(oil.plate),
      refillMillilitres: basisJson(oil.refill),
      leftMillilitres: basisJson(oil.left),
      newShare: basisJson(oil.left),
      strokes: basisJson(oil.refill),
      changes: basisJson(oil.changesBasis),
      laterChanges: basisJson(basisOf(oil.changesBasis, oil.left)),
      cans: basisJson(oil.bringBasis),
      reasons: basisJson(basisOf(oil.left, oil.changesBasis)),
    },
  }
}

const psig = (pascals: number) => rounded(fromPascals(pascals, 'psia'), 0)

function testJson({ testPressure: test }: Plan) {
  if (!test) return null
  return {
    psig: psig(test.gauge),
    limitPsig: psig(test.limit),
    of: test.of,
    isAssumed: test.isAssumed,
    basis: basisJson(test.basis),
    stepsPsig: test.steps.map(psig),
  }
}

/** The time plan by the clock on the wall. */
function scheduleJson(day: DayPlan, tasks: Plan['tasks']) {
  const at = (minute: number | undefined) =>
    minute === undefined ? null : wallText(day.calendar.origin + minute)
  return {
    basis: basisJson(basisOf(...tasks.map(({ basis }) => basis))),
    people: day.people,
    isDated: day.calendar.isDated,
    handsOnMinutes: day.handsOn,
    unattendedMinutes: day.unattended,
    minutes: day.finish ?? null,
    boundMinutes: day.bound ?? null,
    isProven: day.isProven,
    p50Minutes: day.p50 ?? null,
    p90Minutes: day.p90 ?? null,
    finish: at(day.finish),
    likelyFinish: at(day.p50 ?? day.finish),
    safeFinish: at(day.p90),
    running: day.running ? { likely: at(day.running.likely), p90: at(day.running.p90) } : null,
    open: day.open ? { from: at(day.open.from), to: at(day.open.to) } : null,
    visits: day.visits.map(({ from, to, tasks }) => ({ from: at(from), to: at(to), tasks })),
    later: day.later.map(({ hours, sentence, from, likely, p90, handsOn, tasks: own }) => ({
      hours,
      sentence,
      from: at(from),
      likelyFinish: at(likely),
      safeFinish: at(p90),
      handsOnMinutes: handsOn,
      tasks: own,
    })),
    deadline: day.deadline ? { ...day.deadline, at: at(day.deadline.at) } : null,
    problem: day.problem ?? null,
    words: day.words,
    rows: day.rows.map(({ id, start, handsOff, end, person, helper, helpWanted }) => ({
      id,
      start: at(start),
      handsOff: at(handsOff),
      end: at(end),
      person: person + 1,
      ...(helper ? { helper: { person: helper.person + 1, until: at(helper.until) } } : {}),
      ...(helpWanted ? { helpWanted: { from: at(helpWanted.from), to: at(helpWanted.to) } } : {}),
    })),
  }
}

const wayJson = ({ refrigerant, handsOn, unattended, parts, isEstimate, basis }: WayCost) => ({
  handsOnMinutes: handsOn,
  unattendedMinutes: unattended,
  parts,
  refrigerantGrams: refrigerant === undefined ? null : grams(refrigerant),
  isEstimate,
  basis: basisJson(basis),
})

function swapJson({ unitSwap }: Plan) {
  if (!unitSwap) return null
  const { repair, swap, ...rest } = unitSwap
  return { ...rest, repair: wayJson(repair), swap: wayJson(swap) }
}

/** The shape of design/architecture.md: contamination, dryers, oil, refrigerantPath, parts, tasks, schedule; more beside. */
export function planJson(plan: Plan): Record<string, unknown> {
  const { size } = plan
  return {
    fault: plan.faults[0],
    faults: plan.faults,
    opens: plan.opens,
    size: {
      tons: rounded(size.tons.value, 3),
      // a charge that nobody knows has no figure
      chargeGrams: size.charge ? grams(size.charge.value) : null,
      chargeGuessGrams: grams(size.chargeGuess.value),
      litres: rounded(size.volume.value * 1000, 2),
      oilMillilitres: millilitres(size.oilVolume.value),
      isAppliance: size.isAppliance.value,
      assumed: size.assumed,
      sources: {
        tons: basisJson(size.tons),
        chargeGrams: basisJson(size.charge ?? size.chargeGuess),
        chargeGuessGrams: basisJson(size.chargeGuess),
        litres: basisJson(size.volume),
        oilMillilitres: basisJson(size.oilVolume),
        isAppliance: basisJson(size.isAppliance),
        assumed: basisJson(basisOf(size.tons, size.chargeGuess, size.oilVolume, size.oil)),
      },
    },
    contamination: contaminationJson(plan),
    dryers: plan.dryers.map(dryerJson),
    dryerDrops: plan.drops,
    oil: oilJson(plan),
    refrigerantPath: pathJson(plan),
    recovery: recoveryJson(plan),
    charge: chargeJson(plan),
    policy: plan.policy,
    parts: plan.parts.map(withBasis),
    beforeLeaving: plan.beforeLeaving,
    proofs: plan.proofs,
    causes: plan.causes,
    unitSwap: swapJson(plan),
    approval: plan.approval,
    testPressure: testJson(plan),
    // the door's own word for it, which files of others read
    tasks: plan.tasks.map(({ overWhen, ...task }) => ({
      ...withBasis(task),
      ...(overWhen ? { gate: overWhen } : {}),
    })),
    rules: plan.rules,
    schedule: scheduleJson(planDay(dayQuestionOf(plan)), plan.tasks),
    returns: plan.returns.map(({ hours, sentence, tasks, basis }) => ({
      hours,
      sentence,
      basis: basisJson(basis),
      tasks: tasks.map(({ id }) => id),
    })),
  }
}
