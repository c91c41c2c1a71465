import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { type Database, openDatabase } from './database'
import { demoOrders } from './demo'
import {
  addFilms,
  changeFilm,
  dropFile,
  filmFile,
  incomingFile,
  keepFile,
  loadFilms,
  loadReading,
  type Reading,
  removeFilm,
  replaceFilms,
  type StoredFilm,
  saveReading,
} from './films'
import { addOrders, loadOrder, saveOrder } from './orders'

let db: Database
let data: string
beforeEach(async () => {
  data = mkdtempSync(join(tmpdir(), 'orvint-films-'))
  process.env.ORVINT_DATA = data
  db = await openDatabase(':memory:')
  await addOrders(db, demoOrders('2026-11-23'))
})
afterEach(() => {
  delete process.env.ORVINT_DATA
  rmSync(data, { recursive: true })
})

const film = (ink: string, more: Partial<StoredFilm> = {}): Omit<StoredFilm, 'id'> => ({
  ink,
  name: `${ink}.png`,
  hash: 'a'.repeat(64),
  page: 0,
  across: 3000,
  down: 4000,
  dpi: 300,
  raster: true,
  ...more,
})

const films = async (print = 'P1') => (await loadFilms(db, 'O-1001'))[print] ?? []

describe('films of a print', () => {
  it('come back as they were brought, in their order, print by print', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('base'), film('I1', { negative: true })])
    const { dpi: _, ...unsized } = film('')
    await addFilms(db, 'O-1001', 'P2', [unsized])
    expect(await films()).toMatchObject([film('base'), film('I1', { negative: true })])
    const [only] = await films('P2')
    expect(only).toMatchObject(unsized)
    expect(only).not.toHaveProperty('dpi')
  })

  it('a newer state of a file takes its place; another of the colour gets it, and none is lost', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('I1', { name: 'red.png' }), film('', { name: 'second.png' })])
    await addFilms(db, 'O-1001', 'P1', [film('I1', { name: 'red.png', hash: 'newer' })])
    expect((await films()).map((f) => [f.name, f.hash, f.ink])).toEqual([
      ['second.png', expect.anything(), ''],
      ['red.png', 'newer', 'I1'],
    ])
    await addFilms(db, 'O-1001', 'P1', [film('I1', { name: 'red, right half.png' })])
    expect((await films()).map((f) => [f.name, f.ink])).toEqual([
      ['second.png', ''],
      ['red.png', ''],
      ['red, right half.png', 'I1'],
    ])
  })

  it('what is sent twice is there once, as it was corrected meanwhile', async () => {
    const sent = [film('', { name: 'moon.png' }), film('I2')]
    await addFilms(db, 'O-1001', 'P1', sent)
    const [first] = await films()
    await changeFilm(db, 'O-1001', 'P1', first?.id ?? '', { ink: 'I1', dpi: 150 })
    const before = await films()
    expect(await addFilms(db, 'O-1001', 'P1', sent)).toBe(true)
    expect(await films()).toEqual(before)
    // Another print, and the same file under the name of another colour, are others.
    await addFilms(db, 'O-1001', 'P2', sent)
    await addFilms(db, 'O-1001', 'P1', [film('', { name: 'sun.png' })])
    expect(await films('P2')).toHaveLength(2)
    expect(await films()).toHaveLength(3)
  })

  it('are corrected and taken off one by one', async () => {
    await addFilms(db, 'O-1001', 'P1', [film(''), film('I2')])
    const [first, second] = await films()
    expect(
      await changeFilm(db, 'O-1001', 'P1', first?.id ?? '', { ink: 'I1', dpi: 150, negative: false }),
    ).toBe(true)
    expect((await films())[0]).toMatchObject({ ink: 'I1', dpi: 150, negative: false })
    await removeFilm(db, 'O-1001', 'P1', second?.id ?? '')
    expect(await films()).toHaveLength(1)
    expect(await changeFilm(db, 'O-1001', 'P1', second?.id ?? '', { ink: 'I1' })).toBe(false)
  })

  it('what a person says of one is kept, and taken back with null; a row that was broken takes nothing down', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('I1')])
    const own = async () => (await loadFilms(db, 'O-1001')).P1?.[0]
    const id = (await own())?.id ?? ''
    const said = {
      ...{ negative: false, opaque: true, screened: false, turn: 'mirrored' as const, aside: true },
      kept: [{ x: 0.1, y: 0.2 }],
    }
    await changeFilm(db, 'O-1001', 'P1', id, said)
    expect(await own()).toMatchObject(said)
    await changeFilm(db, 'O-1001', 'P1', id, {
      ...{ negative: null, opaque: null, screened: null, turn: null, aside: null },
      kept: [],
    })
    for (const key of Object.keys(said)) expect(await own()).not.toHaveProperty(key)
    for (const broken of ['{', '[{"x":"far"},null,{"x":1,"y":2}]', '7'])
      await db.updateTable('film').set({ kept: broken, turn: 'sideways' }).execute().then(own)
    expect(await own()).toMatchObject({ kept: [] })
    expect(await own()).not.toHaveProperty('turn')
  })

  it('one stands in the place of others, which are set aside', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('I1'), film('I2')])
    const [a, b] = (await loadFilms(db, 'O-1001')).P1 ?? []
    await replaceFilms(db, 'O-1001', 'P1', [a?.id ?? ''], { ...film('I1'), name: 'mended.tiff' })
    const now = (await loadFilms(db, 'O-1001')).P1 ?? []
    expect(now.map((f) => [f.name, f.ink, f.aside ?? false])).toEqual([
      [a?.name, '', true],
      [b?.name, 'I2', false],
      ['mended.tiff', 'I1', false],
    ])
  })

  it('a film given the colour of another takes it from that one', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('I1'), film('')])
    const [, second] = await films()
    await changeFilm(db, 'O-1001', 'P1', second?.id ?? '', { ink: 'I1' })
    expect((await films()).map((f) => f.ink)).toEqual(['', 'I1'])
    expect(await changeFilm(db, 'O-1001', 'P1', second?.id ?? '', {})).toBe(true)
    expect(await changeFilm(db, 'O-1001', 'P1', 'nosuch', { ink: 'I1' })).toBe(false)
    expect((await films()).map((f) => f.ink)).toEqual(['', 'I1'])
  })

  it('outlive a save of the order, and go with the order', async () => {
    await addFilms(db, 'O-1001', 'P1', [film('I1')])
    const stored = await loadOrder(db, 'O-1001')
    if (!stored) throw new Error('no order')
    await saveOrder(db, { ...stored.order, notes: 'changed' }, stored.version)
    expect(await films()).toHaveLength(1)
    await db.deleteFrom('customer_order').where('id', '=', 'O-1001').execute()
    expect(await films()).toEqual([])
  })

  it('of an order that is not there are refused, and none is kept', async () => {
    expect(await addFilms(db, 'O-9999', 'P1', [film('I1')])).toBe(false)
    const wrong = film('I2', { across: -1 })
    await expect(addFilms(db, 'O-1001', 'P1', [film('I1'), wrong])).rejects.toThrow(/CHECK/)
    expect(await films()).toEqual([])
  })
})

describe('a reading', () => {
  const reading: Reading = { films: ['a'], facts: [], pairs: [], print: undefined, reference: 0, tiles: [] }

  it('is known by what names its films, and by nothing else', async () => {
    await saveReading(db, 'O-1001', 'P1', 'key', reading)
    expect(await loadReading(db, 'O-1001', 'P1', 'key')).toEqual(JSON.parse(JSON.stringify(reading)))
    expect(await loadReading(db, 'O-1001', 'P1', 'other')).toBeUndefined()
    expect(await loadReading(db, 'O-1001', 'P2', 'key')).toBeUndefined()
  })

  it('is replaced by the next one', async () => {
    await saveReading(db, 'O-1001', 'P1', 'key', reading)
    await saveReading(db, 'O-1001', 'P1', 'next', { ...reading, reference: 1 })
    expect(await loadReading(db, 'O-1001', 'P1', 'key')).toBeUndefined()
    expect((await loadReading(db, 'O-1001', 'P1', 'next'))?.reference).toBe(1)
  })
})

describe('files', () => {
  it('are kept once, under the SHA-256 of their content (published: FIPS 180-4, the hash of "abc")', async () => {
    for (let i = 0; i < 2; i++) {
      const incoming = await incomingFile()
      writeFileSync(incoming, 'abc')
      const hash = await keepFile(incoming)
      expect(hash).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad')
      expect(existsSync(filmFile(hash))).toBe(true)
    }
    expect(readdirSync(join(data, 'films'))).toHaveLength(1)
  })

  it('that were refused leave nothing behind', async () => {
    const incoming = await incomingFile()
    writeFileSync(incoming, 'half')
    await dropFile(incoming)
    await dropFile(incoming)
    expect(readdirSync(join(data, 'films'))).toEqual([])
  })
})
