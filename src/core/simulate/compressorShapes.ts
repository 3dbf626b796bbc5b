import type { COMPRESSOR_TYPES } from '../record/equipment/unit'
import type { Compressor } from './hardware'

export type CompressorShape = (typeof COMPRESSOR_TYPES)[number]

type ShapeRow = Pick<
  Compressor,
  'clearance' | 'exponent' | 'peakEfficiency' | 'peakRatio' | 'efficiencyFall'
> & { readonly leakShare: number }

/**
 * [memory] ordinary values of each kind: dead volume, peak of the overall isentropic efficiency and its fall to both
 * sides, and gas that leaks back at the rating point as a share of what is swept.
 */
export const SHAPES: Readonly<Record<CompressorShape, ShapeRow>> = {
  scroll: {
    clearance: 0.01,
    exponent: 1.12,
    peakEfficiency: 0.7,
    peakRatio: 2.9,
    efficiencyFall: 0.22,
    leakShare: 0.04,
  },
  reciprocating: {
    clearance: 0.045,
    exponent: 1.12,
    peakEfficiency: 0.66,
    peakRatio: 3.4,
    efficiencyFall: 0.2,
    leakShare: 0.025,
  },
  rotary: {
    clearance: 0.02,
    exponent: 1.12,
    peakEfficiency: 0.66,
    peakRatio: 3,
    efficiencyFall: 0.22,
    leakShare: 0.04,
  },
  'semi-hermetic': {
    clearance: 0.04,
    exponent: 1.12,
    peakEfficiency: 0.68,
    peakRatio: 3.8,
    efficiencyFall: 0.16,
    leakShare: 0.02,
  },
}
