import type { MatchId } from './match'

/** A part of the repair: how it is matched, what comes with it, what is done with it. */
type PartRow = {
  readonly label: string
  /** what it is called once it is in, where the label says what it had to match */
  readonly fitted?: string
  readonly match: readonly MatchId[]
  /** what it drags along */
  readonly drags?: readonly string[]
  /** only where the power has one phase */
  readonly singlePhase?: true
  /** bought to order: days until it is in hand [practice] */
  readonly days?: number
}

const VALVE_MATCH: readonly MatchId[] = ['refrigerant', 'capacity', 'chargeType', 'connections', 'equaliser']
const VALVE_DRAGS = ['bulb-strap', 'bulb-insulation', 'gaskets'] as const
const LINE_VALVE: readonly MatchId[] = ['setting', 'connections', 'refrigerant']
const CHEAP = { match: [] } as const

/** One row a part. [practice] */
const PARTS = {
  'expansion-valve': {
    label: 'expansion valve',
    match: VALVE_MATCH,
    drags: VALVE_DRAGS,
    days: 1,
  },
  'electronic-valve': {
    label: 'electronic expansion valve or its motor, driver and sensors by what fails',
    match: ['refrigerant', 'capacity', 'connections', 'coilVolts'],
    drags: ['gaskets'],
    days: 3,
  },
  distributor: {
    label: 'distributor with feeder tubes of equal length',
    fitted: 'distributor with feeder tubes',
    match: ['tubes', 'lineSize', 'capacity'],
    drags: ['expansion-valve'],
    days: 3,
  },
  orifices: {
    label: 'orifices of the plate size, seals',
    fitted: 'orifices and seals',
    match: ['orifice'],
    drags: ['gaskets'],
    days: 1,
  },
  capillary: {
    label: 'capillary of the same bore and length',
    fitted: 'capillary',
    match: ['bore', 'length'],
    drags: ['capillary-cutter'],
  },
  compressor: {
    label: 'compressor',
    match: ['capacity', 'volts', 'phase', 'hertz', 'refrigerant', 'oil', 'connections', 'amps'],
    days: 2,
  },
  'scroll-kit': {
    label: 'kit for piston to scroll: piping, feet, wire ends',
    match: ['connections'],
    drags: ['start-gear'],
    days: 2,
  },
  'condensing-unit': {
    label: 'condensing unit',
    match: ['capacity', 'refrigerant', 'volts', 'phase', 'hertz', 'connections', 'amps'],
    drags: ['contactor'],
    days: 5,
  },
  'reversing-valve': {
    label: 'reversing valve of the same tons and pattern',
    fitted: 'reversing valve',
    match: ['capacity', 'pattern', 'connections', 'refrigerant'],
    drags: ['reversing-valve-coil'],
    days: 2,
  },
  'reversing-valve-coil': {
    label: 'coil of the reversing valve',
    match: ['coilVolts', 'shape'],
    days: 1,
  },
  solenoid: {
    label: 'liquid solenoid valve with coil, or its kit',
    match: ['connections', 'coilVolts', 'capacity'],
    days: 1,
  },
  'head-pressure-valve': {
    label: 'head pressure control valve of the same setting',
    fitted: 'head pressure control valve',
    match: LINE_VALVE,
    days: 2,
  },
  'service-valve': {
    label: 'service valve of the same size',
    fitted: 'service valve',
    match: ['connections', 'ports'],
    days: 1,
  },
  'check-valve': {
    label: 'check valve, or the metering device that holds it',
    match: ['connections'],
    days: 1,
  },
  'fusible-plug': { label: 'fusible plug', match: ['opensAt', 'thread'], days: 1 },
  'line-piece': { label: 'line piece and couplings', match: ['lineSize'] },
  'equaliser-tube': { label: 'equaliser tube and nuts', match: ['lineSize'] },
  'leak-parts': { label: 'parts for the leak, when found', match: ['lineSize'] },
  'low-pressure-switch': {
    label: 'low-pressure switch',
    match: ['setting', 'connections'],
  },
  'terminal-kit': {
    label: 'plug, lead ends and terminal repair parts',
    match: ['shape'],
    drags: ['terminal-cover'],
    days: 1,
  },
  'fan-motor': {
    label: 'fan motor, blade and capacitor by the plate',
    fitted: 'fan motor',
    match: ['motor', 'volts', 'phase'],
    days: 1,
  },
  'crankcase-heater': {
    label: 'crankcase heater',
    match: ['watts', 'volts', 'shape'],
    days: 1,
  },
  contactor: {
    label: 'contactor',
    match: ['poles', 'amps', 'coilVolts'],
  },
  'run-capacitor': {
    label: 'run capacitor',
    match: ['microfarad', 'capacitorVolts'],
    singlePhase: true,
  },
  'start-gear': {
    label: 'start gear by the plate',
    fitted: 'start gear',
    match: ['microfarad', 'capacitorVolts'],
  },
  control: {
    label: 'switch, thermostat or board by what is open',
    match: ['coilVolts', 'setting'],
  },
  'defrost-control': {
    label: 'defrost control, termination sensor or heater by what fails',
    match: ['coilVolts', 'watts'],
    days: 1,
  },
  thermostat: { label: 'thermostat', match: ['coilVolts', 'setting'] },
  transformer: { label: 'control transformer', match: ['coilVolts', 'volts', 'amps'] },
  'time-delay': { label: 'time delay', match: ['coilVolts'] },
  'control-wire': { label: 'control wire and its joints', match: ['wireGauge'] },
  'start-relay': {
    label: 'current relay or PTC by the label of the new compressor',
    fitted: 'current relay or PTC',
    match: ['amps', 'shape'],
    singlePhase: true,
  },
  overload: { label: 'overload by the label of the new compressor', fitted: 'overload', match: ['amps'] },
  'start-capacitor': {
    label: 'start capacitor, if the old one had one',
    fitted: 'start capacitor',
    match: ['microfarad', 'capacitorVolts'],
    singlePhase: true,
  },
  'hard-start-kit': {
    label: 'hard-start kit, where the supply is weak or the sheet asks for one',
    fitted: 'hard-start kit',
    match: ['volts'],
    singlePhase: true,
  },
  'phase-monitor': { label: 'phase monitor', match: ['volts', 'coilVolts'], days: 1 },
  'process-stub': { label: 'process stub, pinch-off tool', fitted: 'process stub', ...CHEAP },
  'body-gaskets': {
    label: 'gaskets of valves, head and oil pump; bolts by the sheet',
    fitted: 'gaskets of valves, head and oil pump',
    ...CHEAP,
  },
  'flush-solvent': { label: 'flush solvent and its injector', ...CHEAP },
  'trace-gas': { label: 'trace refrigerant for the detector', ...CHEAP },
  wire: { label: 'wire, ties, sleeve', match: ['wireGauge'] },
  fuses: { label: 'fuses or wire by what fails', match: ['amps'] },
  filter: { label: 'air filter, belt', match: ['shape'] },
  indicator: {
    label: 'moisture indicator of the line size',
    match: ['connections'],
  },
  'screen-kit': { label: 'screen and gaskets, or the valve', match: ['connections'] },
  'access-cores': { label: 'valve cores, caps and seals', ...CHEAP },
  'core-tool': { label: 'core tool', ...CHEAP },
  gaskets: { label: 'new gaskets and seals of the valve', ...CHEAP },
  feet: { label: 'feet and grommets', ...CHEAP },
  'terminal-cover': { label: 'terminal cover and its gasket', ...CHEAP },
  'bulb-strap': { label: 'bulb strap', ...CHEAP },
  'bulb-insulation': { label: 'insulation for bulb and suction line', ...CHEAP },
  'capillary-cutter': { label: 'capillary cutter', ...CHEAP },
} as const satisfies Record<string, PartRow>

export type PartId = keyof typeof PARTS
export const PART_IDS = Object.keys(PARTS) as PartId[]
export const partRow = (id: PartId): PartRow => PARTS[id]

/**
 * A part with all that it drags along, each once, in order.
 * @param kit what comes with a new compressor of this machine
 */
export function withDragged(ids: readonly PartId[], kit: readonly PartId[] = []): PartId[] {
  const all: PartId[] = []
  const add = (id: PartId) => {
    if (all.includes(id)) return
    all.push(id)
    for (const dragged of partRow(id).drags ?? []) add(dragged as PartId)
    if (id === 'compressor') kit.forEach(add)
  }
  ids.forEach(add)
  return all
}
