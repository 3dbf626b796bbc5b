'use client'
import dynamic from 'next/dynamic'
import { type ComponentType, useState } from 'react'
import { Coming } from '../shared/Coming'

/** A view that comes behind the first paint. */
export type Fetched<P> = {
  readonly View: ComponentType<P>
  /** fetches it before it is wanted; rejects when there is no network, and may be called again */
  readonly fetch: () => Promise<void>
}

const Waiting = () => <Coming label="Loading" inside />

/**
 * A view that is fetched when it is first shown, with a sign of its own meanwhile, so that what stands around it stays. Once it
 * is there, it is drawn in the same frame.
 */
export function fetched<P extends object>(load: () => Promise<ComponentType<P>>): Fetched<P> {
  let ready: ComponentType<P> | undefined
  const read = async (): Promise<ComponentType<P>> => (ready ??= await load())
  const Later = dynamic<P>(read, { loading: Waiting })
  function View(props: P) {
    // what was drawn first stays: another component in its place would begin anew
    const [Drawn] = useState<ComponentType<P>>(() => ready ?? Later)
    return <Drawn {...props} />
  }
  return { View, fetch: async () => void (await read()) }
}
