'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type Unit, unitsOf } from '@/core/base/units/units'
import { DATE_ORDERS, type DateOrder } from '@/core/record/logs/logTime'
import type { ColumnUse } from '@/core/record/logs/readLog'
import { channelRow, WORK_CHANNEL_KEYS } from '@/core/record/readings/channels'
import { READING_KEYS } from '@/core/record/readings/vocabulary'
import { SearchChoice } from '@/ui/SearchChoice'

type ColumnProps = {
  heading: string
  sample: string
  column: ColumnUse
  /** its dates do not tell whether the day or the month stands first */
  asksOrder: boolean
  onChange: (column: ColumnUse) => void
}

/** What a column can be, in the order of the list. */
const CHANNELS = [...READING_KEYS, ...WORK_CHANNEL_KEYS] as const
const COLUMN_WORDS = ['ignore', 'time', 'date', ...CHANNELS] as const
type ColumnWord = (typeof COLUMN_WORDS)[number]
const COLUMN_LABELS = Object.fromEntries([
  ['ignore', 'not wanted'],
  ['time', 'the time'],
  ['date', 'the day'],
  ...CHANNELS.map((key) => [key, channelRow(key).label]),
]) as Readonly<Record<ColumnWord, string>>

const ORDER_WORDS: Readonly<Record<DateOrder, string>> = { 'day-first': 'day', 'month-first': 'month' }

/** The column with a unit that a person said. */
const sure = ({ use, key }: Extract<ColumnUse, { use: 'reading' }>, unit: Unit): ColumnUse => ({
  use,
  key,
  unit,
})

/** What must be known of a column beside what it is: its unit, or the order of its dates. */
function Detail({ column, asksOrder, onChange }: Pick<ColumnProps, 'column' | 'asksOrder' | 'onChange'>) {
  if (column.use === 'reading')
    return (
      <Box>
        <TextField
          select
          fullWidth
          label={column.guessed ? 'Unit, a guess' : 'Unit'}
          value={column.unit}
          error={column.guessed === true}
          onChange={({ target }) => onChange(sure(column, target.value as Unit))}
        >
          {unitsOf(channelRow(column.key).kind).map((unit) => (
            <MenuItem key={unit} value={unit}>
              {unit}
            </MenuItem>
          ))}
        </TextField>
        {column.guessed && (
          <Button size="small" onClick={() => onChange(sure(column, column.unit))}>
            {column.unit} is right
          </Button>
        )}
      </Box>
    )
  if (column.use === 'ignore' || !asksOrder) return <span />
  return (
    <TextField
      select
      label="First is"
      value={column.order ?? ''}
      onChange={({ target }) => onChange({ ...column, order: target.value as DateOrder })}
    >
      {DATE_ORDERS.map((order) => (
        <MenuItem key={order} value={order}>
          {ORDER_WORDS[order]}
        </MenuItem>
      ))}
    </TextField>
  )
}

/** What one column is. */
export function LogColumn({ heading, sample, column, asksOrder, onChange }: ColumnProps) {
  const chosen = column.use === 'reading' ? column.key : column.use
  const choose = (key: ColumnWord) => {
    if (key === 'time' || key === 'date' || key === 'ignore') return onChange({ use: key })
    const fitting = unitsOf(channelRow(key).kind)
    const unit =
      column.use === 'reading' && fitting.includes(column.unit) ? column.unit : (fitting[0] as Unit)
    onChange({ use: 'reading', key, unit })
  }
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 112px', md: '1fr 240px 112px' },
        gap: 1,
        py: 0.75,
      }}
    >
      <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, alignSelf: 'center' }}>
        <strong>{heading}</strong>{' '}
        <Typography component="span" sx={{ color: 'text.secondary' }}>
          {sample}
        </Typography>
      </Box>
      <SearchChoice
        label={`${heading} is`}
        value={chosen}
        values={COLUMN_WORDS}
        labels={COLUMN_LABELS}
        onChange={choose}
      />
      <Detail column={column} asksOrder={asksOrder} onChange={onChange} />
    </Box>
  )
}
