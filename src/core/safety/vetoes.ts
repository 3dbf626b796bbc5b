/** What a check, a step or a task does that can hurt, or that cannot mean anything in some states (handbook 13). */
export type Act =
  | 'reset-breaker'
  | 'start'
  | 'run'
  | 'energise'
  | 'insulation-test'
  | 'own-terminals'
  | 'pump-down'
  | 'charge'
  | 'recover'
  | 'charge-by-readings'
  | 'valve-check'
  | 'condemn-valve'
  | 'judge-worn'
  | 'flame'
  | 'open'
  | 'unrated-tools'

/** What an act is called where it is refused. */
export const ACT_NAMES: Readonly<Record<Act, string>> = {
  'reset-breaker': 'reset the breaker',
  start: 'start the compressor',
  run: 'run the compressor',
  energise: 'put power on, take volts or amps',
  'insulation-test': 'use an insulation tester',
  'own-terminals': 'stand over the terminals',
  'pump-down': 'pump down',
  charge: 'charge',
  recover: 'recover',
  'charge-by-readings': 'charge by readings',
  'valve-check': 'check superheat or the valve',
  'condemn-valve': 'condemn a valve',
  'judge-worn': 'judge the compressor worn',
  flame: 'use flame or sparks',
  open: 'open the circuit',
  'unrated-tools': 'use a pump, recovery machine or detector that is not rated for it',
}

/** A state in which some acts are never proposed. */
export type VetoRow = {
  readonly id: string
  /** the state, as it is said on screen and paper */
  readonly state: string
  readonly never: readonly Act[]
  readonly reason: string
  /** what lifts it */
  readonly until: string
}

/** Handbook 13: one row a state. Checks, bench, gates, plan and run sheet obey it; nothing else decides what is refused. */
const VETOES = [
  {
    id: 'ground-path',
    state: 'A path to ground is found or suspected, or the breaker trips at once',
    never: ['reset-breaker', 'start', 'run', 'energise'],
    reason: 'Power on a grounded winding can blow a terminal out of the shell.',
    until:
      'the path is shown to be in a lead or in a neighbour on the contactor and that is replaced, the compressor is replaced, or ohms show no path left',
  },
  {
    id: 'cover-off',
    state: 'The terminal cover is off',
    never: ['reset-breaker', 'start', 'run', 'energise'],
    reason: 'A terminal that blows out throws burning oil and refrigerant; live terminals are bare.',
    until: 'the cover is on',
  },
  {
    id: 'terminals-burnt',
    state: 'A terminal, its plug or its lead is burnt',
    never: ['reset-breaker', 'start', 'run', 'energise'],
    reason: 'A burnt terminal arcs again and can blow out.',
    until: 'terminals and plug, or the compressor, are replaced',
  },
  {
    id: 'terminals-under-pressure',
    state: 'The terminal cover is off and the shell is not at 0 psig',
    never: ['insulation-test', 'own-terminals'],
    reason: 'A damaged terminal blows out under pressure.',
    until: 'the pressure is off, vented to 0 psig with nitrogen, not vacuum',
  },
  {
    id: 'standing-vacuum',
    state: 'The circuit stands below 0 psig',
    never: ['start', 'run', 'energise', 'pump-down', 'insulation-test', 'charge'],
    reason: 'In vacuum windings arc inside the shell, and the leak has been drawing air and water.',
    until:
      'the leak is repaired and the circuit evacuated, or the liquid that a shut valve holds is let back; nitrogen to above 0 psig lifts static checks only',
  },
  {
    id: 'evacuated',
    state: 'The circuit is evacuated and not charged yet',
    never: ['start', 'run', 'energise', 'pump-down', 'insulation-test'],
    reason: 'In vacuum windings arc inside the shell.',
    until: 'it is charged',
  },
  {
    id: 'below-atmosphere',
    state: 'The pressure at the compressor is below the air around it',
    never: ['insulation-test'],
    reason: 'An insulation tester arcs inside the shell in vacuum.',
    until: 'the pressure is above 0 psig',
  },
  {
    id: 'gas-inside',
    state: 'Air or nitrogen is in the circuit',
    never: ['start', 'run', 'pump-down'],
    reason: 'A compressor that pumps against air can burst or burn.',
    until: 'it is recovered or vented, and evacuated',
  },
  {
    id: 'under-nitrogen',
    state: 'Nitrogen stands in the circuit under pressure',
    never: ['open', 'flame', 'start', 'run', 'pump-down'],
    reason: 'What is opened or heated under pressure blows out, and nobody stands aside.',
    until: 'it is bled off to 0 psig',
  },
  {
    id: 'no-liquid',
    state: 'No liquid is left in the circuit',
    never: ['start', 'run', 'pump-down', 'charge-by-readings', 'valve-check', 'condemn-valve'],
    reason: 'Without liquid no superheat, valve or running test means anything, and the compressor runs dry.',
    until: 'the leak is repaired, evacuated and charged',
  },
  {
    id: 'low-side-leak',
    state: 'The low side is open or suspected of leaking',
    never: ['pump-down'],
    reason: 'A pump-down pulls the low side into vacuum and air through the leak.',
    until: 'the leak is repaired, evacuated and charged',
  },
  {
    id: 'isolated',
    state: 'The compressor is isolated by its service valves',
    never: ['start', 'run', 'pump-down'],
    reason: 'A compressor that starts against a shut valve bursts what is between.',
    until: 'the valves are open and the tags off',
  },
  {
    id: 'water-not-flowing',
    state: 'No water flows through the water coil',
    never: ['run', 'start', 'pump-down'],
    reason: 'The coil freezes or the head trips.',
    until: 'water flows',
  },
  {
    id: 'water-standing',
    state: 'The water coil neither flows nor is drained',
    never: ['recover', 'charge'],
    reason: 'Refrigerant that boils off freezes standing water and splits the coil.',
    until: 'water flows or the coil is drained',
  },
  {
    id: 'flammable',
    state: 'A flammable refrigerant is inside or suspected',
    never: ['flame', 'unrated-tools'],
    reason: 'It burns with what is left in oil and dead legs.',
    until: 'it is recovered, swept, evacuated, swept again, and the detector is clear',
  },
  {
    id: 'rotation-unknown',
    state: 'The rotation of a three-phase scroll is not known',
    never: ['judge-worn'],
    reason: 'Running backwards it looks exactly like a worn one.',
    until: 'the phase sequence is read',
  },
] as const satisfies readonly VetoRow[]

export type VetoId = (typeof VETOES)[number]['id']
export const VETO_IDS: readonly VetoId[] = VETOES.map(({ id }) => id)

/** The rows whose states hold, seen without their literal types. */
export const vetoesOf = (holding: readonly VetoId[]): VetoRow[] =>
  (VETOES as readonly VetoRow[]).filter(({ id }) => (holding as readonly string[]).includes(id))

/** The rows that refuse any of some acts while their states hold; none where all of the acts are allowed. */
export const refusals = (acts: readonly Act[], holding: readonly VetoId[]): VetoRow[] =>
  vetoesOf(holding).filter(({ never }) => never.some((act) => acts.includes(act)))

/** A refusal in one sentence: what not to do, why, and until when. */
export const vetoSentence = ({ state, reason, until }: VetoRow): string =>
  `Not now: ${state.charAt(0).toLowerCase()}${state.slice(1)}. ${reason} Until ${until}.`
