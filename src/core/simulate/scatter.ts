import { gaussian, type RandomSource } from '../numeric/random'
import type { Simulator } from './steady'
import type { Circuit, Coil } from './hardware'

/** [memory] standard deviations between sound units of one model, as shares. */
const COIL_SPREAD = 0.06
const FLOW_SPREAD = 0.05
const DISPLACEMENT_SPREAD = 0.02
const AREA_SPREAD = 0.03
const CHARGE_SPREAD = 0.025

function scatterCircuit(circuit: Circuit, random: RandomSource): Circuit {
  const by = (spread: number) => Math.exp(spread * gaussian(random))
  const coil = (part: Coil): Coil => ({
    ...part,
    flow: part.flow * by(FLOW_SPREAD),
    outside: part.outside * by(COIL_SPREAD),
    inside: part.inside * by(COIL_SPREAD),
  })
  return {
    ...circuit,
    condenser: coil(circuit.condenser),
    evaporator: coil(circuit.evaporator),
    compressor: {
      ...circuit.compressor,
      displacement: circuit.compressor.displacement * by(DISPLACEMENT_SPREAD),
    },
    metering: { ...circuit.metering, area: circuit.metering.area * by(AREA_SPREAD) },
    charge: circuit.charge * by(CHARGE_SPREAD),
  }
}

/** The same unit as another specimen of it: coils, fans, compressor, device and charge differ as sound units do. */
export function anotherSpecimen({ sized, anchors }: Simulator, random: RandomSource): Simulator {
  const entries = Object.entries(anchors).map(([mode, anchor]) => [
    mode,
    { ...anchor, circuit: scatterCircuit(anchor.circuit, random) },
  ])
  return { sized, anchors: Object.fromEntries(entries) as Simulator['anchors'] }
}
