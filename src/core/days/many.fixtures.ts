import { type AskedRun, drawing, problemOf } from './days.fixtures'
import type { DaysProblem } from './problem'

/** A large shop: two dryers, frames in two meshes, people enough for most presses, work for about as many days as there are due. */
export function largeShop(count: number, presses: number, seed: number): DaysProblem {
  const below = drawing(seed)
  const days = Math.ceil((count * 180) / (presses * 480))
  const runs = Array.from({ length: count }, (_, i): AskedRun => {
    const long = 40 + below(160)
    return {
      on: Array.from({ length: presses }, (_, p) =>
        p > 0 && below(5) === 0 ? undefined : { setUp: 5, run: long + below(60) },
      ),
      weight: 1 + below(3),
      due: 1440 * (1 + below(days + 2)) + 1020,
      garments: below(4) === 0 ? 1440 * below(days) + 480 : 0,
      people: 1 + below(2),
      dryer: { at: below(2), share: 0.15 + below(4) / 10, celsius: below(6) === 0 ? 125 : 160 },
      pot: below(7) === 0 ? 200 : 0,
      screens: `S${below(10) === 0 && i > 0 ? i - 1 : i}`,
      exposed: 0,
      frames: [],
      ...(below(8) === 0 && i > 0 && { after: { run: i - 1, wait: 20 } }),
    }
  })
  return {
    ...problemOf({ presses, days: 4 * days + 10, runs }),
    people: Math.ceil(1.5 * presses),
    dryers: [{ changes: 20 }, { changes: 20 }],
    changeOver: (_, from, to) => (from === undefined ? 30 : 10 + 5 * ((7 * from + 3 * to) % 6)),
  }
}
