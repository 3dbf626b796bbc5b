import {
  acidOfBlock,
  type DryerCore,
  type DryerFlow,
  type DryerModel,
  type DryerPlace,
  usualLength,
} from './dryerModel'

type Size = Pick<DryerModel, 'block' | 'connections' | 'tons' | 'waterR22' | 'waterOther'>

/** Generic liquid sizes of handbook 06 [memory]; tons at 1 psi of R-22 are the middle of each row. */
const LIQUID_SIZES: readonly Size[] = [
  { block: 3, connections: [0.25], tons: 1.5, waterR22: 1.5, waterOther: 1.2 },
  { block: 5, connections: [0.25, 0.375], tons: 2.5, waterR22: 2.8, waterOther: 2.2 },
  { block: 8, connections: [0.375], tons: 4, waterR22: 5, waterOther: 4 },
  { block: 16, connections: [0.375, 0.5], tons: 6.5, waterR22: 10, waterOther: 8 },
  { block: 30, connections: [0.5, 0.625], tons: 10, waterR22: 19, waterOther: 15 },
  { block: 41, connections: [0.625, 0.875], tons: 15, waterR22: 27, waterOther: 21 },
]

/** Replaceable-core shells of one, two, three and four blocks of 48 in^3. [memory] */
const SHELL_SIZES: readonly Size[] = [
  { block: 48, connections: [0.875, 1.125], tons: 25, waterR22: 32, waterOther: 25 },
  { block: 96, connections: [1.125, 1.375], tons: 40, waterR22: 64, waterOther: 50 },
  { block: 144, connections: [1.375], tons: 60, waterR22: 96, waterOther: 75 },
  { block: 192, connections: [1.625], tons: 80, waterR22: 128, waterOther: 100 },
]

/** Suction clean-up dryers; tons of R-22 at the comfort limit of 2 psi. [memory] */
const SUCTION_SIZES: readonly Size[] = [
  { block: 16, connections: [0.625, 0.75], tons: 2.5, waterR22: 10, waterOther: 8 },
  { block: 30, connections: [0.75, 0.875], tons: 5, waterR22: 19, waterOther: 15 },
  { block: 48, connections: [0.875, 1.125], tons: 10, waterR22: 30, waterOther: 24 },
]
const SUCTION_SHELLS: readonly Size[] = [
  { block: 96, connections: [1.375, 1.625], tons: 20, waterR22: 60, waterOther: 48 },
  { block: 192, connections: [2.125], tons: 40, waterR22: 120, waterOther: 96 },
]

/** [memory] an alumina-rich core holds this share of a sieve-rich one's water, handbook 06. */
const HIGH_ACID_WATER = 0.6
/** Working pressures of the two classes, psig [memory]. */
const STANDARD = 500
const HIGH = 650

type Kind = { readonly core: DryerCore; readonly flow: DryerFlow; readonly pressure: number }
const LIQUID_KINDS: readonly Kind[] = [
  { core: 'sieve', flow: 'one-way', pressure: HIGH },
  { core: 'blend', flow: 'one-way', pressure: HIGH },
  { core: 'high-acid', flow: 'one-way', pressure: STANDARD },
  { core: 'high-acid', flow: 'one-way', pressure: HIGH },
  { core: 'blend', flow: 'bi-flow', pressure: HIGH },
  { core: 'high-acid', flow: 'bi-flow', pressure: HIGH },
]
const SHELL_KINDS: readonly Kind[] = (['sieve', 'blend', 'high-acid'] as const).map((core) => ({
  core,
  flow: 'one-way',
  pressure: STANDARD,
}))
const SUCTION_KINDS: readonly Kind[] = (['blend', 'high-acid'] as const).map((core) => ({
  core,
  flow: 'one-way',
  pressure: HIGH,
}))

const SHELL_LENGTH = 10

function models(
  place: DryerPlace,
  form: DryerModel['form'],
  sizes: readonly Size[],
  kinds: readonly Kind[],
): DryerModel[] {
  return sizes.flatMap((size) =>
    kinds.map((kind): DryerModel => {
      const water = kind.core === 'high-acid' ? HIGH_ACID_WATER : 1
      return {
        ...size,
        ...kind,
        place,
        form,
        own: false,
        onVan: 0,
        tonsFor: 'R-22',
        waterR22: size.waterR22 * water,
        waterOther: size.waterOther * water,
        acid: acidOfBlock(kind.core, size.block),
        length: form === 'shell' ? (SHELL_LENGTH * size.block) / 48 : usualLength(size.block),
        label: '',
        id: `${place}-${size.block}-${kind.core}-${kind.flow}-${kind.pressure}`,
      }
    }),
  )
}

/** The generic catalogue, smallest first. */
export const DRYER_CATALOGUE: readonly DryerModel[] = [
  ...models('liquid', 'sealed', LIQUID_SIZES, LIQUID_KINDS),
  ...models('liquid', 'shell', SHELL_SIZES, SHELL_KINDS),
  ...models('suction', 'sealed', SUCTION_SIZES, SUCTION_KINDS),
  ...models('suction', 'shell', SUCTION_SHELLS, SHELL_KINDS.slice(1)),
]

/** Sizes by which one goes up: the blocks that are sold, in^3. */
export const blockLadder = (place: DryerPlace): number[] => [
  ...new Set(DRYER_CATALOGUE.filter((model) => model.place === place).map(({ block }) => block)),
]
