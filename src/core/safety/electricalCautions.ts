/** The usual cautions of electrical work (handbook 05, 12); shown before the step. Local codes and licensed practice decide. */
export const ELECTRICAL_CAUTIONS = {
  live: 'Live parts: only if you are qualified for live checks, with rated gloves. The terminal cover of the compressor stays on.',
  dead: 'Power off, locked out, proven dead; discharge capacitors through a resistor. The terminal cover stays on while there is pressure: measure from the contactor end.',
  ownTerminals:
    'Recover the refrigerant or take the pressure off first: a damaged terminal can blow out. Only then the cover comes off. Power off, locked out, proven dead.',
  insulation:
    'Never use an insulation tester or apply power while the circuit is under vacuum: it arcs inside the shell.',
  jump: 'Low voltage only: be sure of the two terminals first; a wrong jump burns the transformer.',
} as const
export type ElectricalCaution = keyof typeof ELECTRICAL_CAUTIONS
