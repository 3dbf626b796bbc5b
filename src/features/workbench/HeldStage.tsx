'use client'
import { Activity, type ComponentType, memo, useState } from 'react'
import type { Stage } from '@/core/record/job/stages'
import { Freshness } from '../shared/answer/Freshness'
import { RoundTabs } from '../shared/rounds/RoundTabs'
import type { StageProps } from '../shared/stageProps'
import { STAGE_VIEWS } from './registry'

/** What was opened in this page, in the order in which it was: it stays drawn while another one is looked at. */
export function useOpened<T>(shown: T): readonly T[] {
  const [opened, setOpened] = useState<readonly T[]>([shown])
  if (opened.includes(shown)) return opened
  const all = [...opened, shown]
  setOpened(all)
  return all
}

type Given = {
  readonly isShown: boolean
  readonly props: StageProps
}

/** What is not looked at is not drawn anew; once it is looked at again, whatever changed since then is. */
function drawnOnlyIfShown<P extends Given>(draw: (props: P) => React.ReactNode): ComponentType<P> {
  const Drawn = memo(
    draw as ComponentType<P>,
    (before, after) =>
      !after.isShown ||
      (Object.keys(after) as (keyof P)[]).every((key) => key === 'isShown' || before[key] === after[key]),
  ) as unknown as ComponentType<P>
  return function Held(given: P) {
    return (
      <Activity mode={given.isShown ? 'visible' : 'hidden'}>
        <Drawn {...given} />
      </Activity>
    )
  }
}

/** What fills the page at a stage. @param place number of the set that is looked at */
export const HeldStage = drawnOnlyIfShown(function StageDrawn({
  stage,
  place,
  props,
}: Given & { readonly stage: Stage; readonly place: number }) {
  const {
    work: { View },
    computed = false,
    byRound = false,
  } = STAGE_VIEWS[stage]
  const work = <View key={`${props.job.round} ${place}`} {...props} />
  return (
    <>
      {byRound && <RoundTabs {...props} />}
      {computed ? <Freshness fresh={props.answer.isFresh}>{work}</Freshness> : work}
    </>
  )
})

/** What stands beside a stage. */
export const HeldSide = drawnOnlyIfShown(function SideDrawn({
  Side,
  props,
}: Given & { readonly Side: ComponentType<StageProps> }) {
  return (
    <Freshness fresh={props.answer.isFresh}>
      <Side {...props} />
    </Freshness>
  )
})
