import { expect, it } from 'vitest'
import { numberOf } from '../advice'
import { plan } from './index'
import { INKS, jobFor } from './plan.fixtures'

// A base, a colour and a black over it want two flashes; with one unit they go round twice.
const asked = {
  inks: [INKS.red, INKS.black],
  relations: [{ a: 'red', b: 'black', how: 'overlap' as const }],
  overrides: { press: 'automatic' },
}
const planWith = (units: number) => {
  const job = jobFor(asked)
  const flashes = job.shop.flashes.filter((f) => f.pressId === 'automatic').slice(0, units)
  return plan(job.order, { ...job.shop, flashes }, job.decisions)
}

it('a press short of a flash unit prints in two laps, says so, and takes twice as long a piece', () => {
  const [one, two] = [planWith(1), planWith(2)]
  expect(two.sequence.laps).toBe(1)
  expect(two.sequence.cells.every((c) => c.lap === undefined)).toBe(true)
  expect(one.sequence).toMatchObject({ fits: true, laps: 2 })
  expect(one.warnings.map((r) => r.rule)).toContain('TWO_LAPS')
  const flashes = one.sequence.cells.filter((c) => c.kind === 'flash')
  expect(flashes.map((c) => c.lap)).toEqual([1, 2])
  expect(new Set(flashes.map((c) => c.station)).size).toBe(1)
  expect(one.sequence.cells.filter((c) => c.kind === 'print').map((c) => c.hitId)).toEqual(
    two.sequence.cells.filter((c) => c.kind === 'print').map((c) => c.hitId),
  )
  expect(1 / one.time!.burst).toBeCloseTo(2 / two.time!.burst, 6)
  expect(numberOf(one.time!.total)).toBeGreaterThanOrEqual(numberOf(two.time!.total))
})
it('without any flash it does not fit, and what would help is named', () => {
  const none = planWith(0)
  expect(none.sequence.fits).toBe(false)
  expect(none.sequence.reasons.map((r) => r.rule)).toEqual(
    expect.arrayContaining(['FLASH_SHORT', 'HELP_UNIT']),
  )
})
it('an order by hand that breaks a rule is told as that; no screen less is offered for it', () => {
  const job = jobFor({ ...asked, order: ['red', 'base', 'black'] })
  const { reasons } = plan(job.order, job.shop, job.decisions).sequence
  expect(reasons.map((r) => r.rule)).toContain('BY_HAND')
  expect(reasons.filter((r) => r.rule.startsWith('HELP_'))).toEqual([])
})
it('the pace waits for film to cool in the stations that there are, not in those that were wanted', () => {
  const [none, two] = [0, 2].map((cool) => {
    const job = jobFor({ ...asked, overrides: { ...asked.overrides, coolDown: cool } })
    return plan(job.order, job.shop, job.decisions).time!
  })
  expect([none!.need.coolHeads, two!.need.coolHeads]).toEqual([0, 2])
  expect(none!.burst).toBeLessThan(two!.burst)
})
