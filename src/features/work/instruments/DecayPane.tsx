'use client'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import { waterVapourPressure } from '@/core/physics/air/psychrometrics'
import { decayLooks, vacuumLimits } from '@/core/repair/work/judgeVacuum'
import { coldestOf } from '@/core/repair/work/pumpSetup'
import { PurposePane } from '../logs/PurposePane'
import { useDecayFit } from '../logs/useFits'
import { usePurpose } from '../logs/usePurpose'
import { viewDecay } from '../logs/viewVacuum'
import type { InstrumentProps } from './instrumentProps'

/** The rise with the valve shut: leak, moisture, both, how sure; the limit of the policy. */
export function DecayPane(props: InstrumentProps) {
  const { job, unit, answer } = props
  const { policy, contamination, size } = answer.plan
  const { pane, own } = usePurpose(props, 'decay')
  const limits = vacuumLimits(policy, contamination.contents.wet)
  const looks = own ? decayLooks(own, siteAtmosphere(unit)) : []
  const ceiling = waterVapourPressure(coldestOf(job.run?.pump ?? {}))
  const fit = useDecayFit(pane.log.head?.id ?? 'none', looks, ceiling)
  const view = own && viewDecay(looks, { limits, volume: size.volume }, fit)
  return <PurposePane {...pane} view={view} />
}
