import type { Faces } from './pdfWriter'

const bytesOf = async (address: URL): Promise<Uint8Array> => {
  const answer = await fetch(address)
  if (!answer.ok) throw new Error('The face of the report could not be fetched: try again.')
  return new Uint8Array(await answer.arrayBuffer())
}

/** The faces that ship with the app: they have the ohm, the arrow, the delta that the screen's face lacks. */
export async function fetchFaces(): Promise<Faces> {
  const [regular, bold] = await Promise.all([
    bytesOf(new URL('dejavu-fonts-ttf/ttf/DejaVuSans.ttf', import.meta.url)),
    bytesOf(new URL('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf', import.meta.url)),
  ])
  return { regular, bold }
}
