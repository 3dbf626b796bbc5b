import type { PlotModel } from '../drawing/plotSvg'
import { siteAtmosphere } from '../record/equipment/circumstances'
import { unitText, type UnitSystem } from '../base/units/system'
import { drawable } from '../record/logs/drawable'
import { MARK_WORDS } from '../record/logs/markWords'
import { thinWhole } from '../record/logs/segments'
import { shownLog } from '../record/logs/shownLog'
import { channelRow } from '../record/readings/channels'
import { convertValue } from '../base/units/convertValue'
import type { Unit } from '../base/units/units'
import { LOG_KINDS } from '../repair/logs/kinds'
import { endedLogs, passText, samplesOf, type WorkLogHead } from './logLines'
import type { RoundScene } from './scene'

/** A curve is drawn by least and most of so many slices: no peak is lost. */
const SLICES = 240
const PER_MINUTE = 1 / 60

const shortOf = ({ channels }: Pick<WorkLogHead, 'channels'>, i: number): string => {
  const channel = channels[i]
  return channel ? channelRow(channel.key).short : ''
}

/** Channels that share a unit stand in one drawing. */
function groupsOf(channels: WorkLogHead['channels']): (readonly number[])[] {
  const units = [...new Set(channels.map(({ unit }) => unit))]
  return units.map((unit) => channels.flatMap((channel, i) => (channel.unit === unit ? [i] : [])))
}

function plotsOf(scene: RoundScene, log: WorkLogHead, system: UnitSystem): PlotModel[] {
  const samples = samplesOf(scene, log)
  if (!samples) return []
  const kind = LOG_KINDS[log.purpose]
  const atmosphere = siteAtmosphere(scene.known.unit)
  const { levels = [] } = kind.judge({ head: log, samples }, scene.facts, { fit: 'too-few' })
  const { head, samples: shown } = shownLog(log, drawable(log, samples), system, atmosphere)
  const [first] = log.channels
  const inShown = (value: number, to: Unit) =>
    first === undefined || first.unit === to
      ? value
      : convertValue({ value, unit: first.unit }, to, atmosphere)
  return groupsOf(head.channels).map((channels, group): PlotModel => {
    const unit = head.channels[channels[0] as number]?.unit as Unit
    return {
      title: `${kind.name}${passText(scene, log)}`,
      yTitle: `${channels.map((i) => shortOf(head, i)).join(', ')}, ${unitText(unit)}`,
      isLogarithmic: kind.isLogarithmic,
      curves: channels.map((i) => ({
        label: shortOf(head, i),
        points: thinWhole(shown, i, SLICES, PER_MINUTE),
      })),
      levels: group === 0 ? levels.map(({ label, value }) => ({ label, value: inShown(value, unit) })) : [],
      marks: (log.marks ?? []).map(({ seconds, what, text }) => ({
        minute: seconds * PER_MINUTE,
        label: text ?? MARK_WORDS[what],
      })),
    }
  })
}

/** Every ended log of the work as drawings over time, in the units of a system. @throws OrzoError not-loaded */
export const roundPlots = (scene: RoundScene, system: UnitSystem): PlotModel[] =>
  endedLogs(scene).flatMap((log) => plotsOf(scene, log, system))
