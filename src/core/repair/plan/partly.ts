import type { AccessChoice } from '../charge/access'

/** Only a part is emptied, tested and evacuated: the charge stays in the receiver or round the isolated compressor. */
export const isPartly = ({
  access,
  isEmpty,
}: {
  readonly access: Pick<AccessChoice, 'chosen'>
  readonly isEmpty: boolean
}): boolean => access.chosen !== 'recover-all' && !isEmpty
