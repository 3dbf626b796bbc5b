/**
 * Makes this window the one that writes a log, until it lets go or is closed: two windows never write the same one.
 * @returns how to let go; undefined where another window has it
 */
export function claimLog(id: string): Promise<(() => void) | undefined> {
  // browsers without locks have one window at most that matters: it may write
  if (typeof navigator === 'undefined' || !navigator.locks) return Promise.resolve(() => undefined)
  return new Promise((resolve, reject) => {
    navigator.locks
      .request(`orzo log ${id}`, { ifAvailable: true }, (lock) => {
        if (!lock) return resolve(undefined)
        return new Promise<void>((done) => resolve(() => done()))
      })
      .catch(reject)
  })
}
