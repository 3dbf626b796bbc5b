'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Drawer from '@mui/material/Drawer'
import Tab from '@mui/material/Tab'
import Tabs from '@mui/material/Tabs'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useEffect, useMemo, useState } from 'react'
import { tapsOf } from '@/core/job/taps'
import { READING_KEYS, type ReadingKey, readingRow } from '@/core/readings/vocabulary'
import type { Unit } from '@/core/units/units'
import { Ladder } from '@/ui/ladder/Ladder'
import { ladderModel } from '@/ui/ladder/model'
import { offeredUnits } from '@/ui/pad/entry'
import { NumericPad } from '@/ui/pad/NumericPad'
import { TapList } from '@/ui/pad/TapList'
import { IS_WIDE } from '@/ui/theme/theme'
import type { StageProps } from '../job/stageProps'
import { Observed, seenKeysOf } from './Observed'
import { SetTabs } from './SetTabs'
import { withObservation, withReading, withSet } from './sets'
import { useAskedTap } from './useAskedTap'
import { useReadingEntry } from './useReadingEntry'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)

/** Digits typed anywhere go to the display of the open tap. */
function useDigitsToPad(active: boolean) {
  useEffect(() => {
    if (!active) return
    const focus = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
      if (/^[0-9.-]$/.test(event.key)) document.getElementById('pad-display')?.focus()
    }
    addEventListener('keydown', focus)
    return () => removeEventListener('keydown', focus)
  }, [active])
}

function useTaps({ job, set, diagnosis }: StageProps) {
  const taps = useMemo(() => {
    const usual = tapsOf(job.unit)
    const others = READING_KEYS.filter((key) => set.readings[key] && !usual.includes(key))
    return [...usual, ...others]
  }, [job.unit, set.readings])
  const wanted = useMemo(() => new Set(diagnosis.nextChecks.flatMap((check) => check.taps)), [diagnosis])
  const flagged = useMemo(() => new Set(diagnosis.flags.flatMap((flag) => flag.keys)), [diagnosis])
  return { taps, wanted, flagged }
}

function useEntry({ set, setIndex, change, display, rememberPressure }: StageProps) {
  const entry = useReadingEntry(set.readings, display, (key, reading) => {
    const at = new Date().toISOString()
    const stored = reading && { ...reading, at, source: 'typed' as const }
    change((job) => withSet(job, setIndex, at, (each) => withReading(each, key, stored)))
  })
  const chooseUnit = (unit: Unit) => {
    if (entry.draft && readingRow(entry.draft.key).kind === 'pressure') rememberPressure(unit)
    entry.chooseUnit(unit)
  }
  return { ...entry, chooseUnit }
}

type PadProps = { entry: ReturnType<typeof useEntry>; taps: readonly ReadingKey[] }

function Pad({ entry, taps }: PadProps) {
  const { draft } = entry
  if (!draft) return null
  const next = taps[(taps.indexOf(draft.key) + 1) % taps.length]
  return (
    <NumericPad
      label={readingRow(draft.key).label}
      text={draft.text}
      unit={draft.unit}
      units={offeredUnits(draft.key)}
      message={entry.message}
      onText={entry.type}
      onUnit={entry.chooseUnit}
      onNext={() => next && entry.message === undefined && entry.open(next)}
    />
  )
}

type ListProps = StageProps & { entry: ReturnType<typeof useEntry>; taps: ReturnType<typeof useTaps> }

/** Readings on one tab, what is seen on the other. */
function TapsPanel({
  job,
  set,
  setIndex,
  change,
  entry,
  taps: { taps, wanted, flagged },
  tab,
  onTab,
}: ListProps & TabState) {
  const count = Object.keys(set.observations ?? {}).length
  return (
    <>
      <Tabs
        value={tab}
        onChange={(_event, value: TabName) => onTab(value)}
        aria-label="Readings or what is seen"
      >
        <Tab value="read" label={`Readings ${Object.keys(set.readings).length}`} />
        <Tab value="seen" label={`Seen ${count}`} />
      </Tabs>
      <Box sx={{ overflowY: { md: 'auto' }, minHeight: 0, flex: 1, borderTop: 1, borderColor: 'divider' }}>
        {tab === 'read' ? (
          <TapList
            taps={taps}
            readings={set.readings}
            selected={entry.draft?.key}
            wanted={wanted}
            flagged={flagged}
            onSelect={entry.open}
          />
        ) : (
          <Box sx={{ px: 1.5 }}>
            <Observed
              keys={seenKeysOf(job.unit)}
              observations={set.observations ?? {}}
              onChange={(key, value) =>
                change((current) =>
                  withSet(current, setIndex, new Date().toISOString(), (each) =>
                    withObservation(each, key, value),
                  ),
                )
              }
            />
          </Box>
        )}
      </Box>
    </>
  )
}

type TabName = 'read' | 'seen'
type TabState = { tab: TabName; onTab: (tab: TabName) => void }

/** The ladder beside the list of taps and the pad; what is seen stands on the second tab. */
export function MeasureStage(props: StageProps) {
  const { diagnosis, display } = props
  const isWide = useMediaQuery(IS_WIDE, { noSsr: true })
  const [tab, onTab] = useState<TabName>('read')
  const taps = useTaps(props)
  const entry = useEntry(props)
  const model = useMemo(() => ladderModel(diagnosis), [diagnosis])
  useDigitsToPad(entry.draft !== undefined)
  useAskedTap(props, entry.open)
  const list = <TapsPanel {...props} entry={entry} taps={taps} tab={tab} onTab={onTab} />
  const ladder = <Ladder model={model} display={display} title="Temperature ladder" />
  if (!isWide) {
    return (
      <Box>
        <SetTabs {...props} />
        <Box sx={{ height: 380, px: 1 }}>{ladder}</Box>
        {list}
        <Drawer anchor="bottom" open={entry.draft !== undefined} onClose={entry.close}>
          <ButtonBase
            onClick={entry.close}
            sx={{ font: 'inherit', minHeight: 48, justifyContent: 'flex-end', px: 2, fontWeight: 600 }}
          >
            Done ▾
          </ButtonBase>
          <Pad entry={entry} taps={taps.taps} />
        </Drawer>
      </Box>
    )
  }
  return (
    <Box sx={{ height: '100%', display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 300px' }}>
      <Box sx={{ display: 'grid', gridTemplateRows: 'auto 1fr', minHeight: 0 }}>
        <SetTabs {...props} />
        <Box sx={{ minHeight: 0, px: 1.5, pb: 1 }}>{ladder}</Box>
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexDirection: 'column',
          minHeight: 0,
          borderLeft: 1,
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        {list}
        {tab === 'read' && (
          <Box sx={{ borderTop: 1, borderColor: 'divider' }}>
            <Pad entry={entry} taps={taps.taps} />
          </Box>
        )}
      </Box>
    </Box>
  )
}
