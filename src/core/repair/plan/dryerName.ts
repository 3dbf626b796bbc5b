import type { DryerCore, DryerModel } from '../cleanup/dryerModel'

const CORE_NAMES: Readonly<Record<DryerCore, string>> = {
  sieve: 'sieve core',
  blend: 'sieve and alumina core',
  'high-acid': 'alumina-rich core',
}

/** "block 16 in³, sieve core, one-way"; an own dryer by its label first. */
export const dryerName = ({ own, label, block, core, flow, form }: DryerModel): string =>
  `${own ? `${label}: ` : ''}${form === 'shell' ? 'shell of ' : 'block '}${block} in³, ${CORE_NAMES[core]}, ${flow}`
