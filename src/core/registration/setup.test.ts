import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setupSaid, setupTimes } from './setup'

const at = (time: string) => `2026-11-24T${time}`

describe('the times of a set-up', () => {
  it('count from one step to the next, in whatever order they were ticked', () => {
    const { since, total } = setupTimes([
      { step: 'level', at: at('08:04:10') },
      { step: 'zero', at: at('08:00:00') },
      { step: 'clamp', at: at('08:02:30') },
    ])
    expect(since).toEqual({ clamp: 150, level: 100 })
    expect(total).toBe(250)
  })
  it('leave out a pause, and what is no time', () => {
    const { since, total } = setupTimes([
      { step: 'zero', at: at('08:00:00') },
      { step: 'clamp', at: at('12:30:00') },
      { step: 'level', at: at('12:31:00') },
      { step: 'lock', at: 'yesterday' },
    ])
    expect(since).toEqual({ level: 60 })
    expect(total).toBe(60)
  })
  it('never come to less than nothing, nor to more than from first to last', () => {
    const steps = ['zero', 'clamp', 'level', 'offContact', 'register', 'lock', 'check', 'tape']
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 86_399 }), { maxLength: steps.length }), (times) => {
        const clock = (s: number) => new Date(s * 1000).toISOString().slice(11, 19)
        const done = times.map((t, i) => ({ step: steps[i] ?? 'zero', at: at(clock(t)) }))
        const { total, since } = setupTimes(done)
        expect(total).toBeGreaterThanOrEqual(0)
        expect(total).toBeLessThanOrEqual(times.length > 0 ? Math.max(...times) - Math.min(...times) : 0)
        expect(Object.values(since).reduce((a, b) => a + b, 0)).toBe(total)
      }),
    )
  })
  it('say what was planned beside what was logged', () => {
    expect(setupSaid(400, 390)[0]?.inputs).toMatchObject({ total: { value: 400 }, planned: { value: 390 } })
  })
})
