import type { THEMES } from '@/core/record/settings/settings'

/** The two grounds that Orzo is read on. */
export type ThemeName = (typeof THEMES)[number]

type Tokens = {
  readonly paper: string
  readonly raised: string
  readonly ink: string
  readonly quiet: string
  readonly hairline: string
  readonly copper: string
  readonly onCopper: string
  readonly copperWash: string
  readonly error: string
  /** how far temperature colours are lifted towards white, so that they stand out from the ground */
  readonly lift: string
}

/**
 * Sunlight: warm paper, ink, hairlines, one accent. Contrast on paper: ink 16:1, quiet 6.5:1, copper 6.4:1.
 * Cellar: deep graphite, dim. The contrast of both is held by theme.test.ts.
 */
export const TOKENS: Readonly<Record<ThemeName, Tokens>> = {
  sunlight: {
    paper: '#f7f2e8',
    raised: '#fffdf8',
    ink: '#1d1a16',
    quiet: '#5c5347',
    hairline: '#d3c8b4',
    copper: '#8f4413',
    onCopper: '#ffffff',
    copperWash: '#f0e0d0',
    error: '#8c1d18',
    lift: '0%',
  },
  cellar: {
    paper: '#17191b',
    raised: '#1e2124',
    ink: '#e9e3d8',
    quiet: '#aaa397',
    hairline: '#3f4346',
    copper: '#e09a66',
    onCopper: '#1d1208',
    copperWash: '#3a2a1f',
    error: '#f0a59c',
    lift: '52%',
  },
}

const inCss = (name: keyof Tokens) => `var(--orzo-${name})`

/** The tokens of the theme in force, for drawings and styles. */
export const INK = {
  paper: inCss('paper'),
  raised: inCss('raised'),
  ink: inCss('ink'),
  quiet: inCss('quiet'),
  hairline: inCss('hairline'),
  copper: inCss('copper'),
  copperWash: inCss('copperWash'),
  lift: inCss('lift'),
} as const

/** The custom properties that INK names. */
export const cssVariables = (name: ThemeName): Record<string, string> =>
  Object.fromEntries(Object.entries(TOKENS[name]).map(([token, value]) => [`--orzo-${token}`, value]))
