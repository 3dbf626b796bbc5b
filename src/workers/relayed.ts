/**
 * The answer of another worker as one's own: its first step as soon as it is there, then the whole.
 * @param ask asks it; its steps are told to what is handed in
 */
export async function* relayed<S, R>(ask: (onStep: (step: S) => void) => Promise<R>): AsyncGenerator<S, R> {
  let tell: (step: S) => void = () => undefined
  const first = new Promise<S>((resolve) => {
    tell = resolve
  })
  const whole = ask(tell)
  const none = whole.then(
    () => undefined,
    () => undefined,
  )
  const early = await Promise.race([first, none])
  if (early !== undefined) yield early
  return await whole
}
