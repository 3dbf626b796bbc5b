import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { DryerChoice } from '@/core/repair/cleanup/dryers'
import type { DryerModel } from '@/core/repair/cleanup/dryerCatalogue'
import { ounces } from '../shared/planText'

const dryerName = ({ block, core, flow, line, highPressure }: DryerModel) =>
  `block ${block} in³, ${core} core, ${flow}, ${line}${highPressure ? ', high pressure' : ''}`

function Choice({ choice }: { choice: DryerChoice }) {
  const { place, chosen, reasons, refused, extraCharge } = choice
  return (
    <section aria-label={`${place} dryer`} data-dryer={place}>
      <Typography sx={{ fontWeight: 650 }}>
        {place === 'liquid' ? 'Liquid' : 'Suction'} dryer:{' '}
        {chosen ? dryerName(chosen) : 'none of the generic sizes'}
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.25 }}>
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
        {extraCharge > 0 && (
          <li>
            holds about {ounces(extraCharge)} of liquid: count it in the charge, less what the old one held
          </li>
        )}
      </Box>
      <details>
        <summary style={{ minHeight: 48, display: 'flex', alignItems: 'center', cursor: 'pointer' }}>
          {refused.length} refused, and why
        </summary>
        <Box component="ul" sx={{ m: 0, pl: 2.25, fontSize: '0.95rem', color: 'text.secondary' }}>
          {refused.map(({ dryer, reasons: why }) => (
            <li key={dryer.id}>
              {dryerName(dryer)}: {why.join('; ')}
            </li>
          ))}
        </Box>
      </details>
    </section>
  )
}

/** Dryers chosen and refused; the figures are from memory, so the maker's sheet decides. */
export function Dryers({ dryers }: { dryers: readonly DryerChoice[] }) {
  if (dryers.length === 0) return <p style={{ margin: 0 }}>The circuit stays closed: no dryer is changed.</p>
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {dryers.map((choice) => (
        <Choice key={choice.place} choice={choice} />
      ))}
      <Typography sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
        Generic figures [memory]: check the maker&apos;s sheet.
      </Typography>
    </Box>
  )
}
