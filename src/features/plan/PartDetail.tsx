'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { editPart, removeOwnPart, setMatch } from '@/core/record/edits/dayEdits'
import type { PlanPart } from '@/core/repair/plan/parts/planParts'
import { partKey } from '@/core/record/records/tick'
import { Assumed } from '@/ui/Assumed'
import { AutosaveField } from '@/ui/AutosaveField'
import { MomentField } from '@/ui/MomentField'
import type { StageProps } from '../shared/stageProps'

type Props = Pick<StageProps, 'job' | 'change'> & { part: PlanPart }

const MARKS = { fits: '● fits', differs: '⬣ differs', unknown: '△ open' } as const

/** Point by point: what is asked for, what a substitute offers, whether it fits. */
function MatchTable({ part, job, change }: Props) {
  if (part.match.length === 0) return null
  const typed = job.day?.parts?.[part.id]
  const field = (side: 'wanted' | 'offered', point: PlanPart['match'][number]) => {
    const name = `${point.label}, ${side === 'wanted' ? 'asked for' : 'substitute'}`
    return (
      <AutosaveField
        size="small"
        fullWidth
        // what was typed stands as it was typed; only what is calculated is shown in the units of this browser
        value={typed?.[side]?.[point.id] ?? point[side] ?? ''}
        placeholder={side === 'wanted' ? 'read it off' : ''}
        slotProps={{ htmlInput: { 'aria-label': name } }}
        onSave={(text) => change(setMatch(part.id, side, point.id, text))}
      />
    )
  }
  return (
    <Box
      role="group"
      aria-label={`Match of: ${part.label}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '92px 1fr 1fr', md: '112px 1fr 1fr' },
        gap: 1,
        alignItems: 'center',
      }}
    >
      <span />
      {['Asked for', 'Box or substitute'].map((head) => (
        <Typography key={head} sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {head}
        </Typography>
      ))}
      {part.match.map((point) => (
        <Box key={point.id} sx={{ display: 'contents' }}>
          <Typography sx={{ fontSize: '0.95rem', fontWeight: 650, lineHeight: 1.25 }}>
            {point.label}
            <Box
              component="span"
              sx={{
                display: 'block',
                fontWeight: 400,
                fontSize: '0.9rem',
                color: point.fit === 'differs' ? 'error.main' : 'text.secondary',
              }}
            >
              {MARKS[point.fit]}
            </Box>
          </Typography>
          {field('wanted', point)}
          {field('offered', point)}
        </Box>
      ))}
    </Box>
  )
}

/** What can be changed of one line: its words, count, when it comes, its match; struck off and put back. */
export function PartDetail({ job, change, part }: Props) {
  const edit = job.day?.parts?.[part.id]
  const own = job.day?.ownParts?.find(({ id }) => part.isOwn && partKey(id) === part.id)
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 0.5 }}>
      <Assumed basis={part.basis} of={part.label} />
      <MatchTable job={job} part={part} change={change} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <AutosaveField
          label="How many, how much"
          size="small"
          fullWidth={false}
          value={edit?.quantity ?? part.quantity ?? ''}
          sx={{ width: 190 }}
          onSave={(quantity) => change(editPart(part.id, { quantity: quantity || undefined }))}
        />
        <MomentField
          label="In hand from"
          type="datetime-local"
          value={part.arrives}
          onSave={(arrives) => change(editPart(part.id, { arrives }))}
        />
        <AutosaveField
          label="Written as"
          size="small"
          fullWidth={false}
          // what was typed is corrected as it was typed
          value={edit?.label ?? part.label}
          sx={{ flex: 1, minWidth: 200 }}
          onSave={(label) => change(editPart(part.id, { label: label || undefined }))}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          color="inherit"
          onClick={() => void change(editPart(part.id, { struck: part.struck ? undefined : true }))}
        >
          {part.struck ? 'Put back on the list' : 'Strike off'}
        </Button>
        {own && (
          <Button color="inherit" onClick={() => void change(removeOwnPart(own.id))}>
            Remove
          </Button>
        )}
      </Box>
    </Box>
  )
}

/** One more line, written by hand. */
export function AddPart({
  onAdd,
  value,
  onType,
}: {
  onAdd: () => void
  value: string
  onType: (text: string) => void
}) {
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault()
        onAdd()
      }}
      sx={{ display: 'flex', gap: 1, py: 1 }}
    >
      <TextField
        size="small"
        fullWidth={false}
        label="Something else to bring"
        value={value}
        onChange={(event) => onType(event.target.value)}
        sx={{ flex: 1 }}
      />
      <Button type="submit" variant="outlined" disabled={value.trim() === ''}>
        Add
      </Button>
    </Box>
  )
}
