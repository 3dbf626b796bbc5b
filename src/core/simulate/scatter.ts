import { gaussian, type RandomSource } from '../base/numeric/random'
import type { Simulator } from './steady'
import type { Circuit, Coil } from './hardware'

/** Standard deviations as shares; superheat in K. */
export type Spreads = {
  readonly coil: number
  readonly flow: number
  readonly displacement: number
  readonly area: number
  readonly charge: number
  /** of the superheat that a valve is set to, K */
  readonly superheat: number
}

/** [memory] between sound units of one model. */
const SPECIMENS: Spreads = {
  coil: 0.06,
  flow: 0.05,
  displacement: 0.02,
  area: 0.03,
  charge: 0.025,
  superheat: 0,
}
/** [memory] between sound units of different models, installed and set by different hands. */
export const DESIGNS: Spreads = {
  coil: 0.12,
  flow: 0.075,
  displacement: 0.035,
  area: 0.045,
  charge: 0.03,
  superheat: 0.6,
}

function scatterCircuit(circuit: Circuit, spreads: Spreads, random: RandomSource): Circuit {
  const by = (spread: number) => Math.exp(spread * gaussian(random))
  const coil = (part: Coil): Coil => ({
    ...part,
    flow: part.flow * by(spreads.flow),
    outside: part.outside * by(spreads.coil),
    inside: part.inside * by(spreads.coil),
  })
  const { metering } = circuit
  return {
    ...circuit,
    condenser: coil(circuit.condenser),
    evaporator: coil(circuit.evaporator),
    compressor: {
      ...circuit.compressor,
      displacement: circuit.compressor.displacement * by(spreads.displacement),
    },
    metering: {
      ...metering,
      area: metering.area * by(spreads.area),
      ...(spreads.superheat > 0
        ? {
            closedSuperheat: Math.max(
              metering.closedSuperheat + spreads.superheat * gaussian(random),
              0.5 * metering.closedSuperheat,
            ),
          }
        : {}),
    },
    charge: circuit.charge * by(spreads.charge),
  }
}

/** The same unit as another specimen of it, or of another design: coils, fans, compressor, device and charge differ. */
export function anotherSpecimen(
  { sized, anchors }: Simulator,
  random: RandomSource,
  spreads: Spreads = SPECIMENS,
): Simulator {
  const entries = Object.entries(anchors).map(([mode, anchor]) => [
    mode,
    { ...anchor, circuit: scatterCircuit(anchor.circuit, spreads, random) },
  ])
  return { sized, anchors: Object.fromEntries(entries) as Simulator['anchors'] }
}
