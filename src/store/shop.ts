import { DEFAULT_METHOD, type ShopMethod } from '@/core/advice'
import type { Blade, FlashUnit, Frame, Press, ShelfInk, Shop } from '@/core/equipment'
import type { Cloth, Weave } from '@/core/order'
import type { Database } from './database'

/** The shop with its shelf: what a plan reads, and what forms offer. */
export interface ShopAndShelf {
  readonly shop: Shop
  readonly inks: readonly ShelfInk[]
  readonly cloths: readonly Cloth[]
}

/** Reads the whole shop. A shop not yet set up has no presses. */
export async function loadShop(db: Database): Promise<ShopAndShelf> {
  const all = <T extends 'press' | 'flash_unit' | 'dryer' | 'ink' | 'cloth'>(table: T) =>
    db
      .selectFrom(table as 'press')
      .selectAll()
      .orderBy('place')
      .execute() as unknown as Promise<Row<T>[]>
  const [name, options, presses, stations, flashes, dryers, frames, blades, inks, cloths] = await Promise.all(
    [
      db.selectFrom('shop').select('name').executeTakeFirst(),
      db.selectFrom('method').selectAll().execute(),
      all('press'),
      db.selectFrom('station').selectAll().orderBy('press_id').orderBy('number').execute(),
      all('flash_unit'),
      all('dryer'),
      db.selectFrom('frame').selectAll().orderBy('mesh').orderBy('id').execute(),
      db.selectFrom('blade').selectAll().orderBy('length').orderBy('hardness').execute(),
      all('ink'),
      all('cloth'),
    ],
  )
  const press = (p: Row<'press'>): Press => {
    const base = {
      id: p.id,
      name: p.name,
      palletWidth: p.pallet_width,
      palletHeight: p.pallet_height,
      board: p.board as Press['board'],
    }
    switch (p.kind) {
      case 'bench':
        return { ...base, kind: p.kind }
      case 'single':
        return { ...base, kind: p.kind, heads: p.heads ?? 1 }
      case 'manual':
        return { ...base, kind: p.kind, heads: p.heads ?? 1, pallets: p.pallets ?? 1 }
      case 'automatic':
        return {
          ...base,
          kind: p.kind,
          stations: stations
            .filter((s) => s.press_id === p.id)
            .map((s) => ({ number: s.number, usable: s.usable === 1, flashAllowed: s.flash_allowed === 1 })),
        }
      default:
        return p.kind satisfies never
    }
  }
  return {
    shop: {
      name: name?.name ?? '',
      method: {
        ...DEFAULT_METHOD,
        ...Object.fromEntries(options.map((o) => [o.school, o.option])),
      } as ShopMethod,
      presses: presses.map(press),
      flashes: flashes.map((f) => ({
        id: f.id,
        name: f.name,
        kind: f.kind as FlashUnit['kind'],
        pressId: f.press_id,
      })),
      dryers: dryers.map((d) => ({
        id: d.id,
        name: d.name,
        heatedLength: d.heated_length,
        beltWidth: d.belt_width,
      })),
      frames: frames.map((f) => ({ ...f, state: f.state as Frame['state'] })),
      blades: blades.map((b) => ({ ...b, edge: b.edge as Blade['edge'] })),
    },
    inks: inks.map(({ place: _, ...ink }) => ink),
    cloths: cloths.map(({ place: _, ...c }) => ({ ...c, weave: c.weave as Weave })),
  }
}

type Row<T extends keyof import('./schema').Tables> = import('kysely').Selectable<
  import('./schema').Tables[T]
>

/** Writes a whole shop into an empty database, in one transaction. */
export async function seedShop(db: Database, { shop, inks, cloths }: ShopAndShelf): Promise<void> {
  const placed = <T>(rows: readonly T[]) => rows.map((row, place) => ({ ...row, place }))
  await db.transaction().execute(async (tx) => {
    await tx.insertInto('shop').values({ id: 1, name: shop.name }).execute()
    await tx
      .insertInto('method')
      .values(Object.entries(shop.method).map(([school, option]) => ({ school, option })))
      .execute()
    for (const [place, p] of shop.presses.entries()) {
      await tx
        .insertInto('press')
        .values({
          id: p.id,
          place,
          name: p.name,
          kind: p.kind,
          pallet_width: p.palletWidth,
          pallet_height: p.palletHeight,
          board: p.board,
          heads: p.kind === 'manual' || p.kind === 'single' ? p.heads : null,
          pallets: p.kind === 'manual' ? p.pallets : null,
        })
        .execute()
      if (p.kind !== 'automatic') continue
      const stations = p.stations.map((s) => ({
        press_id: p.id,
        number: s.number,
        usable: Number(s.usable),
        flash_allowed: Number(s.flashAllowed),
      }))
      await tx.insertInto('station').values(stations).execute()
    }
    const flashes = placed(shop.flashes).map(({ pressId, ...f }) => ({ ...f, press_id: pressId }))
    await tx.insertInto('flash_unit').values(flashes).execute()
    const dryers = placed(shop.dryers).map(({ heatedLength, beltWidth, ...d }) => ({
      ...d,
      heated_length: heatedLength,
      belt_width: beltWidth,
    }))
    await tx.insertInto('dryer').values(dryers).execute()
    await tx
      .insertInto('frame')
      .values(shop.frames.map((f) => ({ ...f })))
      .execute()
    await tx
      .insertInto('blade')
      .values(shop.blades.map((b) => ({ ...b })))
      .execute()
    await tx.insertInto('ink').values(placed(inks)).execute()
    await tx.insertInto('cloth').values(placed(cloths)).execute()
  })
}
