import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import { type Frame, type Shop, STEP_NAMES, type Stencil } from '../equipment'
import { mm, perCm } from '../quantity'
import { isoOf, momentOf } from '../schedule'
import { SHOP } from './plan.fixtures'
import {
  advanced,
  batchesOf,
  planningFacts,
  pressStart,
  reclaimable,
  roomLines,
  type ScreenJob,
  type ScreenSpec,
} from './screenRoom'

const NOW = momentOf('2026-11-24T08:00')

const screen = (hitId: string, more: Partial<ScreenSpec> = {}): ScreenSpec => ({
  hitId,
  name: `Colour ${hitId}`,
  hex: '#808080',
  mesh: perCm(77),
  emulsionId: 'dual',
  coats: 2,
  hardens: false,
  expose: { time: 27, lampId: 'led', tested: true },
  ...more,
})
const job = (orderId: string, due: string, screens: readonly ScreenSpec[], more = {}): ScreenJob => ({
  orderId,
  print: 'P1',
  runId: `R-${orderId}`,
  words: `Customer, job ${orderId}`,
  pressId: 'manual',
  width: mm(280),
  height: mm(330),
  due,
  takes: 3600,
  screens,
  ...more,
})
const frames = (count: number, stencils: Readonly<Record<number, Stencil>> = {}): Frame[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `F${i + 1}`,
    width: mm(580),
    height: mm(790),
    mesh: perCm(77),
    tension: 2500,
    state: 'clean',
    readings: [],
    ...(stencils[i] && { stencil: stencils[i] }),
  }))
const shop = (of: readonly Frame[]): Shop => ({ ...SHOP, frames: of })
const stencil = (order: string, hit: string, done = 1): Stencil => ({
  order,
  print: 'P1',
  hit,
  words: `Customer, job ${order}: Colour ${hit}`,
  emulsionId: 'dual',
  coats: 2,
  done: STEP_NAMES.slice(0, done).map((step) => ({ step, at: '2026-11-24T07:30' })),
})

describe('the list of the screen room', () => {
  const early = job('O-1', '2026-11-25', [screen('I1'), screen('I2')])
  const later = job('O-2', '2026-12-01', [screen('I1')])

  it('a run must start so that it is done when the shop closes on the day it is due', () => {
    expect(isoOf(pressStart(early, SHOP) ?? 0)).toBe('2026-11-25T16:00')
    expect(pressStart({ ...early, due: 'soon' }, SHOP)).toBeUndefined()
  })
  it('is printed so many days before it is due, on a working day; every screen is begun the earlier', () => {
    const tight = { ...SHOP, leadDays: 1 }
    expect(isoOf(pressStart(early, tight) ?? 0)).toBe('2026-11-24T16:00')
    // Due on a Monday, a day to dry and pack: printed on the Friday before.
    expect(isoOf(pressStart({ ...early, due: '2026-11-30' }, tight) ?? 0)).toBe('2026-11-27T16:00')
    const begins = (leadDays: number) =>
      roomLines([early], { ...shop(frames(3)), leadDays }).map((l) => l.latest ?? 0)
    for (const days of [0, 1, 2, 5])
      expect(Math.max(...begins(days + 1))).toBeLessThan(Math.min(...begins(days)))
    expect(planningFacts({ ...SHOP, leadDays: 9 })).toEqual(planningFacts(SHOP))
  })
  it('has those first that must be begun first, each with its own frame', () => {
    const lines = roomLines([later, early], shop(frames(3)))
    expect(lines.map((l) => l.key)).toEqual(['O-1.P1.I1', 'O-1.P1.I2', 'O-2.P1.I1'])
    expect(new Set(lines.map((l) => l.frame?.id)).size).toBe(3)
    expect(lines.every((l) => l.next === 'coat')).toBe(true)
    // The later one has a frame, and is told why it is not the one it would have taken alone.
    const rules = lines.map((l) => l.frameWhy.map((r) => r.rule))
    expect(rules[0]).toEqual(['TENSION_BEST'])
    expect(rules[2]).toEqual(['FRAME_GIVEN', 'TENSION_BEST'])
  })
  it('promises no frame twice: the later job is told who has them', () => {
    const lines = roomLines([later, early], shop(frames(2)))
    expect(lines[2]?.frame).toBeUndefined()
    expect(lines[2]?.frameWhy.map((r) => message(r, 'metric'))[0]).toBe(
      'Frames with 77 T/cm are taken by jobs that print earlier: Customer, job O-1.',
    )
  })
  it('never gives out a frame twice, whatever is wanted', () => {
    const anyJob = fc.record({
      id: fc.integer({ min: 1, max: 6 }),
      day: fc.integer({ min: 1, max: 28 }),
      screens: fc.integer({ min: 1, max: 5 }),
    })
    fc.assert(
      fc.property(fc.array(anyJob, { maxLength: 8 }), fc.integer({ min: 0, max: 12 }), (wanted, count) => {
        const jobs = wanted.map((w) =>
          job(
            `O-${w.id}`,
            `2026-12-${String(w.day).padStart(2, '0')}`,
            Array.from({ length: w.screens }, (_, i) => screen(`I${i}`)),
          ),
        )
        const lines = roomLines(jobs, shop(frames(count)))
        const given = lines.flatMap((l) => l.frame?.id ?? [])
        expect(new Set(given).size).toBe(given.length)
        expect(new Set(lines.map((l) => l.key)).size).toBe(lines.length)
        expect(given.length).toBe(Math.min(count, lines.length))
      }),
    )
  })
  it('runs of one print share their screens', () => {
    const dark = job('O-1', '2026-11-26', [screen('base'), screen('I1'), screen('I2')], {
      runId: 'R-1-P1-dark',
    })
    const lines = roomLines([early, dark], shop(frames(6)))
    expect(lines.map((l) => l.key).sort()).toEqual(['O-1.P1.I1', 'O-1.P1.I2', 'O-1.P1.base'])
  })
  it('keeps a stencil on its frame, at its step, and says when it will be dry', () => {
    const lines = roomLines([early], shop(frames(3, { 2: stencil('O-1', 'I2') })))
    const line = lines.find((l) => l.key === 'O-1.P1.I2')
    expect(line).toMatchObject({ next: 'dry', frame: { id: 'F3' } })
    // 52 min in the dry air of the shop of the tests.
    expect(isoOf(line?.dryAt ?? 0)).toBe('2026-11-24T08:22')
  })
  it('stencils that no open order wants are to be reclaimed; others are not', () => {
    const held = shop(frames(3, { 0: stencil('O-9', 'I1', 8), 2: stencil('O-1', 'I2') }))
    expect(reclaimable(roomLines([early], held), held).map((f) => f.id)).toEqual(['F1'])
  })
})

describe('a step done', () => {
  const early = job('O-1', '2026-11-25', [screen('I1')])
  it('coating lays the stencil on the frame; step by step it comes to the press', () => {
    let frame = frames(1)
    for (const step of STEP_NAMES.filter((s) => s !== 'harden')) {
      const [line] = roomLines([early], shop(frame))
      if (!line) throw new Error('no line')
      expect(line.next).toBe(step)
      frame = [...advanced(line, shop(frame), '2026-11-24T08:00', 3)]
    }
    const [line] = roomLines([early], shop(frame))
    expect(line).toMatchObject({ next: undefined, latest: undefined })
    expect(line && advanced(line, shop(frame), '2026-11-24T09:00')).toEqual([])
    expect(frame[0]?.mounted).toEqual({ pressId: 'manual', head: 3 })
    expect(frame[0]?.stencil).toMatchObject({
      order: 'O-1',
      hit: 'I1',
      words: 'Customer, job O-1: Colour I1',
    })
  })
  it('without a frame nothing can be done', () => {
    const [line] = roomLines([early], shop([]))
    expect(line && advanced(line, shop([]), '2026-11-24T08:00')).toEqual([])
  })
  it('mounted is said once, with the head: what was there comes down, and what is taken down is to be mounted again', () => {
    const ready = STEP_NAMES.length - 1
    const two = shop(frames(2, { 0: stencil('O-1', 'I1', ready), 1: stencil('O-2', 'I1', ready) }))
    const both = [
      job('O-1', '2026-11-25', [screen('I1', { head: 2 })]),
      job('O-2', '2026-12-01', [screen('I1')]),
    ]
    const mount = (from: Shop, key: string, head?: number): Shop => {
      const line = roomLines(both, from).find((l) => l.key === key)
      if (line?.next !== 'mount') throw new Error(`${key} is not to be mounted`)
      const changed = advanced(line, from, '2026-11-24T08:00', head)
      return shop(from.frames.map((f) => changed.find((c) => c.id === f.id) ?? f))
    }
    const mounted = (of: Shop) =>
      roomLines(both, of)
        .filter((l) => l.next === undefined)
        .map((l) => l.key)
    const first = mount(two, 'O-1.P1.I1')
    expect(mounted(first)).toEqual(['O-1.P1.I1'])
    // Without a planned head it is asked for.
    expect(mount(first, 'O-2.P1.I1')).toEqual(first)
    const second = mount(first, 'O-2.P1.I1', 2)
    expect(mounted(second)).toEqual(['O-2.P1.I1'])
    expect(second.frames.map((f) => f.mounted?.head)).toEqual([undefined, 2])
  })
  it('changes no plan: only coating and reclaiming change what plans read', () => {
    const at = (done: number) => planningFacts(shop(frames(1, { 0: stencil('O-1', 'I1', done) })))
    expect(at(1)).toEqual(at(5))
    expect(planningFacts(shop(frames(1)))).not.toEqual(at(1))
    const worded = { step: 'head.own1', name: 'Photograph the head', good: '', off: false }
    expect(planningFacts({ ...shop(frames(1)), ownSteps: [worded] })).toEqual(planningFacts(shop(frames(1))))
  })
})

describe('batches', () => {
  const lines = (screens: readonly ScreenSpec[], done: number, due = '2026-11-27') =>
    roomLines(
      [job('O-1', due, screens)],
      shop(
        frames(
          screens.length,
          done === 0 ? {} : Object.fromEntries(screens.map((s, i) => [i, stencil('O-1', s.hitId, done)])),
        ),
      ),
    )
  const sizes = (of: ReturnType<typeof batchesOf>) => of.map((b) => b.lines.length)
  it('coat alike what has the same emulsion, coats and day', () => {
    const mixed = [
      screen('I1'),
      screen('I2', { coats: 6 }),
      screen('I3', { emulsionId: 'quick' }),
      screen('I4'),
    ]
    // Six coats dry three times: they are begun first.
    expect(sizes(batchesOf('coat', lines(mixed, 0), NOW))).toEqual([1, 2, 1])
    const days = [...lines([screen('I1')], 0), ...lines([screen('I1')], 0, '2026-11-30')]
    expect(sizes(batchesOf('coat', days, NOW))).toEqual([1, 1])
  })
  it('what is late is of today', () => {
    const late = [...lines([screen('I1')], 0, '2026-11-20'), ...lines([screen('I1')], 0, '2026-11-23')]
    expect(sizes(batchesOf('coat', late, NOW))).toEqual([2])
  })
  it('expose alike what differs by less than a tenth', () => {
    const time = (s: number) => ({ expose: { time: s, lampId: 'led', tested: true } })
    const mixed = [
      screen('I1', time(27)),
      screen('I2', time(19)),
      screen('I3', time(20)),
      screen('I4', time(28)),
    ]
    const found = batchesOf('expose', lines(mixed, 2), NOW)
    expect(found.map((b) => b.lines.map((l) => l.screen.hitId))).toEqual([
      ['I2', 'I3'],
      ['I1', 'I4'],
    ])
  })
  it('other work is one list, and none where nothing waits', () => {
    expect(sizes(batchesOf('wash', lines([screen('I1'), screen('I2', { coats: 6 })], 3), NOW))).toEqual([2])
    expect(batchesOf('mount', lines([screen('I1')], 0), NOW)).toEqual([])
  })
})
