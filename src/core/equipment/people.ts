/** Somebody who works in the shop. */
export interface Person {
  readonly id: string
  readonly name: string
  /** Presses that they can run; every press where none is named. Anybody loads, unloads and helps. */
  readonly presses: readonly string[]
  /** ISO days on which they are not there, both included. */
  readonly away: readonly { readonly first: string; readonly last: string }[]
}

export const canRun = ({ presses }: Person, pressId: string): boolean =>
  presses.length === 0 || presses.includes(pressId)

/** They are there on an ISO day. */
export const isThere = ({ away }: Person, day: string): boolean =>
  !away.some((a) => a.first <= day && day <= a.last)
