'use client'
import { useMemo } from 'react'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import { coldestOf, pullGuess, quickerWays } from '@/core/repair/work/pumpSetup'
import { pullLooks, vacuumLimits } from '@/core/repair/work/judgeVacuum'
import { PurposePane } from '../logs/PurposePane'
import { useForecast } from '../logs/useFits'
import { usePurpose } from '../logs/usePurpose'
import { viewVacuum } from '../logs/viewVacuum'
import { PumpForm } from './PumpForm'
import type { InstrumentProps } from './instrumentProps'

/** The pull on a logarithmic scale: zones, boiling line, when it gets there, what a bigger hose would save, why it stands. */
export function PullPane(props: InstrumentProps) {
  const { job, unit, change, answer } = props
  const { plan } = answer
  const { pane, own } = usePurpose(props, 'evacuation')
  const pump = job.run?.pump
  const atmosphere = siteAtmosphere(unit)
  const facts = useMemo(
    () => ({
      limits: vacuumLimits(plan.policy, plan.contamination.contents.wet),
      coldest: coldestOf(pump ?? {}),
      ways: quickerWays(plan, pump),
      guess: pullGuess(plan, pump),
    }),
    [plan, pump],
  )
  const pulled = own ? pullLooks(own, atmosphere) : []
  const forecast = useForecast(pane.log.head?.id ?? 'none', pulled, {
    guess: facts.guess,
    target: facts.limits.target,
    atmosphere,
    others: facts.ways.map(({ guess }) => guess),
  })
  const view = own && viewVacuum(own, unit, facts, forecast, pulled.at(-1)?.seconds ?? 0)
  return (
    <>
      <PurposePane {...pane} view={view} />
      <PumpForm job={job} change={change} />
    </>
  )
}
