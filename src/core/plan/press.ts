import { type ChoiceAdvice, type Overrides, q, type Reason } from '../advice'
import { flashesAt, type Press, type Shop, usableHeads } from '../equipment'
import type { Run } from '../order'
import type { PressSpace } from '../sequence'
import { PLAN } from './definition'
import { hitsAt, type PrintOf } from './mounted'

const MANY_SCREENS = 6
/** More screens than this do not hold register on a hinge. */
const BENCH_SCREENS = 2
const LONG_RUN = 150

/** Presses in the order this run should try them, and why. Not by quantity alone. */
export function rankPresses(
  run: Run,
  screens: number,
  shop: Shop,
): { readonly presses: readonly Press[]; readonly why: Reason } {
  const halftones = run.placement.inks.some((ink) => ink.ruling !== undefined)
  const inputs = {
    screens: q('count', screens),
    pieces: q('count', run.quantity),
    halftones: halftones ? ' with halftones' : '',
  }
  const able = shop.presses.filter((p) => p.kind !== 'bench' || screens <= BENCH_SCREENS)
  const by = (...kinds: Press['kind'][]) =>
    [...(able.length > 0 ? able : shop.presses)].sort(
      (a, b) => kinds.indexOf(a.kind) - kinds.indexOf(b.kind) || size(a) - size(b),
    )
  if (run.placement.where === 'offPallet')
    return { presses: by('bench', 'single', 'manual', 'automatic'), why: PLAN.because('PRESS_ODD') }
  const automaticFirst = by('automatic', 'manual', 'single', 'bench')
  if (screens >= MANY_SCREENS || (halftones && screens > 3))
    return { presses: automaticFirst, why: PLAN.because('PRESS_MANY', inputs) }
  if (run.quantity >= LONG_RUN) return { presses: automaticFirst, why: PLAN.because('PRESS_LONG', inputs) }
  return {
    presses: by('manual', 'single', 'automatic', 'bench'),
    why: PLAN.because('PRESS_SHORT', inputs),
  }
}

const size = (press: Press) => (press.kind === 'manual' ? press.pallets : 0)

export function pressAdvice(
  advised: Press,
  fits: boolean,
  shop: Shop,
  why: Reason,
  overrides: Overrides,
): ChoiceAdvice {
  return PLAN.choice(
    'press',
    {
      advised: advised.id,
      choices: shop.presses.map((p) => ({ value: p.id, label: p.name })),
      reasons: [why, PLAN.because(fits ? 'PRESS_FITS' : 'PRESS_NONE')],
    },
    overrides,
  )
}

/** The press as the order of printing sees it, with what mounted and stands there. `cool` is empty heads wanted after a flash. */
export function spaceOf(press: Press, shop: Shop, cool: number, of: PrintOf): PressSpace {
  const flashes = flashesAt(shop, press)
  const units = flashes.length
  switch (press.kind) {
    case 'automatic': {
      const at = hitsAt(shop, press, of)
      const stations = press.stations.map((s) => {
        const mounted = at.get(s.number)
        return {
          ...s,
          ...(mounted === undefined ? {} : { mounted }),
          flashStands: flashes.some((f) => f.station === s.number),
        }
      })
      // Units are taken for each other: the widest counts.
      const flashWidth = Math.max(1, ...flashes.map((f) => f.takes))
      return { kind: 'stations', stations, flashUnits: units, flashWidth, cool }
    }
    case 'bench':
      return { kind: 'heads', heads: 'unlimited', hasFlash: true, wetOnWet: false }
    case 'single':
    case 'manual':
      return {
        kind: 'heads',
        heads: usableHeads(press),
        down: press.down.length,
        hasFlash: units > 0,
        wetOnWet: true,
      }
    default:
      return press satisfies never
  }
}
