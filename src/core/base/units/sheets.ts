/** Sheets of paper that a report is made for. [std: ANSI/ASME Y14.1 A, ISO 216] */
export const SHEETS = ['letter', 'a4'] as const
export type Sheet = (typeof SHEETS)[number]
export const SHEET_NAMES: Readonly<Record<Sheet, string>> = { letter: 'Letter', a4: 'A4' }
