// The families of physics that the case books are learned from, and the one that no book has seen.
import { type Physics, USUAL_PHYSICS } from '@/core/simulate/physics'
import { gaussian, type RandomSource } from '@/core/base/numeric/random'

export const PHYSICS_NAMES = ['usual', 'family', 'second', 'foreign'] as const
export type PhysicsName = (typeof PHYSICS_NAMES)[number]

/** [memory] spans that sound models of one circuit disagree over; factors are spread evenly in their logarithm. */
function familyMember(random: RandomSource): Physics {
  const between = (low: number, high: number) => low + (high - low) * random()
  const factor = (low: number, high: number) => low * (high / low) ** random()
  return {
    ...USUAL_PHYSICS,
    voids: { kind: 'slip', exponent: between(0.1, 0.6) },
    evaporatorVolume: factor(0.6, 1.8),
    condenserVolume: factor(0.6, 1.5),
    liquidLineVolume: factor(0.4, 2.2),
    accumulatorVolume: random() < 0.3 ? 0 : factor(0.5, 2),
    loadSpread: between(0.02, 0.12),
    vapourFilm: factor(0.1, 0.35),
    gasFilm: factor(0.18, 0.45),
    liquidFilm: factor(0.22, 0.6),
    evaporatorDepth: factor(0.8, 1.3),
    condenserEffectiveness: between(0.5, 0.78),
    innerToOuter: factor(1.5, 5),
    ratedOpening: between(0.42, 0.82),
    closedShare: between(0.4, 0.72),
    evaporatorDifference: between(0.88, 1.14),
    condensing: between(-4, 4),
    superheat: between(0.8, 1.2),
    subcooling: between(0.8, 1.25),
    lineGain: factor(0.5, 1.8),
    suctionLoss: between(0.4, 2),
    orificeThroat: between(0.72, 0.92),
    capillaryThroat: between(0.58, 0.82),
    clearance: factor(0.4, 2.5),
    efficiencyFall: factor(0.5, 1.8),
    innerLeak: factor(0.4, 2),
    lostStroke: between(0, 0.8),
    fouling: between(0, 0.5),
    airFilmLoss: between(0.1, 0.5),
  }
}

/**
 * [memory] A second family: another form of void fraction, films that grow with the flow, pressure lost in the coil, valves that
 * open fast or slowly at first, gas warmed by the motor, designs spread to the edge of what is built.
 */
function secondMember(random: RandomSource): Physics {
  const between = (low: number, high: number) => low + (high - low) * random()
  const factor = (low: number, high: number) => low * (high / low) ** random()
  return {
    ...familyMember(random),
    // [std: Massena 1960: 0.833]
    voids: { kind: 'armand', factor: between(0.7, 0.9) },
    loadSpread: between(0, 0.06),
    filmExponent: between(0.1, 0.7),
    coilLoss: between(0, 2.5),
    openingExponent: between(0.6, 1.7),
    suctionWarming: between(0, 0.3),
    evaporatorDifference: between(0.82, 1.2),
    condensing: between(-6, 5),
    superheat: between(0.75, 1.25),
    subcooling: between(0.75, 1.3),
    lineGain: factor(0.4, 2.2),
    suctionLoss: between(0.2, 2.4),
    gasFilm: factor(0.16, 0.5),
    liquidFilm: factor(0.2, 0.9),
    innerToOuter: factor(1.2, 5),
    orificeThroat: between(0.72, 0.96),
    capillaryThroat: between(0.58, 0.88),
    lostStroke: between(0, 1),
    fouling: between(0, 1),
    airFilmLoss: between(0.1, 0.6),
  }
}

/**
 * Held out: no book has seen a member. Void fraction of a third kind and throats that follow the subcooling are forms of its own;
 * what else is a matter of degree lies at the edge of what the books span, all of it at once.
 */
function foreignMember(random: RandomSource): Physics {
  const about = (value: number, share: number) => value * Math.exp(share * gaussian(random))
  return {
    ...USUAL_PHYSICS,
    // [std: Butterworth 1975, for Baroczy; the viscosity term taken at a ratio of ten]
    voids: { kind: 'butterworth', factor: 1.35, p: 0.74, q: 0.65 },
    evaporatorVolume: about(1.1, 0.1),
    condenserVolume: about(0.9, 0.1),
    liquidLineVolume: about(1.3, 0.2),
    accumulatorVolume: random() < 0.5 ? 0 : 1,
    loadSpread: 0,
    filmExponent: 0.7,
    coilLoss: about(2.5, 0.2),
    evaporatorDifference: 0.86,
    condensing: -5,
    superheat: 1.2,
    subcooling: 1.25,
    lineGain: 1.9,
    suctionLoss: 0.4,
    gasFilm: 0.2,
    liquidFilm: 0.8,
    innerToOuter: 1.6,
    ratedOpening: about(0.55, 0.1),
    openingExponent: 0.6,
    orificeThroat: 0.98,
    capillaryThroat: 0.9,
    throatFall: 0.02,
    suctionWarming: about(0.15, 0.2),
    clearance: 2,
    efficiencyFall: 1.6,
    lostStroke: random() < 0.5 ? 1 : 0.4,
    fouling: 0.8,
    airFilmLoss: about(0.4, 0.2),
  }
}

const DRAWS: Readonly<Record<PhysicsName, (random: RandomSource) => Physics>> = {
  usual: () => USUAL_PHYSICS,
  family: familyMember,
  second: secondMember,
  foreign: foreignMember,
}

/** One physics of a name. */
export const drawPhysics = (name: PhysicsName, random: RandomSource): Physics => DRAWS[name](random)
