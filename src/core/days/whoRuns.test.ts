import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { canRun, type Person } from '../equipment'
import { momentOf } from '../schedule'
import { on, runOf } from './shopDays.fixtures'
import { whoRuns } from './whoRuns'

const T0 = momentOf('2026-12-01T08:00')
const run = (n: number, pressId: string, from: number, to: number, people = 1) => ({
  facts: runOf(n, { on: [{ ...on(pressId), people }] }),
  ...{ pressId, setUp: T0 + from * 3600, end: T0 + to * 3600 },
})
const id = (n: number) => runOf(n).runId
const person = (name: string, presses: readonly string[] = [], away: Person['away'] = []): Person => ({
  ...{ id: name, name, presses, away },
})

describe('who prints what', () => {
  it('the one who can do little else first; whoever ran the press goes on; the rest help', () => {
    const people = [person('Ada'), person('Ben', ['a']), person('Cy', ['b', 'c'])]
    const found = whoRuns([run(1, 'a', 0, 2), run(2, 'b', 0, 2), run(3, 'a', 2, 4, 2)], people)
    expect(found.get(id(1))).toEqual(['Ben'])
    expect(found.get(id(2))).toEqual(['Cy'])
    expect(found.get(id(3))).toEqual(['Ben', 'Cy'])
  })
  it('nobody who is away, or cannot run it, or has another press; a run may be left without', () => {
    const away = [{ first: '2026-12-01', last: '2026-12-01' }]
    const people = [person('Ada', [], away), person('Ben', ['b'])]
    const found = whoRuns([run(1, 'a', 0, 2), run(2, 'b', 0, 2), run(3, 'b', 1, 3)], people)
    expect(found.get(id(1))).toBeUndefined()
    expect(found.get(id(2))).toEqual(['Ben'])
    expect(found.get(id(3))).toBeUndefined()
  })
  it('nobody is at two places at a time, whatever is asked', () => {
    const anyRun = fc.record({
      press: fc.constantFrom('a', 'b', 'c'),
      from: fc.integer({ min: 0, max: 8 }),
      long: fc.integer({ min: 1, max: 4 }),
      people: fc.integer({ min: 1, max: 3 }),
    })
    fc.assert(
      fc.property(
        fc.array(anyRun, { maxLength: 8 }),
        fc.array(fc.subarray(['a', 'b', 'c']), { maxLength: 4 }),
        (asked, skills) => {
          const runs = asked.map((r, i) => run(i + 1, r.press, r.from, r.from + r.long, r.people))
          const people = skills.map((s, i) => person(`P${i}`, s))
          const found = whoRuns(runs, people)
          for (const r of runs) {
            const [printer] = found.get(r.facts.runId) ?? []
            const who = people.find((p) => p.id === printer)
            if (who) expect(canRun(who, r.pressId)).toBe(true)
            for (const o of runs) {
              if (o === r || o.setUp >= r.end || r.setUp >= o.end) continue
              const shared = (found.get(r.facts.runId) ?? []).filter((p) =>
                found.get(o.facts.runId)?.includes(p),
              )
              expect(shared).toEqual([])
            }
          }
        },
      ),
    )
  })
})
