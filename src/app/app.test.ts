import { beforeAll, describe, expect, it } from 'vitest'
import { type Frame, headTurned, type ShopAndShelf } from '@/core/equipment'
import { type Order, splitOrder } from '@/core/order'
import { advanced, NO_SUMMARY, noDecisions, plan, roomLines } from '@/core/plan'
import { type Database, openDatabase } from '@/store/database'
import { loadDecisions, saveDecisions } from '@/store/decisions'
import { DEMO_SHELF, DEMO_SHOP, demoOrders, seedDemo } from '@/store/demo'
import { addOrder, loadOrder, markOrderAs, saveOrder } from '@/store/orders'
import { release } from '@/store/revisions'
import { loadShop, putShop } from '@/store/shop'
import { isStage, STAGE_NAMES, settledWords, stageOf } from './orders/[id]/stages'
import { renewPlans } from './planning'
import { asKind, toggleFlash, withPlaces } from './shop/pressKinds'
import { ahead, everyOrderLine, type OrderLine, orderLines } from './today'

/** The jobs of the screen room once everything is planned. */
const everyScreenJob = async (db: Database) => {
  await planned(db)
  return (await ahead(db)).jobs
}
const settledLines = async (db: Database, query: Parameters<typeof orderLines>[1]) => {
  await planned(db)
  return orderLines(db, query)
}
const planned = async (db: Database) => {
  await ahead(db)
  await renewPlans(db)
}

const orders = demoOrders('2026-11-23')
const ALL = { text: '', show: 'current', offset: 0, limit: 50 } as const

describe('rows that are stored wrong', () => {
  it('take no list down: each says what is wrong and leads to where it is mended', async () => {
    const db = await openDatabase(':memory:')
    await seedDemo(db, '2026-11-23')
    await db.updateTable('customer_order').set({ due: '2026-02-30' }).where('id', '=', 'O-1002').execute()
    await db
      .updateTable('garment_line')
      .set({ hex: 'blue-ish', weave: 'felt' })
      .where('order_id', '=', 'O-1003')
      .execute()
    await db.updateTable('placement').set({ location: 'the moon' }).where('order_id', '=', 'O-1004').execute()
    await db
      .updateTable('placement_ink')
      .set({ ink_type: 'loud', opacity: 'so-so' })
      .where('order_id', '=', 'O-1006')
      .execute()
    await db.updateTable('method').set({ option: 'magic' }).execute()
    await db
      .insertInto('decision')
      .values({ run_id: 'R-1001-P1-dark', kind: 'practice', key: 'white', number: null, word: 'nonsense' })
      .execute()
    const { lines } = await settledLines(db, ALL)
    expect(lines).toHaveLength(10)
    const dated = lines.find((l) => l.id === 'O-1002')
    expect(dated?.wrong).toBe('Due on 2026-02-30: there is no such day.')
    expect(dated?.href).toMatch(/^\/orders\/O-1002\/order/)
    for (const id of ['O-1003', 'O-1004', 'O-1006']) {
      const line = lines.find((l) => l.id === id)
      const told = [
        line?.wrong,
        ...(line?.runs ?? []).flatMap((r) => [r.wrong, ...r.open.map((o) => o.rule)]),
      ]
      expect(told.filter(Boolean).length, id).toBeGreaterThan(0)
    }
    // The others are planned as if nothing was.
    expect(lines.find((l) => l.id === 'O-1001')?.runs[0]?.screens).toBeGreaterThan(0)
    expect((await ahead(db)).jobs.length).toBeGreaterThan(0)
  })
})

describe('the list of orders', () => {
  let db: Database
  beforeAll(async () => {
    db = await openDatabase(':memory:')
    await seedDemo(db, '2026-11-23')
  })
  const runLine = async (runId: string) => {
    const { lines } = await settledLines(db, ALL)
    const order = lines.find((o) => o.runs.some((r) => r.id === runId))
    const run = order?.runs.find((r) => r.id === runId)
    if (!order || !run) throw new Error(`no line ${runId}`)
    return { order, run, href: run.href }
  }
  it('has a line for every run, with press, screens and minutes', async () => {
    const { lines, total } = await settledLines(db, ALL)
    expect(total).toBe(10)
    const runs = lines.flatMap((o) => o.runs)
    expect(runs).toHaveLength(orders.flatMap(splitOrder).length)
    for (const r of runs) {
      expect(r.screens).toBeGreaterThan(0)
      expect(r.time?.[1]).toBeGreaterThan(r.time?.[0] ?? Number.POSITIVE_INFINITY)
    }
    const every: OrderLine[] = []
    for await (const line of everyOrderLine(db)) every.push(line)
    expect(every).toEqual(lines)
  })
  it('puts Stops before Watches, leaves Notes out, and leads to where the worst is settled', async () => {
    const engine = await runLine('R-1004-P1-light')
    expect(engine.run.open.map((r) => r.severity)).toEqual(['Stop', 'Watch'])
    expect(engine.href).toBe('/orders/O-1004/screens?run=R-1004-P1-light')
    expect((await runLine('R-1010-P1-in-between')).href).toMatch(/\/ink\?/)
    expect((await runLine('R-1003-P1-dark')).href).toMatch(/\/sequence\?/)
    expect(await runLine('R-1007-P1-dark-poly')).toMatchObject({
      run: { open: [] },
      href: '/orders/O-1007/run?run=R-1007-P1-dark-poly',
    })
  })
  it('plans again what changed and nothing else', async () => {
    await planned(db)
    // A mark in what is kept of every run, with the stamp as it is.
    await db
      .updateTable('run_summary')
      .set({ facts: JSON.stringify({ ...NO_SUMMARY, press: 'as kept' }) })
      .execute()
    const stored = await loadOrder(db, 'O-1006')
    if (!stored) throw new Error('no order')
    await saveOrder(db, { ...stored.order, notes: `${stored.order.notes} More.` }, stored.version)
    await planned(db)
    const { lines } = await orderLines(db, ALL)
    const anew = lines.filter((l) => l.runs.some((r) => r.press !== 'as kept')).map((l) => l.id)
    expect(anew).toEqual(['O-1006'])
    await db.updateTable('run_summary').set({ stamp: '' }).execute()
    await planned(db)
  })
  it('plans nothing that is done: it says what was known, until it is opened again', async () => {
    const db = await openDatabase(':memory:')
    await seedDemo(db, '2026-11-23')
    await markOrderAs(db, 'O-1004', 'done', new Date('2026-11-24T10:00:00Z'))
    const ofDone = async () => {
      const { lines, planning } = await settledLines(db, { ...ALL, text: 'O-1004', show: 'all' })
      return { planning, runs: lines.flatMap((l) => l.runs) }
    }
    const done = await ofDone()
    expect(done.planning).toBe(0)
    expect(done.runs.length).toBeGreaterThan(0)
    expect(done.runs.every((r) => !r.planning && r.press === '')).toBe(true)
    await markOrderAs(db, 'O-1004', 'open', new Date('2026-11-24T11:00:00Z'))
    expect((await ofDone()).runs.every((r) => !r.planning && r.press !== '')).toBe(true)
  })
  it('follows what the lead decides, the shop, and what was released', async () => {
    const id = 'R-1005-P2-dark'
    const order = (await loadOrder(db, 'O-1005'))?.order as Order
    const inks = order.placements[1]?.inks ?? []
    const straight = {
      ...noDecisions(id),
      overrides: Object.fromEntries(inks.map((ink) => [`base.${ink.id}`, 'none'])),
    }
    const decided = (await loadDecisions(db, ['O-1005'])).get(id)
    const screens = (await runLine(id)).run.screens
    await saveDecisions(db, straight, decided?.version ?? 0)
    expect((await runLine(id)).run.screens).toBeLessThan(screens)

    await putShop(db, DEMO_SHELF)
    const frozen = { order, plan: plan(order, DEMO_SHOP, straight), shopName: '' }
    await release(db, frozen, 0, new Date())
    expect((await runLine(id)).run).toMatchObject({ revision: 1, changed: 0 })
    const slow: ShopAndShelf = {
      ...DEMO_SHELF,
      shop: { ...DEMO_SHOP, dryers: DEMO_SHOP.dryers.map((d) => ({ ...d, heatedLength: 1 })) },
    }
    await putShop(db, slow)
    expect((await runLine(id)).run.changed).toBeGreaterThan(0)
    await putShop(db, DEMO_SHELF)
    expect((await runLine(id)).run.changed).toBe(0)
  })
  it('asks the screen room for every screen of every run; a step done changes no summary', async () => {
    const jobs = await everyScreenJob(db)
    expect(jobs).toHaveLength(orders.flatMap(splitOrder).length)
    const { lines } = await settledLines(db, ALL)
    for (const { id, screens } of lines.flatMap((o) => o.runs))
      expect(jobs.find((j) => j.runId === id)?.screens).toHaveLength(screens)
    for (const line of lines) for (const run of line.runs) expect(run).not.toHaveProperty('job')
    const stamps = async () =>
      (await db.selectFrom('run_summary').select(['run_id', 'stamp']).orderBy('run_id').execute()).map(
        (r) => r.stamp,
      )
    const before = await stamps()
    const { shelf } = await loadShop(db)
    const first = roomLines(jobs, shelf.shop).find((l) => l.frame)
    const [coated] = first ? advanced(first, shelf.shop, '2026-11-23T08:00') : []
    if (!first || !coated) throw new Error('no screen with a frame')
    const put = (frame: Frame): ShopAndShelf => ({
      ...shelf,
      shop: { ...shelf.shop, frames: shelf.shop.frames.map((f) => (f.id === frame.id ? frame : f)) },
    })
    await putShop(db, put(coated))
    await everyScreenJob(db)
    const held = await stamps()
    expect(held).not.toEqual(before)
    const [line] = roomLines(jobs, put(coated).shop).filter((l) => l.key === first.key)
    const [dried] = line ? advanced(line, put(coated).shop, '2026-11-23T09:00') : []
    if (!dried) throw new Error('the stencil is lost')
    await putShop(db, put(dried))
    await everyScreenJob(db)
    expect(await stamps()).toEqual(held)
    await putShop(db, shelf)
  })
  it('says what an order still misses', async () => {
    const [order] = orders
    const [first] = order?.placements ?? []
    if (!order || !first) throw new Error('no order')
    const bare = { ...first, inks: [], relations: [] }
    const cases: readonly (readonly [Partial<Order>, string | undefined, string])[] = [
      [{ customer: '' }, 'customer', 'order'],
      [{ lines: [] }, 'quantities', 'order'],
      [{ placements: [bare] }, 'colours', 'art'],
      [{ placements: [first, { ...bare, id: 'P2' }] }, undefined, 'run'],
    ]
    for (const [i, [change, missing, stage]] of cases.entries()) {
      const id = `O-${2000 + i}`
      await addOrder(db, { ...order, ...change, id })
      const line = (await settledLines(db, { ...ALL, text: id })).lines[0]
      if (!line) throw new Error(`no ${id}`)
      expect(line.missing).toBe(missing)
      expect((missing ? line : line.runs[0])?.href).toContain(`/${stage}`)
      if (!missing) expect(line.runs[1]?.href).toContain('/art?')
    }
    const empty = await openDatabase(':memory:')
    await addOrder(empty, order)
    expect((await settledLines(empty, ALL)).lines[0]?.missing).toBe('press')
  })
})

describe('a press in the editor', () => {
  const [four] = DEMO_SHOP.presses
  if (four?.kind !== 'manual') throw new Error('no carousel')
  it('keeps what both kinds have', () => {
    const ring = asKind(four, 'automatic')
    expect(ring).toMatchObject({ id: 'four', name: 'Carousel Four', palletWidth: four.palletWidth })
    expect(asKind(asKind(four, 'bench'), 'manual')).toMatchObject({ kind: 'manual', down: [] })
    expect(asKind(four, 'single')).toMatchObject({ kind: 'single', heads: 6 })
  })
  it('loses only the places that go', () => {
    const down = headTurned(headTurned(four, 6), 2)
    expect(down).toMatchObject({ down: [2, 6] })
    expect(withPlaces(down, 4)).toMatchObject({ heads: 4, down: [2] })
    const ring = headTurned(toggleFlash(asKind(four, 'automatic'), 3), 3)
    const longer = withPlaces(ring, 10)
    if (longer.kind !== 'automatic') throw new Error('no ring')
    expect(longer.stations).toHaveLength(10)
    expect(longer.stations[2]).toEqual({ number: 3, usable: false, flashAllowed: false })
  })
})

describe('the traveller', () => {
  const [order] = orders
  const [run] = order ? splitOrder(order) : []
  if (!order || !run) throw new Error('no run')
  const p = plan(order, DEMO_SHOP, noDecisions(run.id))
  it('says in a few words what each stage has settled, in either unit', () => {
    const words = (units: 'metric' | 'inch') => STAGE_NAMES.map((s) => settledWords(s, order, p, units))
    expect(words('metric')).toEqual([
      '144 pieces',
      '1 print',
      '4 screens',
      expect.stringMatching(/^\d+ g$/),
      'Carousel Four, 2 flashes',
      '70 mm',
      '160 °C',
      expect.stringMatching(/^\d+ min$/),
    ])
    expect(words('inch').slice(5, 7)).toEqual(['2 3/4 in', '320 °F'])
  })
  it('says nothing of a plan that is not there', () => {
    expect(STAGE_NAMES.map((s) => settledWords(s, order, undefined, 'metric'))).toEqual([
      '144 pieces',
      '1 print',
      '',
      '',
      '',
      '',
      '',
      '',
    ])
  })
  it('knows its stages, and where each warning is settled', () => {
    expect(STAGE_NAMES.every(isStage)).toBe(true)
    expect(isStage('toString')).toBe(false)
    expect(stageOf({ rule: 'FRAMES_SHORT', inputs: {} })).toBe('screens')
    expect(stageOf({ rule: 'OFF_PALLET', inputs: {} })).toBe('placement')
    expect(stageOf({ rule: 'BASE_MAYBE', inputs: {} })).toBe('ink')
    expect(stageOf({ rule: 'SQUEEGEE_SHORT', inputs: {} })).toBe('sequence')
    expect(stageOf({ rule: 'POLY_HOT', inputs: {} })).toBe('heat')
    expect(stageOf({ rule: 'RATE_DRYER', inputs: {} })).toBe('run')
    // What once led to the print order.
    for (const rule of ['STENCIL_DISSOLVES', 'POSITION_OUT', 'LINE_LOST', 'EXPOSE_UNFIT', 'EXPOSE_COARSE'])
      expect(stageOf({ rule, inputs: {} })).toBe('screens')
    // A warning about the lead's own choice leads to where it was made.
    const own = (key: string) => stageOf({ rule: 'OVERRIDE_RANGE', inputs: { key } })
    expect([own('offContact'), own('dwell.base'), own('deposit.I1'), own('crew')]).toEqual([
      'screens',
      'heat',
      'ink',
      'run',
    ])
  })
})
