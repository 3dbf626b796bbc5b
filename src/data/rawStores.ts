import type { RawStores } from '@/core/record/archive/rescue'

const asPromise = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error ?? new Error('the browser gave no reason'))
  })

/**
 * Everything that lies in a database, read without Orzo's own schema and at whatever version it has: the way of rescue where
 * it cannot be opened as usual. Nothing is changed. A store that cannot be read is left out.
 * @throws what the browser says where it opens nothing at all
 */
export async function readRawStores(name: string): Promise<RawStores> {
  const opened = await asPromise(indexedDB.open(name))
  const stores: Record<string, unknown[]> = {}
  try {
    for (const store of opened.objectStoreNames) {
      try {
        stores[store] = await asPromise(opened.transaction(store).objectStore(store).getAll())
      } catch {
        // what a damaged store holds cannot be had; the others are worth having
      }
    }
  } finally {
    opened.close()
  }
  return stores
}
