/** How this branch stands among the others of one circuit. */
export const BRANCH_WORDS = ['all-sound', 'only-this-starved', 'all-starved', 'another-starved'] as const
export type BranchWord = (typeof BRANCH_WORDS)[number]
