'use client'
import Box from '@mui/material/Box'
import { memo, useState } from 'react'
import type { Display } from '@/core/base/units/show'
import { useElementSize } from '../useElementSize'
import { Axis, AXIS, Ramp } from './Axis'
import { Caption, captionHeight, Explained } from './Caption'
import { scaleFor, spreadLabels } from '@/core/drawing/ladderLayout'
import { kelvinsOf, placeSpans } from '@/core/drawing/ladderPlaces'
import type { LadderModel } from '@/core/drawing/ladderModel'
import { RungMark } from './RungMark'
import { spanTexts } from '@/core/drawing/spanText'
import { SpanMark } from './SpanMark'

type Props = {
  model: LadderModel
  display: Display
  title: string
  /** temperatures of another ladder that stands beside this one on the same scale, K */
  alongside?: readonly number[] | undefined
  /** spans for which room is kept below, so that ladders beside each other are equally high */
  spansBeside?: number | undefined
  /** how much larger than usual everything is drawn */
  zoom?: number | undefined
}

const LABELS = 150
const LABELS_NARROW = 128
const LABEL_GAP = 31
const MARGIN = 14
const NARROW = 480
/** Least width in which a span and its text are legible. */
const LEAST_LANE = 70

function Empty() {
  return (
    <Box
      sx={{
        height: '100%',
        display: 'grid',
        placeItems: 'center',
        color: 'text.secondary',
        textAlign: 'center',
        px: 4,
      }}
    >
      <p>
        The ladder fills as you read: take suction pressure first.
        <br />
        The gaps between its rungs are the diagnosis.
      </p>
    </Box>
  )
}

type DrawingProps = Props & { width: number; height: number }

function Drawing({ model, display, title, alongside = [], spansBeside = 0, zoom = 1, ...box }: DrawingProps) {
  const [width, outer] = [box.width / zoom, box.height / zoom]
  const [active, setActive] = useState<string>()
  const { rungs, spans } = model
  const narrow = width < NARROW
  const labelX = width - (narrow ? LABELS_NARROW : LABELS)
  const room = labelX - 34 - AXIS - 14
  const most = Math.max(Math.floor(room / LEAST_LANE), 0)
  const kelvins = [...kelvinsOf(model), ...alongside]
  const fits = (height: number) =>
    placeSpans(spans, scaleFor(kelvins, height)).every(({ lane }) => lane < most)
  const full = outer - 2 * MARGIN - 8
  const spilled = Math.max(spans.length, spansBeside) - most
  const withoutCaption = spansBeside === 0 && fits(full)
  const height = Math.max(withoutCaption ? full : full - captionHeight(spilled, width), 200)
  const scale = scaleFor(kelvins, height)
  const placed = placeSpans(spans, scale)
  const drawn = placed.filter(({ lane }) => lane < most)
  const laneWidth = room / Math.max(...drawn.map(({ lane }) => lane + 1), 1)
  const labels = spreadLabels(
    rungs.map((rung) => scale.y(rung.kelvin)),
    LABEL_GAP,
    height,
  )
  return (
    <>
      <svg
        width={width * zoom}
        height={(height + 2 * MARGIN + 8) * zoom}
        viewBox={`0 0 ${width} ${height + 2 * MARGIN + 8}`}
        role="group"
        aria-label={title}
        style={{ display: 'block' }}
      >
        <defs>
          <Ramp scale={scale} />
        </defs>
        <g transform={`translate(0 ${MARGIN + 6})`}>
          <Axis scale={scale} display={display} />
          {rungs.map((rung, i) => (
            <RungMark
              key={rung.id}
              {...{ rung, scale, labelX, width, display, narrow }}
              labelY={labels[i] ?? 0}
            />
          ))}
          {drawn.map(({ span, middle, lane }) => (
            <SpanMark
              key={span.id}
              {...{ span, scale, middle }}
              x={AXIS + 20 + lane * laneWidth}
              texts={spanTexts(span, display)}
              active={active === span.id}
              onActive={(on) => setActive(on ? span.id : undefined)}
              narrow={laneWidth < 96}
            />
          ))}
        </g>
      </svg>
      <Caption
        spans={placed.filter(({ lane }) => lane >= most).map(({ span }) => span)}
        display={display}
        onActive={setActive}
      />
      <Explained span={spans.find(({ id }) => id === active)} display={display} />
    </>
  )
}

/** One vertical temperature scale; every temperature a rung, every gap a span with its target band. */
export const Ladder = memo(function Ladder(props: Props) {
  const [box, { width, height }] = useElementSize<HTMLDivElement>()
  const empty = props.model.rungs.length === 0
  return (
    <Box ref={box} sx={{ width: '100%', height: '100%', minHeight: 320, position: 'relative' }}>
      {empty ? <Empty /> : width > 0 && <Drawing {...props} width={width} height={height} />}
    </Box>
  )
})
