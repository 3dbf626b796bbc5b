/** "35 %" of a share of one. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`
