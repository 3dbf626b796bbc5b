import { fitFrom, NEVER } from './calendar'
import type { Fit } from './calendar'
import type { Network } from './network'

/** Where every activity lies, by its number; the finish is NEVER where one could not be placed. */
export type Layout = { readonly fits: readonly (Fit | undefined)[]; readonly finish: number }

/** A spell for each opening, by its number; unset while nothing of it is placed. */
type Spells = (number | undefined)[]

/** When at a minute one of the people is free: the minute itself where fewer are busy. */
function freeAt(placed: readonly Fit[], minute: number, people: number): number {
  let busy = 0
  let soonest = NEVER
  for (const { start, helpOff, handsOff } of placed) {
    if (start > minute || handsOff <= minute) continue
    const isHelped = helpOff > minute
    busy += isHelped ? 2 : 1
    soonest = Math.min(soonest, isHelped ? helpOff : handsOff)
  }
  return busy < people ? minute : soonest
}

/** The earliest minute at which fewer people are busy throughout a stretch of work; its own start where they are. */
function personFree(
  placed: readonly Fit[],
  { start, handsOff }: Pick<Fit, 'start' | 'handsOff'>,
  people: number,
): number {
  const first = freeAt(placed, start, people)
  if (first > start) return first
  // busy people change only where one begins
  for (const each of placed) {
    if (each.start <= start || each.start >= handsOff) continue
    const free = freeAt(placed, each.start, people)
    if (free > each.start) return free
  }
  return start
}

/** The same for who does it and, as long as it takes, who helps. */
function peopleFree(placed: readonly Fit[], fit: Fit, people: number): number {
  const free = personFree(placed, fit, people)
  if (fit.helpOff <= fit.start) return free
  return Math.max(free, personFree(placed, { start: fit.start, handsOff: fit.helpOff }, people - 1))
}

function machineFree(placed: readonly Fit[], { start, end }: Fit): number {
  let free = start
  for (const each of placed) if (each.start < end && each.end > start && each.end > free) free = each.end
  return free
}

/** The first place from a minute on that calendar, people and machine allow. */
function firstPlace(
  network: Network,
  i: number,
  from: number,
  all: readonly Fit[],
  ofMachine: readonly Fit[],
) {
  let minute = from
  for (;;) {
    const fit = fitFrom(network.calendar, network.activities[i]!, minute)
    if (!fit) return undefined
    const free = Math.max(peopleFree(all, fit, network.people), machineFree(ofMachine, fit))
    if (free <= fit.start) return fit
    minute = free
  }
}

/** When what it waits for lets it begin; NEVER while something of that is not placed. */
function readyAt({ after, alongside, notBefore }: Network, i: number, fits: Layout['fits']): number {
  let ready = notBefore[i]!
  for (const earlier of after[i]!) ready = Math.max(ready, fits[earlier]?.end ?? NEVER)
  for (const earlier of alongside[i]!) ready = Math.max(ready, fits[earlier]?.handsOff ?? NEVER)
  return ready
}

/** A place inside the spell of its opening; the first spell that takes it where nothing of the opening is placed yet. */
function placeInSpell(
  network: Network,
  i: number,
  ready: number,
  all: readonly Fit[],
  ofMachine: readonly Fit[],
  spells: Spells,
) {
  const opening = network.opening[i]!
  if (opening < 0) return firstPlace(network, i, ready, all, ofMachine)
  const { dry } = network.calendar
  const chosen = spells[opening]
  for (let spell = chosen ?? 0; spell < (chosen === undefined ? dry.length : chosen + 1); spell += 1) {
    const { from, to } = dry[spell]!
    if (to <= ready) continue
    const fit = firstPlace(network, i, Math.max(from, ready), all, ofMachine)
    if (!fit || fit.end > to) continue
    spells[opening] = spell
    return fit
  }
  return undefined
}

/** Places the activities one after another in an order, each as early as it goes; openings in the spells that are given. */
function placeIn(network: Network, order: readonly number[], given: readonly (number | undefined)[]): Layout {
  const fits: (Fit | undefined)[] = new Array(network.size).fill(undefined)
  const byMachine: Fit[][] = []
  const all: Fit[] = []
  const spells: Spells = [...given]
  let finish = 0
  for (const i of order) {
    const ready = readyAt(network, i, fits)
    const machine = network.machine[i]!
    const ofMachine = machine < 0 ? [] : (byMachine[machine] ??= [])
    const fit = ready >= NEVER ? undefined : placeInSpell(network, i, ready, all, ofMachine, spells)
    if (!fit) return { fits, finish: NEVER }
    fits[i] = fit
    all.push(fit)
    if (machine >= 0) ofMachine.push(fit)
    finish = Math.max(finish, fit.end)
  }
  return { fits, finish }
}

/** Where each opening would begin when the spells before are left out: the choices, the earliest first. */
function spellChoices(network: Network): (number | undefined)[][] {
  const count = network.calendar.dry.length
  let choices: (number | undefined)[][] = [[]]
  for (let opening = 0; opening < network.openings; opening += 1)
    choices = choices.flatMap((chosen) => Array.from({ length: count }, (_x, spell) => [...chosen, spell]))
  return choices
}

/**
 * Places the activities in an order that respects what they wait for: each as early as it goes, never later than what was
 * placed before it forces. Where an opening does not fit the spell in which it began, the next spells are tried.
 */
export function place(network: Network, order: readonly number[]): Layout {
  const first = placeIn(network, order, [])
  if (first.finish < NEVER || network.openings === 0) return first
  for (const given of spellChoices(network)) {
    const layout = placeIn(network, order, given)
    if (layout.finish < NEVER) return layout
  }
  return first
}

/** Numbers in the order in which they begin; what waits comes later even where it begins in the same minute. */
export const orderOf = ({ fits }: Layout): number[] =>
  fits.map((_fit, i) => i).sort((a, b) => (fits[a]?.start ?? NEVER) - (fits[b]?.start ?? NEVER) || a - b)
