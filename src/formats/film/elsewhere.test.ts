import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { meetingOf, readFilm, settle } from '@/core/artwork'
import { decodeFilm, filmPages } from './index'

/**
 * Films drawn by other programs (Ghostscript 10.0, librsvg 2.54), with `scripts/drawFilms.mjs`: their truth is the geometry of
 * their source, or the pixels as another reader (libvips) counts them.
 */
const bytes = (name: string) => new Uint8Array(readFileSync(`src/formats/film/elsewhere/${name}`))

async function film(name: string, dpi = 300) {
  const file = bytes(name)
  const [page] = await filmPages(file)
  const own = page?.dpi ?? 300
  const side = (px = 0) => Math.round((px / own) * dpi)
  const { width, height } = page?.pixels ?? { width: 0, height: 0 }
  return readFilm(await decodeFilm(file, { page: 0, width: side(width), height: side(height) }), dpi)
}
const factsOf = async (name: string, dpi?: number) => {
  const [facts] = settle([await film(name, dpi)]).facts
  if (!facts) throw new Error('no film')
  return facts
}
const mm2 = (area: number) => area * 1e6
/** Ink of a file in square millimetres, by its mean grey. */
async function counted(name: string, sheet: number) {
  const { channels } = await sharp(bytes(name) as Buffer).stats()
  return (1 - (channels[0]?.mean ?? 0) / 255) * sheet
}

describe('coverage within 0.3 points of what another reader counts', () => {
  it.each([
    ['tint-35.tiff', 3600, 1600],
    ['tint-55.tiff', 3600, 1600],
    ['fade-45.tiff', 4800, 2400],
    ['patches.tiff', 3600, 693],
  ])('%s, at 600 dpi and at 300', async (name, sheet, area) => {
    const truth = await counted(name, sheet)
    for (const dpi of [600, 300]) {
      const facts = await factsOf(name, dpi)
      expect(facts.marks).toEqual([])
      expect(Math.abs(mm2(facts.inkArea) - truth) / area).toBeLessThan(0.003)
    }
  })

  it.each([
    ['tint-35.tiff', 35],
    ['tint-55.tiff', 55],
    ['fade-45.tiff', 45],
  ])('%s: a halftone, to what the program makes of %s lpi in whole pixels', async (name, lpi) => {
    const [found] = (await factsOf(name, 600)).halftones
    expect(found?.sure).toBe(true)
    expect(Math.abs((found?.ruling ?? 0) * 0.0254 - lpi) / lpi).toBeLessThan(0.03)
  })

  it('dots drawn one by one: ruling, and the angle counter-clockwise as the film is looked at; mirrored, the other way', async () => {
    const file = bytes('dots-28.tiff')
    const how = { page: 0, width: 1417, height: 1417 }
    for (const [turn, angle] of [
      [undefined, 28],
      ['mirrored', 62],
    ] as const) {
      const image = await decodeFilm(file, { ...how, ...(turn ? { turn } : {}) })
      const [found] = settle([readFilm(image, 600)]).facts[0]?.halftones ?? []
      expect((found?.ruling ?? 0) * 0.0254).toBeCloseTo(45, 0)
      expect(((found?.angle ?? 0) * 180) / Math.PI).toBeCloseTo(angle, 0)
    }
  })
})

describe('nothing is lost, and marks are no art', () => {
  it.each([
    ['marks-target.tiff', 'target'],
    ['marks-eye.tiff', 'target'],
    ['marks-corner.tiff', 'corner'],
    ['marks-line.tiff', 'centre line'],
  ])('%s', async (name, shape) => {
    const facts = await factsOf(name)
    expect(facts.marks.map((m) => m.shape)).toEqual([shape, shape, shape, shape])
    expect(Math.abs(mm2(facts.inkArea) - Math.PI * 81) / 3600).toBeLessThan(0.003)
  })

  it.each([
    ['bars.tiff', 2 * 54 * 5],
    ['rose.tiff', undefined],
  ])('%s', async (name, drawn) => {
    const facts = await factsOf(name)
    expect(facts.marks).toHaveLength(4)
    // Of the rose, whose bars cross: all that another reader counts, less the same four marks.
    const area = drawn ?? (await counted(name, 3600)) - ((await counted('bars.tiff', 3600)) - 540)
    expect(Math.abs(mm2(facts.inkArea) - area) / 3600).toBeLessThan(0.003)
  })
})

describe('films that say something else than they seem', () => {
  it('a mirrored film of a knocked-out set', async () => {
    const right = settle([await film('set-colour.tiff'), await film('set-rest.tiff')])
    expect(right.facts.every((f) => !f.mislaid)).toBe(true)
    expect(['touching', 'overlapping']).toContain(meetingOf(right, 0, 1).how)
    const wrong = settle([await film('set-rest.tiff'), await film('set-mirrored.tiff')])
    expect(wrong.facts.map((f) => f.mislaid?.turn)).toContain('mirrored')
  })

  it('an index separation: random dots, no ruling, its coverage as counted', async () => {
    const facts = await factsOf('index.tiff')
    expect(facts.halftones.filter((h) => h.sure)).toEqual([])
    expect(mm2(facts.grain)).toBeGreaterThan(600)
    expect(Math.abs(mm2(facts.inkArea) - (await counted('index.tiff', 3600))) / 1600).toBeLessThan(0.003)
  })

  it('720 by 1440 dpi', async () => {
    const [page] = await filmPages(bytes('two-densities.tiff'))
    expect(page?.size?.width).toBeCloseTo(50, 1)
    expect(page?.size?.height).toBeCloseTo(50, 1)
    expect(Math.abs(mm2((await factsOf('two-densities.tiff')).inkArea) - 400) / 2500).toBeLessThan(0.003)
  })

  it('a white base on nothing', async () => {
    const facts = await factsOf('white-base.png')
    expect(facts.opaque).toBe(true)
    expect(Math.abs(mm2(facts.inkArea) - (Math.PI * 144 + 18 * 14)) / 3600).toBeLessThan(0.003)
  })

  it('a soft film, grey on grey, within a point', async () => {
    const facts = await factsOf('soft.png')
    expect(Math.abs(mm2(facts.inkArea) - (Math.PI * 144 + 240)) / 3600).toBeLessThan(0.01)
  })

  it('a fade that was never screened: half of its area, and told', async () => {
    const facts = await factsOf('unscreened.png')
    expect(Math.abs(mm2(facts.inkArea) - 800) / 1600).toBeLessThan(0.003)
    expect(mm2(facts.grey)).toBeGreaterThan(1000)
  })

  it('half transparent ink: told', async () => {
    const facts = await factsOf('half.png')
    expect(facts.translucent).toBeCloseTo(900 / 3600, 1)
  })
})
