import { slugOf } from '../../base/units/slug'

/** What can be had on paper. */
export const PAPERS = ['owner', 'technical', 'tag'] as const
export type PaperName = (typeof PAPERS)[number]
export const PAPER_TITLES: Readonly<Record<PaperName, string>> = {
  owner: 'Owner’s report',
  technical: 'Technical report',
  tag: 'Panel tag',
}

/** "spectrograph-room-split-owner.pdf" */
export const paperFile = (title: string, paper: PaperName): string =>
  `${slugOf(title, 60) || 'job'}-${paper}.pdf`
