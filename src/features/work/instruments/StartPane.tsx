'use client'
import { useSiteClock } from '@/ui/siteClock'
import { MINUTE } from '@/core/base/units/time'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { showDifference } from '@/core/base/units/show'
import { siteAtmosphere } from '@/core/record/equipment/circumstances'
import { derive } from '@/core/record/readings/derive'
import { takeSnapshot } from '@/core/record/readings/snapshot'
import { addSet } from '@/core/record/edits/setEdits'
import { addTurn, removeTurn } from '@/core/record/edits/workEdits'
import { isSettled, totalTurns, turnsText, WAIT_MINUTES } from '@/core/repair/work/startUp'
import { randomWord } from '@/data/newId'
import { Figure, Figures } from '@/ui/Figure'
import { goInJob } from '../../shared/address/useAddress'
import { afterStart } from './afterStart'
import { FirstStartList } from './FirstStartList'
import type { InstrumentProps } from './instrumentProps'
import { OtherModePart } from './OtherModePart'
import { PullDownPart } from './PullDownPart'
import { TrimLog } from './TrimLog'

const TURNS = [-0.5, -0.25, 0.25, 0.5] as const

/** Whether the last two sets after the start say that it is settled. */
function settledText({ job, unit }: InstrumentProps): string | undefined {
  const started = Date.parse(job.repair?.startedAt ?? '')
  const sets = job.readingSets.filter(({ at }) => at !== undefined && Date.parse(at) >= started).slice(-2)
  const [before, last] = sets.map((each) => ({
    at: Date.parse(each.at!),
    superheat: derive(takeSnapshot(each, unit.refrigerant, siteAtmosphere(unit))).superheat?.value,
  }))
  if (!before || !last) return undefined
  const settled = isSettled(before.superheat, last.superheat, (last.at - before.at) / MINUTE)
  if (settled === undefined) return undefined
  return settled ? '● Settled: the last two sets agree' : '△ Not settled yet: the last two sets differ'
}

function Readings(props: InstrumentProps) {
  const { job, change, chooseSet, display } = props
  const settled = settledText(props)
  const { isAfter, superheat, subcooling } = afterStart(props)
  const measure = async () => {
    const id = randomWord()
    if (!(await change(addSet(id)))) return
    chooseSet(id)
    goInJob(job.id, 'measure')
  }
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      {isAfter && (
        <Figures>
          {superheat !== undefined && (
            <Figure label="Superheat" value={showDifference(superheat, display, 1)} />
          )}
          {subcooling !== undefined && (
            <Figure label="Subcooling" value={showDifference(subcooling, display, 1)} />
          )}
        </Figures>
      )}
      <Button
        variant="outlined"
        sx={{ justifySelf: 'start' }}
        disabled={job.repair?.startedAt === undefined}
        onClick={() => void measure()}
      >
        {isAfter ? 'Another set of readings' : 'Take readings after the start'}
      </Button>
      {settled && <Typography>{settled}</Typography>}
      {job.repair?.startedAt === undefined && <Typography>Readings count from the start on.</Typography>}
    </Box>
  )
}

function Turns({ job, change }: InstrumentProps) {
  const { time } = useSiteClock()
  const turns = job.run?.turns ?? []
  return (
    <Box component="section" aria-label="Valve turns">
      <Typography sx={{ fontWeight: 650 }}>Valve stem: {turnsText(totalTurns(turns))}</Typography>
      <Typography sx={{ fontSize: '0.95rem', color: 'text.secondary' }}>
        In is more superheat. A quarter to half a turn, then {WAIT_MINUTES} min.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, py: 0.5 }}>
        {TURNS.map((each) => (
          <Button key={each} variant="outlined" onClick={() => void change(addTurn(each))}>
            {turnsText(each)}
          </Button>
        ))}
      </Box>
      <Box component="ul" aria-label="Turns so far" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {turns.map(({ id, at, turns: each }) => (
          <Box component="li" key={id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            {time(at)} {turnsText(each)}
            <Button
              color="inherit"
              aria-label={`Remove: ${turnsText(each)} at ${time(at)}`}
              onClick={() => void change(removeTurn(id))}
            >
              Remove
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** The first start: its list, readings after it, valve turns with their total, the trim step by step, the pull-down timed. */
export function StartPane(props: InstrumentProps) {
  const hasStem = props.unit.metering === 'txv'
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {props.job.repair?.startedAt === undefined && <FirstStartList {...props} />}
      <Readings {...props} />
      {hasStem && <Turns {...props} />}
      <TrimLog {...props} />
      <OtherModePart {...props} />
      <PullDownPart {...props} />
    </Box>
  )
}
