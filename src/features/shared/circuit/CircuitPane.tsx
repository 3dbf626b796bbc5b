'use client'
import ZoomIn from '@mui/icons-material/ZoomIn'
import ZoomOut from '@mui/icons-material/ZoomOut'
import Box from '@mui/material/Box'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import type { Plate, UnitPlate } from '@/core/record/equipment/unit'
import type { ReadingKey } from '@/core/record/readings/vocabulary'
import { showTemperature } from '@/core/base/units/show'
import { Circuit, LEGEND, type Tints } from '@/ui/circuit/Circuit'
import { loopOf } from '@/ui/circuit/loop'
import type { Seen } from '@/ui/circuit/PlaceButtons'
import type { TapView } from '@/ui/circuit/tapView'
import { useElementSize } from '@/ui/useElementSize'
import type { StageProps } from '../stageProps'

type Props = Pick<StageProps, 'set' | 'diagnosis' | 'display'> & {
  unit: UnitPlate
  /** what feeds the coil, as the plate says it */
  metering: Plate['metering']
  taps: readonly TapView[]
  selected: ReadingKey | undefined
  onSelect: (key: ReadingKey) => void
  seen?: Seen | undefined
  /** least height, px; the pane fills its parent where that is taller */
  height?: number
}

const ZOOMS = [1, 1.4, 2] as const

/** Temperatures that tint pipes and coils. */
function tintsOf({ snapshot: { values }, derived }: StageProps['diagnosis']): Tints {
  const condenser = derived.condensingMean?.value
  const evaporator = derived.evaporatingMean?.value
  const suction = values.suctionLineTemp?.value
  const hot = values.dischargeLineTemp?.value ?? values.rvDischargeTemp?.value
  return {
    condenser,
    evaporator,
    discharge: hot,
    hotGas: values.rvHotOutTemp?.value ?? hot,
    liquid: values.liquidLineTemp?.value,
    feed: values.meteringOutletTemp?.value ?? evaporator,
    suction: values.evaporatorOutletTemp?.value ?? values.rvSuctionInTemp?.value ?? suction,
    return: values.rvSuctionOutTemp?.value ?? suction,
  }
}

/** The circuit of this unit, as large as its room; on a phone it can be zoomed and pushed about. */
export function CircuitPane({
  unit,
  metering,
  set,
  diagnosis,
  display,
  taps,
  selected,
  onSelect,
  seen,
  height = 0,
}: Props) {
  const [box, size] = useElementSize<HTMLDivElement>()
  const [zoom, setZoom] = useState(0)
  const loop = useMemo(() => loopOf(unit, set.mode, metering ?? 'unknown'), [unit, set.mode, metering])
  const room = useMemo(
    () => ({ width: Math.floor(size.width), height: Math.max(Math.floor(size.height) - 2, height) }),
    [size, height],
  )
  const tints = useMemo(() => tintsOf(diagnosis), [diagnosis])
  const { condensingMean, evaporatingMean } = diagnosis.derived
  const notes = useMemo(
    () => ({
      condenser: condensingMean && `condensing mean ${showTemperature(condensingMean.value, display)}`,
      evaporator: evaporatingMean && `evaporating mean ${showTemperature(evaporatingMean.value, display)}`,
    }),
    [condensingMean, evaporatingMean, display],
  )
  const step = (by: 1 | -1) => setZoom(Math.min(Math.max(zoom + by, 0), ZOOMS.length - 1))
  return (
    <Box sx={{ position: 'relative', height: '100%', minHeight: height }}>
      <Box ref={box} sx={{ height: '100%', minHeight: height, overflow: 'auto' }}>
        {size.width > 0 && (
          <Box sx={{ zoom: ZOOMS[zoom] }}>
            <Circuit
              {...{ loop, taps, selected, onSelect, tints, notes, seen }}
              size={room}
              title={`Circuit of the unit, ${set.mode}: ${loop.condenser.name} ${loop.condenser.role}, ${loop.evaporator.name} ${loop.evaporator.role}`}
            />
          </Box>
        )}
      </Box>
      <Box sx={{ display: { xs: 'flex', md: 'none' }, alignItems: 'center' }}>
        <Typography sx={{ flex: 1, fontSize: '0.85rem', color: 'text.secondary' }}>
          {LEGEND.join(' ')}
        </Typography>
        <IconButton aria-label="Smaller" disabled={zoom === 0} onClick={() => step(-1)}>
          <ZoomOut />
        </IconButton>
        <IconButton aria-label="Larger" disabled={zoom === ZOOMS.length - 1} onClick={() => step(1)}>
          <ZoomIn />
        </IconButton>
      </Box>
    </Box>
  )
}
