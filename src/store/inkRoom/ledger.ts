import type { Kysely } from 'kysely'
import type { Entry } from '@/core/ink'
import type { Tables } from '../schema'

interface NewEntry {
  readonly at: string
  readonly tub: string
  readonly kind: Entry['kind']
  readonly mass: number
  readonly batch?: string
  readonly corrects?: number
  readonly note?: string
  readonly code?: string | null
}

/** Writes one entry of the ledger; none is ever edited. */
export const write = (db: Kysely<Tables>, e: NewEntry) =>
  db
    .insertInto('stock_entry')
    .values({
      at: e.at,
      tub: e.tub,
      kind: e.kind,
      mass: e.mass,
      batch_id: e.batch ?? '',
      corrects: e.corrects ?? null,
      note: e.note ?? '',
      code: e.code ?? null,
    })
    .execute()

/** Sums of grams carry binary dust. */
export const tidy = (kg: number) => Number(kg.toFixed(7)) + 0

/** The next free id of a can (`C-0001`) or a batch. */
export const nextId = async (db: Kysely<Tables>, table: 'can' | 'batch', letter: string): Promise<string> => {
  const { last } = await db
    .selectFrom(table)
    .select((e) => e.fn.max('id').as('last'))
    .executeTakeFirstOrThrow()
  return `${letter}-${String(Number((last ?? '').slice(2) || 0) + 1).padStart(4, '0')}`
}
