import { INK } from '../theme/tokens'
import type { Point } from './geometry'
import type { PartAt } from './layoutTypes'
import type { Loop } from './loop'

const bowTie = ({ x, y }: Point) =>
  `${x - 11},${y - 10} ${x + 11},${y - 10} ${x - 11},${y + 10} ${x + 11},${y + 10}`

const body = { fill: INK.raised, stroke: INK.ink, strokeWidth: 1.6 } as const

type MeteringProps = { at: Point; metering: Loop['metering']; evaporatorTop: number }

/** Tubes from the metering device to the coil, as a distributor spreads them. */
function Distributor({ at, evaporatorTop }: Omit<MeteringProps, 'metering'>) {
  const from = at.y + 12
  return (
    <g stroke={INK.ink} strokeWidth={1.2} fill="none" data-part="distributor">
      {[16, 34, 52].map((dx) => (
        <path key={dx} d={`M${at.x} ${from} Q${at.x + dx} ${from + 2} ${at.x + dx} ${evaporatorTop}`} />
      ))}
    </g>
  )
}

/** A header with one orifice for each tube of the coil. */
function OrificeHeader({ at, evaporatorTop }: Omit<MeteringProps, 'metering'>) {
  return (
    <g data-part="orifices">
      <rect x={at.x - 6} y={at.y - 6} width={66} height={11} rx={4} {...body} />
      {[0, 18, 36, 54].map((dx) => (
        <g key={dx} stroke={INK.ink} strokeWidth={1.3}>
          <line x1={at.x + dx} x2={at.x + dx} y1={at.y + 5} y2={evaporatorTop} />
          <path d={`M${at.x + dx - 4} ${at.y + 10} l8 6 m0 -6 l-8 6`} fill="none" />
        </g>
      ))}
    </g>
  )
}

/** The metering device by its kind. */
export function MeteringMark({ at, metering, evaporatorTop }: MeteringProps) {
  if (metering === 'fixed-orifice') return <OrificeHeader at={at} evaporatorTop={evaporatorTop} />
  if (metering === 'unknown')
    return (
      <g data-part="metering-unknown">
        <rect x={at.x - 12} y={at.y - 12} width={24} height={24} {...body} strokeDasharray="4 3" />
        <text x={at.x} y={at.y + 5} fontSize={14} textAnchor="middle" fill={INK.ink}>
          ?
        </text>
      </g>
    )
  if (metering === 'capillary')
    return (
      <g data-part="capillary" fill={INK.paper} stroke={INK.ink} strokeWidth={1.6}>
        {[-9, -3, 3, 9].map((dy) => (
          <ellipse key={dy} cx={at.x} cy={at.y + dy} rx={12} ry={5} />
        ))}
      </g>
    )
  return (
    <g data-part={metering}>
      <Distributor at={at} evaporatorTop={evaporatorTop} />
      <polygon points={bowTie(at)} {...body} />
      {metering === 'txv' ? (
        <path d={`M${at.x + 4} ${at.y} h12 m0 -8 q10 8 0 16 z`} {...body} />
      ) : (
        <>
          <rect x={at.x + 9} y={at.y - 8} width={17} height={16} {...body} />
          <text x={at.x + 17.5} y={at.y + 4.5} fontSize={12} textAnchor="middle" fill={INK.ink}>
            M
          </text>
        </>
      )}
    </g>
  )
}

/** The bulb on the suction line and its capillary back to the valve. */
export function BulbMark({ bulb, valve }: { bulb: Point; valve: Point }) {
  const y = bulb.y - 8
  return (
    <g data-part="bulb">
      <path
        d={`M${bulb.x - 8} ${bulb.y} V${y} H${valve.x + 34} L${valve.x + 20} ${valve.y}`}
        fill="none"
        stroke={INK.quiet}
        strokeWidth={1.2}
        strokeDasharray="2 3"
      />
      <rect x={bulb.x - 12} y={bulb.y - 9} width={8} height={18} rx={4} fill={INK.quiet} />
      <title>Bulb of the expansion valve</title>
    </g>
  )
}

type Drawn = { readonly name: string; readonly mark: (at: Point) => React.ReactNode }

const PARTS: { readonly [K in Exclude<PartAt['part'], 'metering'>]: Drawn } = {
  'head-pressure-valve': {
    name: 'Head pressure',
    mark: (at) => (
      <>
        <polygon points={bowTie(at)} {...body} />
        <circle cx={at.x} cy={at.y} r={5} fill={INK.ink} />
      </>
    ),
  },
  receiver: {
    name: 'Receiver',
    mark: ({ x, y }) => (
      <>
        <rect x={x - 13} y={y - 17} width={26} height={34} rx={11} {...body} />
        <path d={`M${x - 12} ${y + 3} h24`} stroke={INK.ink} strokeWidth={1.2} />
      </>
    ),
  },
  'service-valve': {
    name: 'Service valve',
    mark: ({ x, y }) => (
      <path d={`M${x - 9} ${y} L${x} ${y - 8} L${x + 9} ${y} L${x} ${y + 8} Z M${x} ${y} h-14`} {...body} />
    ),
  },
  dryer: {
    name: 'Dryer',
    mark: ({ x, y }) => (
      <>
        <rect x={x - 11} y={y - 15} width={22} height={30} rx={4} {...body} />
        <path d={`M${x - 11} ${y + 12} L${x + 11} ${y - 12}`} stroke={INK.ink} strokeWidth={1.4} />
      </>
    ),
  },
  'sight-glass': {
    name: 'Sight glass',
    mark: ({ x, y }) => (
      <>
        <circle cx={x} cy={y} r={10} {...body} />
        <circle cx={x} cy={y} r={5} fill="none" stroke={INK.ink} />
      </>
    ),
  },
  solenoid: {
    name: 'Solenoid',
    mark: (at) => (
      <>
        <polygon points={bowTie(at)} {...body} />
        <rect x={at.x + 8} y={at.y - 7} width={14} height={14} {...body} />
      </>
    ),
  },
  'suction-dryer': {
    name: 'Suction dryer, if fitted',
    mark: ({ x, y }) => (
      <rect x={x - 10} y={y - 13} width={20} height={26} rx={4} {...body} strokeDasharray="3 3" />
    ),
  },
  accumulator: {
    name: 'Accumulator',
    mark: ({ x, y }) => (
      <>
        <rect x={x - 12} y={y - 16} width={24} height={32} rx={10} {...body} />
        <path d={`M${x - 5} ${y - 10} v14 q5 8 10 0 v-14`} fill="none" stroke={INK.ink} strokeWidth={1.3} />
      </>
    ),
  },
}

const NAMES: Readonly<Record<Loop['metering'], string>> = {
  unknown: 'Metering device',
  txv: 'Expansion valve',
  eev: 'Electronic valve',
  'fixed-orifice': 'Orifices',
  capillary: 'Capillary',
}

/** A part of the liquid or suction line; its name beside it where there is room. */
export function PartMark({ part, at, side, named }: PartAt & { side: 1 | -1; named: boolean }) {
  if (part === 'metering') return null
  const { name, mark } = PARTS[part]
  return (
    <g data-part={part}>
      {mark(at)}
      <title>{name}</title>
      {named && (
        <text
          x={at.x + side * 26}
          y={at.y + 4}
          textAnchor={side === 1 ? 'start' : 'end'}
          fontSize={11.5}
          fill={INK.quiet}
        >
          {name}
        </text>
      )}
    </g>
  )
}

export const meteringName = ({ metering, heating, reversingValve }: Loop): string =>
  reversingValve ? `${NAMES[metering]}, ${heating ? 'outdoor' : 'indoor'}` : NAMES[metering]
