/** The tables, in the order of their list. */
export const TOOLS = [
  { id: 'saturation', label: 'Saturation' },
  { id: 'compare', label: 'Compare refrigerants' },
  { id: 'superheat', label: 'Target superheat' },
  { id: 'line-set', label: 'Line-set adder' },
  { id: 'water', label: 'Water and vacuum' },
  { id: 'nitrogen', label: 'Nitrogen pressure' },
] as const
export type ToolId = (typeof TOOLS)[number]['id']
export const isTool = (word: string): word is ToolId => TOOLS.some(({ id }) => id === word)
