import type { Edited } from './edited'

const key = ({ kind, id }: Edited) => `orvint.left.${kind}.${id}`

/** Notes what was sent while the browser left a page: the next page may be read before it is stored. */
export const leaveBehind = (edited: Edited, value: unknown): void =>
  sessionStorage.setItem(key(edited), JSON.stringify(value))

/** What the last page of this tab sent while it was left, if anything. */
export const leftBehind = (edited: Edited): unknown =>
  JSON.parse(sessionStorage.getItem(key(edited)) ?? 'null') ?? undefined
