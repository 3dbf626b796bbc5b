'use client'
import { useEffect, useState } from 'react'
import { readPhoto } from '@/data/photos'
import { database } from '@/data/shared'

/**
 * The address of a photo for this page; undefined while it is read, empty where its bytes are not in this browser. Read once:
 * the bytes of a photo never change.
 */
export function usePhoto(jobId: string, id: string): string | undefined {
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    let made: string | undefined
    let gone = false
    readPhoto(database(), jobId, id).then(
      (photo) => {
        if (gone) return
        made =
          photo &&
          URL.createObjectURL(new Blob([photo.bytes as Uint8Array<ArrayBuffer>], { type: photo.type }))
        setAddress(made ?? '')
      },
      () => setAddress(''),
    )
    return () => {
      gone = true
      if (made) URL.revokeObjectURL(made)
    }
  }, [jobId, id])
  return address
}
