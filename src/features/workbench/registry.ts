import dynamic from 'next/dynamic'
import type { ComponentType } from 'react'
import type { Stage } from '@/core/record/job/stages'
import type { SHEETS } from '../shared/address/jobAddress'
import type { StageProps } from '../shared/stageProps'
import { Answer } from './Answer'

type View = ComponentType<StageProps>

type StageView = {
  readonly Work: View
  readonly Side: View
  /** what fills the page is computed from the whole job: it is marked while it answers an older state */
  readonly computed?: true
  /** it shows one repair of several: which one is chosen above it */
  readonly byRound?: true
}

const PARTS = [
  () => import('../arrive/ArriveStage'),
  () => import('../measure/MeasureStage'),
  () => import('../diagnose/DiagnoseStage'),
  () => import('../diagnose/GateAnswer'),
  () => import('../plan/PlanStage'),
  () => import('../plan/PlanAnswer'),
  () => import('../work/WorkStage'),
  () => import('../work/WorkAnswer'),
  () => import('../close/CloseStage'),
] as const

/** Fetches every stage while nothing else is to be done, so that a change of stage waits for no network. */
export async function fetchStages(): Promise<void> {
  for (const part of PARTS) await part().catch(() => undefined)
}

/** The stages: what fills the page, and what stands beside it. Each is fetched when it is opened. */
export const STAGE_VIEWS: Readonly<Record<Stage, StageView>> = {
  arrive: {
    Work: dynamic(() => import('../arrive/ArriveStage').then(({ ArriveStage }) => ArriveStage)),
    Side: Answer,
  },
  measure: {
    Work: dynamic(() => import('../measure/MeasureStage').then(({ MeasureStage }) => MeasureStage)),
    Side: Answer,
  },
  diagnose: {
    Work: dynamic(() => import('../diagnose/DiagnoseStage').then(({ DiagnoseStage }) => DiagnoseStage)),
    Side: dynamic(() => import('../diagnose/GateAnswer').then(({ GateAnswer }) => GateAnswer)),
    computed: true,
    byRound: true,
  },
  plan: {
    Work: dynamic(() => import('../plan/PlanStage').then(({ PlanStage }) => PlanStage)),
    Side: dynamic(() => import('../plan/PlanAnswer').then(({ PlanAnswer }) => PlanAnswer)),
    computed: true,
    byRound: true,
  },
  work: {
    Work: dynamic(() => import('../work/WorkStage').then(({ WorkStage }) => WorkStage)),
    Side: dynamic(() => import('../work/WorkAnswer').then(({ WorkAnswer }) => WorkAnswer)),
    computed: true,
    byRound: true,
  },
  close: {
    Work: dynamic(() => import('../close/CloseStage').then(({ CloseStage }) => CloseStage)),
    Side: Answer,
    byRound: true,
  },
}

/** What is made for paper, by its word in the address. */
export const PAPER_VIEWS: Readonly<Record<(typeof SHEETS)[number], ComponentType<{ jobId: string }>>> = {
  print: dynamic(() => import('../print/PrintPage').then(({ PrintPage }) => PrintPage)),
  'load-out': dynamic(() => import('../print/LoadOutPage').then(({ LoadOutPage }) => LoadOutPage)),
}
