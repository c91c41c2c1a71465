import { describe, expect, it } from 'vitest'
import { message } from '@/core/advice'
import type { Order } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_SHOP, demoOrders } from './index'

/** An order whose print has copies of its colours under other ids until it has so many. */
function padded(order: Order, colours: number): Order {
  const [print] = order.placements
  if (!print) throw new Error('no print')
  const inks = Array.from({ length: colours }, (_, i) => {
    const ink = print.inks[i % print.inks.length]
    if (!ink) throw new Error('no ink')
    return i < print.inks.length ? ink : { ...ink, id: `X${i}` }
  })
  return { ...order, placements: [{ ...print, inks }] }
}
const planned = (colours: number) => {
  const [order] = demoOrders('2026-11-23')
  if (!order) throw new Error('the demo has no order')
  // Of this process: what else the machine does counts not.
  const begin = process.cpuUsage()
  const { sequence } = plan(padded(order, colours), DEMO_SHOP, noDecisions('R-1001-P1-dark'))
  return { sequence, ms: process.cpuUsage(begin).user / 1000 }
}

describe('jobs with more colours than the shop has places', () => {
  it.each([8, 9, 10, 12])(
    '%d colours, most of them alike, are told to be too many, in less than three seconds',
    (colours) => {
      const { sequence, ms } = planned(colours)
      expect(ms).toBeLessThan(3000)
      expect(sequence.fits).toBe(false)
      const rules = sequence.reasons.map((r) => r.rule)
      expect(rules).toContain('STATIONS_SHORT')
      expect(rules).toContain('TWO_SHORT')
    },
  )
  it('what would help says in how many revolutions: it agrees with what is short in one', () => {
    const helps = planned(8).sequence.reasons.filter((r) => r.rule.startsWith('HELP_'))
    expect(helps.length).toBeGreaterThan(0)
    // Nine screens and two flashes need eleven stations at once; with a place more, two revolutions do.
    for (const help of helps) expect(message(help, 'metric')).toMatch(/in two revolutions/)
  })
})
