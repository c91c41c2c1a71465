import { expect, it } from 'vitest'
import { BANDS } from '../color'
import { byColour, type Drawdown, type PastBatch } from './stock'

const smear = BANDS.map(() => 0.4)
const accepted: Drawdown = {
  at: '2026-11-24T09:00',
  onWhite: smear,
  onBlack: smear,
  difference: 1,
  verdict: 'accepted',
  who: 'Ida',
}
const past = (id: string, name: string, drawn: boolean, system = 'plastisol'): PastBatch => ({
  id,
  name,
  system,
  target: { l: 50, a: 0, b: 0 },
  runId: '',
  begun: '2026-11-24T09:00',
  state: 'gone',
  made: 1,
  used: 1,
  left: 0,
  lots: [],
  accepted: drawn ? accepted : undefined,
})

it('batches lie by colour and system, the last mixed first, held to the first that was accepted', () => {
  const all = [
    past('B-5', 'Sky', true),
    past('B-4', 'Sand', false),
    past('B-3', 'sky', true),
    past('B-2', 'Sky', true, 'waterBased'),
    past('B-1', 'Sky', false),
  ]
  const found = byColour(all).map((c) => [c.name, c.batches.map((b) => b.id), c.sample?.id])
  expect(found).toEqual([
    ['Sky', ['B-5', 'B-3', 'B-1'], 'B-3'],
    ['Sand', ['B-4'], undefined],
    ['Sky', ['B-2'], 'B-2'],
  ])
})
