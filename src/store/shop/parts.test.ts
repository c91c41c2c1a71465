import { addDays, format } from 'date-fns'
import fc from 'fast-check'
import same from 'fast-deep-equal'
import { sql } from 'kysely'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import {
  checkPart,
  type Frame,
  partOf,
  SHOP_PARTS,
  type ShopAndShelf,
  TEMPLATES,
  together,
} from '@/core/equipment'
import { type Database, openDatabase } from '../database'
import { demoShelf } from '../demo'
import { loadShop, putShop, savePart } from './index'

const SHELF = demoShelf('2026-11-23')
let db: Database
beforeEach(async () => {
  db = await openDatabase(':memory:')
  await putShop(db, SHELF)
})
afterEach(() => db.destroy())

/** Rows that a deed wrote. */
async function written(deed: () => Promise<unknown>): Promise<number> {
  const total = async () =>
    (await sql<{ n: number }>`SELECT total_changes() AS n`.execute(db)).rows[0]?.n ?? 0
  const before = await total()
  await deed()
  return (await total()) - before
}

const framesWith = (change: (f: Frame, i: number) => Frame) => ({
  shop: { frames: SHELF.shop.frames.map(change) },
})
/** A screen is coated: one more step of one stencil. */
const coated = framesWith((f) =>
  f === SHELF.shop.frames.find((x) => x.stencil)
    ? {
        ...f,
        ...(f.stencil && {
          stencil: { ...f.stencil, done: [...f.stencil.done, { step: 'check', at: '2026-11-23T12:00' }] },
        }),
      }
    : f,
)

describe('parts', () => {
  it('together are the whole, and each field is in exactly one', () => {
    const parts = Object.fromEntries(SHOP_PARTS.map((part) => [part, partOf(SHELF, part)]))
    expect(together(parts as never)).toEqual(SHELF)
    const fields = SHOP_PARTS.flatMap((part) => Object.keys(partOf(SHELF, part).shop))
    expect([...fields].sort()).toEqual(Object.keys(SHELF.shop).sort())
  })
  it('read and checked is the same to the letter: a part no one touched is never saved', async () => {
    for (const { shop, ...shelf } of [SHELF, ...TEMPLATES.map((t) => t.shelf)]) {
      await putShop(db, { ...shelf, shop: { ...shop, name: 'Corner prints' } })
      const read = (await loadShop(db)).shelf
      for (const part of SHOP_PARTS) {
        const whole = partOf(read, part)
        const checked = checkPart(part, structuredClone(whole))
        expect(checked.ok && same(checked.value, whole), part).toBe(true)
      }
    }
  })
  it('a tap in the screen room writes its own row and the version of its part', async () => {
    expect(await written(() => savePart(db, 'frames', coated, 1))).toBe(2)
    expect((await loadShop(db)).shelf).toEqual({ ...SHELF, shop: { ...SHELF.shop, ...coated.shop } })
    expect((await loadShop(db)).versions).toEqual({
      ...Object.fromEntries(SHOP_PARTS.map((p) => [p, 1])),
      frames: 2,
    })
  })
  it('a tap takes less than half the time of writing the shop anew', async () => {
    const clocked = async (deed: () => Promise<unknown>) => {
      const from = performance.now()
      await deed()
      return performance.now() - from
    }
    const taps: number[] = []
    const whole: number[] = []
    for (let i = 0; i < 15; i++) {
      const value = i % 2 === 0 ? coated : partOf(SHELF, 'frames')
      taps.push(await clocked(() => savePart(db, 'frames', value, i + 1)))
      const fresh = await openDatabase(':memory:')
      whole.push(await clocked(() => putShop(fresh, SHELF)))
      await fresh.destroy()
    }
    const middle = (list: number[]) => list.sort((a, b) => a - b)[7] ?? 0
    expect(middle(taps)).toBeLessThan(middle(whole) / 2)
  })
  it('two people in two rooms never meet; two in one do', async () => {
    const { shop } = SHELF
    const saves = await Promise.all([
      savePart(db, 'frames', coated, 1),
      savePart(db, 'screens', { shop: { screens: { ...shop.screens, humidity: 0.7 } } }, 1),
      savePart(db, 'rack', { shop: { inkRoom: { ...shop.inkRoom, laid: 1.1 } } }, 1),
      savePart(db, 'presses', { shop: { ...partOf(SHELF, 'presses').shop, dryers: [] } }, 1),
      savePart(db, 'settings', { ...partOf(SHELF, 'settings'), inks: [] }, 1),
      savePart(db, 'approved', { shop: { approved: [] } }, 1),
    ])
    expect(saves).toEqual(SHOP_PARTS.map(() => ({ ok: true, version: 2 })))
    const { shelf } = await loadShop(db)
    expect(shelf.shop.screens.humidity).toBe(0.7)
    expect(shelf.shop.inkRoom.laid).toBe(1.1)
    expect(shelf.shop.dryers).toEqual([])
    expect(shelf.inks).toEqual([])
    expect(await savePart(db, 'frames', partOf(SHELF, 'frames'), 1)).toMatchObject({
      ok: false,
      now: { version: 2, value: coated },
    })
  })
  it('a save that fails leaves nothing of itself', async () => {
    const [first] = SHELF.shop.frames
    if (!first) throw new Error('no frame')
    const bad = framesWith((f) => (f.id === first.id ? { ...f, width: 9, state: 'lost' as never } : f))
    await expect(savePart(db, 'frames', bad, 1)).rejects.toThrow(/constraint/i)
    expect((await loadShop(db)).shelf).toEqual(SHELF)
  })
})

describe('rows', () => {
  it('two frames that change places at the press do', async () => {
    const at = (a: number, b: number) =>
      framesWith((f, i) => (i < 2 ? { ...f, mounted: { pressId: 'twelve', head: i === 0 ? a : b } } : f))
    await savePart(db, 'frames', at(1, 2), 1)
    await savePart(db, 'frames', at(2, 1), 2)
    expect(partOf((await loadShop(db)).shelf, 'frames')).toEqual(at(2, 1))
  })
  it('a frame takes the place of one that is given away', async () => {
    const [first, second, ...others] = SHELF.shop.frames
    if (!first || !second) throw new Error('no frames')
    const mounted = { pressId: 'twelve', head: 1 }
    await savePart(db, 'frames', { shop: { frames: [{ ...first, mounted }, second, ...others] } }, 1)
    const after = { shop: { frames: [{ ...second, mounted }, ...others] } }
    await savePart(db, 'frames', after, 2)
    expect(partOf((await loadShop(db)).shelf, 'frames')).toEqual(after)
  })
  it('any shop after any other is as it was put, in any order of its rows (property)', async () => {
    const shelves = [SHELF, ...TEMPLATES.map((t) => t.shelf)]
    const some = <T>(list: readonly T[]) => fc.shuffledSubarray([...list])
    const shelf = fc.constantFrom(...shelves).chain((s) =>
      fc
        .record({
          frames: some(s.shop.frames),
          squeegees: some(s.shop.squeegees),
          fabrics: some(s.shop.screens.fabrics),
          rack: some(s.shop.inkRoom.rack),
          inks: some(s.inks),
          cloths: some(s.cloths),
          dryers: some(s.shop.dryers),
        })
        .map(
          ({ inks, cloths, fabrics, rack, ...of }): ShopAndShelf => ({
            inks,
            cloths,
            shop: {
              ...s.shop,
              ...of,
              screens: { ...s.shop.screens, fabrics },
              inkRoom: { ...s.shop.inkRoom, rack },
            },
          }),
        ),
    )
    await fc.assert(
      fc.asyncProperty(shelf, async (next) => {
        await putShop(db, next)
        expect((await loadShop(db)).shelf).toEqual(next)
        expect(await written(() => putShop(db, next))).toBe(SHOP_PARTS.length)
      }),
      { numRuns: 40 },
    )
  })
})

describe('what was read and said', () => {
  const day = (days: number) => format(addDays(new Date(), days), 'yyyy-MM-dd')
  const withAir = (on: string): ShopAndShelf => ({
    ...SHELF,
    shop: { ...SHELF.shop, air: { on, temperature: 281.15, humidity: 0.9 } },
  })
  it('the air of today is read as it was said; that of another day is not that of today', async () => {
    await putShop(db, withAir(day(0)))
    expect((await loadShop(db)).shelf.shop.air).toEqual({ on: day(0), temperature: 281.15, humidity: 0.9 })
    for (const days of [-1, 1]) {
      await putShop(db, withAir(day(days)))
      expect((await loadShop(db)).shelf.shop).not.toHaveProperty('air')
    }
  })
  it('a night passes: what was kept in memory is not of today', async () => {
    vi.useFakeTimers({ toFake: ['Date'] })
    try {
      await putShop(db, withAir(day(0)))
      expect((await loadShop(db)).shelf.shop.air?.temperature).toBe(281.15)
      vi.setSystemTime(addDays(new Date(), 1))
      expect((await loadShop(db)).shelf.shop.air).toBeUndefined()
    } finally {
      vi.useRealTimers()
    }
  })
  it('calibrations come back as they went in', async () => {
    const { flashes } = (await loadShop(db)).shelf.shop
    expect(flashes.find((f) => f.calibration)).toEqual(SHELF.shop.flashes.find((f) => f.calibration))
    expect(flashes.filter((f) => f.calibration)).toHaveLength(1)
  })
  it.each([
    'not json',
    '[]',
    '{"on":"2026-02-30"}',
    '{"on":"2026-10-12","readings":[{"of":"weather"}],"gain":1}',
    'null',
  ])('a calibration stored wrong is as if the unit was never read: %s', async (wrong) => {
    await db.updateTable('flash_unit').set({ calibration: wrong }).execute()
    await db.updateTable('dryer').set({ calibration: wrong }).execute()
    await db.updateTable('shop').set({ air_on: '2026-02-30', air: 7, air_humidity: 9 }).execute()
    await sql`UPDATE shop_part SET version = version + 1`.execute(db)
    const { shop } = (await loadShop(db)).shelf
    expect(shop.flashes).toHaveLength(SHELF.shop.flashes.length)
    expect(shop.flashes.every((f) => f.calibration === undefined)).toBe(true)
    expect(shop.dryers.every((d) => d.calibration === undefined)).toBe(true)
    expect(shop.air).toBeUndefined()
  })
  it('nonsense does not come in by the door of the part', () => {
    const part = partOf(SHELF, 'presses')
    const wrongs = (calibration: unknown) => {
      const checked = checkPart('presses', {
        shop: { ...part.shop, flashes: part.shop.flashes.map((f) => ({ ...f, calibration })) },
      })
      return checked.ok ? [] : Object.values(checked.errors)
    }
    const good = SHELF.shop.flashes.find((f) => f.calibration)?.calibration
    expect(wrongs(good)).toEqual([])
    expect(wrongs({ ...good, gain: 40 }).join()).toContain('What was found is too high')
    expect(wrongs({ ...good, readings: [] }).join()).toContain('Nothing was read')
    expect(wrongs({ ...good, on: '2026-13-01' }).length).toBeGreaterThan(0)
    expect(wrongs({ ...good, readings: [{ of: 'hot', pallet: 300 }] }).length).toBeGreaterThan(0)
    expect(wrongs('calibrated').length).toBeGreaterThan(0)
  })
})
