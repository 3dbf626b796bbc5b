import { MINUTE } from '../../base/units/time'
import { differenceToKelvin } from '../../base/units/convert'
import type { Trim, ValveTurn } from '../../record/records/run'

/** Turns of the valve's stem, added up: count it back to undo. In is plus. */
export const totalTurns = (turns: readonly ValveTurn[]): number =>
  Number(turns.reduce((sum, { turns: each }) => sum + each, 0).toFixed(3))

/** "1 3/4 turns in", "back where it was". */
export function turnsText(total: number): string {
  if (total === 0) return 'where it was'
  const quarters = Math.round(Math.abs(total) * 4)
  const whole = Math.floor(quarters / 4)
  const rest = ['', '1/4', '1/2', '3/4'][quarters % 4] as string
  const size = [whole > 0 ? String(whole) : '', rest].filter(Boolean).join(' ')
  return `${size} ${quarters > 4 ? 'turns' : 'turn'} ${total > 0 ? 'in' : 'out'}`
}

/** One step of the trim and what it did: the difference to what the next one found. K */
export type TrimLine = Trim & {
  readonly superheatBy: number | undefined
  readonly subcoolingBy: number | undefined
  /** minutes that it was waited */
  readonly waited: number | undefined
}

const by = (a: number | undefined, b: number | undefined) =>
  a === undefined || b === undefined ? undefined : b - a

/** The steps of the trim, each with what it did by the time of the next look. @param now what is read now, K */
export function trimLines(
  trims: readonly Trim[],
  now: {
    readonly at: number
    readonly superheat?: number | undefined
    readonly subcooling?: number | undefined
  },
): TrimLine[] {
  return trims.map((trim, i) => {
    const next = trims[i + 1]
    const after = next ?? now
    const at = next ? Date.parse(next.at) : now.at
    return {
      ...trim,
      superheatBy: by(trim.superheat, after.superheat),
      subcoolingBy: by(trim.subcooling, after.subcooling),
      waited: Math.max(0, (at - Date.parse(trim.at)) / MINUTE),
    }
  })
}

/** [practice] handbook 07, 09: a valve shows what a turn did after 15 min, a charge after 10. */
export const WAIT_MINUTES = 15
/** [practice] two sets within this of each other are settled, K. */
const SETTLED = differenceToKelvin(2, 'F')

/** Whether two readings, some minutes apart, say that it is settled; undefined where too little is known. */
export const isSettled = (
  before: number | undefined,
  after: number | undefined,
  minutes: number,
): boolean | undefined =>
  before === undefined || after === undefined || minutes < 5 ? undefined : Math.abs(after - before) <= SETTLED
