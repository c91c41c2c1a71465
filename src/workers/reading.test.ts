import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type FilmSet, meetingOf, pairsOf } from '@/core/artwork'
import { helperHand } from './helper'
import { type FilmOrder, type Hand, meetings, OWN_HAND, readSet } from './reading'

const SHEET = { dpi: 100, width: 1300, height: 1900 }
const folder = mkdtempSync(join(tmpdir(), 'hands-'))
const films: FilmOrder[] = []

/** Shapes that stand apart, meet, overlap and lie within each other, with a mark in two corners. */
const SHAPES = [
  '<rect x="200" y="200" width="600" height="900"/>',
  '<rect x="780" y="200" width="300" height="900"/>',
  '<circle cx="500" cy="600" r="180"/>',
  '<path d="M200 1300h700v8h-700zM200 1400h700v3h-700z"/>',
  '<rect x="300" y="1290" width="500" height="400"/>',
]
const MARKS = [100, 1200]
  .map((x) => `<circle cx="${x}" cy="100" r="16"/><path d="M${x - 24} 100h48M${x} 76v48"/>`)
  .join('')

beforeAll(() => {
  for (const [i, shape] of SHAPES.entries()) {
    const path = join(folder, `${i}.svg`)
    writeFileSync(
      path,
      `<svg xmlns="http://www.w3.org/2000/svg" width="1300" height="1900">${shape}<g fill="none" stroke="#000" stroke-width="2">${MARKS}</g></svg>`,
    )
    films.push({ path, page: 0, width: SHEET.width, height: SHEET.height })
  }
})
afterAll(() => rmSync(folder, { recursive: true }))

async function setOf(hands: readonly Hand[], given = films): Promise<FilmSet> {
  const set = await readSet({ ...SHEET, films: given, kept: [] }, hands)
  if ('ok' in set) throw new Error(JSON.stringify(set.wrong))
  return set
}

describe('films read by two threads', () => {
  it('are read as by one, in their order, each by one of them', async () => {
    const alone = await setOf([OWN_HAND])
    const seen: string[] = []
    const set = await readSet({ ...SHEET, films, kept: [] }, [OWN_HAND, helperHand()], (r) =>
      seen.push(`${r.step} ${r.film}`),
    )
    if ('ok' in set) throw new Error('films are wrong')
    expect(set.facts).toEqual(alone.facts)
    expect(set.facts.map((f) => f.marks.length)).toEqual([2, 2, 2, 2, 2])
    expect(set.print).toEqual(alone.print)
    expect(set.arts.map((a) => a.print)).toEqual(alone.arts.map((a) => a.print))
    await expect.poll(() => seen.length).toBe(10)
    expect(new Set(seen).size).toBe(10)
  })

  it('meet as they do one by one, whoever looked, in the order of the pairs', async () => {
    const set = await setOf([OWN_HAND, helperHand()])
    const told: number[] = []
    const shared = await meetings(set, helperHand(), ({ a, b }) => told.push(10 * a + b))
    const pairs = pairsOf([0, 1, 2, 3, 4])
    expect(new Set(shared.map((p) => p.how)).size).toBeGreaterThan(1)
    expect(shared).toEqual(pairs.map(([a, b]) => meetingOf(set, a, b)))
    expect(told.toSorted((x, y) => x - y)).toEqual(pairs.map(([a, b]) => 10 * a + b))
    // Nothing of the set was handed over for good: it can be asked again.
    expect(await meetings(set, OWN_HAND)).toEqual(shared)
  })

  it.each([1, 2, 3, 4])('%i films have all their pairs', async (count) => {
    const set = await setOf([OWN_HAND], films.slice(0, count))
    const met = await meetings(set, helperHand())
    expect(met.map(({ a, b }) => [a, b])).toEqual(pairsOf([0, 1, 2, 3].slice(0, count)))
  })

  it('tell which films are wrong, whoever met them', async () => {
    const torn = join(folder, 'torn.png')
    writeFileSync(torn, 'no picture')
    const bad = { page: 0, width: 1300, height: 1900, path: torn }
    const read = await readSet({ ...SHEET, films: [bad, ...films.slice(0, 2), bad], kept: [] }, [
      OWN_HAND,
      helperHand(),
    ])
    expect(read).toMatchObject({ ok: false, wrong: [{ film: 0 }, { film: 3 }] })
    const { wrong } = read as Extract<typeof read, { ok: false }>
    for (const { problem } of wrong) expect(problem).toContain('bring PNG, TIFF, SVG or PDF')
  })

  it('a file that is not there is an error of the reading, not of the film', async () => {
    const gone = { page: 0, width: 1300, height: 1900, path: join(folder, 'gone.png') }
    await expect(
      readSet({ ...SHEET, films: [gone, gone], kept: [] }, [OWN_HAND, helperHand()]),
    ).rejects.toThrow('ENOENT')
  })
})
