/**
 * Property runs: few with a fixed seed in `npm test`, many with a seed of their own in `npm run soak`, so that the pipeline
 * stays short and the long runs look where nobody looked yet.
 */
const isSoak = process.env.SOAK === '1'

/** How often something random is tried. */
export const runs = (short: number, long: number): number => (isSoak ? long : short)

/** The fixed seed; in a soak another one each time, printed so that a failure can be repeated with SOAK_SEED. */
export function seedOf(fixed: number): number {
  if (!isSoak) return fixed
  const given = Number(process.env.SOAK_SEED)
  const seed = Number.isFinite(given) && given > 0 ? given : Math.floor(Math.random() * 1e9)
  process.stderr.write(`soak seed ${seed} (SOAK_SEED=${seed} repeats it)\n`)
  return seed
}
