import { GAS_CONSTANT } from '../base/numeric/gasConstant'
import type { CircuitFaultId } from '../diagnosis/faults/faults'
import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import { differenceToKelvin } from '../base/units/convert'
import type { Circuit, Coil, Entering, Surroundings } from './hardware'

/** What a fault changes: the circuit, what surrounds it, or which refrigerant is inside. */
export type Faulty = { readonly circuit: Circuit; readonly around: Surroundings }

/** Every fault of a circuit that runs is simulated here; a lost charge by standingCircuit.ts. */
export type SimulatedFault = Exclude<CircuitFaultId, 'charge-lost'>

/** Rated saturations and flow that scale a fault to its unit. */
export type Scale = {
  readonly highPressure: number
  readonly lowPressure: number
  readonly suctionDensity: number
  readonly dischargeDensity: number
  readonly liquidDensity: number
  readonly massFlow: number
  /** gas space of the high side, m3, and its temperature there, K */
  readonly gasVolume: number
  readonly gasTemperature: number
}

type Change = (faulty: Faulty, severity: number, scale: Scale) => Faulty

const onCircuit =
  (change: (circuit: Circuit, severity: number, scale: Scale) => Partial<Circuit>): Change =>
  ({ circuit, around }, severity, scale) => ({
    circuit: { ...circuit, ...change(circuit, severity, scale) },
    around,
  })

const lessFlow = (coil: Coil, share: number): Coil => ({ ...coil, flow: coil.flow * share })
/** [memory] share of the outer film that dirt takes at full severity, where all of a lack of air is dirt. */
const MOST_FOULING = 0.5
const fouled = (coil: Coil, share: number): Coil => ({ ...coil, outside: coil.outside * share })

/** [memory] share of the charge that is missing, or too much, at full severity. */
const MOST_MISSING = 0.5
const MOST_EXTRA = 0.35
const undercharge = onCircuit(({ charge }, s) => ({ charge: charge * (1 - MOST_MISSING * s) }))

/**
 * A restriction that grows without bound as severity nears one: at a half it takes about seven tenths of the pressure
 * across the circuit at rated flow, at one a few hundredths of that flow need it all.
 */
function restriction(
  severity: number,
  { highPressure, lowPressure, liquidDensity, massFlow }: Scale,
): number {
  const opened = 1.02 - severity
  const share = 0.7 * (severity / opened) ** 1.8
  return (share * (highPressure - lowPressure) * liquidDensity) / massFlow ** 2
}

const liquidRestriction = onCircuit(({ liquidLine }, s, scale) => ({
  liquidLine: { ...liquidLine, resistance: liquidLine.resistance + restriction(s, scale) },
}))
const dryerRestriction = onCircuit(({ dryer }, s, scale) => ({
  dryer: { ...dryer, resistance: dryer.resistance + restriction(s, scale) },
}))
const screenRestriction = onCircuit(({ screen }, s, scale) => ({
  screen: { ...screen, resistance: screen.resistance + restriction(s, scale) },
}))

/** A valve that opens no further than a share of its rated opening. */
const heldBack = (share: (severity: number) => number) =>
  onCircuit(({ metering }, s) => ({
    metering: {
      ...metering,
      leastOpening: Math.min(metering.leastOpening, metering.ratedOpening * share(s)),
      mostOpening: metering.ratedOpening * share(s),
    },
  }))
const starved = heldBack((s) => 1 - 0.65 * s)
/** Little at first, nearly nothing at full severity. */
const nearlyShut = heldBack((s) => 1 - s * (0.5 + 0.46 * s))
const area = (change: (severity: number) => number) =>
  onCircuit(({ metering }, s) => ({ metering: { ...metering, area: metering.area * change(s) } }))

/** Flow area that passes a share of the rated mass flow as choked gas from the high to the low side. */
const gasArea = (share: number, { highPressure, dischargeDensity, massFlow }: Scale): number =>
  (share * massFlow) / Math.sqrt(2 * dischargeDensity * highPressure * 0.45)

const compressorLeak = (share: (severity: number) => number) =>
  onCircuit(({ compressor }, s, scale) => ({
    compressor: { ...compressor, leakArea: compressor.leakArea + gasArea(share(s), scale) },
  }))
const valveLeak = (share: (severity: number) => number) =>
  onCircuit((_circuit, s, scale) => ({ valveLeakArea: gasArea(share(s), scale) }))

/**
 * [practice] a scroll that turns backwards makes next to no pressure difference; there are no degrees of it. [memory] share of
 * the stroke that is left, and gas that flows back as a share of the rated flow; the nearest that has a steady state counts.
 */
type Reversed = { readonly stroke: number; readonly leak: number }
const REVERSED: Reversed = { stroke: 0.3, leak: 1.2 }
const NEARLY_REVERSED: readonly Reversed[] = [
  { stroke: 0.4, leak: 0.9 },
  { stroke: 0.5, leak: 0.7 },
]
const reversed = ({ stroke, leak }: Reversed): Change =>
  onCircuit(({ compressor }, _s, scale) => ({
    compressor: {
      ...compressor,
      displacement: compressor.displacement * stroke,
      leakArea: compressor.leakArea + gasArea(leak, scale),
    },
  }))

/** [memory] of a compressor whose valves are broken at full severity: what is left sweeps little. */
const MOST_LOST_STROKE = 0.85

const WARM_SPACE = differenceToKelvin(14, 'F')

/** A space still warm and moist: the evaporator meets more heat than its setpoint would give. */
const warmer = (entering: Entering, severity: number): Entering =>
  entering.kind === 'water'
    ? { ...entering, temperature: entering.temperature + WARM_SPACE * severity }
    : {
        ...entering,
        temperature: entering.temperature + WARM_SPACE * severity,
        humidityRatio: entering.humidityRatio * (1 + 0.35 * severity),
      }

/** [memory] partial pressure of air in a running condenser at full severity, share of the rated high side. */
const MOST_AIR = 0.22

/** What each fault does, as its severity goes from 0 to 1. `wrong-or-mixed-refrigerant` is handled by refrigerantInside. */
export const CHANGES: Readonly<Record<SimulatedFault, Change>> = {
  undercharge,
  'access-fitting-leak': undercharge,
  'rv-pilot-tube-leak': undercharge,
  // Shows only when the circuit is pumped down.
  'liquid-solenoid-leaking': (faulty) => faulty,
  'relief-plug-melted': onCircuit(({ charge }, s) => ({ charge: charge * (1 - 0.85 * s) })),
  overcharge: onCircuit(({ charge }, s) => ({ charge: charge * (1 + MOST_EXTRA * s) })),
  'non-condensables': onCircuit(({ condenser, physics }, s, { highPressure, gasVolume, gasTemperature }) => ({
    nonCondensables: (MOST_AIR * s * highPressure * gasVolume) / (GAS_CONSTANT * gasTemperature),
    condenser: { ...condenser, inside: condenser.inside * (1 - physics.airFilmLoss * s) },
  })),
  'liquid-line-restriction': liquidRestriction,
  'service-valve-damaged': liquidRestriction,
  'service-valve-shut': liquidRestriction,
  'liquid-solenoid-stuck-closed': liquidRestriction,
  'plugged-liquid-dryer': dryerRestriction,
  'txv-underfeeding': starved,
  'txv-lost-bulb-charge': nearlyShut,
  'moisture-freeze-at-valve': nearlyShut,
  'eev-fault': starved,
  'txv-inlet-screen-plugged': screenRestriction,
  'txv-set-too-closed': onCircuit(({ metering }, s) => ({
    metering: { ...metering, closedSuperheat: metering.closedSuperheat + differenceToKelvin(16, 'F') * s },
  })),
  'equalizer-broken-or-blocked': onCircuit(({ metering }, s) => ({
    metering: { ...metering, closedSuperheat: metering.closedSuperheat + differenceToKelvin(12, 'F') * s },
  })),
  'txv-overfeeding': onCircuit(({ metering }, s) => ({
    metering: {
      ...metering,
      leastOpening: metering.ratedOpening * (0.9 + 0.6 * s),
      mostOpening: Math.max(metering.mostOpening, metering.ratedOpening * (0.9 + 0.6 * s)),
    },
  })),
  'check-valve-leaking': onCircuit(({ metering }, s) => ({
    metering: {
      ...metering,
      leastOpening: metering.ratedOpening * (0.9 + 0.5 * s),
      mostOpening: Math.max(metering.mostOpening, metering.ratedOpening * (0.9 + 0.5 * s)),
    },
  })),
  'txv-bulb-loose': onCircuit(({ metering }, s) => ({ metering: { ...metering, bulbError: 0.3 * s } })),
  'fixed-orifice-plugged': area((s) => 1 - 0.88 * s),
  'capillary-plugged': area((s) => 1 - 0.88 * s),
  'fixed-orifice-oversized': area((s) => 1 + 0.5 * s),
  'low-evaporator-airflow': onCircuit(({ evaporator, physics }, s) => ({
    evaporator: fouled(lessFlow(evaporator, 1 - 0.72 * s), 1 - MOST_FOULING * physics.fouling * s),
  })),
  'evaporator-fan-failed': onCircuit(({ evaporator }, s) => ({
    evaporator: lessFlow(evaporator, 1 - 0.92 * s),
  })),
  'defrost-failure': onCircuit(({ evaporator }, s) => ({
    evaporator: fouled(lessFlow(evaporator, 1 - 0.75 * s), 1 - 0.5 * s),
  })),
  'high-load': ({ circuit, around }, s) => ({
    circuit,
    around: { ...around, evaporator: warmer(around.evaporator, s) },
  }),
  'condenser-fouled': onCircuit(({ condenser }, s) => ({
    condenser: fouled(lessFlow(condenser, 1 - 0.68 * s), 1 - 0.35 * s),
  })),
  'condenser-water-low-flow': onCircuit(({ condenser }, s) => ({
    condenser: lessFlow(condenser, 1 - 0.65 * s),
  })),
  'compressor-not-pumping': onCircuit(({ compressor, physics }, s, scale) => ({
    compressor: {
      ...compressor,
      displacement: compressor.displacement * (1 - MOST_LOST_STROKE * physics.lostStroke * s),
      leakArea: compressor.leakArea + gasArea(1.5 * (1 - physics.lostStroke) * s, scale),
    },
  })),
  'internal-relief-open': compressorLeak((s) => 0.7 + 1.2 * s),
  'phase-reversed': reversed(REVERSED),
  'reversing-valve-leaking-through': valveLeak((s) => 0.4 * s),
  'reversing-valve-stuck-mid': valveLeak((s) => 0.45 + 0.5 * s),
  'suction-line-restriction': onCircuit(({ suctionLine }, s, { lowPressure, suctionDensity, massFlow }) => ({
    suctionLine: {
      ...suctionLine,
      resistance: suctionLine.resistance + (1.2 * s ** 1.5 * lowPressure * suctionDensity) / massFlow ** 2,
    },
  })),
  'head-pressure-control-stuck': onCircuit((_circuit, s) => ({ floodingShare: 1 - s })),
  'head-pressure-control-stuck-closed': onCircuit((_circuit, s) => ({ strayFlooding: 0.6 * s })),
  'wrong-or-mixed-refrigerant': (faulty) => faulty,
}

/** What is tried where a fault leaves no steady state: a little more difference of pressure than it would really make. */
export const NEARLY: { readonly [F in SimulatedFault]?: readonly Change[] } = {
  'phase-reversed': NEARLY_REVERSED.map(reversed),
}

export const SIMULATED_FAULTS = Object.keys(CHANGES) as SimulatedFault[]

/** Whether a fault is one of a circuit that runs. */
export const isSimulated = (fault: string): fault is SimulatedFault => Object.hasOwn(CHANGES, fault)

/** [practice] what is found instead of the right refrigerant, nearest pressure first. No mixtures are computed. */
const CONFUSIONS: Partial<Record<RefrigerantName, readonly RefrigerantName[]>> = {
  'R-410A': ['R-32', 'R-454B', 'R-22'],
  'R-454B': ['R-32', 'R-410A', 'R-22'],
  'R-32': ['R-410A', 'R-454B', 'R-22'],
  'R-22': ['R-407C', 'R-404A', 'R-410A'],
  'R-407C': ['R-22', 'R-404A', 'R-410A'],
  'R-404A': ['R-507A', 'R-448A', 'R-22'],
  'R-448A': ['R-449A', 'R-404A', 'R-22'],
  'R-134a': ['R-513A', 'R-12', 'R-22'],
}
const USUAL_CONFUSION: readonly RefrigerantName[] = ['R-22', 'R-404A', 'R-410A']

/** The refrigerant that is really inside: the wrong one, further off as severity grows. */
export function refrigerantInside(plate: RefrigerantName, severity: number): RefrigerantName {
  if (severity <= 0) return plate
  const others = (CONFUSIONS[plate] ?? USUAL_CONFUSION).filter((name) => name !== plate)
  return others[Math.min(Math.floor(severity * others.length), others.length - 1)] ?? plate
}
