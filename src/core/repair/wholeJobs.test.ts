import { type Driven, enter, workThrough } from '../../../tools/run/driveJob'
import { WHOLE_JOBS } from '../../../tools/run/wholeJobs'
import { workScene } from '../../../tools/run/workScene'
import { planJson } from '../door/planJson'
import { planDay, dayQuestionOf } from './day/planDay'
import type { Plan } from './plan/plan'
import type { TaskId } from './plan/tasks/tasks'
import { startLines } from './work/firstStart'
import { runSheet, type RunSheet } from './work/runSheet'

/** The jobs of docs/whole-jobs.md, line by line, and each driven by named edits from a new job to its closing. */

type Seen = {
  readonly plan: Plan
  /** all that the door prints, as text */
  readonly text: string
  readonly ids: readonly string[]
  readonly labels: string
  readonly parts: readonly string[]
  readonly list: string
  readonly sheet: RunSheet
  readonly driven: Driven
}

const cache = new Map<number, Seen>()
function seen(number: number): Seen {
  const known = cache.get(number)
  if (known) return known
  const given = WHOLE_JOBS[number]!
  const one = enter(given)
  const plan = one.plan()
  const sheet = runSheet(workScene(one.job, plan), one.at)
  const made: Seen = {
    plan,
    text: JSON.stringify(planJson(plan)),
    ids: plan.tasks.map(({ id }) => id),
    labels: plan.tasks.map(({ label }) => label).join(' | '),
    parts: plan.parts.map(({ id }) => id.replace('part:', '')),
    list: plan.parts.map(({ label }) => label).join(' | '),
    sheet,
    driven: workThrough(one, given),
  }
  cache.set(number, made)
  return made
}

type Line = readonly [says: string, holds: (at: Seen) => boolean]
const has =
  (...wanted: TaskId[]) =>
  ({ ids }: Seen) =>
    wanted.every((id) => ids.includes(id))
const any =
  (...wanted: TaskId[]) =>
  ({ ids }: Seen) =>
    wanted.some((id) => ids.includes(id))
/** Planned in this order, and done in it. */
const order =
  (...all: TaskId[]) =>
  ({ ids, driven }: Seen) =>
    [ids, driven.done].every((list) =>
      all.every((id, i) => list.includes(id) && (i === 0 || list.indexOf(all[i - 1]!) < list.indexOf(id))),
    )
const brings =
  (...wanted: string[]) =>
  ({ parts }: Seen) =>
    wanted.every((id) => parts.includes(id))
const bringsAny =
  (...wanted: string[]) =>
  ({ parts }: Seen) =>
    wanted.some((id) => parts.includes(id))
const at = ({ plan }: Seen, id: TaskId) => plan.tasks.find((task) => task.id === id)
/** Said in a step of the plan. */
const inStep =
  (id: TaskId, ...words: readonly RegExp[]) =>
  (job: Seen) => {
    const task = at(job, id)
    const said = task
      ? [task.label, ...task.points, ...task.notes, task.overWhen, task.fails?.sentence].join(' ')
      : ''
    return words.every((word) => word.test(said))
  }
const says =
  (word: RegExp) =>
  ({ text }: Seen) =>
    word.test(text)
const gateOf = ({ sheet }: Seen, task: TaskId, gate: string) =>
  sheet.steps.find((step) => step.task.id === task)?.gates.some(({ id }) => id === gate) === true
const liquid = ({ plan }: Seen) => plan.dryers.find(({ place }) => place === 'liquid')?.chosen?.dryer
const fits = ({ plan }: Seen, way: string) => plan.access.ways.find((each) => each.way === way)?.fits === true
const pumpDown: Line = [
  'pump-down',
  (job) => fits(job, 'pump-down') && job.plan.access.chosen === 'pump-down',
]
const compressor: Line = ['a compressor', bringsAny('compressor', 'condensing-unit')]
const search: Line = ['an hour of searching', any('leakSearch')]
const early: Line = ['a start before the charge', order('settle', 'weighIn')]
const oneWay: Line = ['a one-way dryer', (job) => liquid(job)?.flow === 'one-way']
const copperJoints = ({ plan }: Seen) =>
  Number(/^(\d+) joint/.exec(plan.parts.find(({ id }) => id === 'part:rods-copper')?.why ?? '')?.[1])
const caution = (id: TaskId, word: RegExp) => (job: Seen) =>
  at(job, id)?.cautions.some((each) => word.test(each)) === true
const day = ({ plan }: Seen) => planDay(dayQuestionOf(plan))
const NOON = 5 * 60

const JOBS: Readonly<Record<number, { readonly must: readonly Line[]; readonly never: readonly Line[] }>> = {
  11: {
    must: [
      [
        'header out, distributor and one valve in',
        (job) => has('swapHeader')(job) && brings('distributor', 'expansion-valve')(job),
      ],
      [
        'eight tubes, 11 joints and 2',
        (job) => inStep('swapHeader', /8 by the survey/)(job) && copperJoints(job) === 13,
      ],
      ['order of joints, way of the nitrogen', inStep('swapHeader', /Order of joints/, /Nitrogen way/)],
      ['bulb and equaliser', inStep('swapHeader', /4 or 8 o’clock/, /downstream of the bulb/)],
      ['low-temperature alloy', inStep('swapHeader', /low-temperature alloy/)],
    ],
    never: [
      ['new orifices', brings('orifices')],
      ['not counted yet', says(/not counted yet/)],
      compressor,
      ['three pulls', any('evacuateTriple', 'evacuateWet')],
      ['a suction dryer', has('fitSuctionDryer')],
    ],
  },
  12: {
    must: [
      ['the leak confirmed, 10 min', (job) => at(job, 'confirmLeak')?.handsOn[1] === 10],
      ['repaired before the test', order('confirmLeak', 'repairFitting', 'pressureTest')],
      ['fan motor', brings('fan-motor')],
      [
        'one liquid dryer',
        ({ ids }) => ids.filter((id) => id === 'swapLiquidDryer' || id === 'dryerFirst').length === 1,
      ],
      ['weighed in', order('decayTest', 'weighIn', 'settle')],
    ],
    never: [search, compressor, pumpDown, early, ['an expansion valve', brings('expansion-valve')]],
  },
  13: {
    must: [
      ['water before recovery', order('drainWater', 'recover')],
      ['flowing before the start', order('waterOn', 'settle')],
      [
        'under 250 F, one joint at a time',
        inStep('swapReversingValve', /under 250 F/, /one joint, then cool/),
      ],
      ['coil with it', brings('reversing-valve', 'reversing-valve-coil')],
      ['both modes', (job) => gateOf(job, 'closeUp', 'one-mode')],
    ],
    never: [
      oneWay,
      pumpDown,
      compressor,
      ['recovery first', order('recover', 'drainWater')],
      ['heated unprotected', (job) => !inStep('swapReversingValve', /heat paste/)(job)],
    ],
  },
  14: {
    must: [
      ['wet', ({ plan }) => plan.contamination.class === 'wet'],
      ['three pulls', any('evacuateWet', 'evacuateTriple')],
      ['a new indicator', (job) => has('fitIndicator')(job) && brings('indicator')(job)],
      [
        'how water got in',
        ({ plan, ...job }) =>
          plan.beforeLeaving.includes('how water got in') && has('leakSearch')({ plan, ...job }),
      ],
      ['the charge not again', ({ plan }) => plan.refrigerantPath.recovered === 'reclaim'],
    ],
    never: [
      ['one pull', has('evacuate')],
      pumpDown,
      ['its charge stays in', says(/its charge stays in/)],
      ['clean', ({ plan }) => plan.contamination.class === 'clean'],
      ['a capillary', brings('capillary')],
    ],
  },
  15: {
    must: [
      ['empty by two readings', inStep('proveEmpty', /two readings/)],
      [
        'screwed in without a flame',
        (job) => at(job, 'changePlug')?.flame === false && inStep('changePlug', /[Tt]hread/)(job),
      ],
      ['why so hot', inStep('changePlug', /Why it grew so hot/)],
      ['the whole charge', ({ plan }) => Math.abs((plan.charge?.total?.value ?? 0) - 9 * 0.45359237) < 0.5],
      ['the place confirmed', order('proveEmpty', 'confirmLeak', 'changePlug')],
    ],
    never: [
      ['a recovery', any('recover', 'recoverVapour', 'recoverRest')],
      search,
      ['a recovery cylinder', brings('recovery-cylinder')],
      compressor,
      early,
    ],
  },
  16: {
    must: [
      ['on clean straight pipe', inStep('fixBulb', /clean straight pipe/)],
      ['strap and insulation', brings('bulb-strap', 'bulb-insulation')],
      ['closed', ({ plan }) => !plan.opens],
      ['4 or 8', inStep('fixBulb', /4 or 8 o’clock/)],
      ['readings after the start', (job) => gateOf(job, 'closeUp', 'not-proven')],
    ],
    never: [
      ['a dryer', ({ plan }) => plan.dryers.length > 0],
      ['nitrogen', any('sweep', 'pressureTest')],
      ['an expansion valve', brings('expansion-valve')],
      ['a fire watch', has('fireWatch')],
      ['a recovery', has('recover')],
    ],
  },
  17: {
    must: [
      ['valve with coil', brings('reversing-valve', 'reversing-valve-coil')],
      ['thermostat named', brings('thermostat')],
      ['as the step', ({ labels }) => /Replace the thermostat/.test(labels)],
      ['leak confirmed', order('confirmLeak', 'recover', 'swapReversingValve')],
      ['both modes', (job) => gateOf(job, 'closeUp', 'one-mode')],
    ],
    never: [
      ['switch, thermostat or board', says(/switch, thermostat or board/)],
      ['following the circuit', has('checkControls')],
      search,
      oneWay,
      compressor,
    ],
  },
  18: {
    must: [
      ['water first', order('drainWater', 'recover')],
      ['flow before the start', order('waterOn', 'settle')],
      ['coil tube, neighbours', inStep('repairCoil', /[Ff]ins off/, /neighbours/)],
      ['into a water coil', inStep('weighIn', /saturation has passed 32 F/)],
      ['by weight', has('weighIn')],
    ],
    never: [
      ['the other mode', (job) => gateOf(job, 'closeUp', 'one-mode')],
      search,
      pumpDown,
      compressor,
      ['a condensate trap', inStep('settle', /Condensate/)],
    ],
  },
  19: {
    must: [
      ['compressor and heater', brings('compressor', 'crankcase-heater')],
      ['watts not on record', inStep('swapHeater', /watts are not on record/)],
      [
        'cause, cure and check',
        ({ plan, ...job }) =>
          plan.causes.some(
            ({ cure, check }) => /Replace the heater/.test(cure) && /heater amps/.test(check ?? ''),
          ) && inStep('settle', /heater amps/)({ plan, ...job }),
      ],
      [
        'the pair, unasked',
        inStep('setPressureControl', /cut-in to [\d.]+ psig/, /cut-out to about [\d.]+ psig/),
      ],
      [
        'the heater before the first start',
        ({ plan, driven }) =>
          startLines({ unit: driven.job.unit, tasks: plan.tasks, state: { off: {} } as never }).some(
            ({ id }) => id === 'heater',
          ),
      ],
    ],
    never: [
      ['a figure of watts', says(/\d+ W[",. ]/)],
      ['no cause', ({ plan }) => plan.causes.length === 0],
      ['a run capacitor', bringsAny('run-capacitor', 'hard-start-kit')],
      [
        'only one of the pair',
        (job) =>
          inStep('setPressureControl', /cut-in to/)(job) !== inStep('setPressureControl', /cut-out to/)(job),
      ],
      ['pump-down with a dead compressor', (job) => fits(job, 'pump-down')],
    ],
  },
  20: {
    must: [
      [
        'heat stress',
        (job) =>
          caution('setUp', /water, shade, breaks/)(job) && inStep('setUp', /Outdoor air 9[6-9] F.*roof/)(job),
      ],
      ['cut out', inStep('swapCompressor', /Cut the old one out/)],
      [
        'suction and liquid against acid',
        (job) => has('fitSuctionDryer')(job) && liquid(job)?.core === 'high-acid',
      ],
      ['4, 24 and 72 h', ({ plan }) => plan.contamination.acid.retestHours.join() === '4,24,72'],
      ['phase sequence', inStep('swapCompressor', /Phase sequence read/)],
    ],
    never: [
      ['a capacitor or kit', bringsAny('run-capacitor', 'hard-start-kit', 'start-capacitor')],
      ['the charge again', ({ plan }) => plan.refrigerantPath.recovered === 'reuse-in-same-equipment'],
      ['a live check', has('confirm')],
      early,
      ['clean', ({ plan }) => plan.contamination.class === 'clean'],
    ],
  },
  21: {
    must: [
      ['bore and length', inStep('swapCapillary', /bore 0\.031 in, length 8 ft/)],
      [
        '2-3 in, cutter',
        (job) =>
          inStep('swapCapillary', /2-3 in/, /capillary cutter/)(job) && brings('capillary-cutter')(job),
      ],
      ['both sides', (job) => job.plan.rules.some(({ id, holds }) => id === 'both-sides' && holds)],
      ['blown out', order('sweep', 'blowOut', 'swapCapillary')],
      ['by weight', ({ plan }) => plan.charge?.isExact === true],
    ],
    never: [
      ['flush solvent', brings('flush-solvent')],
      ['a contactor', brings('contactor')],
      ['an expansion valve', brings('expansion-valve')],
      ['superheat', ({ plan }) => /superheat/.test(plan.charge!.finish.join(' '))],
      pumpDown,
    ],
  },
  22: {
    must: [
      ['coil, power off', inStep('cleanCoil', /[Pp]ower off/)],
      ['the valve', (job) => has('swapValve')(job) && brings('expansion-valve')(job)],
      [
        'while something runs',
        ({ plan }) =>
          plan.tasks.some(({ unattended, meanwhile }) => unattended && meanwhile.includes('cleanCoil')),
      ],
      ['rinsed', inStep('cleanCoil', /rinsed off/)],
      ['one lock-out', ({ ids }) => ids.filter((id) => id === 'lockOut').length === 1],
    ],
    never: [
      ['excess', has('removeExcess')],
      compressor,
      ['two dryers', ({ plan }) => plan.dryers.filter(({ place }) => place === 'liquid').length > 1],
      ['before the lock-out', order('cleanCoil', 'lockOut')],
      ['three pulls', any('evacuateTriple', 'evacuateWet')],
    ],
  },
  23: {
    must: [
      [
        'warm it, wait, again',
        ({ plan }) => /[Ww]arm it .*wait, recover again/.test(plan.recovery.sentences.join(' ')),
      ],
      ['a sweep before a flame', order('recover', 'sweep', 'swapValve')],
      ['bi-flow', (job) => liquid(job)?.flow === 'bi-flow'],
      ['both modes', (job) => gateOf(job, 'closeUp', 'one-mode')],
      ['if it rises', inStep('recover', /It rises or frost stays/)],
    ],
    never: [
      [
        'a flame to warm',
        ({ plan }) =>
          /torch|flame/.test(plan.recovery.sentences.join(' ').replace(/never an? (open )?flame/g, '')),
      ],
      oneWay,
      ['cut first', order('swapValve', 'recover')],
      compressor,
      pumpDown,
    ],
  },
  24: {
    must: [
      ['old oil blown out', has('blowOldOil')],
      ['checked while open', order('recover', 'checkMetering', 'pressureTest')],
      ['superheat by dew point', inStep('setSuperheat', /dew point/)],
      ['labels', inStep('labelUnit', /old plate and at each port/)],
      ['90 %', ({ plan }) => /90 %/.test(plan.charge!.finish.join(' '))],
    ],
    never: [
      ['the old charge', ({ plan }) => plan.refrigerantPath.recovered === 'reuse-in-same-equipment'],
      ['the plate weight', ({ plan }) => Math.abs(plan.charge!.lines[0]!.kg! - 7 * 0.45359237) < 0.01],
      ['mineral oil', ({ plan }) => plan.oil.goesIn === 'mineral'],
      ['by weight only', ({ plan }) => /weight only/i.test(plan.charge!.finish.join(' '))],
      ['checked after the start', order('settle', 'checkMetering')],
    ],
  },
  25: {
    must: [
      ['wet', ({ plan }) => plan.contamination.class === 'wet'],
      ['three pulls with warmth', has('evacuateWet')],
      ['oil changed', any('changeOil', 'tipCompressor')],
      ['empty proven', order('proveEmpty', 'traceNitrogen', 'confirmLeak')],
      [
        'water met',
        ({ plan }) => plan.contamination.closes || plan.dryers.some(({ ways }) => ways !== undefined),
      ],
    ],
    never: [
      ['clean', ({ plan }) => plan.contamination.class === 'clean'],
      ['one pull', has('evacuate')],
      ['a recovery cylinder', brings('recovery-cylinder')],
      ['the old charge', ({ plan }) => plan.refrigerantPath.recovered === 'reuse-in-same-equipment'],
      early,
    ],
  },
  26: {
    must: [
      [
        'closed before noon, or after the storm',
        (job) => {
          const { open, words } = day(job)
          const isClear = open!.to <= NOON || open!.from >= NOON
          return isClear && words.some((word) => /^Storm from 12:00/.test(word))
        },
      ],
      ['nitrogen from the fit-up', inStep('swapValve', /from the fit-up on/)],
      ['the goods', (job) => day(job).deadline?.of === 'goods' && day(job).deadline?.at === NOON],
      ['lightning', (job) => day(job).words.some((word) => /Lightning/.test(word))],
      [
        'no opening over noon',
        (job) =>
          day(job)
            .rows.filter(({ opens }) => opens)
            .every(({ start, end }) => end <= NOON || start >= NOON),
      ],
    ],
    never: [
      ['no hour is known', (job) => day(job).words.some((word) => /no hour is known/.test(word))],
      ['open over noon', (job) => day(job).open!.from < NOON && day(job).open!.to > NOON],
      ['of the space', (job) => day(job).deadline?.of === 'space'],
      ['from the brazing on', says(/from the brazing on/)],
      compressor,
    ],
  },
  27: {
    must: [
      [
        'kit, feet, pipes',
        (job) => brings('scroll-kit')(job) && inStep('pistonToScroll', /Kit laid out/, /Feet/, /Pipes/)(job),
      ],
      ['starting gear', inStep('pistonToScroll', /Starting gear: the run capacitor/)],
      ['metering', inStep('pistonToScroll', /Metering: the valve stays/)],
      [
        'wiring map',
        (job) => inStep('rewire', /Wiring map/)(job) && (job.driven.job.run?.wiring ?? []).length > 0,
      ],
      [
        'a new unit beside it',
        ({ plan: { unitSwap } }) =>
          unitSwap !== undefined &&
          unitSwap.swap.handsOn > 0 &&
          unitSwap.repair.parts.length > 0 &&
          unitSwap.stays.length > 0,
      ],
    ],
    never: [
      ['the old relay left in', (job) => !inStep('pistonToScroll', /relay come out/)(job)],
      ['a condensing unit', has('swapCondensingUnit')],
      ['a process stub', brings('process-stub')],
      ['oil on top', ({ plan }) => plan.oil.refill.value > 0],
      [
        'a live proof at the terminals',
        (job) => any('proveAtTerminals')(job) && order('proveAtTerminals', 'recover')(job),
      ],
    ],
  },
  28: {
    must: [
      ['sleeved', inStep('repairFeeder', /Sleeve over/)],
      ['low-temperature alloy', inStep('repairFeeder', /low-temperature alloy/)],
      ['apart', inStep('repairFeeder', /none touches/)],
      ['neighbours', inStep('repairFeeder', /neighbours are tested again/)],
      ['confirmed', order('confirmLeak', 'recover', 'repairFeeder')],
    ],
    never: [
      ['a pinhole soldered', (job) => !inStep('repairFeeder', /never solder a pinhole/)(job)],
      ['the header', has('swapHeader')],
      ['an expansion valve', brings('expansion-valve')],
      search,
      compressor,
    ],
  },
  29: {
    must: [
      ['the unit', (job) => has('swapCondensingUnit')(job) && brings('condensing-unit')(job)],
      ['the pair', inStep('setPressureControl', /cut-in to [\d.]+ psig/, /cut-out to about [\d.]+ psig/)],
      ['the valve must suit', inStep('swapCondensingUnit', /valve must suit/)],
      [
        'hours of both',
        ({ plan: { unitSwap } }) =>
          unitSwap!.repair.handsOn > 0 &&
          unitSwap!.swap.handsOn > 0 &&
          unitSwap!.repair.handsOn !== unitSwap!.swap.handsOn,
      ],
      ['by the map', (job) => inStep('rewire', /by the map/)(job)],
    ],
    never: [
      ['a compressor', brings('compressor')],
      ['feet or a capacitor', bringsAny('feet', 'run-capacitor')],
      ['a cut-out in vacuum', inStep('setPressureControl', /cut-out to about -/)],
      early,
      ['left as it was', (job) => !has('setPressureControl')(job)],
    ],
  },
  30: {
    must: [
      ['capacitor and gear', brings('run-capacitor', 'start-gear')],
      [
        'map before and after',
        (job) =>
          inStep('swapStartGear', /Wiring map/)(job) &&
          job.driven.job.run!.wiring!.every(({ before, after }) => before && after),
      ],
      ['by ohms', inStep('swapStartGear', /named by ohms/)],
      ['locked out', order('lockOut', 'swapStartGear', 'unlock')],
      ['closed', ({ plan }) => !plan.opens],
    ],
    never: [
      compressor,
      ['a recovery', has('recover')],
      ['the water drained', has('drainWater')],
      ['nitrogen', any('sweep', 'pressureTest')],
      ['a dryer', ({ plan }) => plan.dryers.length > 0],
    ],
  },
  31: {
    must: [
      ['as open to air', ({ plan }) => plan.contamination.exposure !== undefined],
      ['empty proven', has('proveEmpty')],
      ['nitrogen, then the search', order('traceNitrogen', 'leakSearch', 'repairLeak')],
      ['three pulls', any('evacuateTriple', 'evacuateWet')],
      ['the whole charge', ({ plan }) => Math.abs((plan.charge?.total?.value ?? 0) - 7 * 0.45359237) < 0.6],
    ],
    never: [
      ['a start in vacuum', order('settle', 'weighIn')],
      ['pump-down', (job) => fits(job, 'pump-down')],
      ['a recovery', any('recover', 'recoverVapour')],
      ['clean', ({ plan }) => plan.contamination.class === 'clean'],
      ['held', says(/vacuum held|held its vacuum/)],
    ],
  },
}

test('every job of the page is here, five lines and five', () => {
  expect(Object.keys(JOBS)).toEqual(Object.keys(WHOLE_JOBS))
  for (const { must, never } of Object.values(JOBS)) expect([must.length, never.length]).toEqual([5, 5])
})

describe.each(Object.entries(JOBS))('job %s', (number, { must, never }) => {
  const at = () => seen(Number(number))
  test('driven by named edits from a new job to its closing, and no rule broken', () => {
    const { driven, plan } = at()
    expect(driven.job.closing?.proven).toBe('proven')
    expect(driven.job.rounds.find(({ id }) => id === driven.job.round)?.closedAt).toBeDefined()
    expect(driven.done.at(-1)).toBe('closeUp')
    expect([...driven.done].sort()).toEqual(
      plan.tasks
        .filter(({ refused }) => !refused)
        .map(({ id }) => id)
        .sort(),
    )
    expect(plan.rules.filter(({ holds }) => !holds)).toEqual([])
  })
  test.each(must)('must: %s', (_says, holds) => expect(holds(at())).toBe(true))
  test.each(never)('never: %s', (_says, holds) => expect(holds(at())).toBe(false))
})
