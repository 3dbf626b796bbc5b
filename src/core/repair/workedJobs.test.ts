import { readFileSync } from 'node:fs'
import path from 'node:path'
import { planJson } from '../door/planJson'
import { faultsToRepair } from '../answer/diagnoseJob'
import { knownJob } from '../record/job/known'
import type { KnownJob } from '../record/job/job'
import { readJobText } from '../record/job/readJob'
import { viewOf } from '../record/job/rounds'
import { planOf } from './plan/basis'
import type { Plan } from './plan/plan'

/** The ten jobs of docs/worked-jobs.md: what each plan must hold and what it must never hold, line by line, through the door. */
const FOLDER = path.resolve(__dirname, '../../../examples/jobs')

function jobOf(name: string): KnownJob {
  const reading = readJobText(readFileSync(path.join(FOLDER, `${name}.json`), 'utf8'))
  if (!reading.ok) throw new Error(JSON.stringify(reading))
  return knownJob(viewOf(reading.job))
}

type Seen = {
  readonly plan: Plan
  /** all that the door prints, as text */
  readonly text: string
  readonly ids: readonly string[]
  readonly parts: string
  readonly notes: string
  /** the same job with another plate */
  readonly with: (unit: Partial<KnownJob['unit']>) => Plan
}

function seen(name: string): Seen {
  const job = jobOf(name)
  const faults = faultsToRepair(job)
  const plan = planOf(job, faults)
  return {
    plan,
    text: JSON.stringify(planJson(plan)),
    ids: plan.tasks.map(({ id }) => id),
    parts: JSON.stringify(plan.parts),
    notes: plan.tasks.flatMap(({ notes }) => notes).join(' '),
    with: (unit) => planOf({ ...job, unit: { ...job.unit, ...unit } }, faults),
  }
}

const POUND = 0.45359237
const FLOZ = 2.95735e-5
const PSI = 6894.757
type Line = readonly [says: string, holds: (at: Seen) => boolean]
const has =
  (...wanted: string[]) =>
  ({ ids }: Seen) =>
    wanted.every((id) => ids.includes(id))
const none =
  (...unwanted: string[]) =>
  ({ ids }: Seen) =>
    unwanted.every((id) => !ids.includes(id))
const order =
  (...all: string[]) =>
  ({ ids }: Seen) =>
    all.every((id, i) => ids.includes(id) && (i === 0 || ids.indexOf(all[i - 1]!) < ids.indexOf(id)))
const near = (value: number, wanted: number, within: number) => Math.abs(value - wanted) <= within
const liquid = ({ plan }: Seen) => plan.dryers.find(({ place }) => place === 'liquid')!.chosen!.dryer
const suction = ({ plan }: Seen) => plan.dryers.find(({ place }) => place === 'suction')
const flooding = (plan: Plan) => plan.charge!.lines.find(({ id }) => id === 'flooding')
const way = (plan: Plan, name: string) => plan.access.ways.find((each) => each.way === name)!

const JOBS: readonly { name: string; must: readonly Line[]; never: readonly Line[] }[] = [
  {
    name: '01-conversion',
    must: [
      ['what came out is reclaimed', ({ plan }) => plan.refrigerantPath.recovered === 'reclaim'],
      [
        '90 % of the plate as liquid, trimmed by superheat and subcooling',
        ({ plan }) =>
          near(plan.charge!.lines[0]!.kg!, 2.7 * POUND, 1e-6) &&
          /90 % .* as liquid, then trimmed by superheat and subcooling/.test(plan.charge!.finish.join(' ')),
      ],
      [
        'old oil out by tipping, 75 min, and blown out, before the vacuum',
        (at) =>
          order('blowOldOil', 'tipCompressor', 'evacuate')(at) &&
          at.plan.tasks.find(({ id }) => id === 'tipCompressor')!.handsOn[1] === 75,
      ],
      ['capillary checked while open', order('recover', 'checkMetering', 'pressureTest')],
      [
        'label over the plate and at each port',
        ({ plan }) =>
          /Label over the old plate and at each port/.test(
            plan.tasks.find(({ id }) => id === 'labelUnit')!.label,
          ),
      ],
    ],
    never: [
      ['refilled', ({ parts, plan }) => /goes in again/.test(parts + plan.refrigerantPath.recoveredReason)],
      ['by weight only', ({ plan }) => /weight only/i.test(plan.charge!.finish.join(' '))],
      ['vapour until', ({ notes }) => /Vapour until/.test(notes)],
      ['a check of the metering device after the start', order('settle', 'checkMetering')],
      ['oil changed in 25 min', has('changeOil')],
    ],
  },
  {
    name: '02-scroll-mild-acid',
    must: [
      ['nothing is filled in', ({ plan }) => plan.oil.refill.value === 0 && plan.oil.bring === 0],
      [
        '10 fl oz are poured off before fitting',
        ({ plan, notes }) =>
          near(plan.oil.newCompressor!.pourOff.value, 10 * FLOZ, 0.01 * FLOZ) &&
          /pour 10\.0 fl oz of its oil off/.test(notes),
      ],
      [
        'the swap is the change: 0.042 after it',
        ({ plan }) =>
          plan.contamination.acid.changes === 1 &&
          near(plan.contamination.acid.after[0]!.tan, 0.042, 1e-6) &&
          /new compressor/.test(plan.contamination.acid.after[0]!.label),
      ],
      ['acid again after 24 h', ({ plan }) => plan.contamination.acid.retestHours.join() === '24'],
      [
        'acid core and a suction dryer',
        (at) => liquid(at).core !== 'sieve' && suction(at)?.chosen !== undefined,
      ],
    ],
    never: [
      ['oil goes in again', ({ plan }) => /goes in again/.test(plan.oil.reasons.join(' '))],
      [
        'an oil change on this visit',
        ({ plan, ...at }) => plan.oil.changes > 0 || !none('changeOil', 'tipCompressor')({ plan, ...at }),
      ],
      ['oil on the list', ({ plan }) => plan.parts.some(({ id }) => id === 'part:oil')],
      ['the charge used again', ({ plan }) => plan.refrigerantPath.recovered === 'reuse-in-same-equipment'],
      ['a test of oil that a laboratory told', (at) => !none('testOil', 'testDrop')(at)],
    ],
  },
  {
    name: '03-vapour-left',
    must: [
      [
        'recovered and weighed before nitrogen',
        (at) =>
          order('recoverVapour', 'traceNitrogen')(at) &&
          at.plan.tasks.some(({ id, overWhen }) => id === 'recoverVapour' && /weight logged/.test(overWhen!)),
      ],
      ['a recovery cylinder', ({ plan }) => plan.parts.some(({ id }) => id === 'part:recovery-cylinder')],
      ['leak found and repaired before the test', order('leakSearch', 'repairFitting', 'pressureTest')],
      [
        'no liquid, about 0.9 lb',
        ({ plan }) =>
          /No liquid is left/.test(plan.recovery.sentences.join(' ')) &&
          near(plan.recovery.vapour!.value, 0.9 * POUND, 0.25 * POUND),
      ],
      [
        'nitrogen into the emptied circuit',
        ({ plan }) => plan.rules.find(({ id }) => id === 'vapour-is-recovered')?.holds === true,
      ],
    ],
    never: [
      ['nothing to recover', ({ text }) => /[Nn]othing to recover/.test(text)],
      ['a proof in place of the recovery', has('proveEmpty')],
      ['pump-down fits', ({ plan }) => way(plan, 'pump-down').fits],
      ['a start before the charge', order('settle', 'weighIn')],
      ['a verdict on what came out', ({ plan }) => plan.recovery.weight !== undefined],
    ],
  },
  {
    name: '04-pump-down',
    must: [
      [
        'pump-down fits and is taken',
        ({ plan }) => way(plan, 'pump-down').fits && plan.access.chosen === 'pump-down',
      ],
      [
        'the liquid line by its own port, 0 before it is cut',
        ({ notes }) => /by its own port, read 0 psig/.test(notes),
      ],
      ['the part recovered to its depth', order('pumpDown', 'recoverRest', 'swapValve')],
      [
        'vacuum and test of the part',
        (at) => has('evacuatePart')(at) && at.plan.testPressure!.of === 'low side of the plate',
      ],
      [
        'let in again, with a weight',
        (at) =>
          has('letIn')(at) &&
          /by weight what went out/.test(at.plan.tasks.find(({ id }) => id === 'letIn')!.label),
      ],
    ],
    never: [
      ['no receiver', ({ text }) => /no receiver/.test(text)],
      ['recovery of all', has('recover')],
      [
        'a valve with refrigerant heated, unsaid',
        ({ plan }) =>
          !way(plan, 'pump-down').asks.some((ask) => /no flame at a valve that holds refrigerant/.test(ask)),
      ],
      ['a test above the low side', ({ plan }) => plan.testPressure!.gauge > 236 * PSI],
      ['a weigh-in of the plate', has('weighIn')],
    ],
  },
  {
    name: '05-plug-isolated',
    must: [
      ['isolation fits', ({ plan }) => way(plan, 'isolate').fits && plan.access.chosen === 'isolate'],
      ['valves tagged, opened before the start', order('isolateCompressor', 'openValves', 'settle')],
      ['recovered between them', order('isolateCompressor', 'recoverRest', 'swapPlug')],
      ['cover on before it starts', order('closeCover', 'settle')],
      [
        'proof dead, at the terminals, the pressure off',
        (at) => order('recoverRest', 'proveAtTerminals', 'swapPlug')(at) && has('confirmDead')(at),
      ],
    ],
    never: [
      [
        'only for the compressor',
        ({ plan }) => /only for the compressor/.test(way(plan, 'isolate').against.join()),
      ],
      [
        'a new compressor',
        (at) => has('swapCompressor')(at) || at.plan.parts.some(({ id }) => id === 'part:compressor'),
      ],
      [
        'a whole charge',
        ({ plan, notes }) =>
          !/what went out with the part/.test(notes) ||
          plan.parts.some(({ quantity, id }) => id === 'part:refrigerant' && /cylinder/.test(quantity ?? '')),
      ],
      ['a live check at the terminals', has('confirm')],
      ['oil changed', (at) => !none('changeOil', 'tipCompressor')(at)],
    ],
  },
  {
    name: '06-frozen-valves',
    must: [
      [
        'valves opened, dried, screens cleaned',
        (at) =>
          order('sweep', 'dryValves', 'pressureTest')(at) &&
          at.plan.parts.some(({ id }) => id === 'part:screen-kit'),
      ],
      [
        'wet steps stay',
        (at) =>
          has('evacuateWet', 'changeOil')(at) &&
          at.plan.contamination.effort.by === 'caution' &&
          !at.plan.contamination.effort.isChoice,
      ],
      [
        'how water got in',
        (at) => has('leakSearch')(at) && at.plan.beforeLeaving.includes('how water got in'),
      ],
      [
        'the charge comes out',
        ({ plan }) => plan.access.chosen === 'recover-all' && plan.refrigerantPath.recovered === 'reclaim',
      ],
      ['a new indicator', has('fitIndicator')],
    ],
    never: [
      ['pump-down or isolation', ({ plan }) => way(plan, 'pump-down').fits || way(plan, 'isolate').fits],
      ['its charge stays in', ({ text }) => /its charge stays in/.test(text)],
      ['the old charge again', ({ plan }) => plan.refrigerantPath.recovered === 'reuse-in-same-equipment'],
      ['clean', ({ plan }) => plan.contamination.class === 'clean'],
      ['a known amount', ({ plan }) => !/its amount is open/.test(plan.contamination.effort.sentence ?? '')],
    ],
  },
  {
    name: '07-fan-head',
    must: [
      ['no allowance', ({ plan }) => flooding(plan) === undefined],
      [
        'by a clear glass at 90 to 95 F',
        ({ plan }) => /clear glass at 90 to 95 F/.test(plan.charge!.finish.join(' ')),
      ],
      [
        'nothing is flooded by the fan',
        ({ plan }) => /held by the fan: nothing is flooded/.test(plan.charge!.finish.join(' ')),
      ],
      [
        'with a flooding valve an allowance',
        (at) =>
          flooding(
            at.with({ headControl: 'flooding', control: { coldestOutdoor: { value: -10, unit: 'F' } } }),
          )!.kg! > 0.05,
      ],
      [
        'with neither it asks',
        (at) => /by the fan or by flooding/.test(at.with({ headControl: undefined }).charge!.missing.join()),
      ],
    ],
    never: [
      ['flooding in the lines', ({ text }) => /"id":"flooding"/.test(text)],
      ['pounds for an unknown kind', (at) => flooding(at.with({ headControl: undefined })) !== undefined],
      [
        'more at 20 F for a glass cleared at 20 F',
        (at) => flooding(at.with({ headControl: 'flooding' })) !== undefined,
      ],
      ['a suction dryer', (at) => suction(at) !== undefined],
      ['an oil change', (at) => !none('changeOil', 'tipCompressor')(at)],
    ],
  },
  {
    name: '08-debris-fridge',
    must: [
      ['debris', ({ plan }) => plan.contamination.class === 'debris' && plan.contamination.known],
      ['named mechanical', ({ text }) => /broken inside: seized or its valves broken/.test(text)],
      [
        'a new capillary',
        (at) => has('swapCapillary')(at) && at.plan.parts.some(({ id }) => id === 'part:capillary'),
      ],
      [
        'the next block up, its liquid weighed in',
        (at) =>
          liquid(at).block === 5 &&
          at.plan.charge!.isExact &&
          at.plan.charge!.lines.some(({ id, kg }) => id === 'dryer' && kg! > 0.03),
      ],
      [
        'sections blown out until the cloth is clean',
        ({ plan }) => /white cloth/.test(plan.tasks.find(({ id }) => id === 'blowOut')?.overWhen ?? ''),
      ],
    ],
    never: [
      [
        'acid planned for',
        ({ plan }) =>
          plan.contamination.contents.acid !== 'none' ||
          liquid(seen('08-debris-fridge')).core === 'high-acid',
      ],
      ['a suction dryer', (at) => suction(at) !== undefined],
      ['a visit back for an acid core', ({ plan }) => plan.returns.length > 0],
      ['oil filled into it', ({ plan }) => plan.oil.refill.value > 0],
      ['tons of a house unit', ({ plan }) => plan.size.tons.value > 0.3],
    ],
  },
  {
    name: '09-control-24v',
    must: [
      [
        'the control at 24 V',
        ({ plan }) =>
          plan.parts
            .find(({ id }) => id === 'part:control')!
            .match!.some(({ id, wanted }) => id === 'coilVolts' && wanted === '24 V'),
      ],
      ['the circuit stays closed', ({ plan }) => !plan.opens],
      ['locked out before it is wired', order('lockOut', 'swapControl')],
      [
        'readings after the start',
        ({ plan }) =>
          /readings after the start/.test(plan.tasks.find(({ id }) => id === 'closeUp')!.overWhen!),
      ],
      [
        'no compressor volts at the control',
        ({ plan }) =>
          plan.parts.find(({ id }) => id === 'part:control')!.match!.every(({ id }) => id !== 'volts'),
      ],
    ],
    never: [
      ['a control at 230 V', ({ parts }) => /230 V/.test(parts)],
      ['a dryer', ({ plan }) => plan.dryers.length > 0],
      ['a recovery', (at) => !none('recover', 'recoverRest', 'recoverVapour')(at)],
      ['nitrogen', (at) => !none('sweep', 'pressureTest')(at)],
      ['a fire watch', has('fireWatch')],
    ],
  },
  {
    name: '10-low-side-plate',
    must: [
      ['limit 300', ({ plan }) => near(plan.testPressure!.limit, 300 * PSI, 1)],
      ['test at 285', ({ plan }) => near(plan.testPressure!.gauge, 285 * PSI, 1)],
      [
        'the high side no lower',
        (at) =>
          at.with({ designPressures: { low: { value: 200, unit: 'psig' } } }).testPressure!.limit <=
            200 * PSI + 1 && near(at.plan.testPressure!.limit, 300 * PSI, 1),
      ],
      ['assumed', ({ plan }) => plan.testPressure!.basis.source === 'assumed'],
      [
        'steps at 5, 25, 50',
        ({ plan }) => [5, 25, 50].every((step, i) => near(plan.testPressure!.steps[i]!, step * PSI, 1)),
      ],
    ],
    never: [
      ['250', ({ plan }) => near(plan.testPressure!.limit, 250 * PSI, 10)],
      [
        'a high side below the low side',
        ({ plan }) => /high side/.test(plan.testPressure!.of) && plan.testPressure!.limit < 300 * PSI,
      ],
      ['above 300', ({ plan }) => plan.testPressure!.gauge >= 300 * PSI],
      ['a test of 150', ({ plan }) => plan.testPressure!.gauge <= 150 * PSI],
      [
        'told as the plate’s',
        ({ plan }) => plan.testPressure!.basis.from.every((from) => !/high side/.test(from)),
      ],
    ],
  },
]

describe.each(JOBS)('$name', ({ name, must, never }) => {
  const at = () => seen(name)
  test('five and five', () => expect([must.length, never.length]).toEqual([5, 5]))
  test.each(must)('must: %s', (_says, holds) => expect(holds(at())).toBe(true))
  test.each(never)('never: %s', (_says, holds) => expect(holds(at())).toBe(false))
})
