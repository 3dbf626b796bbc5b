import type { JobSummary } from '../record/job/summary'
import type { Metering, UnitKind } from '../record/equipment/unit'

export const KIND_LABELS: Readonly<Record<UnitKind, string>> = {
  'split-ac': 'Split air conditioner',
  'package-ac': 'Package air conditioner',
  'split-heat-pump': 'Split heat pump',
  'package-heat-pump': 'Package heat pump',
  'water-source-heat-pump': 'Water-source heat pump',
  'pool-heat-pump': 'Pool heat pump',
  'walk-in-cooler': 'Walk-in cooler',
  'walk-in-freezer': 'Walk-in freezer',
  'reach-in': 'Reach-in',
  other: 'Other',
}

export const METERING_LABELS: Readonly<Record<Metering, string>> = {
  txv: 'Expansion valve',
  eev: 'Electronic expansion valve',
  'fixed-orifice': 'Fixed orifice',
  capillary: 'Capillary',
}

/** The job's name; the unit's kind where none was given. */
export const titleOf = ({ title, kind }: Pick<JobSummary, 'title' | 'kind'>): string =>
  title?.trim() || `${kind ? KIND_LABELS[kind] : 'Unit'}, no name yet`

/** "R-410A, expansion valve, 3 tons, 1750 m" */
export function unitLine({ refrigerant, metering, tons, elevation }: JobSummary): string {
  return [
    refrigerant ?? 'refrigerant not known',
    metering && METERING_LABELS[metering].toLowerCase(),
    tons === undefined ? undefined : `${tons} ${tons === 1 ? 'ton' : 'tons'}`,
    elevation ? `${elevation.value} ${elevation.unit}` : 'sea level',
  ]
    .filter(Boolean)
    .join(' · ')
}
