import Box from '@mui/material/Box'
import { suspectLabel } from '@/core/diagnosis/faults/faults'
import type { MindChanger } from '@/core/diagnosis/checks/nextCheck'
import type { Mode } from '@/core/record/readings/schema'
import { chance } from '@/core/base/units/chance'

/** Results that would put another suspect first. */
export function MindChangers({ changers, mode }: { changers: readonly MindChanger[]; mode: Mode }) {
  if (changers.length === 0) return <p style={{ margin: 0 }}>No single check would unseat it.</p>
  return (
    <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
      {changers.map(({ check, label, outcome, chance: likely, leads, probability }) => (
        <li key={check}>
          {label}: &quot;{outcome}&quot; ({chance(likely)} likely) would put {suspectLabel(leads, mode)}{' '}
          first, {chance(probability)}.
        </li>
      ))}
    </Box>
  )
}
