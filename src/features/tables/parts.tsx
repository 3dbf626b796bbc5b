'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { Children, type ReactNode } from 'react'
import { useUnits } from '@/ui/units'
import { REFRIGERANT_NAMES, type RefrigerantName } from '@/core/physics/refrigerants/catalogue'
import { elevationSchema } from '@/core/record/equipment/unit'
import { Choice } from '@/ui/Choice'
import { QuantityField } from '@/ui/QuantityField'
import type { Typed } from './format'

export const RefrigerantChoice = (props: {
  label?: string
  value: RefrigerantName
  onChange: (value: RefrigerantName) => void
}) => (
  <Choice
    label={props.label ?? 'Refrigerant'}
    value={props.value}
    values={REFRIGERANT_NAMES}
    onChange={props.onChange}
  />
)

/** Height of the site over the sea; below it is negative. */
export const ElevationField = (props: {
  value: Typed | undefined
  onChange: (value: Typed | undefined) => void
}) => (
  <QuantityField clears label="Elevation" kind="length" defaultUnit="m" schema={elevationSchema} {...props} />
)

/** Inputs side by side, as many as fit. */
export const Inputs = ({ children }: { children: ReactNode }) => (
  <Box
    className="no-print"
    sx={{
      display: 'grid',
      gap: 1.5,
      gridTemplateColumns: 'repeat(auto-fill, minmax(210px, 1fr))',
      alignItems: 'start',
    }}
  >
    {children}
  </Box>
)

/** Why there is no answer, and what to do. */
export const Problem = ({ children }: { children: ReactNode }) => (
  <Alert severity="warning" sx={{ my: 1 }}>
    {children}
  </Alert>
)

export function Source({ children }: { children: ReactNode }) {
  const { say } = useUnits()
  return (
    <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem', mt: 1 }}>
      {Children.map(children, (child) => (typeof child === 'string' ? say(child) : child))}
    </Typography>
  )
}
