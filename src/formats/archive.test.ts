import { describe, expect, it } from 'vitest'
import { eventSchema } from '@/core/record'
import { DEMO_DECISIONS, DEMO_SHELF, demoOrders } from '@/store/demo'
import { type ArchiveSource, archiveText, readArchiveFile } from './archive'

const writeArchiveFile = async <R, B>(source: ArchiveSource<R, B>): Promise<string> => {
  let text = ''
  for await (const part of archiveText(source)) text += part
  return text
}

const archive = {
  shelf: DEMO_SHELF,
  orders: demoOrders('2026-11-23').map((order, i) =>
    i === 0 ? { order, deletedAt: '2026-11-20T08:00:00.000Z' } : { order },
  ),
  decisions: DEMO_DECISIONS,
  revisions: [
    {
      runId: 'R-1001-P1-dark',
      number: 1,
      code: 'K7Q2M',
      releasedAt: '2026-11-20T08:00:00.000Z',
      plan: { offContact: 0.0032 },
      order: {},
    },
  ],
  films: [],
  inkBook: {
    can: [{ id: 'C-0001', code: 'W1', lot: 'L7', received: '2026-11-20', opened: null }],
    batch: [],
    batch_part: [],
    stock_entry: [
      {
        id: 1,
        at: '2026-11-20T09:00',
        tub: 'C-0001',
        kind: 'received',
        mass: 5,
        batch_id: '',
        corrects: null,
        note: '',
        code: null,
      },
    ],
    drawdown: [],
  },
}
const text = await writeArchiveFile(archive)
// biome-ignore lint/suspicious/noExplicitAny: the tests write nonsense on purpose
const wrong = (edit: (file: any) => void) => {
  const file = JSON.parse(text)
  edit(file)
  const read = readArchiveFile(JSON.stringify(file))
  return read.ok ? [] : read.wrong
}

describe('the archive file', () => {
  it('reads back as it was written, to the same text', async () => {
    const read = readArchiveFile<(typeof archive.revisions)[number], typeof archive.inkBook>(text)
    if (!read.ok) throw new Error(read.wrong.join('\n'))
    expect(read.archive.decisions).toEqual(archive.decisions)
    expect(read.archive.revisions).toEqual(archive.revisions)
    expect(read.archive.inkBook).toEqual(archive.inkBook)
    expect(read.archive.orders[0]?.deletedAt).toBe(archive.orders[0]?.deletedAt)
    expect(read.archive.shelf.shop.hours).toEqual(DEMO_SHELF.shop.hours)
    expect(await writeArchiveFile(read.archive)).toBe(text)
  })
  it('of an older program has the ink of a pour in its note, and is read so', () => {
    const file = JSON.parse(text)
    const [received] = file.inkBook.stock_entry
    const { code: _, ...bare } = received
    file.inkBook.stock_entry = [bare, { ...bare, id: 2, kind: 'mixed', note: 'of W1' }]
    const read = readArchiveFile<unknown, typeof archive.inkBook>(JSON.stringify(file))
    expect(read.ok && read.archive.inkBook?.stock_entry).toEqual([
      received,
      { ...received, id: 2, kind: 'mixed', note: '', code: 'W1' },
    ])
  })
  it('of an older program has steps of a set-up by themselves, and they are read as said at the press', () => {
    const file = JSON.parse(text)
    file.setups = [{ runId: 'R-1001-P1-dark', hitId: 'base', step: 'level', at: '2026-11-20T08:00:30' }]
    const read = readArchiveFile(JSON.stringify(file))
    if (!read.ok) throw new Error(read.wrong.join())
    const [said] = read.archive.atPress ?? []
    expect(said?.runId).toBe('R-1001-P1-dark')
    expect(said?.event).toMatchObject({ kind: 'tick', step: 'head.level', hit: 'base' })
    expect(eventSchema.isValidSync(said?.event)).toBe(true)
    file.atPress = [{ ...said?.event, runId: 'R-1001-P1-dark', step: '<b>' }]
    expect(readArchiveFile(JSON.stringify(file)).ok).toBe(false)
  })
  it('carries units in names and keeps revisions as they were frozen', () => {
    expect(text).toContain('"palletWidthMm": 406')
    expect(text).toContain('"offContact":0.0032')
  })
  it('says what is wrong at its place, and is taken whole or not at all', () => {
    expect(wrong((f) => delete f.shop)).toEqual(['shop: shop is a required field'])
    expect(
      wrong((f) => {
        f.version = 3
      }),
    ).toEqual(['version: version must be 1.'])
    expect(
      wrong((f) => {
        f.orders[2].order.due = '2026-02-30'
      }),
    ).toEqual(['orders[2].order.due: A date is written 2026-12-01, and must be one that there is.'])
    // An order that was just opened has no customer yet: what can be held can be carried.
    expect(
      wrong((f) => {
        f.orders[2].order.customer = ''
      }),
    ).toEqual([])
    expect(
      wrong((f) => {
        f.shop.frames[0].meshPerCm = -1
      }),
    ).toEqual(['shop.frames[0].meshPerCm: Mesh must be above 0.'])
    expect(
      wrong((f) => {
        f.shop.flashes[0].pressId = 'sold'
      })[0],
    ).toMatch(/stands at a press that is gone/)
    const read = readArchiveFile('nonsense')
    expect(read.ok ? '' : read.wrong[0]).toMatch(/^Not JSON/)
  })
})
