'use client'
import { useCallback, useMemo } from 'react'
import { type Edit } from '@/core/record/edits/edit'
import { inRound } from '@/core/record/edits/inRound'
import { beginRound } from '@/core/record/edits/roundEdits'
import type { StoredDocument } from '@/core/record/job/job'
import { viewOf } from '@/core/record/job/rounds'
import { randomWord } from '@/data/newId'
import { withInside } from '@/core/report/inside'
import type { ChangeDocument } from '../shared/record/useJob'
import type { StageProps } from '../shared/stageProps'
import type { Looking } from './useLooking'

type Round = Pick<StageProps, 'job' | 'change' | 'chooseRound' | 'startRound' | 'saidRefrigerant'>

/** The job as the round that is looked at sees it, and how it is changed. */
export function useRound(document: StoredDocument, changeDocument: ChangeDocument, looking: Looking): Round {
  const view = useMemo(() => viewOf(document, looking.round), [document, looking.round])
  const job = useMemo(() => withInside(view), [view])
  const { round } = view
  const change = useCallback((edit: Edit) => changeDocument(inRound(edit, round)), [changeDocument, round])
  const chooseRound = (id: string | undefined) => looking.look({ round: id })
  const startRound: StageProps['startRound'] = async (why, edit) => {
    const id = randomWord()
    const stored = await changeDocument((whole, stamp) => {
      const begun = inRound(beginRound(id, why))(whole, stamp)
      return edit ? inRound(edit, id)(begun, stamp) : begun
    })
    if (stored) looking.look({ round: id })
    return stored
  }
  const setId = looking.setId ?? view.readingSets.at(-1)?.id
  const saidRefrigerant = view.readingSets.find(({ id }) => id === setId)?.refrigerant
  return { job, change, chooseRound, startRound, saidRefrigerant }
}
