import { describe, expect, it } from 'vitest'
import { message } from '../advice'
import type { Frame } from '../equipment'
import { isoOf } from '../schedule'
import { daysOf } from './days.fixtures'
import { daysNow } from './decide'
import { decode } from './decode'
import { framesNamed } from './frameNames'
import { NOTHING_KEPT } from './kept'
import { daysOfShop } from './shopDays'
import { on, runOf, shopOf } from './shopDays.fixtures'

const frame = (id: string, mesh = 4300): Frame => ({
  ...{ id, mesh, width: 0.58, height: 0.79, tension: 25, readings: [] },
  state: 'clean',
})
const bare = (count: number, mesh = 4300) => Array.from({ length: count }, () => ({ mesh, left: undefined }))

/** Two jobs of two screens each and no more than two frames, in a house of presses that are free. */
const runs = [runOf(1, { due: '2026-12-01', on: [on('a')] }), runOf(2, { on: [on('b')] })]
const tight = shopOf({
  runs,
  screens: { 'O-1.P1': bare(2), 'O-2.P1': bare(2) },
  shop: { frames: [frame('F43-1'), frame('F43-2'), frame('F90-3', 9000)] },
})

describe('frames by their names', () => {
  const days = daysOfShop(tight)
  const plan = decode(days.problem, daysOf(days.problem, [0, 1], [0, 1]))
  const named = framesNamed(days, plan.booked)
  it('are those of the mesh; what hangs for another job is waited for, and said', () => {
    expect(named.get(0)?.names).toEqual(['F43-1', 'F43-2'])
    expect(named.get(0)?.last).toBeUndefined()
    expect(named.get(1)?.names.toSorted()).toEqual(['F43-1', 'F43-2'])
    const [first, second] = plan.booked
    // Forty minutes behind the last print a frame is clean.
    expect(named.get(1)?.last).toMatchObject({ run: 0, clean: (first?.end ?? 0) + 40 })
    expect(second?.screens?.from).toBeGreaterThanOrEqual((first?.end ?? 0) + 40)
  })
  it('the chain goes from the start over the frame to the job that has it', () => {
    const { lanes } = daysNow(tight, NOTHING_KEPT)
    const [one, two] = lanes.runs
    const said = two?.why.map((r) => message(r, 'metric')) ?? []
    expect(said[0]).toMatch(/2 to make, on F43-\d, F43-\d, begun at/)
    expect(said[1]).toMatch(/^F43-\d hangs for Job 1 until then, and is clean at Tue 1 Dec, \d\d:\d\d\.$/)
    expect(said[2]).toContain(`Job 1 begins at Tue 1 Dec, ${isoOf(one?.setUp ?? 0).slice(11)}`)
  })
  it('as the days count them: what a frame waits for is never behind when its screens are begun', () => {
    for (const [a, b] of [
      [0, 1],
      [1, 0],
    ] as const) {
      const found = decode(days.problem, daysOf(days.problem, [a, b], [0, 1]))
      for (const [run, { last }] of framesNamed(days, found.booked)) {
        const own = found.booked.find((x) => x.run === run)
        expect(last?.clean ?? 0).toBeLessThanOrEqual(own?.screens?.from ?? -1)
      }
    }
  })
})

describe('frames that carry screens already come free behind the last print', () => {
  const there = { mesh: 4300, left: 0 }
  const waits = (screens: typeof tight.screens) => {
    const asked = shopOf({ ...{ runs, screens }, shop: { frames: [frame('F43-3')] } })
    const carried = [1, 2].map((n) => ({
      ...frame(`F43-${n}`),
      stencil: { order: 'O-1', print: 'P1', hit: 'I1', words: 'Job 1', at: '2026-11-30T10:00' },
    }))
    return {
      ...asked,
      shop: { ...asked.shop, frames: [...asked.shop.frames, ...carried] as readonly Frame[] },
    }
  }
  it('all of them where all were exposed: a job of three screens finds its third', () => {
    const asked = waits({ 'O-1.P1': [there, there], 'O-2.P1': bare(3) })
    const { lanes } = daysNow(asked, NOTHING_KEPT)
    expect(lanes.out).toEqual([])
    const [one, two] = ['O-1', 'O-2'].map((id) => lanes.runs.find((r) => r.facts.orderId === id))
    expect(two?.screens?.from).toBeGreaterThanOrEqual((one?.end ?? 0) + 40 * 60)
    expect(two?.why[0]?.inputs).toMatchObject({ frames: 'F43-3, F43-1, F43-2' })
  })
  it('also where only some were', () => {
    const asked = waits({ 'O-1.P1': [there, there, ...bare(1)], 'O-2.P1': bare(3) })
    const { lanes } = daysNow(asked, NOTHING_KEPT)
    expect(lanes.out).toEqual([])
    const two = lanes.runs.find((r) => r.facts.orderId === 'O-2')
    expect(two?.why.map((r) => r.rule)).toContain('WAITS_FRAME')
  })
})
