import { type Basis, basisOf, guess } from '../../base/known/known'
import { UNITS } from '../../base/units/units'
import { toKelvin, toSI } from '../../base/units/convert'
import type { TemperatureUnit } from '../../base/units/units'
import type { PullGuess } from '../../physics/processes/forecast'
import { type Hose, VALVE_CORE } from '../../physics/processes/hose'
import type { HoseSize, PumpSetup } from '../../record/records/run'
import type { Plan } from '../plan/plan'

/** [memory] inner bore of a vacuum hose by what is written on it, m; its fittings are no wider. */
const BORES: Readonly<Record<HoseSize, number>> = {
  '1/4': 0.0048,
  '3/8': 0.0079,
  '1/2': 0.0112,
  '3/4': 0.0175,
}
/** [practice] five feet of hose, a pump of five cfm that ends at 25 microns. */
const HOSE_LENGTH = 1.52
const PUMP_SPEED = 5 * UNITS.cfm.si
const ULTIMATE = 3.3
/** [memory] the coldest place of a circuit under a pump that nobody warms, K. */
const COLDEST = toKelvin({ value: 65, unit: 'F' })
/** [memory] the water of a ledger is known within this factor. */
const WATER_FACTOR = 1.7
/** [memory] a circuit that was open in dry air holds this little, kg. */
const LEAST_WATER = 0.0002

export const USUAL_PUMP = { hose: '3/8', hoses: 1, coresOut: true } as const satisfies PumpSetup

function waysOf({
  hose = USUAL_PUMP.hose,
  hoses = USUAL_PUMP.hoses,
  coresOut = USUAL_PUMP.coresOut,
  hoseLength,
}: PumpSetup): Hose[][] {
  const piece: Hose = { bore: BORES[hose], length: hoseLength ? toSI(hoseLength) : HOSE_LENGTH }
  const way = coresOut ? [piece] : [piece, VALVE_CORE]
  return Array.from({ length: hoses }, () => way)
}

/** K of the coldest place. */
export const coldestOf = ({ coldest }: PumpSetup): number =>
  coldest ? toKelvin(coldest as { value: number; unit: TemperatureUnit }) : COLDEST

/** What a pull is calculated from: volume and water by the plan, hoses and pump as they were written, else as usual. */
export function pullGuess(
  { size, contamination }: Pick<Plan, 'size' | 'contamination'>,
  pump: PumpSetup = {},
): PullGuess {
  const boils = contamination.water.sinks
    .filter(({ id }) => id === 'boiled' || id === 'vacuum')
    .reduce((sum, { kg }) => sum + Math.abs(kg.likely), 0)
  return {
    volume: size.volume.value,
    temperature: coldestOf(pump),
    pump: { speed: pump.pumpFlow ? toSI(pump.pumpFlow) : PUMP_SPEED, ultimate: ULTIMATE },
    ways: waysOf(pump),
    water: boils > LEAST_WATER ? boils : 0,
    waterFactor: WATER_FACTOR,
  }
}

/** What a pull is foretold from: the plan's figures, and hoses and pump as they were written down. */
export const pullBasis = (
  { size, contamination }: Pick<Plan, 'size' | 'contamination'>,
  pump: PumpSetup = {},
): Basis =>
  basisOf(size.volume, contamination.water.basis, pump.hose && pump.pumpFlow ? undefined : USUAL_SETUP)
const USUAL_SETUP = guess('hoses and pump as usual', 'pumpSetup')

/** [memory] inside of a split of about three tons, m3: what a pull is foretold by where no plan tells it; its fit frees it. */
const USUAL_VOLUME = 0.012

/** A pull of which nothing is known but what its gauge shows. */
export const usualPull = (pump: PumpSetup = {}): PullGuess => ({
  volume: USUAL_VOLUME,
  temperature: coldestOf(pump),
  pump: { speed: PUMP_SPEED, ultimate: ULTIMATE },
  ways: waysOf(pump),
  water: LEAST_WATER,
  waterFactor: WATER_FACTOR,
})

/** What could be done to make a pull shorter, and the pull then. */
export type Quicker = { readonly label: string; readonly guess: PullGuess }

const WIDER: { readonly [H in HoseSize]?: HoseSize } = { '1/4': '3/8', '3/8': '1/2', '1/2': '3/4' }

/** The same pull with a bigger hose, without cores, from both sides (handbook 08). */
export function quickerWays(plan: Pick<Plan, 'size' | 'contamination'>, pump: PumpSetup = {}): Quicker[] {
  const wider = WIDER[pump.hose ?? USUAL_PUMP.hose]
  const others: readonly (readonly [string, PumpSetup | undefined])[] = [
    ['cores out', pump.coresOut === false ? { ...pump, coresOut: true } : undefined],
    [`${wider ?? ''} in hose`, wider && { ...pump, hose: wider }],
    ['both sides', (pump.hoses ?? USUAL_PUMP.hoses) === 1 ? { ...pump, hoses: 2 } : undefined],
  ]
  return others.flatMap(([label, other]) => (other ? [{ label, guess: pullGuess(plan, other) }] : []))
}
