import { unitRow } from '../base/units/units'
import { fullMomentIn } from '../base/units/siteTime'
import { type ObservationKey, observationRow, wordText } from '../record/readings/observations'
import { OPEN_OHMS_LEAST } from '../record/readings/openOhms'
import { isPlaced, placesText } from '../record/readings/places'
import type { Reading } from '../record/readings/schema'
import { isReadingKey, type ReadingKey, readingRow } from '../record/readings/vocabulary'
import { siteAtmosphere } from '../record/equipment/circumstances'
import { unitText } from '../base/units/system'
import { takeSnapshot } from '../record/readings/snapshot'
import type { JobSet } from '../record/records/set'
import { setName } from './setName'
import { line, type ReportSection, section, written } from './line'
import type { RoundScene } from './scene'

type Known = Pick<RoundScene, 'known'>

/** An ohm reading as a meter shows it. */
const isOpen = ({ unit, value }: Reading) =>
  unitRow(unit).kind === 'resistance' && value * unitRow(unit).si >= OPEN_OHMS_LEAST

/** Half-width of what the instrument may be off, in the reading's own unit; undefined where nothing is known of it. */
function errorText({ known: { unit } }: Known, set: JobSet, key: ReadingKey, reading: Reading): string {
  const atmosphere = siteAtmosphere(unit)
  const measured = takeSnapshot(set, unit.refrigerant, atmosphere).values[key]
  if (!measured || isOpen(reading)) return ''
  const inUnit = measured.error / unitRow(reading.unit).si
  return ` ±${Number(inUnit.toPrecision(2))}`
}

/** An instrument as it is called; a key of the record that stands in its name is no word. */
const instrumentName = (name: string | undefined): string | undefined =>
  name
    ?.split(' ')
    .filter((word) => !isReadingKey(word))
    .join(' ') || undefined

/** "118 psig ±1.2, gauge, doubted". */
function readingText(scene: Known, set: JobSet, key: ReadingKey): string | undefined {
  const reading = set.readings[key]
  if (!reading) return undefined
  const shown = isOpen(reading) ? 'open, no path' : `${reading.value} ${unitText(reading.unit)}`
  const source = instrumentName(reading.instrument) ?? readingRow(key).instrument
  return `${shown}${errorText(scene, set, key, reading)}, ${source}${reading.doubtful ? ', doubted' : ''}`
}

/** What was seen, in words. */
function seenText(set: JobSet, key: ObservationKey): string {
  if (isPlaced(key)) return placesText(set, key)
  const word = set.observations?.[key]
  return typeof word === 'string' ? wordText(key, word) : String(word ?? '')
}

/** Each set as it was taken: figures with the error and the kind of their instrument. */
export function readingSections(
  scene: Known & Pick<RoundScene, 'job'>,
  sets: readonly JobSet[],
): ReportSection[] {
  const zone = scene.job.unit.site?.zone
  return sets.flatMap((set, i) => {
    const inside =
      set.refrigerant && set.refrigerant !== scene.job.unit.refrigerant ? `, ${set.refrigerant} inside` : ''
    const title = `${setName(set, i)}, ${set.mode}${inside}${set.at ? `, ${fullMomentIn(set.at, zone)}` : ''}`
    const own = section(`set-${set.id}`, title, [
      ...(Object.keys(set.readings) as ReadingKey[]).map((key) =>
        // as it was taken: figure and error in the instrument's own unit
        written(readingRow(key).label, readingText(scene, set, key)),
      ),
      ...(Object.keys(set.observations ?? {}) as ObservationKey[]).map((key) =>
        line(
          key === ('hoursOpenToAir' as string) ? 'Hours open to air' : observationRow(key).label,
          seenText(set, key),
        ),
      ),
      written('Note', set.note),
    ])
    return own ? [own] : []
  })
}
