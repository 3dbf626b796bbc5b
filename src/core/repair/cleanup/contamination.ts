import type { CleanupRecord } from './record'

/** Clean-up classes of handbook 06. */
export const CONTAMINATION_CLASSES = [
  'clean',
  'debris',
  'mild-acid',
  'burnout',
  'wet',
  'wet-acid',
  'waxed',
] as const
export type ContaminationClass = (typeof CONTAMINATION_CLASSES)[number]

export const CLASS_LABELS: Readonly<Record<ContaminationClass, string>> = {
  clean: 'Clean',
  debris: 'Debris',
  'mild-acid': 'Mild acid',
  burnout: 'Burnout',
  wet: 'Wet',
  'wet-acid': 'Wet and acid',
  waxed: 'Waxed or plugged',
}

type Kind = 'mild' | 'strong' | 'wet' | 'debris' | 'wax' | 'note'

type Sign = {
  readonly kind: Kind
  readonly sentence: string
  readonly seen: (record: CleanupRecord) => boolean
}

/** [practice] handbook 11: open for more than a day counts as wet. */
const HOURS_OPEN_WET = 24
/** [practice] in rain or by the sea an hour is enough. */
const HOURS_OPEN_WET_IN_RAIN = 1

const hoursOpen = ({ observations }: CleanupRecord) => observations.hoursOpenToAir ?? 0
const isRough = ({ observations }: CleanupRecord) =>
  observations.openConditions === 'rain' || observations.openConditions === 'coastal'

const SIGNS: readonly Sign[] = [
  {
    kind: 'strong',
    sentence: 'The acid test is strong.',
    seen: ({ observations }) => observations.acidTest === 'strong',
  },
  {
    kind: 'strong',
    sentence: 'The oil smells burnt.',
    seen: ({ observations }) => observations.oilAppearance === 'burnt-smell',
  },
  {
    kind: 'strong',
    sentence: 'The refrigerant smells burnt.',
    seen: ({ observations }) => observations.refrigerantSmell === 'yes',
  },
  {
    kind: 'mild',
    sentence: 'The acid test is weak.',
    seen: ({ observations }) => observations.acidTest === 'weak',
  },
  {
    kind: 'mild',
    sentence: 'The oil is dark.',
    seen: ({ observations }) => observations.oilAppearance === 'dark',
  },
  {
    kind: 'mild',
    sentence: 'This circuit had a burnout before, and no acid test shows it clean.',
    seen: ({ previousBurnout, observations }) => previousBurnout && observations.acidTest !== 'negative',
  },
  {
    kind: 'wet',
    sentence: 'The moisture indicator reads wet.',
    seen: ({ observations }) => observations.moistureIndicator === 'wet',
  },
  {
    kind: 'wet',
    sentence: 'The moisture indicator is washed out and unreadable: free water was there.',
    seen: ({ observations }) => observations.moistureIndicator === 'unreadable',
  },
  {
    kind: 'wet',
    sentence: 'The oil is milky.',
    seen: ({ observations }) => observations.oilAppearance === 'milky',
  },
  {
    kind: 'wet',
    sentence: 'Copper plating shows moisture over a long time.',
    seen: ({ observations }) => observations.copperPlating === 'yes',
  },
  {
    kind: 'wet',
    sentence: 'Hot water on the valve restored flow: ice, so free water.',
    seen: ({ observations }) => observations.warmValveResponse === 'flow-returned',
  },
  {
    kind: 'wet',
    sentence: 'Ice in the valve is the fault under repair.',
    seen: ({ faults }) => faults.includes('moisture-freeze-at-valve'),
  },
  {
    kind: 'wet',
    sentence: 'The circuit stood open to air for more than a day.',
    seen: (record) => hoursOpen(record) > HOURS_OPEN_WET,
  },
  {
    kind: 'wet',
    sentence: 'The circuit was found in vacuum: it has been drawing air for as long as it may have stood so.',
    seen: (record) => record.drewAir && record.observations.hoursOpenToAir === undefined,
  },
  {
    kind: 'wet',
    sentence: 'The circuit stood open in rain or by the sea.',
    seen: (record) => isRough(record) && hoursOpen(record) >= HOURS_OPEN_WET_IN_RAIN,
  },
  {
    kind: 'debris',
    sentence: 'There are metal flakes in the oil.',
    seen: ({ observations }) => observations.oilAppearance === 'metal-flakes',
  },
  {
    kind: 'debris',
    sentence: 'The valve screen is plugged: something shed it.',
    seen: ({ faults }) => faults.includes('txv-inlet-screen-plugged'),
  },
  {
    kind: 'wax',
    sentence: 'The capillary is plugged: wax or residue.',
    seen: ({ faults }) => faults.includes('capillary-plugged'),
  },
  {
    kind: 'note',
    sentence: 'The moisture indicator is between dry and wet.',
    seen: ({ observations }) => observations.moistureIndicator === 'caution',
  },
  {
    kind: 'note',
    sentence: 'The acid test is negative; by a refrigerant strip that is weak evidence: test the oil.',
    seen: ({ observations }) =>
      observations.acidTest === 'negative' && observations.acidTestKind === 'refrigerant-strip',
  },
  {
    kind: 'note',
    sentence: 'The acid test is negative.',
    seen: ({ observations }) =>
      observations.acidTest === 'negative' && observations.acidTestKind !== 'refrigerant-strip',
  },
  {
    kind: 'note',
    sentence: 'The oil is clear.',
    seen: ({ observations }) => observations.oilAppearance === 'clear',
  },
  {
    kind: 'note',
    sentence: 'No acid test is on record: test the oil before the dryer is bought.',
    seen: ({ observations }) => observations.acidTest === undefined,
  },
]

export type Contamination = {
  readonly class: ContaminationClass
  /** further classes whose work is added to the plan */
  readonly also: readonly ContaminationClass[]
  readonly evidence: readonly string[]
}

/** From what is found to the class, the gravest first. */
const CLASS_RULES: readonly (readonly [ContaminationClass, (has: (kind: Kind) => boolean) => boolean])[] = [
  ['wet-acid', (has) => has('wet') && (has('strong') || has('mild'))],
  ['burnout', (has) => has('strong')],
  ['wet', (has) => has('wet')],
  ['debris', (has) => has('debris')],
  ['mild-acid', (has) => has('mild')],
  ['waxed', (has) => has('wax')],
]

/** Classes that may come on top of the first one. */
const ADDED: readonly (readonly [ContaminationClass, Kind])[] = [
  ['burnout', 'strong'],
  ['debris', 'debris'],
  ['mild-acid', 'mild'],
  ['waxed', 'wax'],
]
const COVERS: Partial<Record<ContaminationClass, readonly ContaminationClass[]>> = {
  burnout: ['mild-acid'],
  'wet-acid': ['mild-acid'],
}

/** The clean-up class of a circuit, from everything on record. */
export function classify(record: CleanupRecord): Contamination {
  const found = SIGNS.filter((sign) => sign.seen(record))
  const has = (kind: Kind) => found.some((sign) => sign.kind === kind)
  const first = CLASS_RULES.find(([, rule]) => rule(has))?.[0] ?? 'clean'
  const also = ADDED.filter(
    ([name, kind]) => has(kind) && name !== first && !COVERS[first]?.includes(name),
  ).map(([name]) => name)
  return { class: first, also, evidence: found.map((sign) => sign.sentence) }
}

/** All classes whose work applies. */
export const classesOf = ({ class: first, also }: Contamination): readonly ContaminationClass[] => [
  first,
  ...also,
]

/** Whether acid is to be dealt with. */
export const isAcid = (contamination: Contamination): boolean =>
  classesOf(contamination).some((name) => name === 'mild-acid' || name === 'burnout' || name === 'wet-acid')

/** Whether strong acid is to be dealt with. */
export const isBurnout = (contamination: Contamination): boolean =>
  classesOf(contamination).includes('burnout')

/** Whether water is to be dealt with. */
export const isWet = (contamination: Contamination): boolean =>
  contamination.class === 'wet' || contamination.class === 'wet-acid'
