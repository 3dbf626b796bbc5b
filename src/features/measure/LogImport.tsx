'use client'
import { captureReadings } from '@/core/record/edits/readingEdits'
import { keepLog } from '../shared/logs/import/keepLog'
import { LogImportButton } from '../shared/logs/import/LogImportButton'
import type { StageProps } from '../shared/stageProps'

/** The log of any instrument: it is kept with the job, and means of a stretch become readings of the set. */
export function LogImport({ stage }: { stage: StageProps }) {
  return (
    <LogImportButton
      onTake={async (name, log, readings) => {
        if (readings.length > 0) void stage.change(captureReadings(stage.setId, readings))
        await keepLog(stage.job, name, log)
      }}
    />
  )
}
