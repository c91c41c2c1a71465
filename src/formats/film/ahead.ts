/**
 * Does one thing after another, each begun while the one before it is still being used: a film is decoded by other
 * threads while the last one is read by this one. At most two are under way.
 */
export async function* ahead<T>(
  starts: readonly (() => Promise<T>)[],
): AsyncGenerator<PromiseSettledResult<T>> {
  const begin = async (start: (() => Promise<T>) | undefined) =>
    start && (await Promise.allSettled([start()]))[0]
  let next = begin(starts[0])
  for (let i = 1; i <= starts.length; i++) {
    const now = await next
    next = begin(starts[i])
    if (now) yield now
  }
}
