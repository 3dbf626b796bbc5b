// Counting how often a ranking is right.
import type { Suspect } from '@/core/answer/diagnose'
import { type FamilyId, familyOf } from '@/core/diagnosis/faults/families'
import type { SuspectId } from '@/core/diagnosis/faults/faults'

/** A suspect must reach this to count as an answer. */
export const ANSWER = 0.25

export type Hit = { readonly exact: boolean; readonly family: boolean; readonly three: boolean }

export const isRight = (truth: SuspectId, { fault, also }: Pick<Suspect, 'fault' | 'also'>): boolean =>
  fault === truth && also === undefined

/** The leading family: beliefs of the suspects that would be treated alike, put together. */
export function leadingFamily(suspects: readonly Suspect[]): { action: FamilyId; probability: number } {
  const [first] = suspects
  // what was seen leads, and the others sum to one beside it
  if (first?.seen) return { action: first.family, probability: first.probability }
  const sums = new Map<FamilyId, number>()
  for (const { family: action, probability } of suspects)
    sums.set(action, (sums.get(action) ?? 0) + probability)
  const [action, probability] = [...sums].sort((a, b) => b[1] - a[1])[0] as [FamilyId, number]
  return { action, probability }
}

export const hitOf = (truth: SuspectId, suspects: readonly Suspect[]): Hit => ({
  exact: isRight(truth, suspects[0] as Suspect),
  family: leadingFamily(suspects).action === familyOf(truth),
  three: suspects.slice(0, 3).some((suspect) => isRight(truth, suspect)),
})

const share = (part: number, whole: number) => (whole === 0 ? null : Number((part / whole).toFixed(3)))

/** Hits at the three stages of a case. */
export class Score {
  cases = 0
  private readonly sums = {
    exact: 0,
    family: 0,
    three: 0,
    exactAfter: 0,
    familyAfter: 0,
    exactAll: 0,
    familyAll: 0,
  }

  add(now: Hit, after: Hit, all: Hit): void {
    const { sums } = this
    this.cases += 1
    sums.exact += Number(now.exact)
    sums.family += Number(now.family)
    sums.three += Number(now.three)
    sums.exactAfter += Number(after.exact)
    sums.familyAfter += Number(after.family)
    sums.exactAll += Number(all.exact)
    sums.familyAll += Number(all.family)
  }

  shown(): Record<string, number | null> {
    const { cases, sums } = this
    return {
      cases,
      exact: share(sums.exact, cases),
      family: share(sums.family, cases),
      firstThree: share(sums.three, cases),
      exactAfterThreeChecks: share(sums.exactAfter, cases),
      familyAfterThreeChecks: share(sums.familyAfter, cases),
      exactEverything: share(sums.exactAll, cases),
      familyEverything: share(sums.familyAll, cases),
    }
  }
}

/** Scores by a name. */
export class Scores {
  private readonly byName = new Map<string, Score>()
  of(name: string): Score {
    const known = this.byName.get(name) ?? new Score()
    this.byName.set(name, known)
    return known
  }
  shown(): Record<string, Record<string, number | null>> {
    const rows = [...this.byName].sort(([a], [b]) => a.localeCompare(b))
    return Object.fromEntries(rows.map(([name, score]) => [name, score.shown()]))
  }
}

/** Believed against right, in tenths of belief. */
export class Calibration {
  private readonly bins = Array.from({ length: 10 }, () => ({ cases: 0, believed: 0, right: 0 }))
  add(probability: number, right: boolean): void {
    const bin = this.bins[Math.min(Math.floor(probability * 10), 9)] as (typeof this.bins)[number]
    bin.cases += 1
    bin.believed += probability
    bin.right += Number(right)
  }
  /** Expected calibration error. */
  error(): number {
    const cases = this.bins.reduce((sum, bin) => sum + bin.cases, 0)
    const off = this.bins.reduce((sum, { believed, right }) => sum + Math.abs(believed - right), 0)
    return Number((off / cases).toFixed(3))
  }
  reliability(): (number | null)[][] {
    return this.bins.map(({ cases, believed, right }) => [cases, share(believed, cases), share(right, cases)])
  }
}

/** Believed against right by a name. */
export class Beliefs {
  private readonly byName = new Map<string, { cases: number; believed: number; right: number }>()
  add(name: string, probability: number, right: boolean): void {
    const known = this.byName.get(name) ?? { cases: 0, believed: 0, right: 0 }
    this.byName.set(name, known)
    known.cases += 1
    known.believed += probability
    known.right += Number(right)
  }
  /** The names that are furthest off, of those with so many cases: [name, cases, believed, right]. */
  worst(least: number, most: number): (string | number | null)[][] {
    const off = ({ cases, believed, right }: { cases: number; believed: number; right: number }) =>
      Math.abs(believed - right) / cases
    return [...this.byName]
      .filter(([, { cases }]) => cases >= least)
      .sort((a, b) => off(b[1]) - off(a[1]))
      .slice(0, most)
      .map(([name, { cases, believed, right }]) => [name, cases, share(believed, cases), share(right, cases)])
  }
}

export class Counter {
  private readonly counts = new Map<string, number>()
  add(name: string): void {
    this.counts.set(name, (this.counts.get(name) ?? 0) + 1)
  }
  most(limit: number): Record<string, number> {
    return Object.fromEntries([...this.counts].sort((a, b) => b[1] - a[1]).slice(0, limit))
  }
}

export const median = (values: readonly number[]): number | null =>
  values.length === 0
    ? null
    : Number(([...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number).toFixed(2))

export const shareOf = share
