'use client'
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'

/** Minutes to which a drag snaps, and a key moves. */
const SNAP = 5
const FAR = 30
/** Pixels before a press counts as a drag. */
const SLOP = 4

type Drag = { readonly id: string; readonly from: number; readonly x: number; readonly moved: number }

const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -SNAP, ArrowRight: SNAP }

type Options = {
  /** minutes a pixel */
  readonly perPixel: number
  /** a bar was moved by some minutes */
  readonly onMove: (id: string, minutes: number) => void
  readonly onChoose: (id: string) => void
  readonly onFree: (id: string) => void
}

/** Dragging bars along the clock by the pointer, and moving them by keys; a press without a drag chooses. */
export function useDragTime({ perPixel, onMove, onChoose, onFree }: Options) {
  const [drag, setDrag] = useState<Drag>()
  const isDown = useRef(false)
  const minutesOf = ({ moved }: Drag) => Math.round((moved * perPixel) / SNAP) * SNAP
  return {
    /** minutes by which a bar is shown beside its place while it is dragged */
    shiftOf: (id: string) => (drag?.id === id ? minutesOf(drag) : 0),
    handlers: (id: string, from: number) => ({
      onPointerDown: (event: PointerEvent<SVGElement>) => {
        if (event.button !== 0) return
        isDown.current = true
        event.currentTarget.setPointerCapture?.(event.pointerId)
        setDrag({ id, from, x: event.clientX, moved: 0 })
      },
      onPointerMove: (event: PointerEvent<SVGElement>) => {
        if (isDown.current) setDrag((now) => now && { ...now, moved: event.clientX - now.x })
      },
      onPointerUp: () => {
        if (!isDown.current || !drag) return
        isDown.current = false
        setDrag(undefined)
        const minutes = minutesOf(drag)
        if (Math.abs(drag.moved) < SLOP || minutes === 0) onChoose(id)
        else onMove(id, minutes)
      },
      onPointerCancel: () => {
        isDown.current = false
        setDrag(undefined)
      },
      onKeyDown: (event: KeyboardEvent<SVGElement>) => {
        const step = KEYS[event.key]
        if (step !== undefined) {
          event.preventDefault()
          onMove(id, event.shiftKey ? Math.sign(step) * FAR : step)
        } else if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault()
          onChoose(id)
        } else if (event.key === 'Delete' || event.key === 'Backspace') onFree(id)
      },
    }),
  }
}
