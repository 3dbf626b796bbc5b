'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { setClosing } from '@/core/record/edits/listEdits'
import type { Job } from '@/core/record/job/job'
import { AutosaveField } from '@/ui/AutosaveField'
import { ChoiceChips } from '@/ui/ChoiceChips'
import { QuantityField } from '@/ui/QuantityField'
import type { StageProps } from '../shared/stageProps'

type Closing = NonNullable<Job['closing']>
const PROVEN = ['proven', 'not-proven-today'] as const

type Props = Pick<StageProps, 'change'> & {
  closing: Closing | undefined
  /** what the steps that are done and the list of parts say */
  replaced: string
}

/** What was done: shown under load, weights, what was replaced and what was not done. */
export function Record({ closing, change, replaced }: Props) {
  const put = <K extends keyof Closing>(key: K, value: Closing[K] | undefined) =>
    change(setClosing({ [key]: value }))
  const text = (key: 'replaced' | 'notDone' | 'note') => (value: string) => put(key, value || undefined)
  return (
    <Box
      component="section"
      aria-labelledby="record-title"
      sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}
    >
      <Typography id="record-title" variant="h2">
        Record
      </Typography>
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
      <QuantityField
        label="Refrigerant recovered"
        kind="mass"
        defaultUnit="lb"
        value={closing?.recovered}
        onChange={(value) => put('recovered', value)}
      />
      <QuantityField
        label="Refrigerant charged"
        kind="mass"
        defaultUnit="lb"
        value={closing?.charged}
        onChange={(value) => put('charged', value)}
      />
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
        label="Not done, and should be"
        value={closing?.notDone ?? ''}
        onSave={text('notDone')}
        multiline
      />
      <AutosaveField label="Note" value={closing?.note ?? ''} onSave={text('note')} multiline />
    </Box>
  )
}
