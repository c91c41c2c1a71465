import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Placement } from '@/core/order'
import { decodeFilm, filmPages } from '@/formats/film'
import { demoOrders } from '@/store/demo'
import { DEMO_ART } from '@/store/demo/art'
import { demoFile } from '@/store/demo/films'
import type { StoredFilm } from '@/store/films'
import type { Outcome, Report, SetOrder } from '@/workers/films'
import { Cancelled } from '../thread'
import { inDarkroom, readFilms } from './darkroom'
import { BASE_HEX, paintsOf } from './paints'
import { setOrderOf } from './setOrder'

const film = (more: Partial<StoredFilm>): StoredFilm => ({
  id: 'f',
  ink: '',
  name: 'f.png',
  hash: 'hash',
  page: 0,
  across: 3000,
  down: 4500,
  dpi: 300,
  raster: true,
  ...more,
})

const drawing = film({ across: 254, down: 381, dpi: 25.4, raster: false })

describe('how a set is drawn', () => {
  it('drawings alone at 300 dpi', () => {
    expect(setOrderOf([drawing])).toMatchObject({ dpi: 300, width: 3000, height: 4500 })
  })

  it('at the finest raster, and at 600 dpi at the most', () => {
    expect(setOrderOf([drawing, film({ dpi: 240, across: 2400, down: 3600 })])).toMatchObject({
      dpi: 240,
      width: 2400,
    })
    expect(setOrderOf([film({ dpi: 1200, across: 12_000, down: 18_000 })])).toMatchObject({
      dpi: 600,
      width: 6000,
    })
  })

  it('on a sheet that holds the largest film', () => {
    const set = setOrderOf([film({}), film({ across: 1500, down: 6000 })])
    expect([set.width, set.height]).toEqual([3000, 6000])
    expect(set.films.map((f) => f.width)).toEqual([3000, 1500])
  })

  it('without films whose size no one said yet', () => {
    const { dpi: _, ...unsized } = film({})
    expect(setOrderOf([unsized]).films).toEqual([])
  })

  it('has a name that changes with what is drawn, and not with the colour it is for', () => {
    const key = (more: Partial<StoredFilm>) => setOrderOf([film(more)]).key
    expect(key({ ink: 'I1', name: 'other.png' })).toBe(key({}))
    for (const more of [{ hash: 'x' }, { page: 1 }, { dpi: 150 }, { negative: true }, { negative: false }])
      expect(key(more)).not.toBe(key({}))
  })
})

it('a picture is painted base first, then colours as listed; process inks are looked through', () => {
  const order = demoOrders('2026-11-23').find((o) => o.id === 'O-1004')
  const placement = order?.placements[0] as Placement
  const films = [film({ ink: 'I2' }), film({ ink: 'base' }), film({ ink: '' }), film({ ink: 'I1' })]
  expect(paintsOf(films, placement)).toEqual([
    { hex: BASE_HEX, clear: false, film: 1 },
    { hex: placement.inks[0]?.hex, clear: true, film: 3 },
    { hex: placement.inks[1]?.hex, clear: true, film: 0 },
  ])
})

const wholeOf = (read: Outcome) => {
  if (!read.ok) throw new Error(read.wrong[0]?.problem)
  return read
}

describe('the thread that reads films', () => {
  let folder: string
  let set: SetOrder
  beforeAll(async () => {
    folder = mkdtempSync(join(tmpdir(), 'orvint-dark-'))
    const drawn = DEMO_ART['O-1006/P1']?.() ?? []
    const films = await Promise.all(
      drawn.map(async (f, i) => {
        const path = join(folder, `${i}`)
        writeFileSync(path, await demoFile(f))
        return { path, page: 0, width: 1949, height: 2852 }
      }),
    )
    set = {
      key: 'moth',
      table: join(folder, 'kept', 'moth'),
      dpi: 150,
      width: 1949,
      height: 2852,
      films,
      kept: [],
    }
  })
  // What is kept may still be written by the thread.
  afterAll(() =>
    vi.waitFor(() => rmSync(folder, { recursive: true, force: true }), { timeout: 5000, interval: 100 }),
  )
  const never = new AbortController().signal

  it('tells each film and each pair as it comes, and answers with all of it', async () => {
    const told: Report[] = []
    const read = wholeOf(await readFilms(set, (r) => told.push(r), never))
    expect(read.facts).toHaveLength(3)
    expect(read.pairs.map((p) => [p.a, p.b])).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
    ])
    expect(told.filter((r) => r.step === 'read').map((r) => 'film' in r && r.film)).toEqual([0, 1, 2])
    // The moth was drawn with a choke of 0.34 mm and eyes that overlap by 0.3 mm.
    expect((read.pairs[2]?.trap?.median ?? 0) * 1000).toBeCloseTo(0.3, 0)
    const base = await inDarkroom((api) => api.base(set, 0, [1], [2]))
    expect(Math.abs((base?.choke?.median ?? 0) * 1000 - 0.34)).toBeLessThan(25.4 / 150)
  })

  it('cuts tiles of the preview, and none where there is no ink', async () => {
    const tile = await inDarkroom((api) => api.tile(set, 1, 3, 0, 0))
    expect(tile).toHaveLength(256 * 256)
    expect(await inDarkroom((api) => api.tile(set, 1, 0, 0, 0))).toBeUndefined()
    expect(await inDarkroom((api) => api.tile(set, 9, 0, 0, 0))).toBeUndefined()
  })

  it('composes the picture in ink colours on the cloth', async () => {
    const paints = [{ film: 1, hex: '#c06030', clear: false }]
    const png = await inDarkroom((api) => api.picture(set, paints, '#102040', 200))
    const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true })
    expect(info.width).toBe(200)
    expect([...data.subarray(0, 3)]).toEqual([0x10, 0x20, 0x40])
    const colours = new Set<string>()
    for (let i = 0; i < data.length; i += 3) colours.add(data.subarray(i, i + 3).toString('hex'))
    expect(colours.has('c06030')).toBe(true)
  })

  it('measures what a push opens and what a miss shows', async () => {
    const still = { dx: 0, dy: 0, rotation: 0 }
    const opened = await inDarkroom((api) => api.pushed(set, [still, still, { ...still, dx: 0.002 }]))
    expect(opened.find((o) => o.a === 1 && o.b === 2)?.widest).toBeGreaterThan(0.001)
    const exposed = await inDarkroom((api) => api.exposed(set, 0, 0.001))
    expect(exposed.find((e) => e.a === 1 && e.b === 2)?.base).toBeGreaterThan(0.5)
  })

  it('says which film is bad, and reads no set with one', async () => {
    const path = join(folder, 'bad')
    writeFileSync(path, 'no film')
    const bad = {
      ...set,
      key: 'bad',
      table: join(folder, 'kept', 'bad'),
      films: [...set.films, { path, page: 0, width: 10, height: 10 }],
    }
    // In the answer, not beside it: what is reported may come after who asked has gone.
    expect(await readFilms(bad, () => undefined, never)).toMatchObject({ ok: false, wrong: [{ film: 3 }] })
    expect(await inDarkroom((api) => api.tile(bad, 0, 0, 0, 0))).toBeUndefined()
    expect(await inDarkroom((api) => api.exposed(bad, undefined, 0.001))).toEqual([])
  })

  it('does what someone waits for before pictures that may come later', async () => {
    const done: string[] = []
    const ask = (name: string, urgency: 'now' | 'later') =>
      inDarkroom(async (api) => {
        await api.tile(set, 1, 3, 0, 0)
        done.push(name)
      }, urgency)
    await Promise.all([
      ask('begun', 'later'),
      ask('picture', 'later'),
      ask('table', 'now'),
      ask('tile', 'now'),
    ])
    expect(done).toEqual(['begun', 'table', 'tile', 'picture'])
    await expect(inDarkroom(() => Promise.reject(new Error('lost')), 'later')).rejects.toThrow('lost')
    expect(await inDarkroom((api) => api.tile(set, 9, 0, 0, 0))).toBeUndefined()
  })

  it('mends the choke of a base: a TIFF at true scale, read back before it is offered', async () => {
    const mended = await inDarkroom((api) => api.mend(set, { film: 0, by: 0.0006, needing: [1] }))
    if (!mended) throw new Error('not read')
    expect(mended.holds).toBe(true)
    expect(Math.abs((mended.after?.median ?? 0) - 0.0006)).toBeLessThan(0.0254 / 150)
    expect((mended.before?.median ?? 1) * 1000).toBeCloseTo(0.34, 0)
    const [page] = await filmPages(new Uint8Array(readFileSync(mended.path)))
    expect(page?.pixels).toEqual({ width: 1949, height: 2852 })
    expect(page?.dpi).toBeCloseTo(150, 0)
    const mirror = await inDarkroom((api) => api.mirrored(mended.path, 150))
    const how = { page: 0, width: 1949, height: 2852 }
    const [one, two] = await Promise.all([
      decodeFilm(new Uint8Array(readFileSync(mended.path)), how),
      decodeFilm(mirror, { ...how, turn: 'mirrored' }),
    ])
    expect(Buffer.from(two.grey).equals(Buffer.from(one.grey))).toBe(true)
    // What cannot be is told, and not offered: nothing is left of a base choked by more than it is wide.
    const gone = await inDarkroom((api) => api.mend(set, { film: 0, by: 0.002, needing: [] }))
    expect(gone?.holds).toBe(false)
  })

  it('joins no films that are no tiles', async () => {
    expect(await inDarkroom((api) => api.join(set, 0))).toBeUndefined()
  })

  it('after a start shows what it kept, without reading a film again; torn, it reads them', async () => {
    const table = join(folder, 'kept', 'again')
    const again = { ...set, key: 'again', table }
    const { print, facts } = wholeOf(await readFilms(again, () => undefined, never))
    await expect.poll(() => existsSync(table)).toBe(true)
    const tile = await inDarkroom((api) => api.tile(again, 1, 3, 0, 0))
    const base = await inDarkroom((api) => api.base(again, 0, [1], [2]))
    // Under another name the thread remembers nothing; without its files it cannot read.
    const gone = {
      ...again,
      key: 'gone',
      films: again.films.map((f) => ({ ...f, path: join(folder, 'none') })),
    }
    expect(await inDarkroom((api) => api.tile(gone, 1, 3, 0, 0))).toEqual(tile)
    expect(await inDarkroom((api) => api.base(gone, 0, [1], [2]))).toEqual(base)
    const paints = [{ film: 1, hex: '#c06030', clear: false }]
    const picture = await inDarkroom((api) => api.picture(gone, paints, '#102040', 100))
    expect((await sharp(picture).metadata()).width).toBe(100)
    expect(print?.width).toBeGreaterThan(0.1)
    expect(facts).toHaveLength(3)
    writeFileSync(table, readFileSync(table).subarray(0, 2000))
    const torn = { ...again, key: 'torn' }
    expect(await inDarkroom((api) => api.tile(torn, 1, 3, 0, 0))).toEqual(tile)
  })

  it('can be told to stop, and then starts afresh', async () => {
    const stop = new AbortController()
    const fresh = { ...set, key: 'fresh', table: join(folder, 'kept', 'fresh') }
    const given = readFilms(fresh, () => stop.abort(), stop.signal)
    const next = readFilms(fresh, () => undefined, never)
    await expect(given).rejects.toThrow(Cancelled)
    expect(wholeOf(await next).facts).toHaveLength(3)
    await expect(readFilms(fresh, () => undefined, AbortSignal.abort())).rejects.toThrow(Cancelled)
  })
})
