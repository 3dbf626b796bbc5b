'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import type { LogPurpose } from '@/core/record/readings/logPurposes'
import { isOpening } from '@/core/repair/logs/told'
import { WORK_PROBES } from '@/core/simulate/workProbes'
import { useUnits } from '@/ui/units'
import { useEnding } from './endings'
import { keepLog } from '../../shared/logs/import/keepLog'
import { LogImportButton } from '../../shared/logs/import/LogImportButton'
import { actionsOf, type LogAction } from './logActions'
import type { logActs } from './logActs'
import type { PurposeProps } from './purposeProps'

type Acts = ReturnType<typeof logActs>
type Props = PurposeProps & {
  readonly acts: Acts
  /** hands do something at the moment that is typed, or now */
  readonly onAct: (action: LogAction) => Promise<boolean>
  readonly onBegin: (isLive: boolean) => void
}

/** The log of another instrument: what begins in it is said in its dialog. */
function LogImport({ job, purpose, step, held }: PurposeProps) {
  const [words, mark] = LOG_KINDS[purpose].begins
  return (
    <LogImportButton
      label="Import CSV"
      disabled={held}
      begins={words}
      onTake={(name, imported, _readings, from) =>
        keepLog(job, name, imported, { purpose, step, marks: [{ seconds: from * 60, what: mark }] })
      }
    />
  )
}

/** Whether the simulated instruments show what a log of a kind takes. */
const isShown = (purpose: LogPurpose): boolean =>
  LOG_KINDS[purpose].channels.every(([key]) => WORK_PROBES.some(({ channel }) => channel === key))

/** A log is begun, by instruments, by hand or from a file. */
function Beginnings(props: Props) {
  const { purpose, work, log, held, onBegin } = props
  const { source, watching } = work
  const { head } = log
  return (
    <>
      {source && isShown(purpose) && (
        <Button
          variant="contained"
          disabled={held || watching.log !== undefined}
          onClick={() => onBegin(true)}
        >
          ● {head ? 'New log' : 'Start the log'}
        </Button>
      )}
      <Button variant="outlined" disabled={held} data-begin="hand" onClick={() => onBegin(false)}>
        {head ? 'New log by hand' : 'Log by hand'}
      </Button>
      <LogImport {...props} />
      {watching.log && (
        <Typography sx={{ alignSelf: 'center' }}>
          “{watching.log.name}” is still being written: end it at its step first.
        </Typography>
      )}
    </>
  )
}

/** What hands do while a log is written. */
function Hands({ purpose, view, acts, onAct }: Props) {
  const { say } = useUnits()
  const labelOf = ({ isStep, label }: LogAction) =>
    isStep && view?.nextStep !== undefined ? say(`To ${Math.round(view.nextStep)} psig`) : label
  return (
    <>
      {actionsOf(purpose).map((action) => (
        <Button
          key={action.label}
          variant="outlined"
          disabled={action.isStep === true && view?.nextStep === undefined}
          onClick={() => void onAct(action)}
        >
          {labelOf(action)}
        </Button>
      ))}
      <Button variant="contained" color={view && isOpening(view) ? 'primary' : 'inherit'} onClick={acts.end}>
        ■ End the log
      </Button>
    </>
  )
}

/** Beginning, end and hands of a log. */
export function LogButtons(props: Props) {
  const { purpose, log, acts } = props
  const { head, isOwn, isOpen, isTyped } = log
  const isWritten = isOwn || (isOpen && isTyped)
  useEnding(props.job.id, props.task, isWritten ? acts.ended : undefined)
  return (
    <Box
      role="group"
      aria-label={`${LOG_KINDS[purpose].name} log`}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}
    >
      {isWritten && <Hands {...props} />}
      {!isWritten && !isOpen && <Beginnings {...props} />}
      {isOpen && !isWritten && props.work.watching.elsewhere === head?.id && (
        <Typography sx={{ alignSelf: 'center' }}>
          Another window writes this log; it is shown there live.
        </Typography>
      )}
      {head && !isOwn && (
        <Button color="error" onClick={acts.remove}>
          Remove this log
        </Button>
      )}
    </Box>
  )
}
