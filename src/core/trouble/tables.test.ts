import { expect, it } from 'vitest'
import { keysOf } from '../quantity'
import { bookOf } from './book'
import type { CauseRow } from './tables/causeRow'
import { CAUSES } from './tables/causes'
import { LOOK_ALIKES } from './tables/lookAlikes'
import { QUESTIONS } from './tables/questions'
import { REMEDIES } from './tables/remedies'
import { GROUPS, SYMPTOMS } from './tables/symptoms'

it('forty symptoms in twelve groups, 66 causes, 49 looks, 59 remedies and 110 look-alikes', () => {
  const count = (table: object) => Object.keys(table).length
  expect([SYMPTOMS, GROUPS, CAUSES, QUESTIONS, REMEDIES, LOOK_ALIKES].map(count)).toEqual([
    40, 12, 66, 49, 59, 110,
  ])
  expect(new Set(keysOf(SYMPTOMS).map((s) => SYMPTOMS[s].group)).size).toBe(12)
})

it('shares lie between nothing and one, and the answers to a look sum to one', () => {
  for (const id of keysOf(QUESTIONS)) {
    const usual: Readonly<Record<string, number>> = QUESTIONS[id].usual
    expect(
      Object.values(usual).reduce((a, b) => a + b),
      id,
    ).toBeCloseTo(1, 6)
  }
  for (const id of keysOf(CAUSES)) {
    const cause: CauseRow = CAUSES[id]
    for (const p of Object.values(cause.sees)) {
      expect(p, id).toBeGreaterThan(0)
      expect(p, id).toBeLessThan(1)
    }
    for (const [look, row] of Object.entries<Readonly<Record<string, number>>>(cause.says)) {
      const known = Object.keys(QUESTIONS[look as keyof typeof QUESTIONS].usual)
      expect(known, `${id} ${look}`).toEqual(expect.arrayContaining(Object.keys(row)))
      expect(
        Object.values(row).reduce((a, b) => a + b),
        `${id} ${look}`,
      ).toBeCloseTo(1, 2)
    }
  }
})

it('every symptom has a cause that often shows so, every cause a remedy that mostly cures it', () => {
  for (const s of keysOf(SYMPTOMS))
    expect(
      Math.max(...keysOf(CAUSES).map((c) => (CAUSES[c] as CauseRow).sees[s] ?? 0)),
      s,
    ).toBeGreaterThanOrEqual(0.4)
  for (const c of keysOf(CAUSES)) {
    const fixes: Readonly<Record<string, number>> = REMEDIES[CAUSES[c].first].fixes
    expect(fixes[c], c).toBeGreaterThanOrEqual(0.5)
  }
})

it('names in the tables name something', () => {
  for (const s of keysOf(SYMPTOMS)) {
    for (const other of SYMPTOMS[s].confused) expect(SYMPTOMS).toHaveProperty(other)
    const row: object = SYMPTOMS[s]
    const answers = 'answers' in row ? (row.answers as readonly string[]) : []
    for (const look of answers) expect(QUESTIONS).toHaveProperty(look)
  }
  for (const r of keysOf(REMEDIES))
    for (const c of keysOf<Readonly<Record<string, number>>>(REMEDIES[r].fixes))
      expect(CAUSES).toHaveProperty(c)
})

it('answers are likely as the noisy table says: slips spread evenly, what is not said flattened (inside figures)', () => {
  const cool = bookOf().looks.get('cool')
  const at = (cause: keyof typeof CAUSES) => keysOf(CAUSES).indexOf(cause)
  expect(cool?.likely.map((l) => l[at('underGel')])).toEqual([
    expect.closeTo(0.14, 9),
    expect.closeTo(0.86, 9),
  ])
  expect(cool?.usual).toEqual([expect.closeTo(0.823, 9), expect.closeTo(0.177, 9)])
})
