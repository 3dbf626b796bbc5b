/** The task of every plan that comes last: with it a repair is over. */
export const LAST_TASK = 'closeUp'
