'use client'
import { unitText } from '@/core/base/units/system'
import { useUnits } from '../units'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { type ChangeEvent, type KeyboardEvent, type ReactNode, type SyntheticEvent, useState } from 'react'
import type { Unit } from '@/core/base/units/units'
import { INK } from '../theme/tokens'
import { takesSign } from './entry'

type Props = {
  label: string
  text: string
  unit: Unit
  /** units in daily use, and the rest behind one key */
  units: { readonly usual: readonly Unit[]; readonly more: readonly Unit[] }
  message: string | undefined
  /** a stored value stands there as it was: typing replaces it, a tap into it or an arrow edits it */
  fresh: boolean
  onText: (text: string) => void
  /** a key of the drawn pad */
  onKey: (key: string) => void
  onEdit: () => void
  /** forgets what is typed: the tap keeps what it held */
  onLeave: () => void
  onUnit: (unit: Unit) => void
  onNext: () => void
  /** the thumb that presses Next; it stands on this side */
  hand?: 'right' | 'left'
  /** what the number means, or what must be known for that */
  meaning?: ReactNode
}

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '±', '0', '.'] as const
const NAMES: Readonly<Record<string, string>> = { '±': 'Change sign', '.': 'Decimal point' }

/** What is being typed, the largest thing on the pad. */
const MOVES = /^(Arrow.*|Home|End)$/

/** Drawn at each key: its rules are made once. */
const Field = styled('input')(({ theme }) => ({
  font: 'inherit',
  fontSize: '2.3rem',
  fontWeight: 700,
  lineHeight: 1.15,
  textAlign: 'right',
  width: '100%',
  padding: '0 10px',
  color: INK.ink,
  backgroundColor: INK.paper,
  border: `1px solid ${INK.hairline}`,
  borderRadius: 4,
  '&[data-fresh=true]': { backgroundColor: INK.copperWash },
  '&[aria-invalid=true]': { borderColor: theme.palette.error.main },
  '&:focus-visible': { outline: `2px solid ${INK.copper}`, outlineOffset: 1 },
}))

function Display({ label, text, unit, message, fresh, onText, onEdit, onLeave, onNext }: Props) {
  const { say } = useUnits()
  // what is put over a selection is the whole of it, whatever stood there before
  const overSelection = ({ currentTarget }: SyntheticEvent<HTMLInputElement>) => {
    if (currentTarget.selectionStart !== currentTarget.selectionEnd) onEdit()
  }
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between', gap: 1 }}>
        <Typography variant="h3" component="label" htmlFor="pad-display">
          {say(label)}
        </Typography>
        <Typography component="span" sx={{ color: 'text.secondary' }}>
          {fresh && (
            <span id="pad-fresh" style={{ marginRight: 12, fontSize: '0.85rem' }}>
              typing replaces it
            </span>
          )}
          {unitText(unit)}
        </Typography>
      </Box>
      <Field
        id="pad-display"
        data-fresh={fresh}
        inputMode="none"
        autoComplete="off"
        value={text}
        aria-describedby={fresh ? 'pad-fresh pad-message' : 'pad-message'}
        aria-invalid={message !== undefined}
        placeholder="–"
        onChange={(event: ChangeEvent<HTMLInputElement>) => onText(event.target.value.trimStart())}
        onPointerDown={onEdit}
        onBeforeInput={overSelection}
        onPaste={overSelection}
        onKeyDown={(event: KeyboardEvent) => {
          if (MOVES.test(event.key)) onEdit()
          if (event.key !== 'Enter') return
          // Next may close the pad and give focus back: the key must not press what then has it.
          event.preventDefault()
          onNext()
        }}
      />
      <Typography
        id="pad-message"
        role="status"
        sx={{ color: 'error.main', fontSize: '0.9rem', display: message ? 'block' : 'none' }}
      >
        {message}
      </Typography>
      {message !== undefined && (
        <Button color="inherit" onClick={onLeave} sx={{ justifySelf: 'start' }}>
          Leave it as it was
        </Button>
      )}
    </>
  )
}

const CHIP = { px: 0.9, flexGrow: 1, fontSize: '0.9rem' } as const

function UnitChips({ unit, units, onUnit }: Pick<Props, 'unit' | 'units' | 'onUnit'>) {
  const [all, setAll] = useState(false)
  const showAll = all || units.more.includes(unit)
  const shown = showAll ? [...units.usual, ...units.more] : units.usual
  return (
    <ToggleButtonGroup
      exclusive
      value={unit}
      onChange={(_event, value: Unit | 'more' | null) => {
        if (value === 'more') setAll(true)
        else if (value) onUnit(value)
      }}
      aria-label="Unit"
      sx={{ flexWrap: 'wrap' }}
    >
      {shown.map((each) => (
        <ToggleButton key={each} value={each} sx={CHIP}>
          {unitText(each)}
        </ToggleButton>
      ))}
      {!showAll && units.more.length > 0 && (
        <ToggleButton value="more" aria-label="More units" sx={CHIP}>
          …
        </ToggleButton>
      )}
    </ToggleButtonGroup>
  )
}

function Keys({ unit, onKey, onNext, hand = 'right' }: Pick<Props, 'unit' | 'onKey' | 'onNext' | 'hand'>) {
  const plain = { borderColor: 'divider', minWidth: 0 } as const
  // a key that was pressed by mouse has the focus: Enter goes on all the same, the space bar presses a key
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    onNext()
  }
  return (
    <Box
      onKeyDown={onKeyDown}
      sx={{ display: 'grid', gridTemplateColumns: hand === 'right' ? '3fr 1fr' : '1fr 3fr', gap: 0.75 }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(3, 1fr)',
          gap: 0.75,
          order: hand === 'right' ? 0 : 1,
        }}
      >
        {KEYS.map((key) => (
          <Button
            key={key}
            variant="outlined"
            color="inherit"
            aria-label={NAMES[key] ?? key}
            disabled={key === '±' && !takesSign(unit)}
            onClick={() => onKey(key)}
            sx={{ ...plain, fontSize: '1.4rem' }}
          >
            {key}
          </Button>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateRows: '1fr 2fr', gap: 0.75 }}>
        <Button
          variant="outlined"
          color="inherit"
          aria-label="Delete last digit"
          onClick={() => onKey('⌫')}
          sx={{ ...plain, fontSize: '1.3rem' }}
        >
          ⌫
        </Button>
        <Button variant="contained" onClick={onNext} sx={{ fontSize: '1.05rem', minWidth: 0 }}>
          Next
        </Button>
      </Box>
    </Box>
  )
}

/** The numeric pad: knows its quantity's units, a key tall enough for a glove. */
export function NumericPad(props: Props) {
  return (
    <Box sx={{ p: 1.25, display: 'grid', gap: 1 }}>
      <Display {...props} />
      {props.meaning}
      <UnitChips {...props} />
      <Keys {...props} />
    </Box>
  )
}
