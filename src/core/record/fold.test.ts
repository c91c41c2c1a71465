import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { GarmentLine, Placement } from '../order'
import type { PressEvent, Said } from './event'
import { fold } from './fold'
import { targetsOf } from './targets'

let made = 0
const said = (what: Said, more: Partial<PressEvent> = {}): PressEvent =>
  ({ id: `e${++made}`, pad: 'A', seq: made, at: '2026-11-30T09:00:00.000Z', ...what, ...more }) as PressEvent
const count = (n: number, size = 'M') => said({ kind: 'count', line: 'G1', size, n })
const spoil = (n: number, size = 'M') => said({ kind: 'spoil', line: 'G1', size, n, cause: 'lint' })
const undo = (of: PressEvent) => said({ kind: 'undo', of: of.id })
const good = (events: readonly PressEvent[]) => fold(events).good.get('G1 M') ?? 0

/** Events of several tablets, undos of undos, of what is missing and in rings among them. */
const events: fc.Arbitrary<readonly PressEvent[]> = fc
  .array(
    fc.record({
      kind: fc.constantFrom('count', 'spoil', 'undo'),
      pad: fc.constantFrom('A', 'B', 'C'),
      minute: fc.nat(59),
      n: fc.integer({ min: -5, max: 20 }).filter((n) => n !== 0),
      of: fc.nat(24),
    }),
    { maxLength: 20 },
  )
  .map((list) =>
    list.map(({ kind, pad, minute, n, of }, i): PressEvent => {
      const stamp = { id: `e${i}`, pad, seq: i, at: `2026-11-30T09:${`${minute}`.padStart(2, '0')}:00.000Z` }
      if (kind === 'undo') return { ...stamp, kind, of: `e${of}` }
      const at = { line: 'G1', size: n % 2 ? 'M' : 'L', n }
      return kind === 'count' ? { ...stamp, ...at, kind } : { ...stamp, ...at, kind: 'spoil', cause: 'smear' }
    }),
  )

describe('what a run’s events come to', () => {
  it('sums differences; what is undone does not count, and counts again when that is undone', () => {
    const [a, b] = [count(10), count(1)]
    const off = undo(a)
    expect(good([a, b])).toBe(11)
    expect(good([a, b, off])).toBe(1)
    expect(good([a, b, off, undo(off)])).toBe(11)
  })
  it('an undo may come before what it undoes', () => {
    const a = count(10)
    const off = undo(a)
    expect(good([off])).toBe(0)
    expect(good([off, a])).toBe(0)
  })
  it('what two tablets undo at once is undone, and stays so until both are taken back', () => {
    const a = count(10)
    const [one, two] = [undo(a), undo(a)]
    expect(good([a, one, two])).toBe(0)
    expect(good([a, one, two, undo(one)])).toBe(0)
    expect(good([a, one, two, undo(one), undo(two)])).toBe(10)
  })
  it('undos that name one another undo nothing', () => {
    const a = count(10)
    const [x, y] = [undo(a), undo(a)]
    expect(good([a, { ...x, of: y.id } as PressEvent, { ...y, of: x.id } as PressEvent])).toBe(10)
    expect(good([a, { ...x, of: x.id } as PressEvent])).toBe(10)
  })
  it('spoiled pieces are no good ones, and told by cause', () => {
    const found = fold([count(5), spoil(2), spoil(1, 'L')])
    expect([found.good.get('G1 M'), found.spoiled.get('G1 M'), found.spoiled.get('G1 L')]).toEqual([5, 2, 1])
    expect(found.causes.get('lint')).toBe(3)
  })
  it('is the same in any order, with any repeats, and however it is split and sent again (property)', () => {
    fc.assert(
      fc.property(
        events,
        fc.array(fc.nat(19)),
        fc.infiniteStream(fc.double({ min: 0, max: 1 })),
        (all, again, keys) => {
          const whole = fold(all)
          const repeated = [...all, ...again.flatMap((i) => all[i] ?? [])]
          const shuffled = repeated
            .map((event) => ({ event, key: keys.next().value as number }))
            .sort((a, b) => a.key - b.key)
            .map(({ event }) => event)
          expect(fold(shuffled)).toEqual(whole)
        },
      ),
      { numRuns: 300 },
    )
  })
  it('naming what last turned an entry turns it round (property)', () => {
    fc.assert(
      fc.property(events, fc.nat(19), (all, i) => {
        // One undo of each at the most, as one tablet makes them.
        const named = new Set<string>()
        const one = all.filter(
          (e) => e.kind !== 'undo' || (!named.has(e.of) && e.of < e.id && named.add(e.of)),
        )
        const entry = fold(one).entries[i]
        if (!entry) return
        const turn: PressEvent = {
          ...{ id: 'turn', pad: 'A', seq: 99, at: '2026-11-30T10:00:00.000Z' },
          kind: 'undo',
          of: entry.turnedBy,
        }
        const after = fold([...one, turn]).entries.find((e) => e.event.id === entry.event.id)
        expect(after?.stands).toBe(!entry.stands)
      }),
    )
  })
  it('a chain of ten thousand undos is followed', () => {
    const chain: PressEvent[] = [count(3)]
    for (let i = 0; i < 10_000; i++) chain.push(undo(chain.at(-1) as PressEvent))
    expect(good(chain)).toBe(3)
    expect(good(chain.slice(0, -1))).toBe(0)
  })
})

describe('what is still to print', () => {
  it('is what was ordered less what is good, size by size; spoiled ones are still to print', () => {
    const placement: Placement = {
      ...{ id: 'P1', where: 'front', width: 0.3, height: 0.3, sizes: 'all', inks: [], relations: [] },
    }
    const line: GarmentLine = {
      ...{ id: 'G1', style: 'Tee', group: '' },
      cloth: { name: 'Navy', hex: '#1f2a44', weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 },
      sizes: ['L', 'S', 'M'].map((size) => ({ size, quantity: size === 'M' ? 0 : 10 })),
    }
    const targets = targetsOf(
      { lines: [line], placement },
      fold([count(4, 'S'), spoil(2, 'S'), count(12, 'L')]),
    )
    expect(targets.map((t) => [t.size, t.ordered, t.good, t.spoiled, t.left])).toEqual([
      ['S', 10, 4, 2, 6],
      ['L', 10, 12, 0, -2],
    ])
  })
})
