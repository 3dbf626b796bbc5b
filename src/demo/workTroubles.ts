/** What the simulated circuit of a demo job has in store for the work. SI */
export type WorkTrouble = {
  /** area of a leak at a joint, m2 */
  readonly leak: number
  /** of plate and lines, what is really in it */
  readonly chargeShare: number
  /** how the hose to the pump was left */
  readonly hose: 'open' | 'shut'
}

const NONE: WorkTrouble = { leak: 0, chargeShare: 1, hose: 'open' }

const TROUBLES: Readonly<Record<string, WorkTrouble>> = {
  'demo-water-source': { ...NONE, hose: 'shut' },
}

/** The trouble of a job; none where nothing is said. */
export const demoTrouble = (jobId: string): WorkTrouble => TROUBLES[jobId] ?? NONE

/** [physics] loses about 1.5 psi in 15 min from 10 L at 200 psig: a hold sees it well. m2 */
export const SEEN_LEAK = 6e-10
