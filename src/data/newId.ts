/** A random id of 26 characters; works on plain http too, where crypto.randomUUID does not. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  return `job-${Array.from(bytes, (byte) => byte.toString(36).padStart(2, '0'))
    .join('')
    .slice(0, 22)}`
}
