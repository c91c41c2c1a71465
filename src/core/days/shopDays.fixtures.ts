import { type Frame, type Press, USUAL_HOURS } from '../equipment'
import { momentOf } from '../schedule'
import type { DayFacts, OnPress, ShopDays } from './facts'

const press = (id: string, name: string): Press => ({
  ...{ id, name, heads: 6, pallets: 4, down: [] },
  kind: 'manual',
  ...{ palletWidth: 0.4, palletHeight: 0.56 },
  palletMaterial: 'aluminium',
})

const frame = (id: string, mesh: number): Frame => ({
  ...{ id, mesh, width: 0.58, height: 0.79, tension: 25, readings: [] },
  state: 'clean',
})

/** On a press for so many minutes. */
export const on = (pressId: string, setUp = 30, print = 60): OnPress => ({
  pressId,
  setUp: setUp * 60,
  print: print * 60,
  range: [(setUp + 0.9 * print) * 60, (setUp + 1.3 * print) * 60],
  people: 1,
})

/** A run of an invented shop, an order of its own for each number. */
export const runOf = (number: number, more: Partial<DayFacts> = {}): DayFacts => ({
  ...{ runId: `R-${number}-P1-dark`, orderId: `O-${number}`, print: 'P1', words: `Job ${number}` },
  ...{ due: '2026-12-04', pieces: 48, on: [on('a'), on('b')], isChosen: false },
  ...{ cloth: '#222222', inks: ['#ffffff'], airDays: 0, pot: 0, isBased: false, lightest: 90, darkest: 90 },
  ...more,
})

/** A shop with two presses on Tuesday 1 December 2026 at 8:00; screens hang, garments are there. */
export function shopOf(
  asked: Partial<Omit<ShopDays, 'shop'>> & { readonly shop?: Partial<ShopDays['shop']> },
): ShopDays {
  const { shop, runs = [], ...more } = asked
  return {
    now: momentOf('2026-12-01T08:00'),
    runs,
    screens: Object.fromEntries(runs.map((r) => [`${r.orderId}.${r.print}`, [{ mesh: 4300, left: 0 }]])),
    ...{ begun: [], pins: [], down: [], garmentsIn: runs.map((r) => r.orderId) },
    ...more,
    shop: {
      hours: USUAL_HOURS,
      presses: [press('a', 'Press A'), press('b', 'Press B')],
      dryers: [],
      frames: ['1', '2', '3', '4'].map((id) => frame(id, 4300)),
      screens: { humidity: 0.45 } as ShopDays['shop']['screens'],
      ...shop,
    },
  }
}
