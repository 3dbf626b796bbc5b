import { suspectLabel } from '../diagnosis/faults/faults'
import type { DecisionState } from '../diagnosis/proof/decisionState'
import { showQuantity } from '../base/units/compound'
import { replacedParts } from '../repair/work/replacedParts'
import { followUps, followUpText } from './followUps'
import { line, listed, lowerFirst, type ReportSection, section, written } from './line'
import { finalChargeText } from '../repair/work/finalCharge'
import { chargeOf } from './refrigerantLines'
import type { RoundScene } from './scene'
import { refrigerantOf } from './tag'
import { offLists, timesText } from './workLines'

const HOW_SURE: Readonly<Record<DecisionState['state'], string>> = {
  proven: 'proven before the part was condemned',
  overridden: 'decided without full proof, for a written reason',
  shown: 'as seen or told, not proven here',
  'not-proven': 'suspected, not proven',
  'no-gate': 'found',
}

/** What an owner wants to know, in plain words. */
export function ownerSections(scene: RoundScene): ReportSection[] {
  const { job, answer } = scene
  const { closing } = job
  const faults = answer.decisionStates.map(({ fault, state }) => `${suspectLabel(fault)}: ${HOW_SURE[state]}`)
  const parts = closing?.replaced ?? listed(replacedParts(job, answer.plan).map(lowerFirst))
  const { off } = offLists(scene)
  const charge = chargeOf(scene)
  return [
    section('wrong', 'What was wrong', [
      written('Complaint', job.arrival?.complaint),
      ...faults.map((fault) => line('Found', fault)),
    ]),
    section('done', 'What was done', [
      line('Worked', timesText(scene)),
      closing?.replaced === undefined ? line('Replaced', parts) : written('Replaced', closing.replaced),
      written('Settings changed', closing?.settings),
      written('Note', closing?.note),
    ]),
    section('cost', 'What it cost in refrigerant', [
      closing?.recovered || charge ? line('Refrigerant', refrigerantOf(scene)) : undefined,
      line('Taken out', closing?.recovered && showQuantity(closing.recovered)),
      line('Put in', closing?.charged && showQuantity(closing.charged)),
      charge && charge.trimmed !== 0 ? line('In the end', finalChargeText(charge)) : undefined,
    ]),
    section('watch', 'What to watch', [
      written('Not done, and should be', closing?.notDone),
      ...followUps(scene).map((each) => line('Due', followUpText(each))),
      line('Still off', off.map(({ label }) => label).join('; ')),
    ]),
  ].filter((each) => each !== undefined)
}
