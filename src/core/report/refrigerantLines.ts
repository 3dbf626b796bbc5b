import { showQuantity, type TypedQuantity } from '../base/units/compound'
import { pounds } from '../base/units/weightText'
import { toSI } from '../base/units/convert'
import { roundLookedAt } from '../record/job/rounds'
import { type FinalCharge, finalCharge, finalChargeText } from '../repair/work/finalCharge'
import { line, type ReportSection, section } from './line'
import type { RoundScene } from './scene'

const shown = (value: TypedQuantity | undefined) => value && showQuantity(value)

/** What is inside in the end, as far as the scale tells. */
export const chargeOf = ({ job, answer: { plan } }: RoundScene): FinalCharge | undefined =>
  finalCharge(job, plan.opens && !plan.isPart)

/** What went in beyond what came out; undefined where one of them is not on record. kg */
function netAdded(scene: RoundScene): number | undefined {
  const { closing } = scene.job
  const charge = chargeOf(scene)
  if (closing?.recovered === undefined || charge === undefined || charge.isChargeMissing) return undefined
  return charge.sum - toSI(closing.recovered)
}

const netText = (net: number | undefined): string | undefined => {
  if (net === undefined) return undefined
  return net >= 0 ? `${pounds(net)} more went in than came out` : `${pounds(-net)} less went in than came out`
}

/** Refrigerant: what was inside, what came out, what went in, what is in it now. */
export function refrigerantSection(scene: RoundScene): ReportSection | undefined {
  const { job, answer, isKnown } = scene
  const { plan } = answer
  const { holds, goesIn } = plan.refrigerantPath
  const written = roundLookedAt(job).refrigerant
  const charge = chargeOf(scene)
  const isPlanned = isKnown && answer.decisionStates.length > 0 && plan.opens
  const total = plan.charge?.total
  return section('refrigerant', 'Refrigerant', [
    isPlanned ? line('Before', holds) : undefined,
    line('Went in', written ?? (isPlanned && goesIn && goesIn !== holds ? `${goesIn}, planned` : undefined)),
    isPlanned && plan.charge
      ? line('Charge calculated', total ? pounds(total.value) : 'not known', total)
      : undefined,
    isPlanned
      ? line('Recovered', shown(job.closing?.recovered) ?? 'not entered')
      : line('Recovered', shown(job.closing?.recovered)),
    isPlanned
      ? line('Charged', shown(job.closing?.charged) ?? 'not entered')
      : line('Charged', shown(job.closing?.charged)),
    charge && charge.trimmed !== 0 ? line('Trims', pounds(charge.trimmed)) : undefined,
    line('Charge in the end', charge && finalChargeText(charge)),
    line('Net', netText(netAdded(scene))),
  ])
}
