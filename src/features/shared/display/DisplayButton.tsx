'use client'
import TuneOutlined from '@mui/icons-material/TuneOutlined'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import IconButton from '@mui/material/IconButton'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { SYSTEM_UNITS, type SystemQuantity, unitText } from '@/core/base/units/system'
import type { Unit } from '@/core/base/units/units'
import { database } from '@/data/shared'
import { type SettingKey, writeChoice } from '@/data/settings'
import { useDisplay } from './useDisplay'
import { UnitChoice } from './UnitChoice'
import { useLook } from './DisplayProvider'

type Choice = {
  readonly setting: SettingKey
  readonly label: string
  readonly help: string
  readonly values: readonly (readonly [value: string, label: string])[]
}

const QUANTITIES: readonly (readonly [SystemQuantity, string])[] = [
  ['temperature', 'Temperatures'],
  ['pressure', 'Pressures'],
  ['mass', 'Weights'],
  ['volume', 'Oil'],
  ['length', 'Lengths'],
  ['flow', 'Air flow'],
]
const UNIT_NAMES: { readonly [U in Unit]?: string } = {
  F: 'Fahrenheit',
  C: 'Celsius',
  K: 'Kelvin',
  lb: 'lb and oz',
  kg: 'kg and g',
  ft: 'ft and in',
  m: 'm and mm',
}

/** One choice for everything, or a unit for each quantity. A figure that was typed keeps its unit. */
function UnitsPart() {
  const { system, setUnits } = useDisplay()
  return (
    <Box component="section" aria-labelledby="units-title">
      <Typography id="units-title" sx={{ fontWeight: 650, mb: 0.5 }}>
        Units
      </Typography>
      <UnitChoice />
      <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem', mt: 0.5 }}>
        Of readings, sentences, limits, logs, tables and report. A figure keeps the unit in which it was
        typed.
      </Typography>
      <Box component="details">
        <Box
          component="summary"
          sx={{ minHeight: 48, alignContent: 'center', cursor: 'pointer', fontWeight: 600 }}
        >
          Mixed: a unit for each quantity
        </Box>
        <Box sx={{ display: 'grid', gap: 1 }}>
          {QUANTITIES.map(([quantity, label]) => (
            <Box key={quantity} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
              <Typography sx={{ width: 110 }}>{label}</Typography>
              <ToggleButtonGroup
                exclusive
                value={system[quantity]}
                aria-label={label}
                onChange={(_event, unit: string | null) => unit && setUnits({ [quantity]: unit })}
              >
                {SYSTEM_UNITS[quantity].map((unit) => (
                  <ToggleButton key={unit} value={unit} sx={{ px: 1.5 }}>
                    {UNIT_NAMES[unit] ?? unitText(unit)}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  )
}

const CHOICES: readonly Choice[] = [
  {
    setting: 'theme',
    label: 'Theme',
    help: 'Sunlight for glare, Cellar for the dark.',
    values: [
      ['sunlight', 'Sunlight'],
      ['cellar', 'Cellar'],
    ],
  },
  {
    setting: 'textSize',
    label: 'Text',
    help: 'The ladder grows with it; the circuit is zoomed on a phone.',
    values: [
      ['usual', 'Usual'],
      ['large', 'Large'],
      ['largest', 'Largest'],
    ],
  },
  {
    setting: 'hand',
    label: 'Tapping hand',
    help: 'Taps and pad stand on this side of a laptop screen, the next key under this thumb.',
    values: [
      ['right', 'Right'],
      ['left', 'Left'],
    ],
  },
  {
    setting: 'screenOn',
    label: 'Screen while a job is open',
    help: 'Where the browser and the battery allow it.',
    values: [
      ['no', 'May sleep'],
      ['yes', 'Stays on'],
    ],
  },
]

/** Theme, text size, hand and screen of this browser. */
export function DisplayButton() {
  const [open, setOpen] = useState(false)
  const look = useLook()
  const now: Partial<Record<SettingKey, string>> = {
    theme: look.theme,
    textSize: look.textSize,
    hand: look.hand,
    screenOn: look.screenOn ? 'yes' : 'no',
  }
  const choose = (setting: SettingKey, value: string) => void writeChoice(database(), setting, value)
  return (
    <>
      <IconButton aria-label="Display" color="inherit" onClick={() => setOpen(true)}>
        <TuneOutlined />
      </IconButton>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="display-title">
        <DialogTitle id="display-title">Display</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
          <UnitsPart />
          {CHOICES.map(({ setting, label, help, values }) => (
            <Box key={setting}>
              <Typography sx={{ fontWeight: 650, mb: 0.5 }}>{label}</Typography>
              <ToggleButtonGroup
                exclusive
                value={now[setting]}
                aria-label={label}
                onChange={(_event, value: string | null) => value && choose(setting, value)}
              >
                {values.map(([value, text]) => (
                  <ToggleButton key={value} value={value} sx={{ px: 2 }}>
                    {text}
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              <Typography sx={{ color: 'text.secondary', fontSize: '0.9rem', mt: 0.5 }}>{help}</Typography>
            </Box>
          ))}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setOpen(false)}>Done</Button>
        </DialogActions>
      </Dialog>
    </>
  )
}
