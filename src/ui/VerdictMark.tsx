import type { Verdict } from '@/core/diagnosis/evidence/sentence'
import { INK } from './theme/tokens'

/** Status by shape: a steady dot in band, an open triangle pointing where the value lies. */
export function VerdictMark({ verdict, x = 0, y = 0 }: { verdict: Verdict; x?: number; y?: number }) {
  if (verdict === 'in band') return <circle cx={x} cy={y} r={5} fill={INK.ink} />
  const points = verdict === 'above' ? [0, -6, 6, 5, -6, 5] : [0, 6, 6, -5, -6, -5]
  const placed = points.map((value, i) => value + (i % 2 === 0 ? x : y)).join(' ')
  return <polygon points={placed} fill="none" stroke={INK.copper} strokeWidth={2.5} />
}
