/** What can hurt someone, shown at the step, before it (handbook 12). */
export const CAUTIONS = {
  shock: 'Lock out, prove dead, discharge capacitors through a resistor.',
  live: 'Live checks only by those qualified, with gloves rated for it.',
  brazing:
    'No flame on a circuit with refrigerant in it: recover, sweep with nitrogen, ventilate. Burnt refrigerant is poison and injury comes late.',
  oilFire: 'Cut rather than unsweat; extinguisher and a wet rag at hand; shield insulation and wires.',
  pressure:
    'Regulator with relief on nitrogen, never oxygen or shop air; stay under the lowest plate pressure; stand aside.',
  asphyxiation: 'Nitrogen and refrigerant displace air: ventilate pits, lofts and plant rooms.',
  flammable:
    'Flammable refrigerant: rated recovery machine, pump and detector, no ignition source, extinguisher; recover, sweep, evacuate, sweep again, then cut, never unsweat.',
  recovery:
    'Never pump down or run with air in the low side. Cylinder to 80 % at most, less in heat. No venting.',
  waterCoil: 'Standing water splits the coil while refrigerant boils off: drain it or keep it flowing.',
  acidOil: 'Gloves and goggles: refrigerant freezes, burnout oil burns skin.',
  vacuum: 'Never power or insulation-test a compressor in vacuum: windings arc over.',
  lifting: 'Compressors are heavy: helper or hoist; ladder and roof edge secured.',
  charging:
    'Blends leave the cylinder as liquid; throttle into suction slowly. Cylinder to 125 F at most, never with a flame.',
  hotWork: 'Hot-work permit and fire watch where required.',
  heat: 'Heat, as on a roof or in an attic over about 95 F: water, shade, breaks, not alone.',
  cold: 'Frost: gloves that still feel, breaks in the warm, ice underfoot.',
  flue: 'A flue or gas line that was moved is checked for tightness and draught before anything fires.',
} as const

export type CautionId = keyof typeof CAUTIONS

/** Each in a word, for a line that opens the whole sentence. */
export const HAZARDS: Readonly<Record<CautionId, string>> = {
  shock: 'shock',
  live: 'live',
  brazing: 'flame, poison gas',
  oilFire: 'oil fire',
  pressure: 'pressure',
  asphyxiation: 'no air',
  flammable: 'flammable',
  recovery: 'burst, venting',
  waterCoil: 'water coil',
  acidOil: 'burns, frostbite',
  vacuum: 'arc in vacuum',
  lifting: 'weight',
  charging: 'cylinder heat',
  hotWork: 'hot work',
  heat: 'heat stress',
  cold: 'cold',
  flue: 'flue gas',
}

/** Shown on every plan and report. */
export const DISCLAIMER =
  "Orzo defers to local codes, the equipment's instructions and licensed practice. It does not replace certification."
