import Button from '@mui/material/Button'
import type { GatePlace } from '@/core/repair/work/gatePlaces'
import { taskRow } from '@/core/repair/plan/tasks/tasks'

const STAGES = {
  plan: 'Plan, Parts: the owner agrees',
  measure: 'Measure',
  diagnose: 'Diagnose, Not now',
} as const

/** Where it is done, in words. */
function placeText(place: GatePlace): string {
  if (place.at === 'step') return taskRow(place.task).label.split(/[:;,]/)[0] as string
  return place.at === 'off' ? 'Taken off' : STAGES[place.stage]
}

/** Leads to where what is missing is done. */
export const PlaceButton = ({ place, onOpen }: { place: GatePlace; onOpen: (place: GatePlace) => void }) => (
  <Button variant="outlined" sx={{ minHeight: 48, mt: 0.5 }} onClick={() => onOpen(place)}>
    Go to: {placeText(place)}
  </Button>
)
