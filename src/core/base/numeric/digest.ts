/**
 * A digest of 53 bits: two of different content are the same once in 10^15. It tells a change, it does not keep anybody from
 * forging one.
 */
export class Digest {
  #high = 0xdeadbeef
  #low = 0x41c6ce57

  /** Takes 32 bits. */
  #take(word: number): void {
    this.#high = Math.imul(this.#high ^ word, 2654435761)
    this.#low = Math.imul(this.#low ^ word, 1597334677)
  }

  text(text: string): this {
    for (let i = 0; i < text.length; i += 1) this.#take(text.charCodeAt(i))
    this.#take(text.length)
    return this
  }

  /** Every bit of every number; NaN is one value. */
  numbers(values: Float64Array): this {
    const words = new Uint32Array(Float64Array.from(values).buffer)
    for (const word of words) this.#take(word)
    this.#take(values.length)
    return this
  }

  /** @returns the digest in base 36 */
  end(): string {
    const high =
      Math.imul(this.#high ^ (this.#high >>> 16), 2246822507) ^
      Math.imul(this.#low ^ (this.#low >>> 13), 3266489909)
    const low =
      Math.imul(this.#low ^ (this.#low >>> 16), 2246822507) ^
      Math.imul(this.#high ^ (this.#high >>> 13), 3266489909)
    return (4294967296 * (2097151 & low) + (high >>> 0)).toString(36)
  }
}
