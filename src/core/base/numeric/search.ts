/** Index of the piece that holds a value in increasing nodes; the outermost piece beyond the ends. */
export function pieceAt(nodes: Float64Array, value: number): number {
  let low = 0
  let high = nodes.length - 2
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if ((nodes[middle] as number) <= value) low = middle
    else high = middle - 1
  }
  return low
}
