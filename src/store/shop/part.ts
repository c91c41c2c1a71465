import type { Kysely, Selectable } from 'kysely'
import type { ShopPart, ShopParts } from '@/core/equipment'
import type { Tables } from '../schema'
import type { Rows } from './write'

export type Row<T extends keyof Tables> = Selectable<Tables[T]>

/** How a part of the shop lies in the database. */
export interface StoredPart<P extends ShopPart> {
  readonly read: (db: Kysely<Tables>) => Promise<ShopParts[P]>
  /** Its rows in all of its tables, those first that others hang on. */
  readonly rows: (value: ShopParts[P]) => Rows
}

export const placed = <T>(rows: readonly T[]) => rows.map((row, place) => ({ ...row, place }))
export const bare = <T extends { readonly place: number }>({ place: _, ...row }: T) => row

/** A list of names; what is stored wrong is none. */
export function namesIn(stored: string): readonly string[] {
  try {
    const found: unknown = JSON.parse(stored)
    return Array.isArray(found) ? found.filter((x) => typeof x === 'string') : []
  } catch {
    return []
  }
}
