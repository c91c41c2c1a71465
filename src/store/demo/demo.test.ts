import { describe, expect, it } from 'vitest'
import { choiceOf, numberOf } from '@/core/advice'
import { checkOrder, splitOrder } from '@/core/order'
import { noDecisions, plan } from '@/core/plan'
import { DEMO_DECISIONS, DEMO_SHOP, demoOrders } from './index'

const orders = demoOrders('2026-11-23')
const plans = orders.flatMap((order) =>
  splitOrder(order).map((run) => {
    const decisions = DEMO_DECISIONS.find((d) => d.runId === run.id) ?? noDecisions(run.id)
    return plan(order, DEMO_SHOP, decisions)
  }),
)
const planOf = (runId: string) => {
  const found = plans.find((p) => p.run.id === runId)
  if (!found) throw new Error(`no run ${runId}`)
  return found
}
const bases = (runId: string) => planOf(runId).colours.map((c) => choiceOf(c.base))
const printed = (runId: string) =>
  planOf(runId)
    .sequence.cells.map((c) => (c.kind === 'print' ? c.hitId : c.kind))
    .join(' ')

describe('the demo orders', () => {
  it('are ten, each whole', () => {
    expect(orders).toHaveLength(10)
    for (const order of orders) expect(checkOrder(order)).toMatchObject({ ok: true })
  })
  it('all fit the press that is advised', () => {
    expect(plans.filter((p) => !p.sequence.fits)).toEqual([])
  })
  it('the regatta splits by cloth and by kids’ art, with a base on navy only', () => {
    expect(plans.filter((p) => p.run.id.startsWith('R-1002')).map((p) => p.run.quantity)).toEqual([
      140, 80, 15, 15,
    ])
    expect(new Set(bases('R-1002-P1-in-between'))).toEqual(new Set(['none']))
    expect(bases('R-1002-P1-dark')).toEqual(['base', 'base', 'base', 'base', 'none'])
  })
  it('the seabird goes on the automatic around its dead head, black last', () => {
    expect(planOf('R-1003-P1-dark').press.name).toBe('The Twelve')
    expect(printed('R-1003-P1-dark')).toBe('base flash cool I1 I2 I4 down I3 flash I5')
  })
  it('the engine prints yellow, magenta, cyan, black with no base, and is short of frames', () => {
    // A flash unit stands at station 2: it is hung around.
    expect(printed('R-1004-P1-light')).toMatch(/^I1 free I2 I3 I4/)
    expect(planOf('R-1004-P1-light').warnings[0]).toMatchObject({ severity: 'Stop', rule: 'FRAMES_SHORT' })
  })
  it('raised ink last, copper through a coarse mesh, polyester cured low, aprons on the bench', () => {
    expect(printed('R-1005-P2-dark')).toMatch(/I2$/)
    const copper = planOf('R-1006-P1-dark').hits.find((h) => h.hit.id === 'I1')
    expect(copper && numberOf(copper.mesh)).toBe(4300)
    expect(numberOf(planOf('R-1007-P1-dark-poly').cure.inkFilm)).toBeCloseTo(273.15 + 130)
    expect(planOf('R-1009-P1-in-between').press.kind).toBe('bench')
    expect(printed('R-1009-P1-in-between')).toBe('I1')
  })
})
