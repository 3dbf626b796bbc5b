import type { Act } from '../../safety/vetoes'
import { showWindingOhms } from './showOhms'
import { type Finding, good, unclear } from './finding'

/** What was measured and tried at a reversing valve or solenoid coil of 24 V. */
export type CoilTest = {
  /** V at the coil with the coil connected, called for */
  readonly loaded?: number
  /** V at the open leads */
  readonly unloaded?: number
  readonly ohms?: number
  /** supply joined to the call at the unit: does the coil pull in and hold? V at the coil then */
  readonly jumpedAtUnit?: { readonly holds: boolean; readonly volts?: number }
  /** the same at the thermostat */
  readonly jumpedAtThermostat?: { readonly holds: boolean }
}

/** [practice] 24 V nominal: 21 to 27 V is healthy under load. */
export const HEALTHY_COIL_VOLTS = [21, 27] as const
/** [memory] ohms of sound coils of this kind. */
export const COIL_OHMS = [5, 60] as const
const DEAD = 1

const healthy = (volts: number) => volts >= HEALTHY_COIL_VOLTS[0] && volts <= HEALTHY_COIL_VOLTS[1]

function byOhms(ohms: number): Finding | undefined {
  if (ohms >= COIL_OHMS[0] && ohms <= COIL_OHMS[1]) return undefined
  const open = !Number.isFinite(ohms) || ohms > COIL_OHMS[1]
  return {
    verdict: 'failed',
    faults: ['rv-coil-failed'],
    sentence: `The coil reads ${showWindingOhms(ohms)}: ${open ? 'open' : 'shorted'}.`,
    next: 'Replace the coil; never energise it off the stem.',
  }
}

const upstream = (sentence: string, next: string, nextActs: readonly Act[] = []): Finding => ({
  verdict: 'failed',
  faults: ['rv-control-voltage-fault'],
  sentence,
  next,
  ...(nextActs.length > 0 ? { nextActs } : {}),
})

/** The ladder of jumps: at the unit, then at the thermostat. */
function byJumps({ jumpedAtUnit, jumpedAtThermostat, loaded }: CoilTest): Finding | undefined {
  if (!jumpedAtUnit) return undefined
  const volts = jumpedAtUnit.volts
  if (!jumpedAtUnit.holds || (volts !== undefined && !healthy(volts))) {
    return {
      verdict: 'suspect',
      faults: ['rv-coil-failed', 'rv-control-voltage-fault'],
      sentence: `Jumped at the unit the coil does not hold${volts === undefined ? '' : ` (${volts} V)`}: coil or transformer.`,
      next: 'Coil ohms with the power off; transformer volts under load.',
      nextActs: ['energise'],
    }
  }
  const delivered = loaded === undefined ? '' : ` where the call delivers ${loaded} V`
  const start = `Jumped at the unit the coil pulls in and holds${volts === undefined ? '' : ` at ${volts} V`}${delivered}: coil and transformer are good.`
  if (!jumpedAtThermostat)
    return upstream(
      start,
      'Jump at the thermostat: if that works too, the wire is good and the thermostat is the fault.',
      ['energise'],
    )
  return jumpedAtThermostat.holds
    ? upstream(
        `${start} It holds jumped at the thermostat too: the thermostat is the fault.`,
        'Replace or set up the thermostat.',
      )
    : upstream(
        `${start} It does not hold jumped at the thermostat: the wire between is the fault.`,
        'Find the break or the splice in the wire.',
      )
}

/** Judges a coil from what is known so far; ohms first, then the jumps, then volts under load. */
export function judgeCoil(test: CoilTest): Finding {
  const { loaded, unloaded, ohms } = test
  const broken = ohms === undefined ? undefined : byOhms(ohms)
  if (broken) return broken
  if (loaded !== undefined && healthy(loaded)) return good(`${loaded} V at the connected coil: healthy.`)
  const jumped = byJumps(test)
  if (jumped) return jumped
  if (loaded === undefined)
    return unclear(
      'Volts with the coil connected are missing.',
      'Measure at the coil, connected, with a call.',
      ['energise'],
    )
  if (unloaded !== undefined && healthy(unloaded)) {
    return upstream(
      `${unloaded} V unloaded collapse to ${loaded} V with the coil on: a weak contact or source upstream.`,
      'Join supply and call at the unit and watch the coil.',
      ['energise'],
    )
  }
  const low = loaded < DEAD ? 'No volts' : `${loaded} V`
  return {
    verdict: 'suspect',
    faults: ['rv-control-voltage-fault'],
    sentence: `${low} at the connected coil (21-27 V is healthy)${loaded >= DEAD && loaded < HEALTHY_COIL_VOLTS[0] ? ': it will chatter' : ''}.`,
    next: 'Join supply and call at the unit: if the coil pulls in and holds, coil and transformer are good.',
    nextActs: ['energise'],
  }
}
