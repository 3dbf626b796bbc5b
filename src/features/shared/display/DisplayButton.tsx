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
import type { TemperatureUnit } from '@/core/base/units/units'
import { database } from '@/data/shared'
import { type SettingKey, writeChoice } from '@/data/settings'
import { useDisplay } from './useDisplay'
import { useLook } from './DisplayProvider'

type Choice = {
  readonly setting: SettingKey
  readonly label: string
  readonly help: string
  readonly values: readonly (readonly [value: string, label: string])[]
}

export const TEMPERATURE_CHOICES = [
  ['F', 'Fahrenheit'],
  ['C', 'Celsius'],
  ['K', 'Kelvin'],
] as const

const CHOICES: readonly Choice[] = [
  {
    setting: 'temperatureUnit',
    label: 'Temperatures',
    help: 'Of ladder, sentences and tables. A tap keeps the unit in which it was read.',
    values: TEMPERATURE_CHOICES,
  },
  {
    setting: 'theme',
    label: 'Ground',
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
  const { temperature, setTemperature } = useDisplay()
  const now: Partial<Record<SettingKey, string>> = {
    ...look,
    screenOn: look.screenOn ? 'yes' : 'no',
    temperatureUnit: temperature,
  }
  const choose = (setting: SettingKey, value: string) => {
    if (setting === 'temperatureUnit') setTemperature(value as TemperatureUnit)
    else void writeChoice(database(), setting, value)
  }
  return (
    <>
      <IconButton aria-label="Display" color="inherit" onClick={() => setOpen(true)}>
        <TuneOutlined />
      </IconButton>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="display-title">
        <DialogTitle id="display-title">Display</DialogTitle>
        <DialogContent sx={{ display: 'grid', gap: 2 }}>
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
