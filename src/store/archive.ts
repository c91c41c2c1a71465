import type { FilmOfPrint } from '@/core/artwork'
import type { DaysKept } from '@/core/days'
import type { ShopAndShelf } from '@/core/equipment'
import type { Customer } from '@/core/order'
import { type Decisions, isUndecided, orderOfRun } from '@/core/plan'
import type { HeadLock, HeadTurn } from '@/core/registration'
import { everyCustomer, replaceCustomers } from './customers'
import type { Database } from './database'
import { loadDays, replaceDays } from './days'
import { decisionRows, loadDecisions } from './decisions'
import { allFilms, putFilm } from './films'
import { headLocks, headTurns } from './headNotes'
import { type InkBook, readInkBook, replaceInkBook } from './inkBook'
import { everyNote, type Note, replaceNotes } from './notes'
import { inOne } from './once'
import { everyOrder, insertOrder, type StoredOrder } from './orders'
import { everyEvent, type RunEvent, replaceEvents } from './pressEvents'
import { everyRevision, type Revision, revisionRow } from './revisions'
import { loadShop, putShop } from './shop'

type ArchivedOrder = Omit<StoredOrder, 'version'>

/** Everything a shop keeps in Orvint. */
export interface Archive {
  readonly shelf: ShopAndShelf
  readonly orders: readonly ArchivedOrder[]
  readonly decisions: readonly Decisions[]
  readonly revisions: readonly Revision[]
  readonly films: readonly FilmOfPrint[]
  /** None in archives from before there was an ink room. */
  readonly inkBook?: InkBook | undefined
  /** None in archives from before locks were noted. */
  readonly customers?: readonly Customer[] | undefined
  readonly notes?: readonly Omit<Note, 'id'>[] | undefined
  readonly locks?: readonly HeadLock[] | undefined
  readonly turns?: readonly HeadTurn[] | undefined
  readonly atPress?: readonly RunEvent[] | undefined
  readonly days?: DaysKept | undefined
}

/** Everything, read a few rows at a time while it is written. Orders by day and number, runs by number. */
export async function openArchive(db: Database) {
  const [{ shelf }, inkBook, films, customers, notes, locks, turns, atPress, days] = await Promise.all([
    loadShop(db),
    readInkBook(db),
    allFilms(db),
    everyCustomer(db),
    everyNote(db),
    headLocks.every(db),
    headTurns.every(db),
    everyEvent(db),
    loadDays(db),
  ])
  return {
    shelf,
    inkBook,
    films,
    customers,
    notes,
    locks,
    turns,
    atPress,
    days: days.kept,
    orders: heldOrders(db),
    decisions: heldDecisions(db),
    revisions: everyRevision(db),
  }
}

async function* heldOrders(db: Database): AsyncGenerator<ArchivedOrder> {
  for await (const { version: _, wrong: __, ...stored } of everyOrder(db, 'every')) yield stored
}

async function* heldDecisions(db: Database): AsyncGenerator<Decisions> {
  const all = [...(await loadDecisions(db)).values()].map((d) => d.decisions)
  yield* all.filter((d) => !isUndecided(d)).sort((a, b) => a.runId.localeCompare(b.runId))
}

/** Reads everything at once. */
export async function readArchive(db: Database): Promise<Archive> {
  const source = await openArchive(db)
  const all = async <T>(rows: AsyncIterable<T>): Promise<T[]> => {
    const found: T[] = []
    for await (const row of rows) found.push(row)
    return found
  }
  return {
    ...source,
    orders: await all(source.orders),
    decisions: await all(source.decisions),
    revisions: await all(source.revisions),
  }
}

/** Replaces everything, in one transaction. Versions go on counting, so that whoever still has an old page is told. */
export async function replaceAll(db: Database, archive: Archive): Promise<void> {
  await inOne(db, async (tx) => {
    const { last } = await tx
      .selectFrom('customer_order')
      .select((e) => e.fn.max('version').as('last'))
      .executeTakeFirstOrThrow()
    const version = (last ?? 0) + 1
    const { run: lastRun } = await tx
      .selectFrom('run')
      .select((e) => e.fn.max<number | null>('version').as('run'))
      .executeTakeFirstOrThrow()
    await tx.deleteFrom('customer_order').execute()
    await putShop(tx, archive.shelf)
    for (const stored of archive.orders) await insertOrder(tx, { ...stored, version })
    const known = new Set((await tx.selectFrom('run').select('id').execute()).map((r) => r.id))
    const orderOf = (runId: string) => orderOfRun(runId) ?? ''
    const named = [...archive.decisions.map((d) => d.runId), ...archive.revisions.map((r) => r.runId)]
    // Runs that a later change of the order dissolved still carry what was decided and released.
    for (const id of new Set(named))
      if (!known.has(id))
        await tx
          .insertInto('run')
          .values({ id, order_id: orderOf(id) })
          .execute()
    for (const d of archive.decisions)
      await tx
        .insertInto('decision')
        .values([...decisionRows(d)])
        .execute()
    for (const r of archive.revisions) await tx.insertInto('revision').values(revisionRow(r)).execute()
    await tx
      .updateTable('run')
      .set({ version: Math.max(version, (lastRun ?? 0) + 1) })
      .execute()
    for (const { orderId, print, ...film } of archive.films) await putFilm(tx, orderId, print, film)
    await replaceInkBook(tx, archive.inkBook)
    await replaceCustomers(tx, archive.customers)
    await replaceNotes(tx, archive.notes)
    await headLocks.replace(tx, archive.locks)
    await headTurns.replace(tx, archive.turns)
    await replaceEvents(tx, archive.atPress)
    await replaceDays(tx, archive.days)
  })
}
