import type { ComponentType } from 'react'
import type { Stage } from '@/core/record/job/stages'
import type { SHEETS } from '../shared/address/jobAddress'
import type { StageProps } from '../shared/stageProps'
import { Answer } from './Answer'
import { type Fetched, fetched } from './fetched'

type StageView = {
  readonly work: Fetched<StageProps>
  /** what stands beside it; the answer so far where nothing else is named */
  readonly side?: Fetched<StageProps>
  /** what fills the page is computed from the whole job: it is marked while it answers an older state */
  readonly computed?: true
  /** it shows one repair of several: which one is chosen above it */
  readonly byRound?: true
}

/** The stages: what fills the page, and what stands beside it. */
export const STAGE_VIEWS: Readonly<Record<Stage, StageView>> = {
  arrive: {
    work: fetched(() => import('../arrive/ArriveStage').then(({ ArriveStage }) => ArriveStage)),
  },
  measure: {
    work: fetched(() => import('../measure/MeasureStage').then(({ MeasureStage }) => MeasureStage)),
  },
  diagnose: {
    work: fetched(() => import('../diagnose/DiagnoseStage').then(({ DiagnoseStage }) => DiagnoseStage)),
    side: fetched(() => import('../diagnose/GateAnswer').then(({ GateAnswer }) => GateAnswer)),
    computed: true,
    byRound: true,
  },
  plan: {
    work: fetched(() => import('../plan/PlanStage').then(({ PlanStage }) => PlanStage)),
    side: fetched(() => import('../plan/PlanAnswer').then(({ PlanAnswer }) => PlanAnswer)),
    computed: true,
    byRound: true,
  },
  work: {
    work: fetched(() => import('../work/WorkStage').then(({ WorkStage }) => WorkStage)),
    side: fetched(() => import('../work/WorkAnswer').then(({ WorkAnswer }) => WorkAnswer)),
    computed: true,
    byRound: true,
  },
  close: {
    work: fetched(() => import('../close/CloseStage').then(({ CloseStage }) => CloseStage)),
    byRound: true,
  },
}

/** What stands beside a stage. */
export const sideOf = (stage: Stage): ComponentType<StageProps> => STAGE_VIEWS[stage].side?.View ?? Answer

/** Fetches every stage while nothing else is to be done, so that a change of stage waits for no network. */
export async function fetchStages(): Promise<void> {
  for (const { work, side } of Object.values(STAGE_VIEWS))
    for (const part of [work, side]) await part?.fetch().catch(() => undefined)
}

/** What is made for paper, by its word in the address. */
export const PAPER_VIEWS: Readonly<Record<(typeof SHEETS)[number], ComponentType<{ jobId: string }>>> = {
  print: fetched(() => import('../print/PrintPage').then(({ PrintPage }) => PrintPage)).View,
  'load-out': fetched(() => import('../print/LoadOutPage').then(({ LoadOutPage }) => LoadOutPage)).View,
}
