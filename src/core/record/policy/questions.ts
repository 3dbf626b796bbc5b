import { type Policy, type PolicyAnswer, type PolicyQuestion } from './policy'

/** A question on which good technicians disagree (handbook 11): its answers in words, and why Orzo's own is the first. */
type PolicyRow = {
  readonly question: string
  readonly answers: Readonly<Record<string, string>>
  /** one sentence */
  readonly why: string
}
type PolicyTexts = {
  readonly [K in PolicyQuestion]: PolicyRow & { readonly answers: Readonly<Record<PolicyAnswer<K>, string>> }
}

/** Every row of handbook 11 in words, in its order; fetched where it is read, not with every job. [practice] */
const POLICY_QUESTIONS: PolicyTexts = {
  decayLimit: {
    question: 'Which decay limit holds after 10 minutes?',
    answers: { 'field-1000': '1,000 microns, the shape of the curve judges', 'strict-500': '500 microns' },
    why: 'The shape tells leak from moisture better than one figure; a maker’s limit wins over both.',
  },
  vacuumTarget: {
    question: 'How deep is the vacuum?',
    answers: {
      '500-300-wet': '500 microns, 300 after a wet class',
      'always-500': '500 microns',
      'always-300': '300 microns, as for all POE',
    },
    why: 'Below 500 only water is left to win, and water is there after a wet class.',
  },
  evacuation: {
    question: 'How is a circuit evacuated?',
    answers: {
      'triple-when-wet':
        'one pull when clean and dry, three with nitrogen breaks when wet or open over a day',
      'always-triple': 'three pulls with nitrogen breaks, always',
    },
    why: 'Big hoses without cores make one pull enough for a dry circuit; breaks carry vapour out of a wet one.',
  },
  brazingNitrogen: {
    question: 'How does nitrogen protect a joint?',
    answers: { trickle: 'a trickle while brazing', static: 'sweep, then hold 0.5 psi' },
    why: 'A trickle works whatever the order of the joints.',
  },
  recoveredRefrigerant: {
    question: 'What becomes of the recovered refrigerant?',
    answers: {
      'reuse-when-clean': 'back into the same equipment when the class is clean and the acid test negative',
      'always-reclaimed': 'always to reclaim, virgin or reclaimed goes in',
    },
    why: 'A clean charge with a negative oil test has lost nothing; after acid it carries the next failure.',
  },
  compressorRemoval: {
    question: 'How does a compressor come out?',
    answers: { cut: 'cut out', unsweat: 'unsweat' },
    why: 'An unsweated stub spits burning oil; space alone forces it.',
  },
  r22: {
    question: 'What becomes of a unit with R-22?',
    answers: {
      'by-table': 'decided by the table, kept when tight and the owner agrees',
      keep: 'kept',
      convert: 'converted',
    },
    why: 'A tight circuit loses nothing by staying as it was made.',
  },
  flushSolvent: {
    question: 'What cleans a circuit after a burnout?',
    answers: {
      'nitrogen-and-filters': 'nitrogen and filters only',
      flush: 'flush solvent, proven out again',
    },
    why: 'Solvent left behind has plugged capillaries.',
  },
  suctionDryer: {
    question: 'When does a suction clean-up dryer go in?',
    answers: {
      'when-acid-or-debris': 'when acid or debris shows',
      'always-after-burnout': 'after every burnout in the history too',
    },
    why: 'It costs pressure drop for as long as it stays: only where it catches something.',
  },
  liquidDryer: {
    question: 'How large is the liquid dryer?',
    answers: {
      'same-when-clean': 'the same size when clean, one or two sizes up when not',
      'one-size-up': 'at least one size up, always',
    },
    why: 'A larger block holds charge that a clean circuit need not carry.',
  },
  valveChange: {
    question: 'What becomes of the metering device after contamination?',
    answers: {
      'when-cheap':
        'changed when cheap and reachable after burnout, debris or water, else its screen cleaned',
      always: 'changed with the compressor',
      clean: 'cleaned and kept',
    },
    why: 'Its screen catches everything: it is cheap beside a second opening.',
  },
  leakHunt: {
    question: 'How is a leak hunted?',
    answers: {
      'bubbles-first': 'nitrogen and bubbles first, detector second',
      'detector-first': 'trace gas and detector first, or ultrasonic',
    },
    why: 'Bubbles show the place; a detector shows the neighbourhood.',
  },
  pressureSteps: {
    question: 'How does the pressure test rise?',
    answers: { steps: 'in steps of 5, 25 and 50 psi', straight: 'straight to target' },
    why: 'Many leaks show at the first steps, and nitrogen is saved.',
  },
  access: {
    question: 'Is a part of the circuit isolated?',
    answers: {
      'recover-all': 'all is recovered unless the valves prove tight',
      isolate: 'isolated by valves or pumped down where it can be',
    },
    why: 'A valve that leaks through spoils the vacuum and vents refrigerant through the pump.',
  },
  valveAdjustment: {
    question: 'Is a new valve adjusted?',
    answers: {
      factory: 'left until the load is normal, trimmed only outside its band',
      trim: 'trimmed to target',
    },
    why: 'A pull-down is no load to set a valve by.',
  },
  wetRag: {
    question: 'Wet rag on a joint?',
    answers: { 'protect-valve': 'protects the valve, the joint is not quenched', quench: 'quenched' },
    why: 'A quenched joint can crack; a valve is spoilt by heat.',
  },
  testPressure: {
    question: 'How high is the pressure test?',
    answers: {
      'near-plate': 'near the low-side limit of the plate',
      moderate: 'moderate, 150 to 200 psig',
    },
    why: 'The nearer to the limit, the smaller the leak that shows.',
  },
  decayTime: {
    question: 'How long is the decay test?',
    answers: {
      '10-15-wet': '10 minutes, 15 after a wet class',
      'always-5': '5 minutes',
      'always-15': '15 minutes',
    },
    why: 'Moisture takes minutes to level off.',
  },
  lastWord: {
    question: 'Which has the last word on the charge?',
    answers: {
      'weight-first': 'weight first, then subcooling within its band',
      readings: 'subcooling or the sight glass',
    },
    why: 'Readings off at the right weight point to something else.',
  },
  moistureSuctionDryer: {
    question: 'A suction dryer for moisture alone?',
    answers: { 'liquid-only': 'the largest liquid dryer only', 'acid-core': 'an acid core in suction too' },
    why: 'It helps little against water, and acid is tested for.',
  },
  equaliser: {
    question: 'How is the external equaliser joined?',
    answers: {
      'whichever-fits': 'whichever has room, sleeved where the stub is buried',
      unsweat: 'the stub unsweated',
      sleeve: 'the old tube cut and sleeved',
    },
    why: 'Heat near the distributor costs more than a sleeve.',
  },
  tightness: {
    question: 'What proves it tight?',
    answers: {
      'hold-and-bubbles': 'a timed hold and every joint bubbled',
      hold: 'a timed hold',
      bubbles: 'bubbles, then vacuum',
    },
    why: 'A hold alone cannot see many pounds a year.',
  },
  nitrogenStarts: {
    question: 'When does nitrogen flow?',
    answers: { 'fit-up-in-wet': 'at fit-up in wet weather, else at brazing', 'fit-up': 'at fit-up' },
    why: 'An open stub draws wet air; dry air does no harm in minutes.',
  },
  conversionCharge: {
    question: 'How much goes in after a conversion?',
    answers: { '90-and-trim': '90 % of the plate and trim', plate: 'the plate weight' },
    why: 'Most replacements are lighter as liquid: what is too much is hard to see.',
  },
  chargeEntry: {
    question: 'Where does the charge go in?',
    answers: { 'liquid-line': 'the liquid line', discharge: 'the discharge side, then suction' },
    why: 'Liquid at the liquid line reaches no valve plate.',
  },
  oilRefill: {
    question: 'How much oil is refilled?',
    answers: {
      weighed: 'what came out, and what left with the parts',
      level: 'to the level mark where there is a glass',
    },
    why: 'Most scrolls have no glass: what was poured out is all that is known.',
  },
  neighbours: {
    question: 'What becomes of sound neighbours: capacitor, contactor, coil, cores?',
    answers: { 'replace-cheap': 'the cheap ones are replaced', 'only-failed': 'only what failed' },
    why: 'They cost less than a second way.',
  },
  feederTubes: {
    question: 'How are thin feeder tubes joined?',
    answers: { sleeve: 'sleeved with a low-temperature alloy', braze: 'brazed' },
    why: 'Filler plugs the bore, and heat cracks the next tube.',
  },
  dryerPlace: {
    question: 'Where does the dryer go?',
    answers: { reachable: 'outside, reachable', 'where-it-was': 'where it was' },
    why: 'The next one is changed in minutes, and its drop can be read.',
  },
}

/** A question in words. */
export const policyRow = (key: PolicyQuestion): PolicyRow => POLICY_QUESTIONS[key]

/** The answer in words. */
export const policyAnswer = (policy: Policy, key: PolicyQuestion): string =>
  policyRow(key).answers[policy[key]] ?? ''
