import type { RawStores } from '@/core/record/archive/rescue'

const asPromise = <T>(request: IDBRequest<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error ?? new Error('the browser gave no reason'))
  })

/**
 * Everything that lies in a database, read without Orzo's own schema and at whatever version it has: the way of rescue where
 * it cannot be opened as usual. Nothing is changed.
 * @returns the rows of each store, and the names of those that cannot be read
 * @throws what the browser says where it opens nothing at all
 */
export async function readRawStores(
  name: string,
): Promise<{ readonly stores: RawStores; readonly lost: readonly string[] }> {
  const opened = await asPromise(indexedDB.open(name))
  const stores: Record<string, unknown[]> = {}
  const lost: string[] = []
  try {
    for (const store of opened.objectStoreNames) {
      try {
        stores[store] = await asPromise(opened.transaction(store).objectStore(store).getAll())
      } catch {
        // the others are worth having
        lost.push(store)
      }
    }
  } finally {
    opened.close()
  }
  return { stores, lost }
}
