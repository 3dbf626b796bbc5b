import { OPEN_OHMS_LEAST } from '@/core/record/readings/openOhms'
import type { Reading } from '@/core/record/readings/schema'
import { toSI } from '@/core/base/units/convert'
import { unitRow } from '@/core/base/units/units'

/** A reading as short as a drawing needs it; what is more than any winding has is shown as open. */
export function showReading({ value, unit }: Pick<Reading, 'value' | 'unit'>): string {
  const { kind } = unitRow(unit)
  if (kind === 'resistance') {
    const ohms = toSI({ value, unit })
    if (ohms >= OPEN_OHMS_LEAST) return 'open'
    if (unit === 'ohm') return `${value} Ω`
  }
  return `${value} ${unit}`
}
