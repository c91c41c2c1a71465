import type { Placement, Run, Where } from '../order'

/** A run of one print, ten of each size. */
export function placementRun(where: Where, sizes: readonly string[], width = 0.3, height = 0.36): Run {
  const placement: Placement = { id: 'P1', where, width, height, sizes: 'all', inks: [], relations: [] }
  const cloth = {
    name: 'Navy',
    hex: '#1f2a44',
    weave: 'jersey',
    cotton: 1,
    polyester: 0,
    weight: 0.18,
  } as const
  return {
    ...{ id: 'R', group: 'dark', quantity: 1, reasons: [], placement },
    lines: [
      {
        ...{ id: 'G1', style: 'Tee', group: '', cloth },
        sizes: sizes.map((size) => ({ size, quantity: 10 })),
      },
    ],
  }
}
