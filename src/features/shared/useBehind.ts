'use client'
import { type ComponentType, useEffect, useState } from 'react'

/** A component that is asked for once the page is painted; undefined until it is there. */
export function useBehind<P>(load: () => Promise<ComponentType<P>>): ComponentType<P> | undefined {
  const [loaded, setLoaded] = useState<{ readonly Part: ComponentType<P> }>()
  useEffect(() => {
    let isGone = false
    void load().then((Part) => {
      if (!isGone) setLoaded({ Part })
    })
    return () => {
      isGone = true
    }
  }, [load])
  return loaded?.Part
}
