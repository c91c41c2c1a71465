import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { BANDS } from '@/core/color'
import { type Database, openDatabase } from './database'
import {
  addDrawdown,
  batchesFor,
  beginBatch,
  countCan,
  finishMix,
  ledger,
  loadBatch,
  loadInkStock,
  moveInk,
  type NewCan,
  pastBatches,
  pour,
  receiveCans,
  restoreBatch,
  setParts,
  undoPour,
  usedInRuns,
} from './inkRoom'

const AT = '2026-11-24T09:00'
const NEW = {
  name: 'Comet blue',
  system: 'plastisol',
  target: { l: 61, a: -8, b: -30 },
  parts: [
    { code: 'W1', share: 0.7 },
    { code: 'B2', share: 0.3 },
  ],
  runId: 'R-1001-P1-dark',
  hitId: 'I2',
  wanted: 0.6,
}

let db: Database
const receiveCan = async (can: NewCan) => (await receiveCans(db, [can], AT))[0] ?? ''
beforeEach(async () => {
  db = await openDatabase(':memory:')
})
const stocked = async () => {
  const white = await receiveCan({ code: 'W1', lot: 'L7', mass: 5 })
  const blue = await receiveCan({ code: 'B2', lot: 'L9', mass: 1, opened: AT })
  return { white, blue, batch: await beginBatch(db, NEW, AT) }
}
const massOf = async (id: string) => (await loadInkStock(db)).cans.find((c) => c.id === id)?.mass

describe('cans and batches', () => {
  it('are numbered so that people can say them, and keep what they are', async () => {
    const { white, batch } = await stocked()
    expect([white, batch]).toEqual(['C-0001', 'B-0001'])
    const { cans, batches } = await loadInkStock(db)
    expect(cans[0]).toMatchObject({
      code: 'W1',
      lot: 'L7',
      mass: 5,
      opened: undefined,
      received: '2026-11-24',
    })
    expect(batches[0]).toMatchObject({ ...NEW, state: 'mixing', poured: {}, mass: 0, drawdowns: [] })
  })
  it('a can that holds something else is counted: the book says so by an entry; nothing in it takes it off the rack', async () => {
    const { white } = await stocked()
    expect(await countCan(db, white, 4.2, AT)).toEqual({ ok: true })
    expect(await massOf(white)).toBeCloseTo(4.2, 9)
    expect((await ledger(db, 1))[0]).toMatchObject({ tub: white, kind: 'corrected', note: 'counted' })
    const entries = (await ledger(db, 99)).length
    expect(await countCan(db, white, 4.2, AT)).toEqual({ ok: true })
    expect((await ledger(db, 99)).length).toBe(entries)
    await countCan(db, white, 0, AT)
    expect(await massOf(white)).toBe(0)
    expect(await countCan(db, 'C-9999', 1, AT)).toMatchObject({ ok: false })
  })
  it('a pour goes out of the can and into the tub, opens the can, and leads back to its lot', async () => {
    const { white, batch } = await stocked()
    expect(await pour(db, { batchId: batch, canId: white, mass: 0.42 }, AT)).toEqual({ ok: true })
    expect(await massOf(white)).toBeCloseTo(4.58, 9)
    expect((await loadInkStock(db)).cans[0]?.opened).toBe(AT)
    const found = await loadBatch(db, batch)
    expect(found).toMatchObject({ poured: { W1: 0.42 }, mass: 0.42 })
    expect((await ledger(db, 10)).filter((e) => e.batchId === batch).map((e) => [e.tub, e.mass])).toEqual([
      [batch, 0.42],
      [white, -0.42],
    ])
  })
  it('a pour taken back is an entry of its own; nothing is erased', async () => {
    const { white, blue, batch } = await stocked()
    await pour(db, { batchId: batch, canId: white, mass: 0.42 }, AT)
    await pour(db, { batchId: batch, canId: blue, mass: 0.2 }, AT)
    expect(await undoPour(db, batch, AT)).toEqual({ ok: true })
    expect((await loadBatch(db, batch))?.poured).toEqual({ W1: 0.42, B2: 0 })
    expect(await massOf(blue)).toBeCloseTo(1, 9)
    expect(await undoPour(db, batch, AT)).toEqual({ ok: true })
    expect((await loadBatch(db, batch))?.mass).toBe(0)
    expect(await undoPour(db, batch, AT)).toMatchObject({ ok: false, message: 'Nothing is poured yet.' })
    const entries = await ledger(db, 50)
    expect(entries.filter((e) => e.kind === 'corrected').every((e) => e.corrects !== undefined)).toBe(true)
    expect(entries).toHaveLength(2 + 4 + 4)
  })
  it('more than is there is refused with what is there, and nothing is written', async () => {
    const { blue, batch } = await stocked()
    expect(await pour(db, { batchId: batch, canId: blue, mass: 1.2 }, AT)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/C-0002 holds 1000 g by the book/),
    })
    expect(await pour(db, { batchId: batch, canId: blue, mass: Number.NaN }, AT)).toMatchObject({ ok: false })
    expect(await ledger(db, 10)).toHaveLength(2)
  })
  it('two people pour from one can at once: one of them is told', async () => {
    const { blue, batch } = await stocked()
    const other = await beginBatch(db, NEW, AT)
    const both = await Promise.all([
      pour(db, { batchId: batch, canId: blue, mass: 0.7 }, AT),
      pour(db, { batchId: other, canId: blue, mass: 0.7 }, AT),
    ])
    expect(both.filter((b) => b.ok)).toHaveLength(1)
    expect(await massOf(blue)).toBeCloseTo(0.3, 9)
  })
  it('the database itself refuses stock below nothing', async () => {
    const { blue } = await stocked()
    const row = {
      at: AT,
      tub: blue,
      kind: 'used' as const,
      mass: -2,
      batch_id: '',
      corrects: null,
      note: '',
    }
    await expect(db.insertInto('stock_entry').values(row).execute()).rejects.toThrow('stock below nothing')
  })
  it('no order of pours, returns and losses brings a tub below nothing or loses a gram (property)', async () => {
    const step = fc.record({
      what: fc.constantFrom('pour', 'undo', 'discard', 'use', 'return'),
      mass: fc.double({ min: 0.001, max: 0.9, noNaN: true }),
    })
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 14 }), async (steps) => {
        db = await openDatabase(':memory:')
        const { white, batch } = await stocked()
        let outside = 0
        for (const { what, mass } of steps) {
          if (what === 'pour') await pour(db, { batchId: batch, canId: white, mass }, AT)
          else if (what === 'undo') await undoPour(db, batch, AT).catch(() => undefined)
          else {
            const kind = what === 'discard' ? 'discarded' : what === 'use' ? 'used' : 'returned'
            const signed = what === 'return' ? Math.min(mass, outside) : -mass
            if (signed === 0) continue
            const done = await moveInk(db, { batchId: batch, mass: signed, kind, note: '' }, AT)
            if (done.ok) outside -= signed
          }
        }
        const can = (await massOf(white))!
        const tub = (await loadBatch(db, batch))!
        expect(can).toBeGreaterThanOrEqual(0)
        expect(tub.mass).toBeGreaterThanOrEqual(-1e-9)
        expect(can + tub.mass + outside).toBeCloseTo(5, 6)
      }),
      { numRuns: 25 },
    )
  })
  it('a batch is mixed, read, accepted, used and gone', async () => {
    const { white, batch } = await stocked()
    await pour(db, { batchId: batch, canId: white, mass: 0.5 }, AT)
    expect(await restoreBatch(db, batch, 0.7, 0, AT)).toEqual({ ok: true })
    await finishMix(db, batch, AT, '2026-11-24T10:30')
    expect(await loadBatch(db, batch)).toMatchObject({
      state: 'mixed',
      wanted: 0.7,
      expires: '2026-11-24T10:30',
    })
    const curve = BANDS.map(() => 0.4)
    const reading = { at: AT, onWhite: curve, onBlack: curve, difference: 1.2, who: 'Ida' }
    await addDrawdown(db, batch, { ...reading, verdict: 'read' })
    expect((await loadBatch(db, batch))?.state).toBe('mixed')
    await addDrawdown(db, batch, { ...reading, verdict: 'accepted' })
    const found = await loadBatch(db, batch)
    expect(found?.state).toBe('accepted')
    expect(found?.drawdowns.map((d) => [d.verdict, d.who, d.onWhite.length])).toEqual([
      ['read', 'Ida', 16],
      ['accepted', 'Ida', 16],
    ])
    expect(await moveInk(db, { batchId: batch, mass: -0.6, kind: 'used', note: '' }, AT)).toMatchObject({
      ok: false,
    })
    await moveInk(db, { batchId: batch, mass: -0.5, kind: 'used', note: 'R-1001' }, AT)
    expect((await loadInkStock(db)).batches).toEqual([])
  })
  it('what a run used is what went out less what came back', async () => {
    const { white, batch } = await stocked()
    await pour(db, { batchId: batch, canId: white, mass: 0.6 }, AT)
    expect(await usedInRuns(db)).toEqual([])
    await moveInk(db, { batchId: batch, mass: -0.5, kind: 'used', note: '' }, AT)
    await moveInk(db, { batchId: batch, mass: 0.1, kind: 'returned', note: '' }, AT)
    await moveInk(db, { batchId: batch, mass: -0.1, kind: 'discarded', note: '' }, AT)
    expect(await usedInRuns(db)).toEqual([
      { runId: NEW.runId, hitId: NEW.hitId, used: expect.closeTo(0.4, 9) },
    ])
  })
  it('what is thrown away goes in the ratio of that moment', async () => {
    const { white, blue, batch } = await stocked()
    await pour(db, { batchId: batch, canId: white, mass: 0.6 }, AT)
    await pour(db, { batchId: batch, canId: blue, mass: 0.2 }, AT)
    await moveInk(db, { batchId: batch, mass: -0.4, kind: 'discarded', note: '' }, AT)
    const { poured } = (await loadBatch(db, batch))!
    expect(poured.W1).toBeCloseTo(0.3, 9)
    expect(poured.B2).toBeCloseTo(0.1, 9)
  })
})

describe('what was mixed', () => {
  it('is nothing in a new shop', async () => {
    expect(await pastBatches(db, 10)).toEqual([])
    expect(await batchesFor(db, [])).toEqual([])
  })
  const smear = BANDS.map(() => 0.4)
  const drawn = {
    at: AT,
    onWhite: smear,
    onBlack: smear,
    difference: 1.2,
    verdict: 'accepted' as const,
    who: 'Ida',
  }
  it('is kept when the tub is gone: how much, from which lots, how near, by whom', async () => {
    const { white, blue, batch } = await stocked()
    await pour(db, { batchId: batch, canId: white, mass: 0.42 }, AT)
    await pour(db, { batchId: batch, canId: blue, mass: 0.2 }, AT)
    await undoPour(db, batch, AT)
    await pour(db, { batchId: batch, canId: blue, mass: 0.18 }, AT)
    await finishMix(db, batch, AT, undefined)
    await addDrawdown(db, batch, drawn)
    await moveInk(db, { batchId: batch, mass: -0.5, kind: 'used', note: '' }, AT)
    await moveInk(db, { batchId: batch, mass: 0.1, kind: 'returned', note: '' }, AT)
    expect(await batchesFor(db, [NEW.runId])).toHaveLength(1)
    await moveInk(db, { batchId: batch, mass: -0.2, kind: 'discarded', note: '' }, AT)
    expect(await batchesFor(db, [NEW.runId])).toEqual([])
    const [past] = await pastBatches(db, 10)
    expect(past).toMatchObject({
      id: batch,
      state: 'gone',
      made: 0.6,
      used: 0.4,
      left: 0,
      lots: ['B2 L9', 'W1 L7'],
      accepted: { difference: 1.2, who: 'Ida' },
    })
  })
  it('other parts take the place of the ones before, in their order', async () => {
    const { batch } = await stocked()
    const parts = [
      { code: 'W1', share: 0.56 },
      { code: 'B2', share: 0.24 },
      { code: 'A-P', share: 0.2 },
    ]
    await setParts(db, batch, parts)
    expect((await loadBatch(db, batch))?.parts).toEqual(parts)
  })
})
