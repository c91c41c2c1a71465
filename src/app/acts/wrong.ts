/** What went wrong, in the words of a route's answer; none when it says nothing. */
export async function wrongIn(answer: Response): Promise<readonly string[]> {
  const said: { wrong?: readonly string[] } = await answer.json().catch(() => ({}))
  return said.wrong ?? []
}
