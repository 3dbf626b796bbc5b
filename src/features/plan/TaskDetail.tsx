'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { attempt } from '@/core/base/errors/orzoError'
import { toSI } from '@/core/base/units/convert'
import { parseTyped } from '@/core/base/units/parseTyped'
import { noteTook, pinTask, setTaskMinutes } from '@/core/record/edits/dayEdits'
import type { PlanTask } from '@/core/repair/plan/planTasks'
import { Assumed } from '@/ui/Assumed'
import { AutosaveField } from '@/ui/AutosaveField'
import { MomentField } from '@/ui/MomentField'
import { durationText } from '@/core/base/units/wall'
import type { StageProps } from '../shared/stageProps'

type Props = Pick<StageProps, 'job' | 'change'> & {
  task: PlanTask
  labelOf: (id: string) => string
}

const FROM = { table: 'usual', earlier: 'moved by earlier jobs here', typed: 'typed for this job' } as const
const POINTS = ['low', 'likely', 'high'] as const

/** A whole number of minutes in a small field; what is no number is told and not stored. */
function MinuteField({
  label,
  value,
  onSave,
}: {
  label: string
  value: number | undefined
  onSave: (minutes: number | undefined) => Promise<boolean> | string
}) {
  return (
    <AutosaveField
      label={label}
      size="small"
      fullWidth={false}
      value={value === undefined ? '' : String(value)}
      slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': label } }}
      sx={{ width: 104 }}
      onSave={(text) => {
        if (text.trim() === '') return onSave(undefined)
        const typed = attempt(() => toSI(parseTyped(text, 'time', 'min')) / 60)
        return typed.ok && typed.value >= 0 ? onSave(Math.round(typed.value)) : 'Whole minutes, like 45.'
      }}
    />
  )
}

function Minutes({ task, change }: Pick<Props, 'task' | 'change'>) {
  const save = (index: number) => (minutes: number | undefined) => {
    if (minutes === undefined) return change(setTaskMinutes(task.id, undefined))
    const next = task.handsOn.map((each, i) => (i === index ? minutes : each)) as [number, number, number]
    const [low, likely, high] = next
    // typing the likely one past an end moves that end along
    return change(setTaskMinutes(task.id, [Math.min(low, likely), likely, Math.max(high, likely)]))
  }
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', py: 0.75 }}>
      {POINTS.map((point, i) => (
        <MinuteField key={point} label={`${point}, min`} value={task.handsOn[i]!} onSave={save(i)} />
      ))}
      <Typography sx={{ color: 'text.secondary', fontSize: '0.95rem' }}>{FROM[task.from]}</Typography>
      {task.from === 'typed' && (
        <Button color="inherit" onClick={() => void change(setTaskMinutes(task.id, undefined))}>
          Usual minutes
        </Button>
      )}
    </Box>
  )
}

/** Gate, what if it fails, what can be done meanwhile, its minutes, when it may begin, what it took. */
export function TaskDetail({ job, change, task, labelOf }: Props) {
  const pin = job.day?.notBefore?.[task.id]
  const took = job.day?.took?.[task.id]
  return (
    <Box sx={{ display: 'grid', gap: 0.5, fontSize: '0.95rem' }}>
      {task.cautions.map((caution) => (
        <Typography key={caution} sx={{ color: 'error.main', fontSize: '0.95rem' }}>
          ⬣ {caution}
        </Typography>
      ))}
      {[...task.points, ...task.notes].map((note) => (
        <Typography key={note} sx={{ fontSize: '0.95rem' }}>
          {note}
        </Typography>
      ))}
      <Assumed basis={task.basis} of={task.label} />
      {task.overWhen && <Typography sx={{ fontSize: '0.95rem' }}>Over when {task.overWhen}.</Typography>}
      {task.fails && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          If not: {task.fails.sentence}
          {task.fails.minutes && ` About ${durationText(task.fails.minutes[1])} more.`}
        </Typography>
      )}
      {task.meanwhile.length > 0 && (
        <Typography sx={{ fontSize: '0.95rem' }}>
          Meanwhile: {task.meanwhile.map((id) => labelOf(id).toLowerCase()).join('; ')}.
        </Typography>
      )}
      <Minutes task={task} change={change} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', py: 0.75 }}>
        <MomentField
          label="Not before"
          type="datetime-local"
          value={pin}
          onSave={(wall) => change(pinTask(task.id, wall))}
        />
        <MinuteField
          label="Took, min"
          value={took?.actual}
          onSave={(actual) =>
            change(
              noteTook(
                task.id,
                actual === undefined ? undefined : { planned: took?.planned ?? task.handsOn[1], actual },
              ),
            )
          }
        />
      </Box>
    </Box>
  )
}
