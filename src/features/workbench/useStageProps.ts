'use client'
import { lookedAt } from '@/core/answer/answer'
import { type Suspect, suspectKey } from '@/core/answer/diagnose'
import { drawnUnit } from '@/core/record/equipment/asked'
import type { StoredJob } from '@/core/record/job/job'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import type { Answered } from '../shared/answer/useAnswer'
import type { useDisplay } from '../shared/display/useDisplay'
import type { StageProps } from '../shared/stageProps'
import type { Looking } from './useLooking'

/** While something of the unit is asked, no check is proposed, and nothing is said of what it is expected to do. */
const whileAsked = ({ flags }: Answered['assessment']) => ({
  nextChecks: [],
  mindChangers: [],
  flags: flags.filter(({ id }) => id !== 'not-covered'),
})

/** The set that is looked at: the chosen one while it is there, else the last. */
export const chosenSet = ({ readingSets }: StoredJob, chosen: string | undefined) =>
  readingSets.some(({ id }) => id === chosen) ? chosen : readingSets.at(-1)?.id

type Rounded = Pick<StageProps, 'job' | 'change' | 'chooseRound' | 'startRound' | 'saidRefrigerant'>

/** What the stages are given, once there is an answer; what did not change stays the same object. */
export function useStageProps(
  round: Rounded,
  answer: Answered,
  { setId, suspect: looked, tap, look }: Looking,
  { temperature, pressure, system, chosen, rememberUnit }: ReturnType<typeof useDisplay>,
): StageProps {
  // it calls no other hook: without this word the compiler would leave it as it is, and every stage be drawn each time
  'use memo'
  const { job } = round
  const { unit: plate } = job
  const { assessment, ranking, asks } = answer
  const unit = drawnUnit(plate)
  const diagnosis = { ...assessment, ...ranking, ...(asks.length > 0 ? whileAsked(assessment) : {}) }
  const display = { temperature, pressure, system, chosen }
  const { suspects } = ranking
  const chooseSet = (id: string | undefined) => look({ setId: id })
  const chooseSuspect = (suspect: string) => look({ suspect })
  const openTap = (key: ReadingKey | undefined) => look({ tap: key })
  return {
    ...round,
    unit,
    display,
    rememberUnit,
    setId: chosenSet(job, setId),
    chooseSet,
    set: lookedAt(job, setId),
    answer,
    diagnosis,
    suspect: suspects.find((each) => suspectKey(each) === looked) ?? (suspects[0] as Suspect),
    chooseSuspect,
    tap,
    openTap,
  }
}
