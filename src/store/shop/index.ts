import { format } from 'date-fns'
import type { Kysely } from 'kysely'
import {
  partOf,
  SHOP_PARTS,
  type ShopAndShelf,
  type ShopPart,
  type ShopParts,
  type ShopVersions,
  together,
} from '@/core/equipment'
import { changeStamp, type Database } from '../database'
import { inOne, type Saved } from '../once'
import type { Tables } from '../schema'
import { approved } from './approved'
import { frames } from './frames'
import type { StoredPart } from './part'
import { presses } from './presses'
import { rack } from './rack'
import { screens } from './screens'
import { settings } from './settings'
import { writeRows } from './write'

/** In the order in which they can be written. */
const PARTS: { readonly [P in ShopPart]: StoredPart<P> } = {
  settings,
  presses,
  frames,
  screens,
  rack,
  approved,
}

/** The shop with the versions its parts were read at. */
export interface StoredShop {
  readonly shelf: ShopAndShelf
  readonly versions: ShopVersions
}

const kept = new WeakMap<Database, { readonly stamp: string; readonly shop: StoredShop }>()

/**
 * The whole shop; parts are kept as long as they were not saved again. A shop not yet set up has no presses, and versions 0.
 * Inside a transaction, which may be taken back, all is read anew.
 */
export async function loadShop(db: Database): Promise<StoredShop> {
  if (db.isTransaction) return readShop(db)
  const stamp = `${await changeStamp(db)} ${today()}`
  const before = kept.get(db)
  if (before?.stamp === stamp) return before.shop
  const shop = await readShop(db, before?.shop)
  // What was read while someone wrote is not kept.
  if (`${await changeStamp(db)} ${today()}` === stamp) kept.set(db, { stamp, shop })
  return shop
}

async function readShop(db: Kysely<Tables>, before?: StoredShop): Promise<StoredShop> {
  const versions = await versionsOf(db)
  const read = <P extends ShopPart>(part: P): Promise<ShopParts[P]> | ShopParts[P] =>
    before && before.versions[part] === versions[part] ? partOf(before.shelf, part) : PARTS[part].read(db)
  const shelf = together({
    settings: await read('settings'),
    presses: await read('presses'),
    frames: await read('frames'),
    screens: await read('screens'),
    rack: await read('rack'),
    approved: await read('approved'),
  })
  return { shelf: forToday(shelf), versions }
}

/** The day of the shop's clock. */
const today = () => format(new Date(), 'yyyy-MM-dd')

/** The air of another day is not that of today. */
function forToday(shelf: ShopAndShelf): ShopAndShelf {
  const { air, ...shop } = shelf.shop
  return air && air.on !== today() ? { ...shelf, shop } : shelf
}

async function versionsOf(db: Kysely<Tables>): Promise<ShopVersions> {
  const rows = await db.selectFrom('shop_part').selectAll().execute()
  const none = Object.fromEntries(SHOP_PARTS.map((part) => [part, 0])) as Record<ShopPart, number>
  return { ...none, ...Object.fromEntries(rows.map((r) => [r.part, r.version])) }
}

const writePart = <P extends ShopPart>(tx: Kysely<Tables>, part: P, value: ShopParts[P]) =>
  writeRows(tx, PARTS[part].rows(value))

/** Saves a part of a shop that is set up if it is still at `version`, in one transaction. */
export async function savePart<P extends ShopPart>(
  db: Database,
  part: P,
  value: ShopParts[P],
  version: number,
): Promise<Saved<{ readonly value: ShopParts[P]; readonly version: number }>> {
  const done = await inOne(db, async (tx) => {
    const { numUpdatedRows } = await tx
      .updateTable('shop_part')
      .set({ version: version + 1 })
      .where('part', '=', part)
      .where('version', '=', version)
      .executeTakeFirst()
    if (numUpdatedRows === 0n) return false
    await writePart(tx, part, value)
    return true
  })
  if (done) return { ok: true, version: version + 1 }
  const { shelf, versions } = await loadShop(db)
  return { ok: false, now: { value: partOf(shelf, part), version: versions[part] } }
}

/** Puts a whole shop in place of what is there; every part's version goes on. */
export async function putShop(db: Kysely<Tables>, shelf: ShopAndShelf): Promise<void> {
  await inOne(db, async (tx) => {
    for (const part of SHOP_PARTS) await putPart(tx, part, partOf(shelf, part))
  })
}

/** Puts a part in place of what is there, inside a transaction; its version goes on. */
export async function putPart<P extends ShopPart>(
  tx: Kysely<Tables>,
  part: P,
  value: ShopParts[P],
): Promise<void> {
  await writePart(tx, part, value)
  await tx
    .insertInto('shop_part')
    .values({ part, version: 1 })
    .onConflict((c) => c.column('part').doUpdateSet((e) => ({ version: e('shop_part.version', '+', 1) })))
    .execute()
}
