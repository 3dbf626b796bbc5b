import { fitFrom, NEVER, workBackFrom } from './calendar'
import type { Activity, Stretch } from './model'
import type { Network } from './network'

/** Earliest starts and ends where people and machines were without number. NEVER where the calendar has no room. */
export type Heads = { readonly start: Int32Array; readonly handsOff: Int32Array; readonly end: Int32Array }

/** Earliest place of every activity by what it waits for and the calendar alone. */
export function headsOf(network: Network): Heads {
  const { size } = network
  const heads = { start: new Int32Array(size), handsOff: new Int32Array(size), end: new Int32Array(size) }
  for (let i = 0; i < size; i += 1) {
    let ready = network.notBefore[i]!
    for (const earlier of network.after[i]!) ready = Math.max(ready, heads.end[earlier]!)
    for (const earlier of network.alongside[i]!) ready = Math.max(ready, heads.handsOff[earlier]!)
    const fit = ready >= NEVER ? undefined : inSpell(network, i, ready)
    heads.start[i] = fit?.start ?? NEVER
    heads.handsOff[i] = fit?.handsOff ?? NEVER
    heads.end[i] = fit?.end ?? NEVER
  }
  return heads
}

/** The first place in any spell that takes the activity alone. */
function inSpell({ calendar, opening, activities }: Network, i: number, ready: number) {
  if (opening[i]! < 0) return fitFrom(calendar, activities[i]!, ready)
  for (const { from, to } of calendar.dry) {
    if (to <= ready) continue
    const fit = fitFrom(calendar, activities[i]!, Math.max(from, ready))
    if (fit && fit.end <= to) return fit
  }
  return undefined
}

/** Latest starts and latest moments at which the hands are off, so that all is over by a target. Negative: it cannot be. */
export type Tails = { readonly start: Int32Array; readonly handsOff: Int32Array }

/** Latest place of every activity for a finish, by what waits for it and the calendar alone. */
export function tailsFor(network: Network, target: number): Tails {
  const { size, calendar, activities } = network
  const end = Int32Array.from(network.dueBy, (due) => Math.min(due, target))
  const handsOff = new Int32Array(size).fill(target)
  const start = new Int32Array(size)
  for (let i = size - 1; i >= 0; i -= 1) {
    const { handsOn, unattended } = activities[i]!
    handsOff[i] = Math.min(handsOff[i]!, end[i]! - unattended)
    start[i] = handsOff[i]! < 0 ? -1 : workBackFrom(calendar, handsOff[i]!, handsOn)
    // what is begun in an idle stretch counts from the work that follows
    for (const earlier of network.after[i]!) end[earlier] = Math.min(end[earlier]!, start[i]!)
    for (const earlier of network.alongside[i]!) handsOff[earlier] = Math.min(handsOff[earlier]!, start[i]!)
  }
  return { start, handsOff }
}

/** Minutes of people that an activity takes: of who does it and who helps. */
export const personMinutes = ({ handsOn, second = 0 }: Activity): number => handsOn + second

/** Work that is left, as a pile: when each may begin, by when it is due, how long it takes. */
export type Pile = {
  readonly count: number
  readonly head: Int32Array
  readonly due: Int32Array
  readonly work: Int32Array
}

/**
 * Whether a pile of work can be done in time by people who may lay down and share every piece: a bound, as nothing that is
 * refused here can be done. Heads and due times in working minutes.
 */
export function fitsInTime({ count, head, due, work }: Pile, people: number): boolean {
  const left = Float64Array.from(work.subarray(0, count))
  let now = 0
  let open = count
  while (open > 0) {
    let next = NEVER
    let best = -1
    for (let i = 0; i < count; i += 1) {
      if (left[i]! <= 0) continue
      if (head[i]! > now) {
        if (head[i]! < next) next = head[i]!
      } else if (best < 0 || due[i]! < due[best]!) best = i
    }
    if (best < 0) {
      now = next
      continue
    }
    // all people on the most urgent piece, until it is done or another begins
    const need = left[best]! / people
    const step = Math.min(need, next - now)
    left[best]! -= step * people
    now += step
    if (left[best]! <= 1e-9) {
      left[best] = 0
      open -= 1
      if (now > due[best]! + 1e-9) return false
    }
  }
  return true
}

/** Whether all can be over by a target as far as these bounds see. */
function mayEndBy(network: Network, heads: Heads, target: number): boolean {
  const { size, calendar, activities, people } = network
  const tails = tailsFor(network, target)
  for (let i = 0; i < size; i += 1)
    if (heads.start[i]! > tails.start[i]! || heads.end[i]! > target) return false
  const { worked } = calendar
  const head = Int32Array.from(heads.start, (minute) => worked[minute]!)
  const due = Int32Array.from(tails.handsOff, (minute) => worked[minute]!)
  const work = Int32Array.from(activities, personMinutes)
  if (!fitsInTime({ count: size, head, due, work }, people)) return false
  return machinesFit(network, heads, tails)
}

/** The same for each machine, in minutes of the clock: it is held to the end of what runs unattended. */
function machinesFit({ machine, activities, size }: Network, heads: Heads, tails: Tails): boolean {
  for (const one of new Set(machine)) {
    if (one < 0) continue
    const on = [...Array(size).keys()].filter((i) => machine[i] === one)
    const held = (i: number) => activities[i]!.handsOn + activities[i]!.unattended
    const pile = {
      count: on.length,
      head: Int32Array.from(on, (i) => heads.start[i]!),
      due: Int32Array.from(on, (i) => tails.handsOff[i]! + activities[i]!.unattended),
      work: Int32Array.from(on, held),
    }
    if (!fitsInTime(pile, 1)) return false
  }
  return true
}

function boundOf(network: Network): number {
  const heads = headsOf(network)
  let low = Math.max(0, ...heads.end)
  if (low >= NEVER) return NEVER
  let high = network.calendar.horizon
  if (!mayEndBy(network, heads, high)) return NEVER
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (mayEndBy(network, heads, middle)) high = middle
    else low = middle + 1
  }
  return low
}

/** The same problem where one opening lies in one spell. */
function inThisSpell(network: Network, opening: number, { from, to }: Stretch): Network {
  const isOf = (i: number) => network.opening[i] === opening
  return {
    ...network,
    notBefore: network.notBefore.map((minute, i) => (isOf(i) ? Math.max(minute, from) : minute)),
    dueBy: network.dueBy.map((minute, i) => (isOf(i) ? Math.min(minute, to) : minute)),
  }
}

/**
 * A finish that no plan can beat: the least target that the bounds cannot refuse, over the spells of each opening.
 * @returns NEVER where some activity has no place inside the horizon
 */
export function lowerBound(network: Network): number {
  let bound = boundOf(network)
  for (let opening = 0; opening < network.openings; opening += 1)
    bound = Math.max(
      bound,
      Math.min(NEVER, ...network.calendar.dry.map((spell) => boundOf(inThisSpell(network, opening, spell)))),
    )
  return bound
}
