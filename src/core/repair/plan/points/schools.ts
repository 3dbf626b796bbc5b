import type { Policy } from '../../../record/policy/policy'
import type { PointFacts } from './pointRow'

/** Weather in which an open stub draws water. */
const WET: readonly PointFacts['weather'][] = ['humid', 'rain-expected', 'storm-expected']
const isWetWeather = (weather: PointFacts['weather']): boolean => WET.includes(weather)

/** When nitrogen begins to flow (handbook 11). */
export const nitrogenStart = ({ policy, weather }: PointFacts): string =>
  policy.nitrogenStarts === 'fit-up' || isWetWeather(weather)
    ? `Nitrogen flows from the fit-up on${isWetWeather(weather) ? ': the air is wet' : ''}.`
    : 'Nitrogen flows from the brazing on; stubs stay plugged until then.'

const HEAT: Readonly<Record<Policy['wetRag'], string>> = {
  'protect-valve':
    'Wet rag or heat paste on what must stay cool beside the joint, before the flame; the joint is not quenched.',
  quench:
    'Wet rag on what must stay cool; the joint is quenched only when its alloy has set: a quenched joint can crack.',
}
/** How a part is kept cool beside a joint (handbook 11). */
export const heatProtection = ({ policy }: PointFacts): string => HEAT[policy.wetRag]

const REMOVAL: Readonly<Record<Policy['compressorRemoval'], string>> = {
  cut: 'Cut the old one out with a tube cutter, stubs wiped of oil and deburred facing down.',
  unsweat:
    'Unsweat the old one: circuit swept, outlet open, oil wiped off, extinguisher in hand: an unsweated stub spits burning oil.',
}
/** How a compressor comes out; what burns is cut, whatever the policy (handbook 07, 11, 12). */
export const compressorOut = ({ policy, burns }: PointFacts): string =>
  burns ? `${REMOVAL.cut} Never unsweat: what was inside burns.` : REMOVAL[policy.compressorRemoval]

const HUNT: Readonly<Record<Policy['leakHunt'], string>> = {
  'bubbles-first':
    'Nitrogen and bubbles first, from the oil stain outwards; a detector only where bubbles show nothing.',
  'detector-first':
    'A trace of refrigerant in the empty circuit, detector or ultrasonic first; bubbles then name the place.',
}
export const leakHunt = ({ policy }: PointFacts): string => HUNT[policy.leakHunt]

const EQUALISER: Readonly<Record<Policy['equaliser'], string>> = {
  'whichever-fits':
    'Equaliser: unsweat its stub where there is room, cut and sleeve the tube where the stub is buried.',
  unsweat: 'Equaliser: unsweat its stub.',
  sleeve: 'Equaliser: cut the old tube and sleeve it.',
}
/** How an external equaliser is joined. */
export const equaliserJoint = ({ policy }: PointFacts): string => EQUALISER[policy.equaliser]

const FEEDERS: Readonly<Record<Policy['feederTubes'], string>> = {
  sleeve: 'Sleeve with low-temperature alloy: filler stays out of the bore.',
  braze: 'Sleeve and braze, little rod: filler that runs in plugs the bore.',
}
export const feederAlloy = ({ policy }: PointFacts): string => FEEDERS[policy.feederTubes]

const SETTING: Readonly<Record<Policy['valveAdjustment'], string>> = {
  factory: 'The new valve keeps its factory setting until the load is normal; trim only outside its band.',
  trim: 'The new valve is trimmed to target once the load is normal, a quarter turn and 15-20 min each.',
}
/** What becomes of the setting of a new valve. */
export const valveSetting = ({ policy, unit }: PointFacts): string | undefined =>
  unit.metering === 'txv' ? SETTING[policy.valveAdjustment] : undefined

/** Solvent after acid, where the policy wants it and it can come out again. */
export const flush = ({ policy, mayFlush }: PointFacts): string | undefined =>
  policy.flushSolvent === 'flush' && mayFlush
    ? 'Flush solvent through each section, compressor, valve and dryers apart; proven out again: what went in came out by weight, nitrogen until nothing is smelt or weighed.'
    : undefined

const KEPT: Readonly<Record<Policy['valveChange'], string>> = {
  'when-cheap': 'Changed instead where it is cheap and reachable.',
  always: 'Changed where the compressor is changed.',
  clean: 'Cleaned and kept.',
}
/** What becomes of a metering device that is cleaned after contamination. */
export const deviceKept = ({ policy }: PointFacts): string => KEPT[policy.valveChange]

const TIGHT: Readonly<Record<Policy['tightness'], string | undefined>> = {
  'hold-and-bubbles': undefined,
  hold: 'Tightness by the timed hold: a hold alone misses many pounds a year, so every joint is bubbled at running pressure too.',
  bubbles: 'Tightness by bubbles on every joint, then the vacuum.',
}
export const tightness = ({ policy }: PointFacts): string | undefined => TIGHT[policy.tightness]
