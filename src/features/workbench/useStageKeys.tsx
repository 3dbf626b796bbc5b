'use client'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { STAGES, type Stage } from '@/core/record/job/stages'
import { goInJob } from '../shared/address/useAddress'
import type { Steps } from '../shared/record/useJob'
import { STAGE_KEYS, STAGE_LABELS, STEP_KEYS } from '../shared/stageNames'

const OTHER_KEYS: readonly (readonly [string, string])[] = [
  ['0-9', 'into the tap that is open'],
  ['Enter', 'next tap'],
  ['Esc', 'closes the tap'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['?', 'this list'],
]

/** Letters go to stages, ? lists the keys; nothing fires while text is typed. */
export function useStageKeys(jobId: string, stage: Stage, { back, forth }: Pick<Steps, 'back' | 'forth'>) {
  const [listed, setListed] = useState(false)
  useHotkeys(Object.values(STAGE_KEYS).join(','), (_event, { keys }) => {
    const next = STAGES.find((each: Stage) => STAGE_KEYS[each] === keys?.[0])
    if (next) goInJob(jobId, next)
  })
  useHotkeys('mod+z', back, { preventDefault: true })
  useHotkeys('mod+shift+z, mod+y', forth, { preventDefault: true })
  useHotkeys('?', () => setListed((on) => !on), { useKey: true, ignoreModifiers: true })
  return (
    <Dialog open={listed} onClose={() => setListed(false)} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 24px', margin: 0 }}>
          {[
            ...STAGES.map((each) => [STAGE_KEYS[each], STAGE_LABELS[each]] as const),
            ...(stage === 'work' ? STEP_KEYS : []),
            ...OTHER_KEYS,
          ].map(([key, what]) => (
            <div key={key} style={{ display: 'contents' }}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd style={{ margin: 0 }}>{what}</dd>
            </div>
          ))}
        </dl>
      </DialogContent>
    </Dialog>
  )
}
