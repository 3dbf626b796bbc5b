'use client'
import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { addOwnPart } from '@/core/record/edits/dayEdits'
import { dropOldTicks, tick } from '@/core/record/edits/listEdits'
import { isByPosition, leaveKey, partKey } from '@/core/record/records/tick'
import type { PlanPart } from '@/core/repair/plan/parts/planParts'
import type { Plan } from '@/core/repair/plan/plan'
import { wallWords } from '@/ui/timeplan/layout'
import { JobAnchor } from '../shared/address/JobAnchor'
import { leavingList } from '../shared/loadOut'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../shared/stageProps'
import { Approval, ProveFirst } from './Approval'
import { Causes } from './Causes'
import { Checklist } from './Checklist'
import { JobPolicy } from './JobPolicy'
import { Columns, More } from './More'
import { AddPart, PartDetail } from './PartDetail'
import { RepairWays } from './RepairWays'
import { UnitSwap } from './UnitSwap'

type Props = Pick<StageProps, 'job' | 'change'> & { plan: Plan }

/** Ticks of lists that were numbered: told once, then set again by what they mean. */
function OldTicks({ ticks, change }: { ticks: StageProps['job']['ticks'] } & Pick<StageProps, 'change'>) {
  const old = ticks.filter(isByPosition)
  if (old.length === 0) return null
  return (
    <Alert severity="info" onClose={() => void change(dropOldTicks)}>
      {old.length === 1 ? '1 part was' : `${old.length} parts were`} ticked off by its place in an older list,
      and the list may have changed since: look at the parts and tick them again.
    </Alert>
  )
}

function PartNote({ part }: { part: PlanPart }) {
  const { quantity, why, hold, days, arrives, match, struck } = part
  const known = match.flatMap(({ wanted }) => wanted ?? [])
  const differs = match.filter(({ fit }) => fit === 'differs').map(({ label }) => label.toLowerCase())
  const plain = known.length > 0 ? known.join(', ') : why
  if (!plain && !quantity && !hold && !struck && days === undefined && !arrives) return null
  return (
    <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
      {struck && <b>struck off · </b>}
      {quantity && (
        <Box component="b" sx={{ color: 'text.primary' }}>
          {quantity} ·{' '}
        </Box>
      )}
      {plain}
      {arrives
        ? ` · in hand from ${wallWords(arrives)}`
        : days !== undefined && ` · ordered, about ${days} day${days === 1 ? '' : 's'}`}
      {hold && (
        <Box component="span" sx={{ fontWeight: 650, color: 'text.primary' }}>
          {' '}
          △ {hold}
        </Box>
      )}
      {differs.length > 0 && (
        <Box component="span" sx={{ color: 'error.main', fontWeight: 650 }}>
          {' '}
          ⬣ substitute differs: {differs.join(', ')}
        </Box>
      )}
    </Typography>
  )
}

const SWAPPED = [partKey('compressor'), partKey('condensing-unit')]

/** What to bring and what to look at before leaving; what is proven, agreed and chosen before it is bought. */
export function PartsView({ job, change, plan }: Props) {
  const [typed, setTyped] = useState('')
  // on a phone what is read before leaving would lie three screens below the parts
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const ticked = job.ticks.map(({ key }) => key)
  const onTick = (id: string, on: boolean) => void change(tick(id, on))
  const leaving = leavingList(plan).map((label) => ({ id: leaveKey(label), label }))
  const live = plan.parts.filter(({ struck }) => !struck)
  const done = (lines: readonly { id: string }[]) => lines.filter(({ id }) => ticked.includes(id)).length
  const lines = plan.parts.map((part) => ({
    id: part.id,
    // what it is, or how much of it, is a guess: its line says from what
    label: part.basis ? `${part.label} ≈` : part.label,
    note: <PartNote part={part} />,
    isHeld: part.hold !== undefined,
    detail: (
      <>
        <PartDetail job={job} change={change} part={part} />
        {/* on a phone it stands with the part that it concerns: the view stays within three screens */}
        {!isWide && SWAPPED.includes(part.id) && <UnitSwap plan={plan} />}
      </>
    ),
  }))
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <OldTicks ticks={job.ticks} change={change} />
      <Columns
        wider="left"
        left={
          <section aria-labelledby="parts-title">
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Typography id="parts-title" variant="h2" sx={{ flex: 1 }}>
                To bring, {done(live)} of {live.length}
              </Typography>
              <Button component={JobAnchor} jobId={job.id} page="load-out" color="inherit">
                Load-out list
              </Button>
            </Box>
            <Checklist label="Parts" lines={lines} ticked={ticked} onTick={onTick} />
            <AddPart
              value={typed}
              onType={setTyped}
              onAdd={() => {
                void change(addOwnPart(typed.trim()))
                setTyped('')
              }}
            />
          </section>
        }
        right={
          <>
            <ProveFirst job={job} plan={plan} />
            <Approval job={job} change={change} plan={plan} />
            <RepairWays job={job} change={change} plan={plan} />
            <Causes plan={plan} open={isWide} />
            {isWide && <UnitSwap plan={plan} />}
            {leaving.length > 0 && (
              <More
                label={`Before you leave: measure, count, photograph, ${done(leaving)} of ${leaving.length}`}
                open={isWide}
              >
                <Checklist label="Before you leave" lines={leaving} ticked={ticked} onTick={onTick} />
              </More>
            )}
            <JobPolicy job={job} change={change} />
          </>
        }
      />
    </Box>
  )
}
