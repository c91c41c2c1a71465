import type { AnyPart } from '@/core/equipment'
import type { FieldErrors } from '@/core/order'
import type { Edited } from './edited'

/** A value with the version it was read at. */
export interface Versioned<T> {
  readonly value: T
  readonly version: number
}

/** What storing answers. `now` is missing when the thing itself is gone. */
export type Stored<T> =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly now: Versioned<T> | undefined }
  | { readonly ok: false; readonly errors: FieldErrors }
  | { readonly ok: false; readonly message: string }

/** What storing a part of the shop answers. */
export type StoredPart = Stored<AnyPart> & {
  /** Released runs whose plan is another one now; what was released is untouched. */
  readonly altered?: readonly string[]
}

/** Browsers keep requests of up to 64 kB alive. */
const KEEPALIVE = 60_000

/**
 * Not a server action: those belong to the page that is shown, and an edit may end when another one already is, or none;
 * the browser finishes this even while it closes the page.
 */
export function post(kind: Edited['kind'], content: unknown): Promise<Response> {
  const body = JSON.stringify(content)
  return fetch(`/api/save/${kind}`, { method: 'POST', body, keepalive: body.length < KEEPALIVE })
}

/** Saves an edit seen at `version`. */
export async function save<A>({ kind, id }: Edited, value: unknown, version: number): Promise<A> {
  const answer = await post(kind, { id, value, version })
  if (!answer.ok) throw new Error(`${answer.status}`)
  return (await answer.json()) as A
}
