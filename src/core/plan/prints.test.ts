import { expect, it } from 'vitest'
import { DEFAULT_METHOD, message } from '../advice'
import { type Order, type Run, splitOrder } from '../order'
import { celsius } from '../quantity'
import { printsInTurn } from './index'
import { INKS, jobFor } from './plan.fixtures'

const { order } = jobFor({ inks: [INKS.red] })
const print = (id: string, where: Order['placements'][number]['where'], width: number, raised = false) => ({
  id,
  where,
  width,
  height: width,
  sizes: 'all' as const,
  inks: [raised ? INKS.raised : INKS.red],
  relations: [],
})
const turn = (...placements: Order['placements'][number][]) => {
  const asked = { ...order, placements }
  const [first] = splitOrder(asked)
  return printsInTurn(asked, first!, DEFAULT_METHOD)
}

// Common practice, no source.
it('the label first, small before large, raised ink last; what comes first is heated most often', () => {
  const prints = turn(
    print('P1', 'front', 0.3, true),
    print('P2', 'back', 0.28),
    print('P3', 'leftChest', 0.09),
    print('P4', 'neckLabel', 0.06),
  )
  expect(prints.map((p) => p.run.placement.id)).toEqual(['P4', 'P3', 'P2', 'P1'])
  expect(prints.map((p) => p.heatedAgain)).toEqual([3, 2, 1, 0])
  expect(prints[3]!.reasons.map((r) => r.rule)).toEqual(['PRINTS_RAISED'])
})
it('two raised prints: one of them is heated again, and that is watched', () => {
  const [first] = turn(print('P1', 'front', 0.3, true), print('P2', 'back', 0.2, true))
  expect(first!.reasons.at(-1)).toMatchObject({ rule: 'PRINTS_RAISED_AGAIN', severity: 'Watch' })
})
it('art for adults and art for children never meet on one garment', () => {
  const adults = { ...print('P1', 'front', 0.3), sizes: 'adult' as const }
  const kids = { ...print('P2', 'front', 0.2), sizes: 'kids' as const }
  const [line] = order.lines
  const sizes = [
    { size: 'L', quantity: 10 },
    { size: '7-8', quantity: 10 },
  ]
  const asked = { ...order, lines: [{ ...line!, sizes }], placements: [adults, kids] }
  const runs = splitOrder(asked)
  expect(runs).toHaveLength(2)
  for (const run of runs) expect(printsInTurn(asked, run, DEFAULT_METHOD).map((p) => p.run)).toEqual([run])
  const both = { ...asked, placements: [adults, kids, print('P3', 'back', 0.35)] }
  const turns = printsInTurn(both, splitOrder(both)[2]!, DEFAULT_METHOD)
  expect(turns.map((p) => p.heatedAgain)).toEqual([1, 1, 0])
})
it('one print alone has no turn to take', () => {
  expect(turn(print('P1', 'front', 0.3))).toHaveLength(1)
})
it('what heat an earlier print sees again is told in degrees; a low-cure ink under a hot one is watched', () => {
  const low = { ...print('P1', 'leftChest', 0.09), inks: [{ ...INKS.red, lowCure: true }] }
  const [chest, front] = turn(low, { ...print('P2', 'front', 0.3), inks: [INKS.copper] })
  expect(chest!.reasons.map((r) => message(r, 'metric')).slice(1)).toEqual([
    expect.stringContaining('at 170 °C (own cure 130 °C)'),
    'A later cure takes it to 170 °C; its own ink wants no more than 140 °C.',
  ])
  expect(front!.reasons).toHaveLength(1)
})
it('a cure that is set hotter, for this run or another, reaches the prints before it', () => {
  const low = { ...print('P1', 'leftChest', 0.09), inks: [{ ...INKS.red, lowCure: true }] }
  const asked = { ...order, placements: [low, print('P2', 'front', 0.3)] }
  const runs = splitOrder(asked)
  const [chest, front] = ['P1', 'P2'].map((id) => runs.find((r) => r.placement.id === id)!)
  const later = (from: Run, films?: Readonly<Record<string, number>>) =>
    printsInTurn(asked, from, DEFAULT_METHOD, films)[0]!.reasons.find((r) => r.rule === 'PRINTS_AGAIN')
      ?.inputs.later
  for (const from of [chest!, front!]) {
    expect(later(from, { [front!.id]: celsius(180) })).toMatchObject({ value: celsius(180) })
    expect(later(from)).toMatchObject({ value: celsius(160) })
  }
})
