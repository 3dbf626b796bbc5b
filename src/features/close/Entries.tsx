'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { setClosing } from '@/core/record/edits/listEdits'
import type { Job } from '@/core/record/job/job'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'
import { fieldId } from './fieldId'

type Closing = NonNullable<Job['closing']>
const PROVEN = ['proven', 'not-proven-today'] as const

type Props = Pick<StageProps, 'change'> & {
  closing: Closing | undefined
  /** what the steps that are done and the list of parts say */
  replaced: string
}

type Put = <K extends keyof Closing>(key: K, value: Closing[K] | undefined) => Promise<boolean>

/** Weights: those that a log holds stand here already. */
const Weights = ({ closing, put }: { closing: Closing | undefined; put: Put }) =>
  (['recovered', 'charged'] as const).map((field) => (
    <Box key={field} id={fieldId(field)} tabIndex={-1}>
      <QuantityField
        label={`Refrigerant ${field}`}
        kind="mass"
        defaultUnit="lb"
        value={closing?.[field]}
        onChange={(value) => void put(field, value)}
      />
    </Box>
  ))

/** What no record tells: how it was shown, weights that no log holds, what was not done. */
export function Entries({ closing, change, replaced }: Props) {
  const put: Put = (key, value) => change(setClosing({ [key]: value }))
  const text = (key: 'replaced' | 'notDone' | 'note' | 'settings') => (value: string) =>
    put(key, value || undefined)
  return (
    <Box
      component="section"
      aria-labelledby="record-title"
      sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}
    >
      <Typography id="record-title" variant="h2">
        Written by hand
      </Typography>
      <Box id={fieldId('proven')} tabIndex={-1}>
        <ChoiceChips
          label="Was the repair shown under load?"
          values={PROVEN}
          value={closing?.proven}
          onChange={(value) =>
            put(
              'proven',
              PROVEN.find((each) => each === value),
            )
          }
        />
      </Box>
      {closing?.proven === 'not-proven-today' && (
        <AutosaveField
          id={fieldId('returnOn')}
          type="date"
          label="Return reading on"
          value={closing.returnOn ?? ''}
          onSave={(day) => put('returnOn', day || undefined)}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ width: 300, maxWidth: '100%' }}
        />
      )}
      <Weights closing={closing} put={put} />
      <AutosaveField
        label="Replaced"
        value={closing?.replaced ?? replaced}
        onSave={text('replaced')}
        multiline
        {...(closing?.replaced === undefined && replaced !== ''
          ? { helperText: 'From the steps that are done: type over it if it was otherwise.' }
          : {})}
      />
      <AutosaveField
        label="Settings changed"
        value={closing?.settings ?? ''}
        onSave={text('settings')}
        multiline
        helperText="Switches of a board, controls, setpoints: they stand on the tag."
      />
      <AutosaveField
        label="Not done, and should be"
        value={closing?.notDone ?? ''}
        onSave={text('notDone')}
        multiline
      />
      <AutosaveField label="Note" value={closing?.note ?? ''} onSave={text('note')} multiline />
    </Box>
  )
}
