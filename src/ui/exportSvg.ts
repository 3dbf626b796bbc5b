/** Properties that a drawing takes from the page; in a file they must stand on the elements. */
const CARRIED = [
  'fill',
  'stroke',
  'stop-color',
  'font-family',
  'font-size',
  'font-weight',
  'opacity',
  'transform',
] as const

/** A drawing that stands on its own: colours and fonts of the theme written out, on its own ground. */
function standalone(svg: SVGSVGElement): SVGSVGElement {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const [from, to] = [svg.querySelectorAll('*'), copy.querySelectorAll('*')]
  from.forEach((element, i) => {
    const style = getComputedStyle(element)
    const target = to[i] as SVGElement
    for (const name of CARRIED) target.style.setProperty(name, style.getPropertyValue(name))
    target.style.removeProperty('transition')
    target.style.removeProperty('will-change')
  })
  const { width, height } = svg.getBoundingClientRect()
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width))
  copy.setAttribute('height', String(height))
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
  ground.setAttribute('width', '100%')
  ground.setAttribute('height', '100%')
  ground.setAttribute('fill', getComputedStyle(document.body).backgroundColor)
  copy.insertBefore(ground, copy.firstChild)
  return copy
}

/** An SVG drawing of the page as a file. */
export const svgBlob = (svg: SVGSVGElement): Blob =>
  new Blob([new XMLSerializer().serializeToString(standalone(svg))], { type: 'image/svg+xml' })

/** Pixels of the file for one of the screen: sharp on paper. */
const SHARPNESS = 2

/** The same drawing as a PNG. @throws Error when the browser cannot draw it */
export async function pngBlob(svg: SVGSVGElement): Promise<Blob> {
  const { width, height } = svg.getBoundingClientRect()
  const url = URL.createObjectURL(svgBlob(svg))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = width * SHARPNESS
    canvas.height = height * SHARPNESS
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
    if (!blob) throw new Error('This browser could not draw the picture: take the SVG instead.')
    return blob
  } finally {
    URL.revokeObjectURL(url)
  }
}
