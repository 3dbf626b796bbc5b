'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { UnitPlate } from '@/core/record/equipment/unit'
import { ChoiceChips } from '@/ui/ChoiceChips'
import type { ChangeJob } from '../shared/record/useJob'

export type PlatePart = { unit: UnitPlate; change: ChangeJob }

export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  )
}

/** Two fields beside each other. */
export const Pair = ({ children }: { children: ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>{children}</Box>
)

type YesNoProps = {
  label: string
  value: boolean | undefined
  onChange: (value: boolean | undefined) => void
}

/** Yes, no, or not known. */
export function YesNo({ label, value, onChange }: YesNoProps) {
  return (
    <ChoiceChips
      label={label}
      values={['yes', 'no']}
      value={value === undefined ? undefined : value ? 'yes' : 'no'}
      onChange={(word) => onChange(word === undefined ? undefined : word === 'yes')}
    />
  )
}
