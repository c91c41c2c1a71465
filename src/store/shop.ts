import { group } from 'd3-array'
import type { Kysely, Selectable } from 'kysely'
import { DEFAULT_METHOD, knownSchools } from '@/core/advice'
import {
  type Blade,
  type FlashUnit,
  type Frame,
  type InkRoom,
  type Known,
  type Press,
  type Proven,
  type ScreenRoom,
  type Shop,
  type ShopAndShelf,
  type Step,
  USUAL_HOURS,
  USUAL_INK_ROOM,
  USUAL_PRICES,
  USUAL_SCREENS,
} from '@/core/equipment'
import type { Weave } from '@/core/order'
import { changeStamp, type Database } from './database'
import { inOne } from './once'
import type { Tables } from './schema'

/** The shop with the version it was read at. */
export interface StoredShop {
  readonly shelf: ShopAndShelf
  readonly version: number
}

/** A write that came too late carries what is there now. */
export type SavedShop =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly now: StoredShop }

const kept = new WeakMap<Database, { readonly stamp: string; readonly shop: StoredShop }>()

/**
 * The whole shop; kept as long as nothing was written. A shop not yet set up has no presses, and version 0. Inside a
 * transaction, which may be taken back, it is read anew.
 */
export async function loadShop(db: Database): Promise<StoredShop> {
  if (db.isTransaction) return readShop(db)
  const stamp = await changeStamp(db)
  const before = kept.get(db)
  if (before?.stamp === stamp) return before.shop
  const shop = await readShop(db)
  // What was read while someone wrote is not kept.
  if ((await changeStamp(db)) === stamp) kept.set(db, { stamp, shop })
  return shop
}

async function readShop(db: Database): Promise<StoredShop> {
  const all = <T extends (typeof LISTS)[number]>(table: T) =>
    db
      .selectFrom(table as 'press')
      .selectAll()
      .orderBy('place')
      .execute() as unknown as Promise<Row<T>[]>
  const [
    head,
    options,
    presses,
    stations,
    flashes,
    dryers,
    frames,
    blades,
    inks,
    cloths,
    pauses,
    screens,
    inkRoom,
    price,
    notes,
    proven,
  ] = await Promise.all([
    db.selectFrom('shop').selectAll().executeTakeFirst(),
    db.selectFrom('method').selectAll().execute(),
    all('press'),
    db.selectFrom('station').selectAll().orderBy('press_id').orderBy('number').execute(),
    all('flash_unit'),
    all('dryer'),
    all('frame'),
    all('blade'),
    all('ink'),
    all('cloth'),
    all('pause'),
    loadScreens(db),
    loadInkRoom(db),
    db.selectFrom('price').selectAll().executeTakeFirst(),
    db.selectFrom('pressure_note').selectAll().execute(),
    all('proven'),
  ])
  const noteOf = (id: string): Pick<Press, 'pressure'> => {
    const note = notes.find((n) => n.press_id === id)
    if (!note) return {}
    const { press_id: _, ...pressure } = note
    return { pressure }
  }
  const press = (p: Row<'press'>): Press => {
    const base = {
      id: p.id,
      name: p.name,
      palletWidth: p.pallet_width,
      palletHeight: p.pallet_height,
      board: p.board as Press['board'],
      ...noteOf(p.id),
    }
    const places = stations.filter((s) => s.press_id === p.id)
    const down = places.filter((s) => s.usable === 0).map((s) => s.number)
    switch (p.kind) {
      case 'bench':
        return { ...base, kind: p.kind }
      case 'single':
        return { ...base, kind: p.kind, heads: p.heads ?? 1, down }
      case 'manual':
        return { ...base, kind: p.kind, heads: p.heads ?? 1, pallets: p.pallets ?? 1, down }
      case 'automatic':
        return {
          ...base,
          kind: p.kind,
          stations: places.map((s) => ({
            number: s.number,
            usable: s.usable === 1,
            flashAllowed: s.flash_allowed === 1,
          })),
        }
      default:
        return p.kind satisfies never
    }
  }
  const shop: Shop = {
    name: head?.name ?? '',
    method: {
      ...DEFAULT_METHOD,
      ...knownSchools(Object.fromEntries(options.map((o) => [o.school, o.option]))),
    },
    presses: presses.map(press),
    flashes: flashes.map((f) => ({
      id: f.id,
      name: f.name,
      kind: f.kind as FlashUnit['kind'],
      pressId: f.press_id,
      takes: f.takes,
      ...(f.station === null ? {} : { station: f.station }),
    })),
    dryers: dryers.map((d) => ({
      id: d.id,
      name: d.name,
      heatedLength: d.heated_length,
      beltWidth: d.belt_width,
    })),
    frames: frames.map(({ place: _, ...f }) => ({
      ...f,
      state: f.state as Frame['state'],
      ...screens.on(f.id),
    })),
    blades: blades.map(({ place: _, ...b }) => ({ ...b, edge: b.edge as Blade['edge'] })),
    hours: head
      ? {
          days: head.days.split(',').filter(Boolean).map(Number),
          from: head.opens,
          to: head.closes,
          breaks: pauses.map((p) => ({ from: p.begins, to: p.ends })),
        }
      : USUAL_HOURS,
    screens: screens.room,
    inkRoom,
    prices: price
      ? {
          pressHour: price.press_hour,
          personHour: price.person_hour,
          screen: price.screen,
          ink: price.ink,
          garment: price.garment,
        }
      : USUAL_PRICES,
    proven: proven.map(
      ({ place: _, found_on, press_id, dark_cloth, water_based, gauge, off_contact, use, ...p }) => ({
        ...p,
        on: found_on,
        pressId: press_id,
        use: use as Proven['use'],
        darkCloth: dark_cloth === 1,
        waterBased: water_based === 1,
        fleece: p.fleece === 1,
        ...(gauge === null ? {} : { gauge }),
        offContact: off_contact,
      }),
    ),
  }
  return {
    version: head?.version ?? 0,
    shelf: {
      shop,
      inks: inks.map(({ place: _, ...ink }) => ink),
      cloths: cloths.map(({ place: _, ...c }) => ({ ...c, weave: c.weave as Weave })),
    },
  }
}

type Row<T extends keyof Tables> = Selectable<Tables[T]>

/** What is known of stencils, and what each frame carries. */
async function loadScreens(db: Database) {
  const [head, fabrics, emulsions, lamps, tests, readings, stencils, steps, hanging] = await Promise.all([
    db.selectFrom('screen_room').selectAll().executeTakeFirst(),
    db.selectFrom('fabric').selectAll().orderBy('place').execute(),
    db.selectFrom('emulsion').selectAll().orderBy('place').execute(),
    db.selectFrom('lamp').selectAll().orderBy('place').execute(),
    db.selectFrom('step_test').selectAll().orderBy('place').execute(),
    db.selectFrom('tension_reading').selectAll().orderBy('place').execute(),
    db.selectFrom('stencil').selectAll().execute(),
    db.selectFrom('stencil_step').selectAll().orderBy('place').execute(),
    db.selectFrom('frame_hangs').selectAll().execute(),
  ])
  const room = head
    ? ({
        humidity: head.humidity,
        frameToPallet: head.frame_to_pallet,
        collarLine: head.collar_line,
        fabrics: fabrics.map(bare),
        emulsions: emulsions.map(bare),
        lamps: lamps.map(bare),
        tests: tests.map(({ place: _, on_day, lamp_id, emulsion_id, ...t }) => ({
          ...t,
          on: on_day,
          lampId: lamp_id,
          emulsionId: emulsion_id,
        })),
      } as ScreenRoom)
    : USUAL_SCREENS
  const stencilOf = new Map(stencils.map((s) => [s.frame_id, s]))
  const [readingsOf, stepsOf] = [group(readings, (r) => r.frame_id), group(steps, (s) => s.frame_id)]
  const on = (frame: string): Pick<Frame, 'readings' | 'stencil' | 'hangs'> => {
    const s = stencilOf.get(frame)
    const at = hanging.find((h) => h.frame_id === frame)
    const stencil = s && {
      order: s.order_id,
      print: s.print_id,
      hit: s.hit_id,
      words: s.words,
      emulsionId: s.emulsion_id,
      coats: s.coats,
      done: (stepsOf.get(frame) ?? []).map(({ step, at }) => ({ step: step as Step, at })),
    }
    return {
      readings: (readingsOf.get(frame) ?? []).map((r) => ({ on: r.on_day, tension: r.tension })),
      ...(stencil && { stencil }),
      ...(at && { hangs: { pressId: at.press_id, head: at.head } }),
    }
  }
  return { room, on }
}

const bare = <T extends { readonly place: number }>({ place: _, ...row }: T) => row

/** Limits, the rack and its formulas. */
async function loadInkRoom(db: Database): Promise<InkRoom> {
  const [head, rack, formulas, parts] = await Promise.all([
    db.selectFrom('colour_limits').selectAll().executeTakeFirst(),
    db.selectFrom('base_ink').selectAll().orderBy('place').execute(),
    db.selectFrom('formula').selectAll().orderBy('place').execute(),
    db.selectFrom('formula_part').selectAll().orderBy('place').execute(),
  ])
  if (!head) return USUAL_INK_ROOM
  const partsOf = group(parts, (p) => p.formula_id)
  return {
    limits: {
      asMeant: head.as_meant,
      tonedDown: head.toned_down,
      accept: head.accept,
      again: head.again,
      white: head.white,
    },
    laid: head.laid,
    rack: rack.map((i) => ({ ...bare(i), known: JSON.parse(i.known) as Known })),
    formulas: formulas.map(({ place: _, l, a, b, ...f }) => ({
      ...f,
      target: { l, a, b },
      parts: (partsOf.get(f.id) ?? []).map(({ code, share }) => ({ code, share })),
    })),
  }
}

const LISTS = ['press', 'flash_unit', 'dryer', 'frame', 'blade', 'ink', 'cloth', 'pause', 'proven'] as const
const PARTS = [
  'method',
  'station',
  'proven',
  'pressure_note',
  'frame_hangs',
  'stencil_step',
  'stencil',
  'tension_reading',
  'screen_room',
  'fabric',
  'emulsion',
  'lamp',
  'step_test',
  'price',
  'colour_limits',
  'base_ink',
  'formula_part',
  'formula',
  'pause',
  'flash_unit',
  'press',
  'dryer',
  'frame',
  'blade',
  'ink',
  'cloth',
] as const

/** Replaces the whole shop if it is still at `version` (0: not set up yet), in one transaction. */
export async function saveShop(db: Database, shelf: ShopAndShelf, version: number): Promise<SavedShop> {
  const done = await inOne(db, async (tx) => {
    const head = await tx.selectFrom('shop').select('version').executeTakeFirst()
    if ((head?.version ?? 0) !== version) return false
    await writeShop(tx, shelf, version + 1)
    return true
  })
  return done ? { ok: true, version: version + 1 } : { ok: false, now: await loadShop(db) }
}

/** Writes a whole shop over what is there. */
export async function writeShop(
  tx: Kysely<Tables>,
  { shop, inks, cloths }: ShopAndShelf,
  version: number,
): Promise<void> {
  const { days, from, to, breaks } = shop.hours
  for (const table of [...PARTS, 'shop'] as const) await tx.deleteFrom(table).execute()
  const rows: { readonly [T in keyof Tables]?: readonly object[] } = {
    shop: [{ id: 1, name: shop.name, days: days.join(','), opens: from, closes: to, version }],
    method: Object.entries(shop.method).map(([school, option]) => ({ school, option })),
    pause: breaks.map((b, place) => ({ place, begins: b.from, ends: b.to })),
    press: shop.presses.map((p, place) => ({
      id: p.id,
      place,
      name: p.name,
      kind: p.kind,
      pallet_width: p.palletWidth,
      pallet_height: p.palletHeight,
      board: p.board,
      heads: p.kind === 'manual' || p.kind === 'single' ? p.heads : null,
      pallets: p.kind === 'manual' ? p.pallets : null,
    })),
    station: shop.presses.flatMap(stationsOf),
    pressure_note: shop.presses.flatMap(({ id, pressure }) =>
      pressure ? [{ ...pressure, press_id: id }] : [],
    ),
    flash_unit: placed(shop.flashes).map(({ pressId, station, ...f }) => ({
      ...f,
      press_id: pressId,
      station: station ?? null,
    })),
    dryer: placed(shop.dryers).map(({ heatedLength, beltWidth, ...d }) => ({
      ...d,
      heated_length: heatedLength,
      belt_width: beltWidth,
    })),
    frame: placed(shop.frames).map(({ readings: _, stencil: __, hangs: ___, ...f }) => f),
    frame_hangs: shop.frames.flatMap(({ id, hangs }) =>
      hangs ? [{ frame_id: id, press_id: hangs.pressId, head: hangs.head }] : [],
    ),
    proven: placed(shop.proven).map(({ on, pressId, darkCloth, waterBased, gauge, offContact, ...p }) => ({
      ...p,
      found_on: on,
      press_id: pressId,
      dark_cloth: Number(darkCloth),
      water_based: Number(waterBased),
      fleece: Number(p.fleece),
      gauge: gauge ?? null,
      off_contact: offContact,
    })),
    ...screenRows(shop),
    ...inkRows(shop),
    price: [priceRow(shop)],
    blade: placed(shop.blades),
    ink: placed(inks),
    cloth: placed(cloths),
  }
  for (const [table, values] of Object.entries(rows))
    if (values.length > 0)
      await tx
        .insertInto(table as 'method')
        .values(values as Tables['method'][])
        .execute()
}

const priceRow = ({ prices: { pressHour, personHour, ...rest } }: Shop) => ({
  id: 1,
  press_hour: pressHour,
  person_hour: personHour,
  ...rest,
})

const placed = <T>(rows: readonly T[]) => rows.map((row, place) => ({ ...row, place }))

function inkRows({ inkRoom: { limits, laid, rack, formulas } }: Shop) {
  return {
    colour_limits: [
      {
        id: 1,
        as_meant: limits.asMeant,
        toned_down: limits.tonedDown,
        accept: limits.accept,
        again: limits.again,
        white: limits.white,
        laid,
      },
    ],
    base_ink: placed(rack).map((i) => ({ ...i, known: JSON.stringify(i.known) })),
    formula: placed(formulas).map(({ target, parts: _, ...f }) => ({ ...f, ...target })),
    formula_part: formulas.flatMap((f) => placed(f.parts).map((p) => ({ ...p, formula_id: f.id }))),
  }
}

/** Stencils, readings and what is known of them; each table after those it names. */
function screenRows({ frames, screens }: Shop) {
  const carried = frames.flatMap(({ id, stencil }) => (stencil ? [{ id, stencil }] : []))
  return {
    tension_reading: frames.flatMap((f) =>
      f.readings.map(({ on, tension }, place) => ({ frame_id: f.id, place, on_day: on, tension })),
    ),
    stencil: carried.map(({ id, stencil: s }) => ({
      frame_id: id,
      order_id: s.order,
      print_id: s.print,
      hit_id: s.hit,
      words: s.words,
      emulsion_id: s.emulsionId,
      coats: s.coats,
    })),
    stencil_step: carried.flatMap(({ id, stencil }) =>
      stencil.done.map((d, place) => ({ frame_id: id, place, ...d })),
    ),
    screen_room: [
      {
        id: 1,
        humidity: screens.humidity,
        frame_to_pallet: screens.frameToPallet,
        collar_line: screens.collarLine,
      },
    ],
    fabric: placed(screens.fabrics),
    emulsion: placed(screens.emulsions),
    lamp: placed(screens.lamps),
    step_test: placed(screens.tests).map(({ on, lampId, emulsionId, ...t }) => ({
      ...t,
      on_day: on,
      lamp_id: lampId,
      emulsion_id: emulsionId,
    })),
  }
}

/** Every station of an automatic; of other presses the heads that are down. */
function stationsOf(press: Press): readonly Tables['station'][] {
  const row = (number: number, usable: boolean, flash: boolean) => ({
    press_id: press.id,
    number,
    usable: Number(usable),
    flash_allowed: Number(flash),
  })
  switch (press.kind) {
    case 'automatic':
      return press.stations.map((s) => row(s.number, s.usable, s.flashAllowed))
    case 'manual':
    case 'single':
      return press.down.map((n) => row(n, false, false))
    case 'bench':
      return []
    default:
      return press satisfies never
  }
}
