import { percent } from '../../base/units/percent'
import { OPEN_OHMS_LEAST } from '../../record/readings/openOhms'
import { showOhms } from './showOhms'
import { type Finding, good, unclear } from './finding'

/** The three unlabelled terminals and the three pairs, each pair named by its two terminals. */
export const PAIRS = ['AB', 'BC', 'CA'] as const
export type Pair = (typeof PAIRS)[number]
type Terminal = 'A' | 'B' | 'C'
type TerminalName = 'common' | 'run' | 'start'

/** Ohms of each pair; Infinity where the meter reads open. */
export type PairOhms = Readonly<Record<Pair, number>>

export type SinglePhaseResult = {
  readonly finding: Finding
  /** names where they can be told */
  readonly terminals?: Readonly<Partial<Record<Terminal, TerminalName>>>
  readonly ohms?: { readonly commonRun: number; readonly commonStart: number; readonly runStart: number }
}

/** [physics] the largest pair is the other two in series; [practice] within about 5 %. */
const SUM_SHARE = 0.05
/** [memory] what an ordinary meter and its leads add, ohms. */
const METER_OHMS = 0.2
const METER_SHARE = 0.02
const SHORTED_OHMS = 0.05

const terminalsOf = (pair: Pair): readonly [Terminal, Terminal] => [...pair] as [Terminal, Terminal]
const without = (pair: Pair): Terminal =>
  (['A', 'B', 'C'] as const).find((each) => !pair.includes(each)) as Terminal
const isOpen = (ohms: number) => ohms >= OPEN_OHMS_LEAST

/** What stands on the pins; the letters A, B, C where nothing does. */
export type PinNames = Readonly<Record<Terminal, string>>
const UNMARKED: PinNames = { A: 'A', B: 'B', C: 'C' }
/** On marked pins A is common. */
const COMMON: Terminal = 'A'
const pairName = (pair: Pair, names: PinNames) =>
  terminalsOf(pair)
    .map((each) => names[each])
    .join('-')

/**
 * Names the terminals of a single-phase compressor from three unlabelled readings, and judges its windings. What the
 * meter cannot tell apart is not named.
 * @param ohms of the pairs AB, BC, CA; Infinity for open
 * @param hot whether the shell is hot, undefined where nobody felt it: the internal overload sits in the common leg
 * @param names what stands on the pins, A being common; left out where they are not marked
 */
export function nameTerminals(
  ohms: PairOhms,
  hot: boolean | undefined,
  names: PinNames = UNMARKED,
): SinglePhaseResult {
  if (PAIRS.some((pair) => Number.isNaN(ohms[pair]) || ohms[pair] < 0)) {
    return { finding: unclear('A resistance is missing or below zero.', 'Measure the three pairs again.') }
  }
  const open = PAIRS.filter((pair) => isOpen(ohms[pair]))
  if (open.length > 0) return withOpens(ohms, open, hot, names)
  return allClosed(ohms, names)
}

function withOpens(
  ohms: PairOhms,
  open: readonly Pair[],
  hot: boolean | undefined,
  names: PinNames,
): SinglePhaseResult {
  if (open.length === 3) return { finding: allOpen(hot) }
  if (open.length === 1) {
    const [pair] = open as [Pair]
    return {
      finding: unclear(
        `${pairName(pair, names)} reads open while the other two pairs read: through the third terminal it cannot.`,
        `Clean the pins and measure ${pairName(pair, names)} again.`,
      ),
    }
  }
  const closed = PAIRS.find((pair) => !open.includes(pair)) as Pair
  return { finding: commonLegOpen(closed, ohms[closed], hot, names) }
}

function allOpen(hot: boolean | undefined): Finding {
  return {
    verdict: 'suspect',
    faults:
      hot === false ? ['compressor-open-winding'] : ['compressor-overload-open', 'compressor-open-winding'],
    sentence: 'All three pairs read open.',
    next: hot
      ? 'Cool the shell at least 20 minutes, often over an hour, and measure again.'
      : 'Check the meter leads on each other, clean the pins, measure again at the terminals.',
  }
}

/** Two opens share one terminal: its leg is open; hot, that is what an internal overload looks like. */
function commonLegOpen(closed: Pair, ohms: number, hot: boolean | undefined, names: PinNames): Finding {
  const pair = pairName(closed, names)
  const start = `Only ${pair} reads (${showOhms(ohms)}): the leg of ${names[without(closed)]} is open.`
  if (names !== UNMARKED && without(closed) !== COMMON) {
    return {
      verdict: 'failed',
      faults: ['compressor-open-winding'],
      sentence: `${start} An internal overload would open both pairs of common, so it is a winding.`,
      next: 'Measure at the compressor’s own terminals with the leads off before condemning.',
      nextActs: ['own-terminals'],
    }
  }
  if (hot === undefined) {
    return {
      verdict: 'suspect',
      faults: ['compressor-overload-open', 'compressor-open-winding'],
      sentence: `${start} On a hot shell, with ${pair} being run to start, that is the internal overload; cold it is a failed winding.`,
      next: 'Feel the shell; if it is hot, cool it at least 20 minutes, often over an hour, and measure again.',
    }
  }
  if (hot) {
    return {
      verdict: 'suspect',
      faults: ['compressor-overload-open'],
      sentence: `${start} With a hot shell and ${pair} being run to start, that is the internal overload, not a failed winding.`,
      next: 'Cool the shell at least 20 minutes, often over an hour, and measure again before condemning.',
    }
  }
  return {
    verdict: 'failed',
    faults: ['compressor-open-winding'],
    sentence: `${start} The shell is cold, so no overload can still be open.`,
    next: 'Measure at the compressor’s own terminals with the leads off before condemning.',
    nextActs: ['own-terminals'],
  }
}

/** What a reading may be off by: 2 %, and what an ordinary meter and its leads add; ohms. [memory] */
const errorOf = (ohms: number) => Math.max(METER_SHARE * ohms, METER_OHMS)
const isApart = (first: number, second: number) =>
  Math.abs(first - second) > Math.hypot(errorOf(first), errorOf(second))

/** Names only what the meter can tell apart; what it cannot is said with the reading to repeat. */
function allClosed(ohms: PairOhms, names: PinNames): SinglePhaseResult {
  const [small, middle, large] = [...PAIRS].sort((a, b) => ohms[a] - ohms[b]) as [Pair, Pair, Pair]
  const named = { commonRun: ohms[small], commonStart: ohms[middle], runStart: ohms[large] }
  const finding = judgeSum(named)
  const common = without(large)
  const hasCommon = finding.verdict !== 'suspect' && isApart(ohms[middle], ohms[large])
  if (!hasCommon) return { finding: doubtful(finding, [middle, large], names) }
  if (!isApart(ohms[small], ohms[middle]))
    return { finding: doubtful(finding, [small, middle], names), terminals: { [common]: 'common' } }
  const run = terminalsOf(small).find((each) => each !== common) as Terminal
  const start = terminalsOf(middle).find((each) => each !== common) as Terminal
  const terminals = { [common]: 'common', [run]: 'run', [start]: 'start' } as Record<Terminal, TerminalName>
  return { finding, terminals, ohms: named }
}

/** On unmarked pins a pair of readings that agrees within the meter's error names nothing. */
function doubtful(finding: Finding, [first, second]: readonly [Pair, Pair], names: PinNames): Finding {
  if (names !== UNMARKED) return finding
  if (finding.verdict === 'suspect')
    return {
      ...finding,
      next: `No terminal is named: repeat ${pairName(second, names)} first, then the other two, at the clean pins.`,
    }
  const both = `${pairName(first, names)} and ${pairName(second, names)}`
  return unclear(
    `${both} agree within the meter’s error: what they would name cannot be told apart.`,
    `Zero the meter on its leads and repeat ${both}, or use a low-ohm meter.`,
  )
}

function judgeSum({ commonRun, commonStart, runStart }: NonNullable<SinglePhaseResult['ohms']>): Finding {
  if (commonRun < SHORTED_OHMS) {
    return {
      verdict: 'suspect',
      faults: ['compressor-shorted-turns'],
      sentence: `A pair reads ${showOhms(commonRun)}: a winding is shorted, or the leads touch.`,
      next: 'Zero the meter on its own leads and measure again.',
    }
  }
  const sum = commonRun + commonStart
  const off = Math.abs(runStart - sum)
  const allowed = SUM_SHARE * runStart
  if (off <= allowed)
    return good(`Run to start is the sum of the other two within ${percent(off / runStart)}.`)
  if (off <= allowed + METER_OHMS) {
    return unclear(
      `Run to start differs from the sum by ${off.toFixed(2)} ohm: no more than meter and leads can add.`,
      'Zero the meter on its leads and repeat, or use a low-ohm meter.',
    )
  }
  return {
    verdict: 'suspect',
    faults: ['compressor-shorted-turns'],
    sentence: `Run to start (${showOhms(runStart)}) is not the sum of the other two (${showOhms(sum)}).`,
    next: 'Repeat at the clean pins; compare with the maker’s figures.',
  }
}
