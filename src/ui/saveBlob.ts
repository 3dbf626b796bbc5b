/** Hands a file to the browser as a download. */
export function saveBlob(blob: Blob, name: string): void {
  const address = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  setTimeout(() => URL.revokeObjectURL(address), 1000)
}
