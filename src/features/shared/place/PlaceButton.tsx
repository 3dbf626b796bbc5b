import Button from '@mui/material/Button'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import { stepName } from '@/core/report/stepName'
import { goInJob } from '../address/useAddress'

const STAGES = {
  plan: 'Plan, Parts: the owner agrees',
  measure: 'Measure',
  diagnose: 'Diagnose, Not now',
} as const

/** Where it is done, in words. */
function placeText(place: GatePlace): string {
  if (place.at === 'step') return stepName(place.task)
  return place.at === 'off' ? 'Taken off' : STAGES[place.stage]
}

/** Goes to where something is done, from another stage. */
export function goToPlace(jobId: string, place: GatePlace): void {
  if (place.at === 'step') goInJob(jobId, 'work', { step: place.task, view: undefined })
  else if (place.at === 'off') goInJob(jobId, 'work', { view: 'off' })
  else goInJob(jobId, place.stage, place.stage === 'plan' ? { view: 'parts' } : {})
}

/** Leads to where what is missing is done. */
export const PlaceButton = ({ place, onOpen }: { place: GatePlace; onOpen: (place: GatePlace) => void }) => (
  <Button variant="outlined" sx={{ minHeight: 48, mt: 0.5 }} onClick={() => onOpen(place)}>
    Go to: {placeText(place)}
  </Button>
)
