import type { RefrigerantName } from '../physics/refrigerants/catalogue'
import type { Physics } from './physics'

/** A compressor by its swept volume and three losses. SI. */
export type Compressor = {
  /** swept volume a second, m3/s */
  readonly displacement: number
  /** dead volume as a share of the swept volume, and the exponent of its re-expansion */
  readonly clearance: number
  readonly exponent: number
  /** peak isentropic efficiency (electric power to gas), the ratio where it lies, and its fall with ln(ratio)^2 */
  readonly peakEfficiency: number
  readonly peakRatio: number
  readonly efficiencyFall: number
  /** effective area through which discharge gas returns to suction inside, m2 */
  readonly leakArea: number
  /** heat lost by the shell, W/K over the air around it */
  readonly shellLoss: number
  /** share of the rise in enthalpy by which motor and head warm the gas before it is swept */
  readonly suctionWarming: number
  /** gas space at suction pressure, m3 */
  readonly freeVolume: number
}

/** A finned or water coil. */
export type Coil = {
  /** refrigerant volume, m3 */
  readonly volume: number
  /** air moved, m3/s, or water, kg/s */
  readonly flow: number
  /** flow for which `outside` is stated, same unit */
  readonly ratedFlow: number
  /** conductance on the air or water side, and on the refrigerant side with two phases, W/K */
  readonly outside: number
  readonly inside: number
}

/** A device that lets liquid into the evaporator. */
export type MeteringDevice = {
  readonly type: 'txv' | 'eev' | 'fixed-orifice' | 'capillary'
  /** flow area with its discharge coefficient, wide open, m2 */
  readonly area: number
  /** superheat at which it begins to open and the further superheat to open wholly, K (valves) */
  readonly closedSuperheat: number
  readonly openSpan: number
  /** limits of the opening, share of `area` */
  readonly leastOpening: number
  readonly mostOpening: number
  /** opening at the rating point, and the power with which it follows the bulb */
  readonly ratedOpening: number
  readonly openingExponent: number
  /** pressure at a flashing throat as a share of saturation (0 where the device sees what is behind it), and its fall, 1/K */
  readonly throat: number
  readonly throatFall: number
  /** share of the way from pipe to air that the bulb's temperature is off; 0 when tight and insulated */
  readonly bulbError: number
}

/** Friction and heat of a pipe: pressure drop = resistance x flow^2 / density. */
export type Line = {
  readonly volume: number
  /** Pa kg/m3 / (kg/s)^2 */
  readonly resistance: number
  /** W/K to the air around it */
  readonly conductance: number
}

/** Everything that does not change while a unit runs, for one mode. */
export type Circuit = {
  /** the model's own choices */
  readonly physics: Physics
  /** what is inside; not what the plate says when the charge is wrong */
  readonly refrigerant: RefrigerantName
  readonly compressor: Compressor
  readonly condenser: Coil
  readonly evaporator: Coil
  readonly metering: MeteringDevice
  readonly suctionLine: Line
  readonly liquidLine: Line
  readonly dryer: Line
  /** restriction between the dryer and the metering device's inlet screen, where none is 0 */
  readonly screen: Line
  readonly dischargeVolume: number
  readonly receiverVolume: number
  /** share of the condenser surface that cools liquid below the receiver */
  readonly subcoolerShare: number
  readonly accumulatorVolume: number
  /** liquid kept outside the loop in this mode, kg (a charge compensator) */
  readonly parked: number
  /** area through which discharge gas crosses a reversing valve into suction, m2, and its heat path, W/K */
  readonly valveLeakArea: number
  readonly valveConductance: number
  /** saturation that head-pressure control holds, K; undefined without it */
  readonly headFloor: number | undefined
  /** how much of the flooding that it asks for is done, and flooding that nobody asked for */
  readonly floodingShare: number
  readonly strayFlooding: number
  /** air or nitrogen, mol */
  readonly nonCondensables: number
  readonly charge: number
  /** nominal mass flow, kg/s: scales the solver */
  readonly nominalFlow: number
  /** rated cooling, W */
  readonly nominalCapacity: number
}

/** What surrounds a coil: moist air or water entering it. */
export type Entering =
  | {
      readonly kind: 'air'
      readonly temperature: number
      readonly humidityRatio: number
      readonly atmosphere: number
    }
  | { readonly kind: 'water'; readonly temperature: number }

/** What a circuit meets: entering streams and the air round lines and compressor. */
export type Surroundings = {
  readonly condenser: Entering
  readonly evaporator: Entering
  /** K */
  readonly ambient: number
}
