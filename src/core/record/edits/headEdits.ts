import type { Arrival } from '../records/head'
import type { DemoClock } from '../records/run'
import type { Plate } from '../equipment/unit'
import { type Edit, edit, put, putAll } from './edit'

type Values<T> = { readonly [K in keyof T]?: T[K] | undefined }

/** Names the job; an empty name takes it away. */
export const setTitle = (title: string): Edit => edit((job) => put(job, 'title', title || undefined))

/** Writes what is known of the call; empty text and undefined take a field away. */
export const setArrival = (values: Values<Arrival>): Edit =>
  edit((job) => {
    job.arrival ??= {}
    for (const [key, value] of Object.entries(values))
      put(job.arrival as Record<string, unknown>, key, value === '' ? undefined : value)
    if (Object.keys(job.arrival).length === 0) delete job.arrival
  })

/** Writes fields of the plate; undefined takes a field away. */
export const setPlate = (values: Values<Plate>): Edit =>
  edit((job) => putAll(job.unit, values as Values<typeof job.unit>))

/** Parts of the plate that hold several fields. */
export type PlatePart =
  'power' | 'compressor' | 'designPressures' | 'lineSet' | 'crankcaseHeater' | 'site' | 'control' | 'oldDryer'

/** Writes fields inside one part of the plate; a part in which nothing is left goes. */
export const setPlatePart = <P extends PlatePart>(part: P, values: Values<NonNullable<Plate[P]>>): Edit =>
  edit((job) => {
    const target = { ...job.unit[part] } as NonNullable<Plate[P]>
    putAll(target, values as Values<NonNullable<Plate[P]>>)
    put(job.unit, part, (Object.keys(target).length > 0 ? target : undefined) as Plate[P])
  })

/** Takes over the plate of another unit; the own name stays, and the own site where there is one. */
export const copyPlate = (other: Plate): Edit =>
  edit((job) => {
    const { name, site } = job.unit
    job.unit = structuredClone(other) as typeof job.unit
    put(job.unit, 'name', name)
    if (site) job.unit.site = site
  })

/** How fast the time of a demo job goes from now on. */
export const setClock = (clock: DemoClock): Edit => edit((job) => void (job.clock = clock))
