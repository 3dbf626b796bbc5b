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

/** How strong the acid is that is planned for. */
export const ACID_LEVELS = ['none', 'mild', 'strong'] as const
export type AcidLevel = (typeof ACID_LEVELS)[number]

/** What is planned for, each part on its own. */
export type Contents = {
  readonly acid: AcidLevel
  readonly wet: boolean
  readonly debris: boolean
  readonly wax: boolean
}

/** The first class of what is inside, the gravest first, and those whose work comes on top. */
export function classesFor({ acid, wet, debris, wax }: Contents): ContaminationClass[] {
  const acidClass: ContaminationClass[] =
    acid === 'strong' ? ['burnout'] : acid === 'mild' ? ['mild-acid'] : []
  const water: ContaminationClass[] = wet ? [acid === 'none' ? 'wet' : 'wet-acid'] : []
  // wet and acid covers a mild acid; a strong one keeps its own work
  const acidWork = wet && acid === 'mild' ? [] : acidClass
  const all: ContaminationClass[] = [
    ...water,
    ...acidWork,
    ...(debris ? (['debris'] as const) : []),
    ...(wax ? (['waxed'] as const) : []),
  ]
  // debris is told before a mild acid: metal ruins the next compressor at once
  const first = !wet && debris && acid !== 'strong' ? 'debris' : all[0]
  return first === undefined ? ['clean'] : [first, ...all.filter((name) => name !== first)]
}
