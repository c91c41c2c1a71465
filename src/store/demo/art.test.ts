import { describe, expect, it } from 'vitest'
import { colourOfFile } from '@/core/artwork'
import { readDrawing } from '@/formats/film/svg'
import { DEMO_ART } from './art'
import type { DemoFilm } from './filmSheet'
import { demoOrders } from './orders'
import { screened } from './screened'

const ALL = Object.entries(DEMO_ART).map(([print, draw]): [string, readonly DemoFilm[]] => [print, draw()])
const placementOf = (print: string) => {
  const [order, placement] = print.split('/')
  return demoOrders('2026-11-23')
    .find((o) => o.id === order)
    ?.placements.find((p) => p.id === placement)
}

describe.each(ALL)('films of %s', (print, films) => {
  it('are for the colours of the print, each once, under a name of their own', () => {
    const colours = ['base', ...(placementOf(print)?.inks.map((i) => i.id) ?? [])]
    for (const f of films) expect(colours).toContain(f.ink)
    expect(new Set(films.map((f) => f.ink)).size).toBe(films.length)
    expect(new Set(films.map((f) => f.name)).size).toBe(films.length)
  })

  it('are one sheet in size', () => {
    for (const f of films) {
      const size = 'svg' in f ? readDrawing(f.svg).size : f.halftone
      expect([size?.width, size?.height]).toEqual([330, 483])
    }
  })

  it('of the base are known by their name', () => {
    const inks = placementOf(print)?.inks ?? []
    for (const f of films.filter((x) => x.ink === 'base')) expect(colourOfFile(f.name, inks)).toBe('base')
  })
})

describe('a halftone', () => {
  const tinted = (tint: number, degrees = 22.5) =>
    screened({ width: 30, height: 30, dpi: 300, lpi: 50, degrees, tint: () => tint, coarse: 1, marks: [] })
  const share = ({ grey }: { readonly grey: Uint8Array }) =>
    grey.reduce((n, v) => n + (v === 0 ? 1 : 0), 0) / grey.length

  it('is clear without tint and full with all of it', () => {
    expect([share(tinted(0)), share(tinted(1))]).toEqual([0, 1])
  })

  it('covers half at half tint, and more with more', () => {
    expect(share(tinted(0.5))).toBeCloseTo(0.5, 1)
    const rising = [0.1, 0.3, 0.5, 0.7, 0.9].map((t) => share(tinted(t)))
    expect(rising).toEqual([...rising].sort((a, b) => a - b))
  })

  it('covers the same at any angle', () => {
    for (const degrees of [0, 15, 45]) expect(share(tinted(0.4, degrees))).toBeCloseTo(share(tinted(0.4)), 1)
  })

  it('has a pixel for each of its inches', () => {
    expect(tinted(0.5)).toMatchObject({ width: 354, height: 354 })
  })
})
