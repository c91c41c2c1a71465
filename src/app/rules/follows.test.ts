import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { type Advice, advicesIn, BASIC_FACTS, comesOf, type Overrides, type Setting } from '@/core/advice'
import type { Shop } from '@/core/equipment'
import { clothGroup, type InkColour, type Run, splitOrder } from '@/core/order'
import { noDecisions, plan, ROOMS, settingOf } from '@/core/plan'
import { micron } from '@/core/quantity'
import { DEMO_SHOP, demoOrders } from '@/store/demo'
import { type Case, changed } from './facts.fixtures'

/*
 * What a setting says it follows from, held against what moves it: one fact after the other is changed in the jobs of the demo
 * shop and in others made of them by chance. A setting moves if, and only if, it says so: itself, through a fact that comes of
 * others, or through a setting that it comes after.
 */
const nameOf = (key: string) => key.split('.')[0] ?? ''

interface Sources {
  readonly facts: ReadonlySet<string>
  readonly settings: ReadonlySet<string>
}
/** All that may move a setting, through whatever stands between. */
function sourcesOf(name: string, seen: ReadonlySet<string> = new Set()): Sources {
  const setting = settingOf(name)?.setting
  const own = (setting?.follows ?? []).map(comesOf)
  const before = [...(setting?.after ?? []), ...own.flatMap((c) => c.after)].filter((s) => !seen.has(s))
  const deeper = before.map((s) => sourcesOf(s, new Set([...seen, name, ...before])))
  return {
    facts: new Set([...own.flatMap((c) => c.from), ...deeper.flatMap((d) => [...d.facts])]),
    settings: new Set([...before, ...deeper.flatMap((d) => [...d.settings])]),
  }
}

/** Everything advised for a run, by key. */
function advised({ order, shop }: Case, run: Run, overrides: Overrides = {}): ReadonlyMap<string, Advice> {
  const its = splitOrder(order).find(
    (r) => r.placement.id === run.placement.id && r.lines.some((l) => run.lines.some((k) => k.id === l.id)),
  )
  if (!its) return new Map()
  const made = advicesIn(plan(order, shop, { ...noDecisions(its.id), overrides }))
  return new Map([...made, ...order.lines.map(clothGroup)].map((a) => [a.key, a]))
}

const near = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(1e-6, Math.abs(a))
const moved = (a: Advice, b: Advice): boolean =>
  a.kind === 'choice' || b.kind === 'choice'
    ? a.advised !== b.advised
    : a.kind !== b.kind ||
      !near(a.advised, b.advised) ||
      a.range.some((x, i) => !near(x, b.range[i] as number))

const TIMED = ['crew', 'skill', 'setup', 'rate', 'total']

/**
 * Names of settings that another value, or a coming or going of all of its kind, has moved. A print that fits on no press has
 * no time: that it comes and goes then is told by the press.
 */
function movedBetween(
  before: ReadonlyMap<string, Advice>,
  after: ReadonlyMap<string, Advice>,
): ReadonlySet<string> {
  const names = (m: ReadonlyMap<string, Advice>) => new Set([...m.keys()].map(nameOf))
  const [were, are] = [names(before), names(after)]
  if (were.has('rate') !== are.has('rate')) for (const n of TIMED) [were, are].map((m) => m.delete(n))
  return new Set([
    ...[...after].flatMap(([key, a]) => {
      const b = before.get(key)
      return b && moved(b, a) ? [nameOf(key)] : []
    }),
    ...[...were].filter((n) => !are.has(n)),
    ...[...are].filter((n) => !were.has(n)),
    // Of sizes in other groups there are other settings.
    ...GROUPED.filter((n) => keysOf(before, n) !== keysOf(after, n)),
  ])
}

/** Settings of groups of sizes. */
const GROUPED = ['down', 'aside']
const keysOf = (m: ReadonlyMap<string, Advice>, name: string) =>
  [...m.keys()].filter((key) => nameOf(key) === name).join()

const luck = randomLcg(20261128)
const pick = <T>(list: readonly T[]): T => list[Math.floor(luck() * list.length)] as T
const runs = demoOrders('2026-11-24').flatMap((order) => splitOrder(order).map((run) => ({ order, run })))
/** Shops and jobs in which something moves that the demo shop never asks for. */
const inShop =
  (change: (s: Shop) => Partial<Shop>) =>
  (c: Case): Case => ({ ...c, shop: { ...c.shop, ...change(c.shop) } })
const inScreens = (change: (r: Shop['screens']) => Partial<Shop['screens']>) =>
  inShop(({ screens }) => ({ screens: { ...screens, ...change(screens) } }))
const inColours =
  (cloth: string | undefined, change: (i: InkColour, at: number) => Partial<InkColour>) =>
  (c: Case): Case => ({
    ...c,
    order: {
      ...c.order,
      lines: c.order.lines.map((l) => ({ ...l, cloth: { ...l.cloth, hex: cloth ?? l.cloth.hex } })),
      placements: c.order.placements.map((p) => ({
        ...p,
        inks: p.inks.map((i, at) => ({ ...i, ...change(i, at) })),
      })),
    },
  })
const SPECIAL: readonly ((c: Case) => Case)[] = [
  inColours(undefined, () => ({ deposit: micron(18) })),
  inColours('#8a8f94', (_, at) => ({ opacity: at % 2 ? 'opaque' : 'transparent' })),
  (c) => changed('flakes', c)[0] ?? c,
  (c) => changed('ruling', c)[0] ?? c,
  (c) =>
    inShop((s) => ({ approved: s.approved.filter((p) => p.pressId === s.presses[0]?.id) }))(
      changed('approved', c)[0] ?? c,
    ),
  inShop((s) => ({ method: { ...s.method, white: 'sameScreen' } })),
  (c) =>
    inShop((s) => ({ method: { ...s.method, placementSizes: 'full' } }))({
      ...c,
      order: {
        ...c.order,
        placements: c.order.placements.map((p) => ({ ...p, where: 'leftChest', width: 0.09, height: 0.09 })),
      },
    }),
  inScreens(({ emulsions }) => ({ emulsions: [...emulsions].reverse() })),
  inScreens(({ emulsions }) => ({
    emulsions: emulsions.map((e, i) => (i === 1 ? { ...e, kind: 'thermal' as const } : e)),
  })),
  inScreens(({ lamps }) => ({
    lamps: lamps.flatMap((l) => [l, { ...l, id: `${l.id}2`, kind: 'halogen' as const }]),
  })),
  inShop((s) => ({
    squeegees: s.squeegees.map((b, i) => (i === 0 ? { ...b, edge: 'rounded' as const } : b)),
  })),
  inShop((s) => ({ inkRoom: { ...s.inkRoom, limits: { ...s.inkRoom.limits, white: 20 } } })),
  inShop((s) => ({
    presses: s.presses.flatMap((p) => [
      p,
      { ...p, id: `${p.id} large`, palletWidth: 0.7, palletHeight: 1.1 },
    ]),
    flashes: s.flashes.flatMap((f) => [f, { ...f, id: `${f.id} large`, pressId: `${f.pressId} large` }]),
  })),
  (c) =>
    inShop((s) => ({
      method: { ...s.method, ink: 'highSolids', highSolids: 'layered' },
      presses: s.presses.filter((p) => p.kind === 'automatic'),
      approved: [],
    }))(changed('ruling', c)[0] ?? c),
]
const byChance = (c: Case): Case =>
  [pick(BASIC_FACTS), pick(BASIC_FACTS)].reduce((now, fact) => pick(changed(fact, now)), c)
const cases = runs.flatMap(({ order, run }, i) => {
  const plain: Case = { order, shop: DEMO_SHOP }
  const special = [i, i + 5].map((n) => SPECIAL[n % runs.length] ?? byChance).map((change) => change(plain))
  return [...(i % 2 ? [] : [plain]), ...special].map((c) => ({ c, run, before: advised(c, run) }))
})

const SETTINGS = ROOMS.flatMap((room) => Object.entries<Setting>(room.settings))
/** In so many jobs everything is tried; in more only while it has not moved all that it is said to move. */
const LEAST = 9
/** The jobs, another one first each time. */
const turned = (by: number) => cases.map((_, i) => cases[(i + by) % cases.length] as (typeof cases)[number])

describe('what a setting follows from', () => {
  const seen = new Map<string, Set<string>>()
  const note = (setting: string, by: string) => seen.set(setting, (seen.get(setting) ?? new Set()).add(by))
  const strangers = new Set<string>()

  it('names every fact that moves it', { timeout: 240_000 }, () => {
    for (const [at, fact] of BASIC_FACTS.entries()) {
      /** By this fact, or by another that the same comes of. */
      const shown = () =>
        SETTINGS.every(([name, { follows }]) =>
          follows
            .map((f) => comesOf(f).from as readonly string[])
            .every((from) => !from.includes(fact) || from.some((x) => seen.get(name)?.has(x))),
        )
      let tried = 0
      for (const { c, run, before } of turned(7 * at)) {
        if (before.size === 0) continue
        if (tried >= LEAST && shown()) break
        for (const other of changed(fact, c)) {
          const after = advised(other, run)
          if (after.size === 0) continue
          tried++
          for (const name of movedBetween(before, after)) {
            note(name, fact)
            if (!sourcesOf(name).facts.has(fact)) strangers.add(`${name}: ${fact}`)
          }
        }
      }
    }
    expect([...strangers].sort()).toEqual([])
  })
  it('names no fact that does not', () => {
    const idle = SETTINGS.flatMap(([name, { follows }]) =>
      follows.flatMap((f) => (comesOf(f).from.some((x) => seen.get(name)?.has(x)) ? [] : [`${name}: ${f}`])),
    )
    // The lamp is picked at its screen, never advised; the demo shop has no single station (the plan's own tests have).
    const elsewhere = ['lamp: lamps', 'coolDown: practice cool']
    expect(idle.filter((x) => !elsewhere.includes(x))).toEqual([])
  })
})

/** Another value of a setting. */
const elsewhere = (a: Advice): readonly (number | string)[] =>
  a.kind === 'choice'
    ? a.choices.map((c) => c.value).filter((v) => v !== a.advised)
    : a.kind === 'count'
      ? [a.advised + 1]
      : [a.advised * 0.4, a.advised * 3]

describe('what a setting comes after', () => {
  const seen = new Set<string>()
  const strangers = new Set<string>()
  it('names every setting that moves it', { timeout: 240_000 }, () => {
    const times = new Map<string, number>()
    for (const { c, run, before } of turned(3)) {
      const lamps = c.shop.screens.lamps.slice(1).map((l): readonly [string, string] => ['lamp', l.id])
      const own = [...before.values()].flatMap((a) => elsewhere(a).map((value) => [a.key, value] as const))
      for (const [key, value] of [...own, ...lamps]) {
        const by = nameOf(key)
        const tried = (times.get(by) ?? 0) + 1
        const told = SETTINGS.every(([n, { after }]) => !after?.includes(by) || seen.has(`${n}: ${by}`))
        if (tried > 4 * LEAST && told) continue
        times.set(by, tried)
        for (const name of movedBetween(before, advised(c, run, { [key]: value }))) {
          if (name === by) continue
          seen.add(`${name}: ${by}`)
          if (!sourcesOf(name).settings.has(by)) strangers.add(`${name}: ${by}`)
        }
      }
    }
    expect([...strangers].sort()).toEqual([])
  })
  it('names no setting that does not', () => {
    const idle = SETTINGS.flatMap(([name, { after = [] }]) =>
      after.flatMap((by) => (seen.has(`${name}: ${by}`) ? [] : [`${name}: ${by}`])),
    )
    expect(idle).toEqual([])
  })
})
