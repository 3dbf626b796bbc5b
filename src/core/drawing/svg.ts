/** Attributes of an element; one without a value is left out. */
type Attributes = Readonly<Record<string, string | number | undefined>>

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => ESCAPES[sign] as string)

/** To a hundredth of a pixel: a drawing is no measurement. */
const short = (value: string | number): string =>
  typeof value === 'number' ? String(Number(value.toFixed(2))) : escaped(value)

/** An element of a drawing as text. @param inner markup, or text that was escaped */
export function element(name: string, attributes: Attributes, inner = ''): string {
  const all = Object.entries(attributes)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ` ${key}="${short(value as string | number)}"`)
    .join('')
  return inner === '' ? `<${name}${all}/>` : `<${name}${all}>${inner}</${name}>`
}

/** Words at a place; the baseline is at y. */
export const words = (text: string, x: number, y: number, size: number, more: Attributes = {}): string =>
  element('text', { x, y, 'font-size': size, ...more }, escaped(text))

/** A straight line. */
export const stroke = (x1: number, y1: number, x2: number, y2: number, more: Attributes = {}): string =>
  element('line', { x1, y1, x2, y2, stroke: '#1d1a16', 'stroke-width': 1, ...more })

/** A whole drawing. */
export const drawing = (width: number, height: number, parts: readonly string[]): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="${FACE}">${parts.join('')}</svg>`

/** The face of drawings on paper; it has every sign that a report writes. */
export const FACE = 'DejaVu'
/** Colours of paper: ink, quiet ink, hairline, the one accent. */
export const PAPER = { ink: '#1d1a16', quiet: '#5c5347', hairline: '#b9ad97', copper: '#8f4413' } as const
