/** Minutes: low, likely, high. */
export type Minutes = readonly [low: number, likely: number, high: number]

/** What there is one of on a van: held from the first minute of a task to the end of what runs unattended. */
export const MACHINES = ['recovery machine', 'vacuum pump', 'nitrogen', 'torch', 'scale'] as const
export type Machine = (typeof MACHINES)[number]

/** Minutes from the start of the plan; the end is not part of it. */
export type Stretch = { readonly from: number; readonly to: number }

/** One task as it is placed in time: hands on first, then unattended without a gap. Whole minutes. */
export type Activity = {
  readonly id: string
  /** minutes of one person, 1 or more */
  readonly handsOn: number
  /** minutes from its start, up to all of them, for which a second person helps; never where one works alone */
  readonly second?: number
  /** minutes for which it goes on unattended afterwards */
  readonly unattended: number
  readonly machine?: Machine
  /** begins when these are over */
  readonly after: readonly string[]
  /** begins when these run unattended: their hands-on part is done */
  readonly alongside?: readonly string[]
  /** never begins earlier */
  readonly notBefore?: number
  /** the opening to which it belongs: the circuit is open from its first minute to the end of the last of them */
  readonly opening?: number
}

/** A day or several to be planned: least finishing time. */
export type Problem = {
  /** in an order in which each stands after what it waits for */
  readonly activities: readonly Activity[]
  /** 1 to 3 */
  readonly people: number
  /** nobody works, and work that was begun rests and goes on: breaks */
  readonly idle: readonly Stretch[]
  /** nobody works, and nothing that was begun is left so: nights, a closed building */
  readonly closed: readonly Stretch[]
  /** no circuit is open: rain, nights */
  readonly shut: readonly Stretch[]
  /** nothing runs unattended: the power is off, or machines must not be left */
  readonly still: readonly Stretch[]
  /** minutes that are looked at */
  readonly horizon: number
}

/** Where one activity lies. */
export type Placed = {
  readonly start: number
  /** the person is free again */
  readonly handsOff: number
  readonly end: number
  /** 0 for the first person */
  readonly person: number
  /** who helps, from the start, and when that is over */
  readonly helper?: { readonly person: number; readonly until: number }
}
