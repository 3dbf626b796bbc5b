'use client'
import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import dynamic from 'next/dynamic'
import { type Period, PERIODS, type Sort, SORTS, type Wanted } from '@/core/record/job/listing'
import { type Stage, STAGES } from '@/core/record/job/stages'
import { STAGE_LABELS } from '../shared/stageNames'

/** Only where there are many places. */
const SearchPlace = dynamic(() => import('./SearchPlace').then((file) => file.SearchPlace), { ssr: false })

const PERIOD_LABELS: Readonly<Record<Period, string>> = {
  0: 'today',
  7: 'in 7 days',
  30: 'in 30 days',
  365: 'in a year',
}
const SORT_LABELS: Readonly<Record<Sort, string>> = {
  changed: 'last changed',
  begun: 'last begun',
  name: 'by name',
}
const ANY = 'any'
/** More places than these are typed into. */
const MOST_PLACES = 10

type PickProps<T extends string> = {
  label: string
  value: T | undefined
  values: readonly T[]
  labelOf: (value: T) => string
  onChange: (value: T | undefined) => void
}

/** One of a few, or any. */
function Pick<T extends string>({ label, value, values, labelOf, onChange }: PickProps<T>) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value ?? ANY}
      onChange={({ target }) => onChange(target.value === ANY ? undefined : (target.value as T))}
    >
      <MenuItem value={ANY}>any</MenuItem>
      {values.map((each) => (
        <MenuItem key={each} value={each}>
          {labelOf(each)}
        </MenuItem>
      ))}
    </TextField>
  )
}

type Props = { wanted: Wanted; places: readonly string[]; onChange: (wanted: Wanted) => void }

/** Words, stage, place and date of the jobs that are looked for, and their order. */
export function FindBar({ wanted, places, onChange }: Props) {
  const put = (part: Partial<Wanted>) => onChange({ ...wanted, ...part })
  return (
    <Box
      role="search"
      aria-label="Jobs"
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: { xs: '1fr 1fr', md: '2fr 1fr 1.3fr 1fr 1fr' },
        '& > :first-of-type': { gridColumn: { xs: '1 / -1', md: 'auto' } },
      }}
    >
      <TextField
        type="search"
        label="Find by words"
        value={wanted.words}
        onChange={({ target }) => put({ words: target.value })}
        autoComplete="off"
      />
      <Pick<Stage>
        label="Stage"
        value={wanted.stage}
        values={STAGES}
        labelOf={(stage) => STAGE_LABELS[stage]}
        onChange={(stage) => put({ stage })}
      />
      {places.length > MOST_PLACES ? (
        <SearchPlace
          value={wanted.place ?? ANY}
          values={[ANY, ...places]}
          onChange={(place) => put({ place: place === ANY ? undefined : place })}
        />
      ) : (
        <Pick
          label="Place"
          value={wanted.place !== undefined && places.includes(wanted.place) ? wanted.place : undefined}
          values={places}
          labelOf={(place) => place}
          onChange={(place) => put({ place })}
        />
      )}
      <Pick
        label="Changed"
        value={wanted.period === undefined ? undefined : String(wanted.period)}
        values={PERIODS.map(String)}
        labelOf={(period) => PERIOD_LABELS[Number(period) as Period]}
        onChange={(period) => put({ period: period === undefined ? undefined : (Number(period) as Period) })}
      />
      <TextField
        select
        label="Order"
        value={wanted.sort}
        onChange={({ target }) => put({ sort: target.value as Sort })}
      >
        {SORTS.map((sort) => (
          <MenuItem key={sort} value={sort}>
            {SORT_LABELS[sort]}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  )
}
