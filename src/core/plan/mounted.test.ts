import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { type Frame, headTurned, type Shop, STEP_NAMES } from '../equipment'
import { nextStep } from '../schedule'
import {
  keptGood,
  mountedAsPlanned,
  mountedAt,
  plan,
  planChanges,
  settingsOf,
  takenDown,
  waysOf,
} from './index'
import { INKS, jobFor, PRESSES, planFor, SHOP } from './plan.fixtures'

const OF = { orderId: 'O-1', print: 'P1' }
const inks = [INKS.yellow, INKS.red, INKS.black]

/** A frame with the finished screen of a hit of the order of these tests. */
const screen = (frame: Frame, hit: string, order = OF.orderId): Frame => ({
  ...frame,
  stencil: {
    order,
    print: OF.print,
    hit,
    words: `Test: ${hit}`,
    emulsionId: 'dual',
    coats: 2,
    done: STEP_NAMES.filter((s) => s !== 'mount').map((step) => ({ step, at: '2026-11-24T08:00' })),
  },
})
const with4 = (...hits: readonly (readonly [hit: string, order?: string])[]): Shop => ({
  ...SHOP,
  frames: SHOP.frames.map((f, i) => {
    const [hit, order] = hits[i] ?? []
    return hit === undefined ? f : screen(f, hit, order)
  }),
})
const [one, two, three] = SHOP.frames as readonly [Frame, Frame, Frame]
const headsOf = (p: ReturnType<typeof planFor>) => p.hits.map((h) => `${h.hit.id}@${h.head}`).join(' ')

describe('screens that are mounted already', () => {
  it('by hand: they stay, the others take free heads in their order, other jobs come down last', () => {
    const shop = mountedAt(
      mountedAt(with4(['red'], ['x', 'O-9']), one.id, PRESSES.manual, 4),
      two.id,
      PRESSES.manual,
      1,
    )
    const p = planFor({ inks, shop })
    expect(headsOf(p)).toBe('base@2 yellow@3 red@4 black@5')
    expect(p.sequence.moves).toBe(3)
    const full = { ...PRESSES.manual, heads: 4 }
    const tight = planFor({ inks, shop: { ...shop, presses: [full] } })
    expect(headsOf(tight)).toBe('base@2 yellow@3 red@4 black@1')
    expect(tight.sequence.moves).toBe(4)
  })
  it('a second base hit goes through the same screen; a bench hangs one after another', () => {
    const twice = planFor({ inks, method: { white: 'sameScreen' } })
    expect(twice.hits.filter((h) => ['base', 'base2'].includes(h.hit.id)).map((h) => h.head)).toEqual([1, 1])
    expect(planFor({ inks: [INKS.red], press: 'bench' })).toMatchObject({
      sequence: { moves: 2 },
      hits: [{ head: undefined }, { head: undefined }],
    })
  })
  it('a head that fails moves its own screen and nothing else', () => {
    const asked = { inks: [INKS.yellow, INKS.red], press: 'automatic' as const }
    const ready = with4(['base'], ['yellow'], ['red'])
    const before = planFor({ ...asked, shop: ready })
    const { shop, notReady } = mountedAsPlanned(ready, before, OF)
    expect(notReady).toEqual([])
    const mountedNow = planFor({ ...asked, shop })
    expect(headsOf(mountedNow)).toBe(headsOf(before))
    expect(mountedNow.sequence.moves).toBe(0)
    const failed = mountedNow.hits.find((h) => h.hit.id === 'red')?.head ?? 0
    const presses = shop.presses.map((p) => (p.id === 'automatic' ? headTurned(p, failed) : p))
    const after = planFor({ ...asked, shop: { ...shop, presses } })
    const moved = planChanges(mountedNow, after).filter((c) => c.label.startsWith('Mounted at'))
    expect(moved.map((c) => c.label)).toEqual(['Mounted at, red'])
    expect(after.sequence.moves).toBe(1)
  })
  it('what is not through the screen room is not mountedNow, and is named', () => {
    const p = planFor({ inks, shop: with4(['base']) })
    const { shop, notReady } = mountedAsPlanned(with4(['base']), p, OF)
    expect(notReady).toEqual(['yellow', 'red', 'black'])
    const frame = shop.frames.find((f) => f.id === one.id)
    expect(frame).toMatchObject({ mounted: { pressId: 'manual', head: 1 } })
    expect(nextStep(frame)).toBeUndefined()
  })
  it('two frames are never mounted at one head; taken down, nothing is mounted', () => {
    const shop = mountedAt(mountedAt(SHOP, one.id, PRESSES.manual, 1), three.id, PRESSES.manual, 1)
    expect(shop.frames.filter((f) => f.mounted).map((f) => f.id)).toEqual([three.id])
    expect(takenDown(shop, PRESSES.manual).frames.some((f) => f.mounted)).toBe(false)
    expect(takenDown(shop, PRESSES.manual, 2)).toEqual(shop)
  })
  it('the way with the least moving is offered where it saves set-up moves', () => {
    // Red hangs where only what is printed first can be.
    const ready = with4(['yellow'], ['red'])
    const at = (id: string, head: number, shop: Shop) => mountedAt(shop, id, PRESSES.automatic, head)
    const shop = at(two.id, 1, at(one.id, 2, ready))
    const { order, decisions } = jobFor({
      inks: [INKS.yellow, INKS.red],
      relations: [{ a: 'yellow', b: 'red', how: 'touch' }],
      press: 'automatic',
      overrides: { 'base.yellow': 'none', 'base.red': 'none' },
    })
    const now = plan(order, shop, decisions)
    const way = waysOf({ order, shop, decisions, now }).find((w) => w.id === 'leastMoving')
    expect(now.hits.map((h) => h.hit.id)).toEqual(['yellow', 'red'])
    expect(way?.plan.hits.map((h) => h.hit.id)).toEqual(['red', 'yellow'])
    expect(way && way.plan.sequence.moves < now.sequence.moves).toBe(true)
    expect(way && message(way.why, 'metric')).toContain('0 set-up moves instead of 1')
  })
})

describe('a good sample', () => {
  it('comes back as the shop’s own for an alike screen of another order, and for no other press', () => {
    const own = { 'time.yellow': 2.4, 'pressure.yellow': 'firm', offContact: 0.0028 }
    const job = jobFor({ inks: [INKS.yellow], overrides: own })
    const good = settingsOf(plan(job.order, job.shop, job.decisions), job.order, '2026-11-24')
    expect(good.map((g) => g.id)).toEqual(['R-1-P1-one.base', 'R-1-P1-one.yellow'])
    const shop = keptGood(keptGood(SHOP, good), good)
    expect(shop.approved).toHaveLength(2)
    const after = planFor({ inks: [{ ...INKS.yellow, id: 'sun', name: 'Sun' }], shop })
    const sun = after.hits.find((h) => h.hit.id === 'sun')?.stroke
    expect(sun?.time).toMatchObject({ advised: 2.4, reasons: [{ rule: 'STROKE_APPROVED' }, {}] })
    expect(sun?.pressure.advised).toBe('firm')
    // A longer, firmer stroke lays more: the plan counts with it.
    const film = (p: typeof after) => p.hits.find((h) => h.hit.id === 'sun')?.deposit?.advised ?? 0
    const usual = planFor({ inks: [{ ...INKS.yellow, id: 'sun', name: 'Sun' }] })
    expect(film(after) / film(usual)).toBeCloseTo((2.4 / 1.3) ** 0.25 * 1.05, 6)
    expect(after.offContact).toMatchObject({ advised: 0.0028, reasons: [{ rule: 'OFF_APPROVED' }, {}, {}] })
    // Another job's newer sample does not move the off-contact of this one.
    const other = good.map((g) => ({ ...g, id: g.id.replace('R-1-', 'R-2-'), offContact: 0.0035 }))
    const again = plan(job.order, keptGood(shop, other), { ...job.decisions, overrides: { press: 'manual' } })
    expect(again.offContact.advised).toBe(0.0028)
    const single = planFor({ inks: [INKS.red], press: 'single', shop })
    expect(JSON.stringify(single)).not.toContain('_APPROVED')
  })
})

it('a wide flash unit covers the station behind it: nothing is mounted there, and it does not cool', () => {
  const flashes = SHOP.flashes.map((f) => (f.pressId === 'automatic' ? { ...f, takes: 2 } : f))
  const p = planFor({ inks: [INKS.yellow], press: 'automatic', shop: { flashes } })
  expect(p.sequence.cells.map((c) => c.kind).slice(0, 5)).toEqual([
    'print',
    'flash',
    'covered',
    'cool',
    'print',
  ])
  expect(p.hits.map((h) => h.head)).toEqual([1, 5])
})
