import { isAssumed, type Known } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { DECAY_CAUSES, type DecayFit } from '../../physics/processes/decay'
import { decayLooks, judgeDecay, type KnownFit } from './judgeDecay'
import type { WorkLog } from './series'
import { microns } from './tellPull'
import type { FigureRow, Told } from './told'
import type { VacuumLimits } from './vacuumLimits'

/** What a decay is judged by. SI; the volume is unknown without a plan. */
export type DecaySetup = {
  readonly atmosphere: number
  readonly limits: VacuumLimits
  readonly volume?: Known<number>
  /** Pa: no moisture stands above it */
  readonly ceiling: number
}

const MICRON = UNITS.micron.si
const WORDS = { tight: 'dry enough', leak: 'leak', moisture: 'moisture', both: 'both' } as const

function fitFigures({ cause, likeliest, curve }: DecayFit, volume: Known<number> | undefined): FigureRow[] {
  const rate = likeliest === 'leak' || likeliest === 'both' ? curve.rate : 0
  const rows: FigureRow[] = [
    {
      label: 'Looks like',
      value: cause ? WORDS[cause] : 'not yet clear',
      note: `likeliest ${WORDS[likeliest]}`,
    },
  ]
  // what comes in is told by the inner volume, never by a guess at it
  if (rate > 0 && volume && !isAssumed(volume))
    rows.push({
      label: 'Comes in',
      value: `${Number(((rate / MICRON) * volume.value * 1000).toPrecision(2))} micron L/s`,
    })
  return rows
}

/** A decay with its figures. @param problem why its shape could not be fitted */
export function tellDecay(log: WorkLog, setup: DecaySetup, known: KnownFit, problem?: string): Told {
  const { limits, volume, atmosphere } = setup
  const judged = judgeDecay(decayLooks(log, atmosphere), limits, known)
  const { limit, cause, missing, sentence, next, now, from, minutes } = judged
  const fit = typeof known === 'string' ? undefined : known
  const chances = fit && DECAY_CAUSES.map((each) => `${WORDS[each]} ${Math.round(fit.chances[each] * 100)} %`)
  return {
    limit,
    cause,
    missing,
    sentence,
    details: [
      ...(problem ? [`△ Its shape could not be fitted, the limit alone judges: ${problem}`] : []),
      ...(next ? [next] : []),
      ...(chances ? [chances.join(' · ')] : []),
    ],
    figures: [
      ...(now === undefined
        ? []
        : [
            {
              label: 'Now',
              value: microns(now),
              ...(from === undefined ? {} : { note: `from ${microns(from)}` }),
            },
          ]),
      { label: 'Watched', value: `${minutes.toFixed(1)} of ${limits.minutes} min` },
      ...(fit ? fitFigures(fit, volume) : []),
    ],
    levels: [
      { label: `${limits.school} limit`, value: limits.limit / MICRON },
      { label: 'target', value: limits.target / MICRON },
    ],
  }
}
