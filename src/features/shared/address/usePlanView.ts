'use client'
import { useInAddress } from './useAddress'

const PLAN_VIEWS = ['clean-up', 'refrigerant', 'parts', 'day'] as const
export type PlanView = (typeof PLAN_VIEWS)[number]

/** Which part of the plan is looked at: the same for the page and what stands beside it. */
export const usePlanView = () => useInAddress<PlanView>('view', 'clean-up', PLAN_VIEWS)
