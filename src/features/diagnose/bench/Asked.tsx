'use client'
import Typography from '@mui/material/Typography'
import { refusalOfWord, refusedValues } from '@/core/diagnosis/checks/bench'
import { type ObservationKey, observationRow } from '@/core/record/readings/observations'
import type { Observations } from '@/core/record/readings/schema'
import type { VetoId } from '@/core/safety/vetoes'
import { Observed } from '../../shared/Observed'
import type { Bench } from './useBench'

/** Words that may be tried now; what was answered stays, with the reason why it is not tried again. */
export function Asked({
  keys,
  observations,
  see,
  vetoes,
}: {
  keys: readonly ObservationKey[]
  observations: Observations
  see: Bench['see']
  vetoes: readonly VetoId[]
}) {
  const refused = keys.filter((key) => refusalOfWord(key, vetoes) && observations[key] === undefined)
  return (
    <>
      <Observed
        keys={keys.filter((key) => !refused.includes(key))}
        observations={observations}
        onChange={see}
        without={(key) => Object.keys(refusedValues(key, vetoes))}
      />
      {refused.length > 0 && (
        <Typography role="note" sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
          Not tried now: {refused.map((key) => observationRow(key).label.toLowerCase()).join('; ')}.
        </Typography>
      )}
    </>
  )
}
