import { moistAir } from '../physics/air/moistAir'
import { gasAt, isobarAt } from '../physics/refrigerants/vapour'
import { differenceToKelvin, toKelvin } from '../base/units/convert'
import { compressorDuty, leakFlow, runCompressor } from './compressor'
import { SHAPES } from './compressorShapes'
import { coolLiquid, condense, condenserConductances, singlePhaseShare } from './condenser'
import { boilingTemperature, evaporate, fullHeat } from './evaporator'
import type { Coil, Compressor, MeteringDevice } from './hardware'
import { fullFlow, inletState, openingAt } from './metering'
import { cornersAtBubble, cornersAtDew, cornersAtPressure, qualityOf } from './saturations'
import { effectiveConductance, streamOf } from './stream'
import { homogeneousDensity, meanTwoPhaseDensity } from './twoPhase'

const f = (value: number) => toKelvin({ value, unit: 'F' })
const R = 'R-410A'
const LOW = cornersAtDew(R, f(45))
const HIGH = cornersAtBubble(R, f(113))
const ROOM = { kind: 'air', ...moistAir(f(80), { wetBulb: f(67) }, 101_325) } as const
const OUTDOORS = { kind: 'air', ...moistAir(f(95), { humidity: 0.4 }, 101_325) } as const
const COIL: Coil = { volume: 0.003, flow: 0.566, ratedFlow: 0.566, outside: 1276, inside: 2200 }
const CONDENSER: Coil = { volume: 0.005, flow: 1.78, ratedFlow: 1.78, outside: 2300, inside: 6900 }
const LIQUID = HIGH.liquidEnthalpy - 12_000

describe('two phases in a pipe', () => {
  test('the mean lies between the densities at its ends, and equals the closed form at one quality', () => {
    const [liquid, vapour] = [1100, 35]
    const mean = meanTwoPhaseDensity(liquid, vapour, 0.2, 1)
    expect(mean).toBeLessThan(meanTwoPhaseDensity(liquid, vapour, 0.2, 0.2))
    expect(mean).toBeGreaterThan(meanTwoPhaseDensity(liquid, vapour, 1, 1))
    expect(meanTwoPhaseDensity(liquid, vapour, 1, 1)).toBeCloseTo(vapour, 6)
    expect(meanTwoPhaseDensity(liquid, vapour, 0, 0)).toBeCloseTo(liquid, 6)
  })
  test('the closed form agrees with a numerical mean of the void fraction', () => {
    const [liquid, vapour, steps] = [1050, 60, 4000]
    const slip = (vapour / liquid) ** (2 / 3)
    let sum = 0
    for (let i = 0; i < steps; i++) {
      const quality = 0.1 + (0.8 * (i + 0.5)) / steps
      const void_ = quality / (quality + (1 - quality) * slip)
      sum += liquid * (1 - void_) + vapour * void_
    }
    expect(meanTwoPhaseDensity(liquid, vapour, 0.1, 0.9)).toBeCloseTo(sum / steps, 1)
  })
  test('with slip more liquid stays in the pipe than without', () => {
    expect(meanTwoPhaseDensity(1100, 35, 0.3, 0.3)).toBeGreaterThan(homogeneousDensity(1100, 35, 0.3))
  })
  test('the general form repeats Zivi with his factors, and keeps more liquid with those of Baroczy', () => {
    const zivi = { kind: 'butterworth', factor: 1, p: 1, q: 2 / 3 } as const
    const baroczy = { kind: 'butterworth', factor: 1.35, p: 0.74, q: 0.65 } as const
    const mean = meanTwoPhaseDensity(1100, 35, 0.15, 0.95)
    expect(meanTwoPhaseDensity(1100, 35, 0.15, 0.95, zivi)).toBeCloseTo(mean, 0)
    expect(meanTwoPhaseDensity(1100, 35, 0.15, 0.95, baroczy)).toBeGreaterThan(1.15 * mean)
    expect(meanTwoPhaseDensity(1100, 35, 0, 0, baroczy)).toBeCloseTo(1100, 6)
    expect(meanTwoPhaseDensity(1100, 35, 0.4, 0.4, { kind: 'slip', exponent: 0 })).toBeCloseTo(
      homogeneousDensity(1100, 35, 0.4),
      6,
    )
  })
  test('the form of Massena is homogeneous with a factor of one, keeps more liquid below it, and ends as vapour', () => {
    const massena = { kind: 'armand', factor: 0.833 } as const
    const at = (quality: number, factor = 0.833) =>
      meanTwoPhaseDensity(1100, 35, quality, quality, { kind: 'armand', factor })
    expect(at(0.4, 1)).toBeCloseTo(homogeneousDensity(1100, 35, 0.4), 6)
    expect(at(0.4)).toBeGreaterThan(homogeneousDensity(1100, 35, 0.4))
    expect(at(1)).toBeCloseTo(35, 6)
    expect(at(0)).toBeCloseTo(1100, 6)
    // [std: Massena 1960] void at a quality of 0.1: (0.833 + 0.0167) x 0.1 / (0.1 + 0.9 x 35 / 1100)
    const share = (0.833 + 0.0167) * (0.1 / (0.1 + (0.9 * 35) / 1100))
    expect(meanTwoPhaseDensity(1100, 35, 0.1, 0.1, massena)).toBeCloseTo(1100 * (1 - share) + 35 * share, 6)
  })
  test('qualities outside 0 to 1 count as the ends', () => {
    expect(homogeneousDensity(1000, 40, 1.4)).toBeCloseTo(40, 9)
    expect(meanTwoPhaseDensity(1000, 40, -0.5, 0)).toBeCloseTo(1000, 6)
  })
})

describe('corners of a pressure', () => {
  test('three ways lead to the same corners; a blend glides', () => {
    const one = cornersAtDew('R-407C', 280)
    const other = cornersAtPressure('R-407C', one.pressure)
    expect(other.bubble).toBeCloseTo(one.bubble, 6)
    expect(cornersAtBubble('R-407C', one.bubble).pressure).toBeCloseTo(one.pressure, 2)
    expect(one.dew - one.bubble).toBeGreaterThan(4)
    expect(qualityOf(one, one.vapourEnthalpy)).toBeCloseTo(1, 9)
    expect(qualityOf(one, one.liquidEnthalpy - 5000)).toBeLessThan(0)
  })
})

describe('streams', () => {
  test('a fan moves volume: thin air carries less mass, and the film falls with flow', () => {
    const sea = streamOf(COIL, ROOM)
    const high = streamOf(COIL, { kind: 'air', ...moistAir(f(80), { wetBulb: f(67) }, 82_000) })
    expect(high.massFlow / sea.massFlow).toBeCloseTo(0.805, 2)
    expect(streamOf({ ...COIL, flow: COIL.flow / 2 }, ROOM).outside).toBeCloseTo(1276 * 0.5 ** 0.6, 3)
  })
  test('effectiveness never passes what the stream can carry', () => {
    const stream = streamOf(COIL, ROOM)
    expect(effectiveConductance(stream, 1e9)).toBeLessThan(stream.capacityRate)
    expect(effectiveConductance(stream, 50)).toBeLessThan(50)
    expect(streamOf({ ...COIL, flow: 0.2 }, { kind: 'water', temperature: 300 }).capacityRate).toBeCloseTo(
      837,
      0,
    )
  })
})

describe('evaporator', () => {
  const stream = streamOf(COIL, ROOM)
  test('the surface lies between refrigerant and air, and the two sides agree there', () => {
    const { heat, surface } = fullHeat(stream, COIL.inside, boilingTemperature(LOW))
    expect(surface).toBeGreaterThan(boilingTemperature(LOW))
    expect(surface).toBeLessThan(f(80))
    expect(heat).toBeCloseTo(COIL.inside * (surface - boilingTemperature(LOW)), 3)
  })
  test('less flow dries more of the coil and superheats more; more flow leaves wet', () => {
    const at = (massFlow: number) => evaporate(R, COIL, stream, LOW, massFlow, LIQUID)
    const outlets = [0.03, 0.05, 0.06, 0.065, 0.08].map(at)
    for (let i = 1; i < outlets.length; i++) {
      expect(outlets[i]!.enthalpyOut).toBeLessThan(outlets[i - 1]!.enthalpyOut)
      expect(outlets[i]!.wetShare).toBeGreaterThanOrEqual(outlets[i - 1]!.wetShare)
      expect(outlets[i]!.mass).toBeGreaterThan(outlets[i - 1]!.mass)
    }
    expect(outlets[0]!.temperatureOut).toBeGreaterThan(LOW.dew + differenceToKelvin(20, 'F'))
    expect(outlets.at(-1)!.qualityOut).toBeLessThan(1)
    expect(outlets.at(-1)!.wetShare).toBe(1)
  })
  test('heat is what the refrigerant gained, and vapour never passes the air', () => {
    const duty = evaporate(R, COIL, stream, LOW, 0.01, LIQUID)
    expect(duty.heat).toBeCloseTo(0.01 * (duty.enthalpyOut - LIQUID), 6)
    expect(duty.temperatureOut).toBeLessThanOrEqual(f(80))
  })
  test('colder refrigerant takes more heat; warmer than the air it gives some', () => {
    const warm = fullHeat(stream, COIL.inside, f(50)).heat
    expect(fullHeat(stream, COIL.inside, f(35)).heat).toBeGreaterThan(warm)
    expect(fullHeat(stream, COIL.inside, f(90)).heat).toBeLessThan(0)
  })
})

describe('condenser', () => {
  const stream = streamOf(CONDENSER, OUTDOORS)
  const gas = gasAt(isobarAt(R, HIGH.dew), 35).enthalpy
  const at = (massFlow: number, held = 0) =>
    condense({
      name: R,
      coil: CONDENSER,
      stream,
      at: HIGH,
      pressure: HIGH.pressure,
      massFlow,
      enthalpyIn: gas,
      held,
    })

  test('its shares fill it; liquid leaves between air and bubble temperature', () => {
    const duty = at(0.05)
    expect(duty.desuperheating + duty.condensing + duty.flooded).toBeCloseTo(1, 9)
    expect(duty.temperatureOut).toBeGreaterThan(f(95))
    expect(duty.temperatureOut).toBeLessThan(HIGH.bubble)
    expect(duty.heat).toBeCloseTo(0.05 * (gas - duty.enthalpyOut), 6)
  })
  test('more flow leaves less room for liquid, then vapour passes', () => {
    const [little, more, most] = [0.03, 0.05, 0.09].map((massFlow) => at(massFlow))
    expect(more!.flooded).toBeLessThan(little!.flooded)
    expect(more!.mass).toBeLessThan(little!.mass)
    expect(most!.qualityOut).toBeGreaterThan(0)
    expect(most!.flooded).toBeLessThanOrEqual(0)
  })
  test('surface held back for a subcooler is missing for condensing', () => {
    expect(at(0.05, 0.1).flooded).toBeCloseTo(at(0.05).flooded - 0.1, 9)
  })
  test('conductances: condensing best, then liquid, then gas', () => {
    const { gas: g, condensing, liquid } = condenserConductances(stream, CONDENSER.inside)
    expect(condensing).toBeGreaterThan(liquid)
    expect(liquid).toBeGreaterThan(g)
  })
  test('liquid is cooled toward the air, never past it', () => {
    const little = coolLiquid(R, HIGH.bubble, HIGH.pressure, 0.06, f(95), 10)
    const much = coolLiquid(R, HIGH.bubble, HIGH.pressure, 0.06, f(95), 1e5)
    expect(little.temperature).toBeGreaterThan(much.temperature)
    expect(much.temperature).toBeCloseTo(f(95), 3)
    expect(much.density).toBeGreaterThan(little.density)
    expect(singlePhaseShare(0.06, 0, 320, 310, 300, 100)).toBe(0)
  })
})

describe('compressor', () => {
  const compressor: Compressor = {
    ...SHAPES.scroll,
    displacement: 2e-3,
    leakArea: 0,
    shellLoss: 0,
    suctionWarming: 0,
    freeVolume: 0.003,
  }
  const suction = {
    pressure: LOW.pressure,
    isobar: isobarAt(R, LOW.dew),
    enthalpy: gasAt(isobarAt(R, LOW.dew), 7).enthalpy,
  }
  const discharge = { pressure: HIGH.pressure, isobar: isobarAt(R, HIGH.dew) }
  const run = (part: Partial<Compressor> = {}) =>
    runCompressor(R, { ...compressor, ...part }, suction, discharge, f(95))

  test('all power goes into the gas where the shell loses none', () => {
    const duty = run()
    expect(duty.massFlow * (duty.dischargeEnthalpy - suction.enthalpy)).toBeCloseTo(duty.power, 3)
    expect(duty.dischargeTemperature).toBeGreaterThan(HIGH.dew)
  })
  test('a shell that loses heat cools the gas; energy still balances', () => {
    const duty = run({ shellLoss: 5 })
    expect(duty.shellHeat).toBeGreaterThan(0)
    expect(duty.massFlow * (duty.dischargeEnthalpy - suction.enthalpy)).toBeCloseTo(
      duty.power - duty.shellHeat,
      0,
    )
    expect(duty.dischargeTemperature).toBeLessThan(run().dischargeTemperature)
  })
  test('a leak inside lets less through, hotter, and still takes power', () => {
    const tight = run()
    const leaky = run({ leakArea: 2e-6 })
    expect(leaky.massFlow).toBeLessThan(0.9 * tight.massFlow)
    expect(leaky.dischargeTemperature).toBeGreaterThan(tight.dischargeTemperature)
    expect(leaky.power / leaky.massFlow).toBeGreaterThan(tight.power / tight.massFlow)
  })
  test('what is believed of the discharge repeats itself once settled', () => {
    const settled = run({ leakArea: 1e-6, shellLoss: 3 })
    const again = compressorDuty(
      R,
      { ...compressor, leakArea: 1e-6, shellLoss: 3 },
      suction,
      discharge,
      settled.dischargeEnthalpy,
      f(95),
    )
    expect(again.dischargeEnthalpy).toBeCloseTo(settled.dischargeEnthalpy, 0)
  })
  test('dead volume costs flow as the ratio grows', () => {
    const piston = run({ clearance: 0.05 })
    expect(piston.massFlow).toBeLessThan(run().massFlow)
    const low = cornersAtDew(R, f(-20))
    const deep = runCompressor(
      R,
      { ...compressor, clearance: 0.05 },
      { pressure: low.pressure, isobar: isobarAt(R, low.dew), enthalpy: low.vapourEnthalpy + 6000 },
      discharge,
      f(95),
    )
    expect(deep.massFlow / low.vapourDensity).toBeLessThan(piston.massFlow / LOW.vapourDensity)
  })
  test('wet suction is denser and discharges cooler', () => {
    const wet = runCompressor(
      R,
      compressor,
      { ...suction, enthalpy: LOW.vapourEnthalpy - 0.05 * (LOW.vapourEnthalpy - LOW.liquidEnthalpy) },
      discharge,
      f(95),
    )
    expect(wet.massFlow).toBeGreaterThan(run().massFlow)
    expect(wet.dischargeTemperature).toBeLessThan(run().dischargeTemperature)
  })
  test('a leak path chokes: below about half the high side the low side no longer matters', () => {
    expect(leakFlow(1e-6, 90, 25e5, 5e5)).toBe(leakFlow(1e-6, 90, 25e5, 10e5))
    expect(leakFlow(1e-6, 90, 25e5, 20e5)).toBeLessThan(leakFlow(1e-6, 90, 25e5, 10e5))
    expect(leakFlow(1e-6, 90, 25e5, 26e5)).toBe(0)
  })
})

const THROATS = { txv: 0, eev: 0, 'fixed-orifice': 0.82, capillary: 0.7 }

describe('metering', () => {
  const device = (type: MeteringDevice['type']): MeteringDevice => ({
    type,
    area: 2e-6,
    closedSuperheat: 3,
    openSpan: 4,
    leastOpening: 0.02,
    mostOpening: 1,
    ratedOpening: 0.62,
    openingExponent: 1,
    throat: THROATS[type],
    throatFall: 0,
    bulbError: 0,
  })
  const subcooled = inletState(R, HIGH.pressure, LIQUID)
  const flashing = inletState(
    R,
    HIGH.pressure,
    HIGH.liquidEnthalpy + 0.1 * (HIGH.vapourEnthalpy - HIGH.liquidEnthalpy),
  )

  test('the inlet knows liquid from flash gas', () => {
    expect(subcooled.quality).toBe(0)
    expect(subcooled.temperature).toBeLessThan(HIGH.bubble)
    expect(flashing.quality).toBeCloseTo(0.1, 6)
    expect(flashing.density).toBeLessThan(subcooled.density / 1.7)
  })
  test.each(['txv', 'fixed-orifice', 'capillary'] as const)(
    '%s passes less of flash gas and more at higher head',
    (type) => {
      const flow = (inlet: typeof subcooled) => fullFlow(R, device(type), inlet, LOW.pressure)
      expect(flow(flashing)).toBeLessThan(0.8 * flow(subcooled))
      const higher = cornersAtBubble(R, f(130))
      expect(flow(inletState(R, higher.pressure, LIQUID))).toBeGreaterThan(flow(subcooled))
    },
  )
  test('an orifice chokes, a valve does not: only the valve sees the pressure behind it', () => {
    const behind = (type: MeteringDevice['type'], pascals: number) =>
      fullFlow(R, device(type), subcooled, pascals)
    expect(behind('fixed-orifice', 5e5)).toBe(behind('fixed-orifice', 9e5))
    expect(behind('txv', 5e5)).toBeGreaterThan(behind('txv', 9e5))
    expect(behind('txv', 1e8)).toBe(0)
  })
  test('more subcooling pushes more through an orifice', () => {
    const warm = inletState(R, HIGH.pressure, HIGH.liquidEnthalpy - 2000)
    const orifice = device('fixed-orifice')
    expect(fullFlow(R, orifice, subcooled, LOW.pressure)).toBeGreaterThan(
      fullFlow(R, orifice, warm, LOW.pressure),
    )
  })
  test('a valve opens with superheat inside its limits; an orifice is always open', () => {
    expect([0, 3, 5, 7, 20].map((superheat) => openingAt(device('txv'), superheat))).toEqual([
      0.02, 0.02, 0.5, 1, 1,
    ])
    expect(openingAt(device('capillary'), -5)).toBe(1)
  })
})
