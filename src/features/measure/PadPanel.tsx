'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import ToggleButton from '@mui/material/ToggleButton'
import Typography from '@mui/material/Typography'
import { useSiteClock } from '@/ui/siteClock'
import { type ReactNode, useState } from 'react'
import type { Unit } from '@/core/base/units/units'
import type { Reading } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { AutosaveField } from '@/ui/AutosaveField'
import { EntryPad } from '../shared/entry/EntryPad'
import type { PadEntry } from '../shared/entry/padEntry'
import { useDraft } from '../shared/entry/useReadingEntry'

type Props = {
  entry: PadEntry
  /** the tap that is open */
  open: ReadingKey
  order: readonly ReadingKey[]
  reading: Reading | undefined
  onDoubt: (key: ReadingKey, doubtful: boolean) => void
  onNote: (key: ReadingKey, note: string) => Promise<boolean>
  onUnit: (unit: Unit) => void
  /** the thumb that presses Next */
  hand: 'right' | 'left'
  /** what the number means */
  meaning?: ReactNode
  /** something is asked above the keys: what can wait gives way */
  compact?: boolean
}

/** Gives way on a low screen: the keys must stay in sight. */
const LAST_LINE = {
  display: 'flex',
  alignItems: 'center',
  px: 1.25,
  pb: 0.5,
  '@media (max-height: 719px)': { display: 'none' },
} as const

const MARK = { px: 1, fontSize: '0.85rem' } as const

/** What this tap read before, the newest first. */
function History({ reading }: { reading: Reading }) {
  const { time } = useSiteClock()
  return (
    <Box
      component="ol"
      aria-label="Read before"
      tabIndex={0}
      sx={{ listStyle: 'none', m: 0, p: 0, maxHeight: 120, overflowY: 'auto' }}
    >
      {[...(reading.before ?? [])].reverse().map(({ value, unit, at }, i) => (
        <li key={i}>
          {value} {unit}{' '}
          <Typography component="span" sx={{ color: 'text.secondary' }}>
            {at ? time(at) : ''}
          </Typography>
        </li>
      ))}
    </Box>
  )
}

type MarksProps = {
  reading: Reading | undefined
  onDoubt: (doubtful: boolean) => void
  onNote: (note: string) => Promise<boolean>
  onClose: () => void
}

/** Doubt, note and history of the reading that is open, and the way back. */
function Marks({ reading, onDoubt, onNote, onClose }: MarksProps) {
  const [open, setOpen] = useState<'note' | 'history'>()
  const count = reading?.before?.length ?? 0
  return (
    <Box sx={{ px: 1.25, pt: 1, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        {reading && (
          <>
            <ToggleButton
              value="doubtful"
              selected={reading.doubtful === true}
              onChange={() => onDoubt(reading.doubtful !== true)}
              sx={MARK}
            >
              ? Doubtful
            </ToggleButton>
            <ToggleButton
              value="note"
              selected={open === 'note'}
              onChange={() => setOpen(open === 'note' ? undefined : 'note')}
              sx={MARK}
            >
              {reading.note ? '✎ Note ●' : '✎ Note'}
            </ToggleButton>
          </>
        )}
        {count > 0 && (
          <ToggleButton
            value="history"
            selected={open === 'history'}
            onChange={() => setOpen(open === 'history' ? undefined : 'history')}
            sx={MARK}
          >
            Before {count}
          </ToggleButton>
        )}
        <ButtonBase
          onClick={onClose}
          sx={{ font: 'inherit', minHeight: 48, px: 1.5, fontWeight: 600, ml: 'auto' }}
        >
          Done ▾
        </ButtonBase>
      </Box>
      {reading && open === 'note' && (
        <AutosaveField label="Note on this reading" value={reading.note ?? ''} onSave={onNote} />
      )}
      {reading && open === 'history' && <History reading={reading} />}
    </Box>
  )
}

/** Where the stored value came from, and how to take it out. */
function LastLine({ entry, reading }: Pick<Props, 'entry' | 'reading'>) {
  const draft = useDraft(entry)
  const { time } = useSiteClock()
  return (
    <>
      <Typography sx={{ flex: 1, color: 'text.secondary', fontSize: '0.85rem' }}>
        {reading?.source && reading.source !== 'typed'
          ? `${reading.source === 'probe' ? 'from' : 'from the log'} ${reading.instrument ?? ''} ${reading.at ? time(reading.at) : ''}`
          : ''}
      </Typography>
      {draft !== undefined && draft.text !== '' && (
        <Button color="inherit" onClick={() => entry.type('')}>
          Clear this reading
        </Button>
      )}
    </>
  )
}

/** The pad of the open tap: number, unit, next; doubt, note and what it read before. */
export function PadPanel(props: Props) {
  const { entry, open, order, reading, onDoubt, onNote, onUnit, hand, meaning, compact = false } = props
  const next = order[(order.indexOf(open) + 1) % order.length]
  return (
    <Box sx={{ position: 'relative' }}>
      <Marks
        key={open}
        reading={reading}
        onDoubt={(doubtful) => onDoubt(open, doubtful)}
        onNote={(note) => onNote(open, note)}
        onClose={entry.close}
      />
      <EntryPad
        entry={entry}
        hand={hand}
        meaning={meaning}
        onUnit={onUnit}
        onNext={() => next && entry.open(next)}
      />
      <Box sx={{ ...LAST_LINE, ...(compact ? { display: 'none' } : {}) }}>
        <LastLine entry={entry} reading={reading} />
      </Box>
    </Box>
  )
}
