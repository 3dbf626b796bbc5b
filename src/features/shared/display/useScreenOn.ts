'use client'
import { useEffect } from 'react'

/**
 * Keeps the screen on while it is wanted and the page is seen. The browser lets go when the page is hidden; it is asked
 * again when the page comes back. A browser that cannot or will not (battery saver) leaves the screen to its own timer.
 */
export function useScreenOn(wanted: boolean) {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | undefined
    let over = false
    const ask = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (given) => {
          if (over) void given.release()
          else lock = given
        },
        () => undefined,
      )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [wanted])
}
