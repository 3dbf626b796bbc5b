'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { LOG_KINDS } from '@/core/repair/logs/kinds'
import { isOpening } from '@/core/repair/logs/told'
import { keepLog } from '../../shared/logs/import/keepLog'
import { LogImportButton } from '../../shared/logs/import/LogImportButton'
import { actionsOf, type LogAction } from './logActions'
import type { logActs } from './logActs'
import type { PurposeProps } from './purposeProps'

type Acts = ReturnType<typeof logActs>
type Props = PurposeProps & {
  readonly acts: Acts
  /** when it happened, as it was typed; empty is now */
  readonly when: string
  /** what was typed for it is used up */
  readonly onActed: () => void
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

/** A log is begun, by instruments, by hand or from a file. */
function Beginnings(props: Props) {
  const { work, log, held, acts } = props
  const { source, watching } = work
  const { head } = log
  return (
    <>
      {source && (
        <Button
          variant="contained"
          disabled={held || watching.log !== undefined}
          onClick={() => acts.begin(true)}
        >
          ● {head ? 'New log' : 'Start the log'}
        </Button>
      )}
      <Button variant="outlined" disabled={held} onClick={() => acts.begin(false)}>
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
function Hands({ purpose, view, acts, when, onActed }: Props) {
  const act = async (action: LogAction) => {
    if (await acts.act(action, when)) onActed()
  }
  const labelOf = ({ isStep, label }: LogAction) =>
    isStep && view?.nextStep !== undefined ? `To ${Math.round(view.nextStep)} psig` : label
  return (
    <>
      {actionsOf(purpose).map((action) => (
        <Button
          key={action.label}
          variant="outlined"
          disabled={action.isStep === true && view?.nextStep === undefined}
          onClick={() => void act(action)}
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
  return (
    <Box
      role="group"
      aria-label={`${LOG_KINDS[purpose].name} log`}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}
    >
      {isWritten && <Hands {...props} />}
      {!isWritten && !isOpen && <Beginnings {...props} />}
      {isOpen && !isWritten && (
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
