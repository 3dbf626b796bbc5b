import type { Unit } from '@/core/base/units/units'
import type { Reading, Readings } from '@/core/record/readings/schema'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { editing, followed, given, inUnit, openDraft, type PadDraft, pressed, typed } from '@/ui/pad/draft'
import { type EntryUnits, judgeEntry } from '@/ui/pad/entry'

/** Stores a value; `original` is what the tap held when it was opened. */
type Save = (
  key: ReadingKey,
  reading: { value: number; unit: Unit } | undefined,
  original: Reading | undefined,
) => void

/** What the pad stands among: what is stored, in which units, and how it is stored. */
export type PadContext = { readonly readings: Readings; readonly display: EntryUnits; readonly save: Save }

/** Typing pauses longer than this are taken as a finished value, ms; Next, Enter and another tap save at once. */
const PAUSE = 600

const judged = ({ text, key, unit }: PadDraft) => judgeEntry(text, key, unit)

const asTyped = ({ text, unit }: PadDraft) => `${text} ${unit}`
const wasAsked = (draft: PadDraft) => draft.asked === asTyped(draft)

/** Why what stands on the pad cannot be stored, or is asked about; undefined where nothing is in its way. */
export function messageOf(draft: PadDraft | undefined): string | undefined {
  const entry = draft && judged(draft)
  if (entry?.state === 'unlikely' && wasAsked(draft!)) return `${entry.message} Next once more keeps it.`
  return entry?.state === 'bad' ? entry.message : undefined
}

/**
 * What stands on the pad, kept outside of what is drawn: a key draws the display and nothing else. It is saved on Next, on
 * another tap, after a pause, when the page goes away; what was saved is not saved again, so that nothing that came to the
 * tap in the meantime is written over. A value that cannot be stored keeps the pad open until it is put right or left; one that
 * is unlikely is asked about once, and kept with the second Next or when the page goes away.
 */
export function createPadEntry(start: PadContext) {
  let context = start
  let draft: PadDraft | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  const heard = new Set<() => void>()

  const put = (next: PadDraft | undefined) => {
    if (next === draft) return
    draft = next
    clearTimeout(timer)
    if (draft?.touched) timer = setTimeout(pause, PAUSE)
    for (const listener of heard) listener()
  }
  function flush() {
    const now = draft
    if (!now?.touched) return
    const entry = judged(now)
    if (entry.state === 'bad') return
    const reading = entry.state === 'empty' ? undefined : { value: entry.value, unit: entry.unit }
    put(given(now, reading))
    context.save(now.key, reading, now.original)
  }
  /** Asks about what is unlikely. @returns whether it is to be answered first */
  function ask(): boolean {
    if (!draft?.touched || judged(draft).state !== 'unlikely' || wasAsked(draft)) return false
    put({ ...draft, asked: asTyped(draft) })
    return true
  }
  function pause() {
    if (draft && judged(draft).state === 'unlikely') ask()
    else flush()
  }
  const isBad = () => draft !== undefined && judged(draft).state === 'bad'
  const isHeld = () => isBad() || ask()
  const change = (make: (now: PadDraft) => PadDraft) => {
    if (draft) put(make(draft))
  }
  return {
    current: () => draft,
    subscribe: (listener: () => void) => {
      heard.add(listener)
      return () => void heard.delete(listener)
    },
    /** The pad beside what is stored now. */
    follow: (next: PadContext) => {
      context = next
      if (draft) put(followed(draft, next.readings[draft.key]))
    },
    flush,
    open: (key: ReadingKey) => {
      if (isHeld()) return
      flush()
      put(openDraft(key, context.readings[key], context.display))
    },
    close: () => {
      if (isHeld()) return
      flush()
      put(undefined)
    },
    /** Forgets what is typed, without saving it. */
    discard: () => put(undefined),
    type: (text: string) => change((now) => typed(now, text)),
    press: (key: string) => change((now) => pressed(now, key)),
    edit: () => change(editing),
    chooseUnit: (unit: Unit) => change((now) => inUnit(now, unit)),
  }
}
export type PadEntry = ReturnType<typeof createPadEntry>
