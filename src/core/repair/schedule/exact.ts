import { fitsInTime, headsOf, personMinutes, type Pile, type Tails, tailsFor } from './bounds'
import { type Fit, fitFrom, NEVER } from './calendar'
import { MACHINES } from './model'
import type { Network } from './network'
import type { Layout } from './place'

/**
 * Depth first over plans in order of their starts: every plan that cannot be pulled earlier is among them. A branch ends where
 * the work that is left cannot be over before the best plan so far, or where the same activities were placed no later before.
 */
type State = {
  readonly fits: (Fit | undefined)[]
  readonly placed: boolean[]
  readonly people: Int32Array
  readonly machines: Int32Array
  readonly spells: Int32Array
  count: number
  /** no later activity starts before the last one */
  last: number
}

/** Vectors of times with which one set of activities was reached; none is nowhere later than another. */
type Seen = Map<string, Int32Array[]>

const MOST_SEEN = 24

export type Exact = { readonly best: Layout; readonly nodes: number; readonly isDone: boolean }

class Search {
  nodes = 0
  best: Layout
  private readonly seen: Seen = new Map()
  private readonly state: State
  private readonly pile: { head: Int32Array; due: Int32Array; work: Int32Array }
  private tails: Tails
  private readonly heads: Int32Array
  private readonly order: number[]

  constructor(
    private readonly network: Network,
    start: Layout,
    private readonly enough: number,
    private readonly budget: number,
  ) {
    const { size, people, openings } = network
    this.best = start
    this.state = {
      fits: new Array<Fit | undefined>(size).fill(undefined),
      placed: new Array<boolean>(size).fill(false),
      people: new Int32Array(people),
      machines: new Int32Array(MACHINES.length),
      spells: new Int32Array(openings).fill(-1),
      count: 0,
      last: 0,
    }
    this.pile = { head: new Int32Array(size), due: new Int32Array(size), work: new Int32Array(size) }
    this.tails = tailsFor(network, this.target())
    this.heads = headsOf(network).start
    this.order = [...Array(size).keys()]
    this.headEnd = { end: new Int32Array(size), handsOff: new Int32Array(size) }
  }

  /** What a better plan must reach. */
  private target = () => Math.min(this.best.finish - 1, this.network.calendar.horizon)
  private isOver = () => this.nodes >= this.budget || this.best.finish <= this.enough

  /** It takes two people to begin. */
  private isHelped = (i: number) => (this.network.activities[i]!.second ?? 0) > 0

  /** When an activity may begin, all told; NEVER while it waits for something that is not placed. */
  private ready(i: number): number {
    const { after, alongside, notBefore, machine } = this.network
    const { fits, people, machines, last } = this.state
    let ready = Math.max(notBefore[i]!, last, people[this.isHelped(i) ? 1 : 0]!)
    for (const earlier of after[i]!) ready = Math.max(ready, fits[earlier]?.end ?? NEVER)
    for (const earlier of alongside[i]!) ready = Math.max(ready, fits[earlier]?.handsOff ?? NEVER)
    return machine[i]! < 0 ? ready : Math.max(ready, machines[machine[i]!]!)
  }

  /** Places that an activity can take: one, or one in each spell where its opening has not begun. */
  private placesOf(i: number): { fit: Fit; spell: number }[] {
    const { calendar, activities, opening } = this.network
    const ready = this.ready(i)
    if (ready >= NEVER) return []
    const own = opening[i]!
    if (own < 0) {
      const fit = fitFrom(calendar, activities[i]!, ready)
      return fit ? [{ fit, spell: -1 }] : []
    }
    const chosen = this.state.spells[own]!
    const spells = chosen >= 0 ? [chosen] : calendar.dry.map((_each, spell) => spell)
    return spells.flatMap((spell) => {
      const { from, to } = calendar.dry[spell]!
      const fit = to > ready ? fitFrom(calendar, activities[i]!, Math.max(from, ready)) : undefined
      return fit && fit.end <= to ? [{ fit, spell }] : []
    })
  }

  /** Earliest starts of what is not placed, by what it waits for; false where one is past its latest start. */
  private headsLeft(): boolean {
    const { size, after, alongside, activities, machine, notBefore } = this.network
    const { fits, placed, people, machines, last } = this.state
    const { head, due, work } = this.pile
    const { worked, horizon } = this.network.calendar
    const ends = this.headEnd
    let k = 0
    for (let i = 0; i < size; i += 1) {
      if (placed[i]) {
        ends.end[i] = fits[i]!.end
        ends.handsOff[i] = fits[i]!.handsOff
        continue
      }
      let ready = Math.max(this.heads[i]!, notBefore[i]!, last, people[0]!)
      if (machine[i]! >= 0) ready = Math.max(ready, machines[machine[i]!]!)
      for (const earlier of after[i]!) ready = Math.max(ready, ends.end[earlier]!)
      for (const earlier of alongside[i]!) ready = Math.max(ready, ends.handsOff[earlier]!)
      if (ready > this.tails.start[i]! || ready >= horizon) return false
      const { handsOn, unattended } = activities[i]!
      const off = this.network.calendar.minuteOf[worked[ready]! + handsOn - 1]
      if (off === undefined || off + 1 > this.tails.handsOff[i]!) return false
      ends.handsOff[i] = off + 1
      ends.end[i] = off + 1 + unattended
      head[k] = worked[ready]!
      due[k] = worked[Math.min(horizon, this.tails.handsOff[i]!)]!
      work[k] = personMinutes(activities[i]!)
      k += 1
    }
    this.left = k
    return true
  }
  private left = 0
  private readonly headEnd: { end: Int32Array; handsOff: Int32Array }

  private isHopeless(): boolean {
    if (!this.headsLeft()) return true
    const pile: Pile = { count: this.left, ...this.pile }
    return !fitsInTime(pile, this.network.people)
  }

  /** All times from here on that the past decides; two of the same set compare place by place. */
  private vector(): Int32Array {
    const { size, after, alongside, machine } = this.network
    const { fits, placed, people, machines, last } = this.state
    const now = Math.max(last, people[0]!)
    const values = [...people].map((free) => Math.max(free, now))
    values.push(Math.max(0, ...fits.map((fit) => fit?.end ?? 0)))
    const used = new Set<number>()
    for (let i = 0; i < size; i += 1) if (!placed[i] && machine[i]! >= 0) used.add(machine[i]!)
    machines.forEach((free, i) => values.push(used.has(i) ? Math.max(free, now) : 0))
    for (let i = 0; i < size; i += 1) {
      if (placed[i]) continue
      let ready = now
      for (const earlier of after[i]!) if (placed[earlier]) ready = Math.max(ready, fits[earlier]!.end)
      for (const earlier of alongside[i]!)
        if (placed[earlier]) ready = Math.max(ready, fits[earlier]!.handsOff)
      values.push(ready)
    }
    return Int32Array.from(values)
  }

  private wasBetter(): boolean {
    const { placed, spells } = this.state
    const key = `${placed.map((each) => (each ? 1 : 0)).join('')}|${spells.join()}`
    const vector = this.vector()
    const known = this.seen.get(key)
    if (!known) {
      this.seen.set(key, [vector])
      return false
    }
    if (known.some((other) => other.every((value, i) => value <= vector[i]!))) return true
    const kept = known.filter((other) => !other.every((value, i) => value >= vector[i]!))
    kept.push(vector)
    this.seen.set(key, kept.slice(-MOST_SEEN))
    return false
  }

  /** Keeps a whole plan. */
  private keep() {
    const finish = Math.max(0, ...this.state.fits.map((fit) => fit!.end))
    if (finish >= this.best.finish) return
    this.best = { fits: [...this.state.fits], finish }
    this.tails = tailsFor(this.network, this.target())
  }

  run(): void {
    const { state, network } = this
    if (state.count === network.size) return this.keep()
    if (this.isOver()) return
    this.nodes += 1
    if (this.isHopeless() || this.wasBetter()) return
    const choices = this.order
      .filter((i) => !state.placed[i])
      .flatMap((i) => this.placesOf(i).map((each) => ({ i, ...each })))
      .sort((a, b) => a.fit.start - b.fit.start || this.tails.start[a.i]! - this.tails.start[b.i]!)
    // something begins before the first of them is over, or that one could lie before all; one whose spell is open may wait
    const isSettled = (i: number) => network.opening[i]! < 0 || state.spells[network.opening[i]!]! >= 0
    const soonest = Math.min(...choices.map(({ i, fit }) => (isSettled(i) ? fit.end : NEVER)))
    for (const { i, fit, spell } of choices) {
      if (fit.start >= soonest) continue
      this.put(i, fit, spell)
      if (this.isOver()) return
    }
  }

  private put(i: number, fit: Fit, spell: number) {
    const { state, network } = this
    const people = Int32Array.from(state.people)
    const { last } = state
    const machine = network.machine[i]!
    const machineBefore = machine < 0 ? 0 : state.machines[machine]!
    const opening = network.opening[i]!
    const spellBefore = opening < 0 ? -1 : state.spells[opening]!
    // those who have been free the shortest take it
    let who = 0
    for (let k = 0; k < people.length; k += 1) if (people[k]! <= fit.start) who = k
    state.people[who] = fit.handsOff
    if (this.isHelped(i)) state.people[who - 1] = fit.helpOff
    state.people.sort()
    state.last = fit.start
    state.placed[i] = true
    state.fits[i] = fit
    state.count += 1
    if (machine >= 0) state.machines[machine] = fit.end
    if (opening >= 0) state.spells[opening] = spell
    this.run()
    state.people.set(people)
    state.last = last
    state.placed[i] = false
    state.fits[i] = undefined
    state.count -= 1
    if (machine >= 0) state.machines[machine] = machineBefore
    if (opening >= 0) state.spells[opening] = spellBefore
  }
}

/**
 * The best plan, proven where the search ends inside its budget.
 * @param start a plan to beat
 * @param enough a finish that cannot be beaten
 * @param budget states that are looked at
 */
export function searchExact(network: Network, start: Layout, enough: number, budget: number): Exact {
  const search = new Search(network, start, enough, budget)
  if (start.finish > enough) search.run()
  return { best: search.best, nodes: search.nodes, isDone: search.nodes < budget }
}
