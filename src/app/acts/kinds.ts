import type { Kysely } from 'kysely'
import type { Database } from '@/store/database'
import type { Tables } from '@/store/schema'

/** What an act works with. */
export interface At {
  readonly db: Database
  readonly now: Date
  /** Does it in one transaction and once, however often the request comes. */
  readonly once: <T extends object>(act: (tx: Kysely<Tables>) => Promise<T>) => Promise<T>
}

export interface Act<G, A extends object> {
  readonly does: (given: G, at: At) => Promise<A>
}

/** A checked value is read, never written. */
export type Frozen<T> = T extends readonly (infer E)[]
  ? readonly Frozen<E>[]
  : T extends object
    ? { readonly [K in keyof T]: Frozen<T[K]> }
    : T
