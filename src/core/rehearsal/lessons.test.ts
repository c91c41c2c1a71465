import { expect, it } from 'vitest'
import { anyTrial } from './anyTrial.fixtures'
import { sessionFacts } from './facts'
import { canPlant } from './faults'
import { lessonsFor, scoreOf } from './lessons'
import { motif, SIDE } from './motif'
import { parOf } from './par'
import { begin, printOne } from './session'
import { swatch } from './swatch'

const KIT = { gun: true, loupe: true, tension: false }
const lessons = (seed: number) => {
  const plan = anyTrial(seed)
  return { plan, list: lessonsFor(plan, sessionFacts(begin(plan, 1, []), KIT, undefined)) }
}

it('lessons are of faults that can matter on the plan, each once; the levels go up', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const { plan, list } = lessons(seed)
    const { press } = begin(plan, 1, [])
    expect(new Set(list.map((l) => l.id)).size).toBe(list.length)
    expect(list.length).toBeGreaterThanOrEqual(4)
    for (const l of list)
      for (const cause of l.faults) expect(canPlant(press, cause), `${seed} ${cause}`).toBe(true)
    expect(list.map((l) => l.level)).toEqual([...list.map((l) => l.level)].sort())
    for (const l of list.filter((x) => x.level === 1)) expect(l.hint).toBeDefined()
  }
})

it('points: all good and named is a hundred and ten; spoils, slowness, looks and hints take from them; never below nothing', () => {
  const all = {
    good: 80,
    planned: 80,
    spoiled: 0,
    seconds: 60,
    par: 100,
    looks: 2,
    hints: 0,
    named: 1,
    planted: 1,
  }
  expect(scoreOf(all)).toMatchObject({ total: 110, passed: true })
  expect(scoreOf({ ...all, named: 0 }).passed).toBe(false)
  const worse = [{ spoiled: 4 }, { seconds: 400 }, { looks: 9 }, { hints: 1 }, { good: 40 }]
  for (const w of worse) expect(scoreOf({ ...all, ...w }).total).toBeLessThan(110)
  expect(scoreOf({ ...all, spoiled: 400 }).total).toBe(0)
})

it('par is what the list itself takes: more than a look, less than giving up twice', () => {
  const { plan, list } = lessons(9)
  const [first] = list
  if (!first) throw new Error('no lesson')
  const par = parOf(plan, 3, first.faults)
  expect(par).toBeGreaterThan(3)
  expect(parOf(plan, 3, first.faults)).toBe(par)
})

it('a drawn piece is as large as its films, and shows what is wrong: out of register moves ink, light pressure leaves cloth', () => {
  const plan = anyTrial(9)
  const none = { cracks: 0, washes: 0, peels: 0 }
  const drawn = (fault: 'setUp' | 'pressLow' | undefined, seed = 4, wear = none) => {
    const s = begin(plan, seed, fault ? [fault] : [])
    for (let i = 0; i < 6; i++) printOne(s)
    const piece = s.pieces.at(-1)
    if (!piece) throw new Error('nothing printed')
    return swatch(s.press, piece, motif(plan), 0.4, wear)
  }
  const plain = drawn(undefined)
  expect(plain.side).toBe(SIDE)
  expect(plain.pixels).toHaveLength(SIDE * SIDE * 4)
  const changed = (other: Uint8ClampedArray, from = plain.pixels) => {
    let n = 0
    for (let i = 1; i < other.length; i += 4)
      if (Math.abs((other[i] as number) - (from[i] as number)) > 24) n++
    return n / (SIDE * SIDE)
  }
  expect(changed(drawn(undefined).pixels)).toBe(0)
  expect(changed(drawn('setUp').pixels)).toBeGreaterThan(0.01)
  // Wherever it is planted: of a few seeds one hits a colour that covers much.
  const light = [4, 5, 6, 7, 8].map((seed) =>
    changed(drawn('pressLow', seed).pixels, drawn(undefined, seed).pixels),
  )
  expect(Math.max(...light)).toBeGreaterThan(0.005)
  // What an eye does not see yet is not drawn; what it sees takes ink away, and more of it the worse it is.
  const worn = (wear: Partial<typeof none>) => changed(drawn(undefined, 4, { ...none, ...wear }).pixels)
  for (const of of ['cracks', 'washes', 'peels'] as const) {
    expect(worn({ [of]: 0.9 })).toBe(0)
    expect(worn({ [of]: 1 })).toBeGreaterThan(0.003)
    expect(worn({ [of]: 2 })).toBeGreaterThan(worn({ [of]: 1 }))
  }
})
