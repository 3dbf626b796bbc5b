'use client'
import Typography from '@mui/material/Typography'
import type { Basis } from '@/core/base/known/known'
import type { DayPlan } from '@/core/repair/day/planDay'
import { Figure, Figures } from '@/ui/Figure'
import { dayAt, daysOn, timeAt } from '@/ui/timeplan/layout'
import { durationText } from '@/core/base/units/wall'

/** The other day that a moment lies on; empty on the first. */
const elsewhere = (day: DayPlan, minute: number) => (daysOn(day, minute) > 0 ? dayAt(day, minute) : '')
/** The same before a time. */
const onDay = (day: DayPlan, minute: number) => (daysOn(day, minute) > 0 ? `${dayAt(day, minute)}, ` : '')

/** How long, or on which other day; and where the bars end, as they show no task that runs over. */
function asDrawn(day: DayPlan, likely: number, finish: number): string {
  const told = elsewhere(day, likely) || durationText(likely)
  return likely === finish ? told : `${told}; bars end ${timeAt(day, finish)}`
}

const searched = ({ isProven, bound, finish }: DayPlan): string =>
  isProven
    ? 'No order is quicker'
    : bound === undefined || finish === undefined
      ? ''
      : `No order saves more than ${durationText(finish - bound)}`

/** When it is done, likely and safe; when it runs; how long it is open; the deadline. */
export function DayAnswer({ day, basis }: { day: DayPlan; basis: Basis }) {
  const { finish, p50, p90, running, open, visits, deadline, problem } = day
  if (problem)
    return (
      <Typography role="alert" sx={{ fontSize: '1.1rem', fontWeight: 650, my: 1 }}>
        ⬣ {problem}
      </Typography>
    )
  if (finish === undefined) return null
  return (
    <>
      <Figures>
        <Figure
          label="Done, likely"
          value={timeAt(day, p50 ?? finish)}
          note={asDrawn(day, p50 ?? finish, finish)}
          basis={basis}
        />
        <Figure
          label="Done, 90 % likely by"
          value={p90 === undefined ? 'not this week' : timeAt(day, p90)}
          note={p90 === undefined ? 'more than one day in ten is longer' : onDay(day, p90).replace(/, $/, '')}
        />
        {running && (
          <Figure
            label="Runs again"
            value={timeAt(day, running.likely)}
            note={
              running.p90 === undefined
                ? elsewhere(day, running.likely) || 'likely'
                : `${onDay(day, running.likely)}90 % likely by ${daysOn(day, running.p90) === daysOn(day, running.likely) ? '' : onDay(day, running.p90)}${timeAt(day, running.p90)}`
            }
          />
        )}
        {open && (
          <Figure
            label="Circuit open"
            value={durationText(open.to - open.from)}
            note={`${onDay(day, open.from)}${timeAt(day, open.from)} to ${timeAt(day, open.to)}`}
          />
        )}
      </Figures>
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>
        {searched(day)}; {visits.length > 1 && `${visits.length} visits, `}
        {durationText(day.handsOn)} hands-on, {durationText(day.unattended)} unattended.
      </Typography>
      {p90 === undefined && (
        <Typography>
          △ On a slow day what runs unattended does not end in working hours: let machines run on over night,
          or keep a day in hand.
        </Typography>
      )}
      {day.words.map((word) => (
        <Typography key={word} data-said>
          {word}
        </Typography>
      ))}
      {deadline && <DeadlineNote deadline={deadline} />}
    </>
  )
}

const OF = { space: 'the space is too hot', goods: 'the goods spoil' } as const

function DeadlineNote({ deadline }: { deadline: NonNullable<DayPlan['deadline']> }) {
  const { of, marginLikely, marginSafe } = deadline
  const isSafe = marginSafe !== undefined && marginSafe >= 0
  const mark = isSafe ? '●' : marginLikely >= 0 ? '△' : '⬣'
  const late = (minutes: number) =>
    minutes >= 0 ? `${durationText(minutes)} before` : `${durationText(-minutes)} after`
  return (
    <Typography sx={{ fontWeight: isSafe ? 400 : 650 }}>
      {mark} It runs again {late(marginLikely)} {OF[of]}, likely
      {marginSafe === undefined ? '' : `; ${late(marginSafe)} on a slow day`}.
      {isSafe ? '' : ' Bring ice, a spare unit or a second person, or move the goods.'}
    </Typography>
  )
}
