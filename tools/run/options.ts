// Words of a command line: --name=value.

/** The value of an option; undefined where it was not given. */
export const option = (name: string): string | undefined =>
  process.argv.find((word) => word.startsWith(`--${name}=`))?.slice(name.length + 3)

/** An option that names one or several of a few things; an unknown name is refused, never replaced. @throws Error */
export function choices<T extends string>(
  name: string,
  known: readonly T[],
  usual: readonly T[],
): readonly T[] {
  const given = option(name)?.split(',')
  if (!given) return usual
  return given.map((word) => {
    const found = known.find((each) => each === word)
    if (found === undefined) throw new Error(`--${name}=${word}: choose from ${known.join(', ')}.`)
    return found
  })
}
