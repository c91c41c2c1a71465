import type { Kysely, Selectable } from 'kysely'
import type { Tables } from './schema'

/** Written in this order, emptied from the end: each may name what stands before it. */
const NAMES = ['can', 'batch', 'batch_part', 'stock_entry', 'drawdown'] as const
type Name = (typeof NAMES)[number]

/** Cans, tubs, the ledger and drawdowns, row by row as they were written down. */
export type InkBook = { readonly [N in Name]: readonly Selectable<Tables[N]>[] }

/** Rows that fit into one statement. */
const AT_ONCE = 200

export async function readInkBook(db: Kysely<Tables>): Promise<InkBook> {
  const rows = async (name: Name) =>
    [
      name,
      await db
        .selectFrom(name)
        .selectAll()
        .orderBy('rowid' as never)
        .execute(),
    ] as const
  return Object.fromEntries(await Promise.all(NAMES.map(rows))) as unknown as InkBook
}

/** Puts another book in place of this one. @throws Error when its rows do not fit together */
export async function replaceInkBook(tx: Kysely<Tables>, book: InkBook | undefined): Promise<void> {
  for (const name of [...NAMES].reverse()) await tx.deleteFrom(name).execute()
  for (const name of NAMES) {
    const rows = book?.[name] ?? []
    for (let from = 0; from < rows.length; from += AT_ONCE)
      await tx
        .insertInto(name)
        .values(rows.slice(from, from + AT_ONCE) as never)
        .execute()
  }
}
