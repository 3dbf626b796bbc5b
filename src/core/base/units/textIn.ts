import { UNITS } from './units'
import { type SystemQuantity, type UnitSystem, US_UNITS } from './system'
import { kilograms } from './weightText'

/** One figure of a sentence, as it was written. */
type Figure = { readonly value: number; readonly written: string }
type Part = {
  readonly figures: readonly Figure[]
  /** the words before and after it */
  readonly before: string
  readonly after: string
  /** what else the pattern caught */
  readonly caught: readonly (string | undefined)[]
}
type Row = {
  readonly quantity: SystemQuantity
  /** "#" stands for one figure or a list of them */
  readonly pattern: string
  /** @returns the figures and what follows them; undefined leaves the words as they are */
  readonly say: (
    part: Part,
    system: UnitSystem,
  ) => { readonly each: (figure: Figure) => string; readonly unit: string } | undefined
}

const decimals = (written: string) => written.split('.')[1]?.length ?? 0
const digits = (written: string) => written.replace(/\D/g, '').replace(/^0+/, '').length
const plain = (value: number, places: number) => {
  const text = value.toFixed(Math.max(0, Math.min(6, places)))
  return Number(text) === 0 ? (0).toFixed(Math.max(0, places)) : text
}

/** As exact as it was written, and at least to two digits. */
function scaled({ value, written }: Figure, factor: number): string {
  const next = value * factor
  if (next === 0) return '0'
  const wanted = Math.max(2, Math.min(4, digits(written)))
  return plain(next, wanted - 1 - Math.floor(Math.log10(Math.abs(next))))
}

const times = (factor: number, unit: string) => ({ each: (figure: Figure) => scaled(figure, factor), unit })

/** Words from which a figure in F is a difference of temperatures. */
const DIFFERENCE_AFTER =
  /^ ((of )?(superheat|subcooling|condensing difference|split)|(supply |water )?(rise|drop)\b|(over|below|above|under) (the |return|outdoor|leaving|entering|ambient|supply|box|air|plate)|at the (bulb|compressor)|at a [a-z]+ coil|at 3 gpm|where (it|the plate) is silent|with fixed|is good|replace|across|apart|between|is no drop|do not charge|of each other|for each|a minute|lower|higher|more|less|warmer|colder|difference)|^, or with over/
const DIFFERENCE_BEFORE =
  /(asks for|would make|drop over|a drop of|good, over|drop across them:?|[Ss]uperheat|[Ss]ubcooling|split of|difference of?|spread of|[Ww]ithin|picks up more than about|at load: over|below [\d.]+ F or above|by|±)\s$|formula asks for [^.]*below $/

const FAHRENHEIT = 5 / 9
function inDegrees({ before, after }: Part, { temperature }: UnitSystem) {
  const isDifference = DIFFERENCE_AFTER.test(after) || DIFFERENCE_BEFORE.test(before)
  const zero = temperature === 'K' ? 273.15 : 0
  const each = ({ value, written }: Figure) => {
    if (isDifference) {
      const next = value * FAHRENHEIT
      return plain(next, Math.max(decimals(written), Math.abs(next) < 10 && next % 1 !== 0 ? 1 : 0))
    }
    return plain((value - 32) * FAHRENHEIT + zero, decimals(written))
  }
  return { each, unit: ` ${temperature}` }
}

const PSI_KPA = UNITS.psia.si / 1000
const PSI_BAR = UNITS.psia.si / 1e5
const INCH_KPA = UNITS.inHgVac.si / 1000
const pressure = (kilopascals: number, { pressure: unit }: UnitSystem, gauge: string) =>
  unit === 'barg' ? times(kilopascals / 100, ` bar${gauge}`) : times(kilopascals, ` kPa${gauge}`)

/** A difference of pressure: small ones in thousandths, so that no row of noughts is read. */
function pressureStep({ figures }: Part, system: UnitSystem) {
  const isSmall = figures.every(({ value }) => Math.abs(value * PSI_BAR) < 0.1)
  if (system.pressure === 'barg' && isSmall) return times(PSI_BAR * 1000, ' mbar')
  return pressure(PSI_KPA, system, '')
}

const LITRES_A_GALLON = 3.785411784
const KW_A_TON = 3.516853
const CUBIC_FOOT = 0.0283168466

const weighed = (kg: number) => ({ each: () => kilograms(kg), unit: '' })

/** What of US units stands in sentences, the longer ones first. */
const ROWS: readonly Row[] = [
  {
    quantity: 'mass',
    pattern: String.raw`# lb (\d+(?:\.\d+)?) oz(?: \((−?[\d.]+ k?g)\))?`,
    say: ({ figures, caught: [ounces, metric] }) =>
      metric
        ? { each: () => metric, unit: '' }
        : weighed(figures[0]!.value * UNITS.lb.si + Number(ounces) * UNITS.oz.si),
  },
  {
    quantity: 'mass',
    pattern: String.raw`# (?:lb|oz) \((−?[\d.]+ k?g)\)`,
    say: ({ caught: [metric] }) => ({ each: () => metric ?? '', unit: '' }),
  },
  { quantity: 'volume', pattern: '# fl oz\\b', say: () => times(UNITS.floz.si * 1e6, ' mL') },
  { quantity: 'mass', pattern: '# oz/ft\\b', say: () => times((UNITS.oz.si * 1000) / UNITS.ft.si, ' g/m') },
  { quantity: 'mass', pattern: '# lb\\b', say: () => times(UNITS.lb.si, ' kg') },
  {
    quantity: 'mass',
    pattern: '# oz\\b',
    say: ({ figures }) =>
      figures.some(({ value }) => value >= 36) ? times(UNITS.oz.si, ' kg') : times(UNITS.oz.si * 1000, ' g'),
  },
  { quantity: 'temperature', pattern: '# °?F\\b', say: inDegrees },
  {
    quantity: 'pressure',
    pattern: '# psig\\b',
    say: (_part, system) => pressure(PSI_KPA, system, 'g'),
  },
  { quantity: 'pressure', pattern: '# psia\\b', say: (_part, system) => pressure(PSI_KPA, system, '') },
  { quantity: 'pressure', pattern: '# psi\\b', say: pressureStep },
  {
    quantity: 'pressure',
    pattern: '# inHg(?:Vac)?\\b',
    say: (_part, system) => pressure(INCH_KPA, system, ''),
  },
  { quantity: 'flow', pattern: '# cfm a ton\\b', say: () => times(1.69901 / KW_A_TON, ' m³/h a kW') },
  {
    quantity: 'flow',
    pattern: '# gpm a ton\\b',
    say: () => times(LITRES_A_GALLON / KW_A_TON, ' L/min a kW'),
  },
  { quantity: 'flow', pattern: '# cfm\\b', say: () => times(1.69901, ' m³/h') },
  { quantity: 'flow', pattern: '# gpm\\b', say: () => times(LITRES_A_GALLON, ' L/min') },
  { quantity: 'flow', pattern: '# tons?\\b', say: () => times(KW_A_TON, ' kW') },
  { quantity: 'length', pattern: '# ft³', say: () => times(CUBIC_FOOT, ' m³') },
  { quantity: 'length', pattern: '# ft\\b(?!³)', say: () => times(UNITS.ft.si, ' m') },
  // sizes of tubes, flares, hoses and dryers are names of the trade
  {
    quantity: 'length',
    pattern: '# in\\b(?!³| hose| tube| flare)',
    say: ({ before, after }) => (isInches(before, after) ? times(UNITS.in.si * 1000, ' mm') : undefined),
  },
]

/** "in" is a word too: "2 in parallel". */
const isInches = (before: string, after: string) =>
  /^($|[,.;:)]| (into|from|long|of|each|and|at|above|below|bore|wide|or)\b)/.test(after) &&
  !/((size|count|person) |reducers? [^;]*)$/.test(before)

/** Words of US units that stand without a figure. */
const WORDS: readonly (readonly [SystemQuantity, RegExp, string])[] = [
  ['mass', /the tenth of an ounce/g, 'the nearest 3 g'],
  ['volume', /\bof a quart\b/g, 'of a litre'],
]

const FIGURE = String.raw`(?:\d{1,3}(?:,\d{3})+|\d+)(?:\.\d+)?`
const LIST = String.raw`(?<![\w./³-])([−-]?${FIGURE}(?:(?:-|–| to | and | or |, | ± )[−-]?${FIGURE})*)`
const PATTERNS = ROWS.map((row) => ({ row, regex: new RegExp(row.pattern.replace('#', LIST), 'g') }))
const EACH = new RegExp(String.raw`(?<![\d.])[−-]?${FIGURE}`, 'g')

const figureOf = (written: string): Figure => ({
  value: Number(written.replaceAll(',', '').replace('−', '-')),
  written,
})

/** Figures of a list; a hyphen between two is no sign. */
function figuresOf(list: string): Figure[] {
  return [...list.matchAll(EACH)].map(([written], i) =>
    figureOf(i > 0 && /\d-\d/.test(list) ? written.replace(/^-/, '') : written),
  )
}

function replaced(text: string, { row, regex }: (typeof PATTERNS)[number], system: UnitSystem): string {
  return text.replace(regex, (whole: string, list: string, ...rest: unknown[]) => {
    const at = rest.find((each) => typeof each === 'number')!
    const caught = rest.slice(0, rest.indexOf(at)) as (string | undefined)[]
    const figures = figuresOf(list)
    const said = row.say(
      { figures, caught, before: text.slice(0, at), after: text.slice(at + whole.length) },
      system,
    )
    if (!said) return whole
    let i = 0
    const shown = list.replace(EACH, (written) => {
      const figure = figures[i++]!
      const isRange = written.startsWith('-') && !figure.written.startsWith('-')
      return `${isRange ? '-' : ''}${said.each(figure)}`
    })
    return `${shown}${said.unit}`
  })
}

/** Whether anything is told otherwise than in US units. */
const isTranslated = (system: UnitSystem): boolean =>
  (Object.keys(US_UNITS) as SystemQuantity[]).some((key) => system[key] !== US_UNITS[key])

const HAS_UNIT = /\d ?(?:°?F\b|psi|inHg|lb|oz|fl oz|cfm|gpm|tons?\b|ft|in\b)|ounce|quart/

/**
 * A sentence with its figures in the units of a system: core writes US units, what a person reads is what was chosen. Differences of
 * temperature are told from temperatures by the words beside them. Sizes of tubes, flares, hoses and dryers stay: they are names.
 */
export function textIn(text: string, system: UnitSystem): string {
  if (!isTranslated(system) || !HAS_UNIT.test(text)) return text
  const rows = PATTERNS.filter(({ row }) => system[row.quantity] !== US_UNITS[row.quantity])
  const figures = rows.reduce((now, each) => replaced(now, each, system), text)
  return WORDS.reduce(
    (now, [quantity, word, instead]) =>
      system[quantity] === US_UNITS[quantity] ? now : now.replace(word, instead),
    figures,
  )
}

/** What somebody typed is shown, and corrected, as it was typed. */
const TYPED: readonly string[] = [
  'record',
  'earlier',
  'override',
  'offered',
  'without',
  'note',
  'unit',
  'planUnit',
]

/** Everything that core says in a value, in the units of a system; numbers, ids, shapes and what somebody typed stay. */
export function saidIn<T>(value: T, system: UnitSystem): T {
  if (!isTranslated(system)) return value
  const walk = (each: unknown): unknown => {
    if (typeof each === 'string') return textIn(each, system)
    if (Array.isArray(each)) return each.map(walk)
    if (typeof each !== 'object' || each === null) return each
    if (Object.getPrototypeOf(each) !== Object.prototype) return each
    return Object.fromEntries(
      Object.entries(each).map(([key, inner]) => [key, TYPED.includes(key) ? inner : walk(inner)]),
    )
  }
  return walk(value) as T
}
