import { type ChoiceAdvice, type Overrides, q, type Reason, type RuleOf } from '../advice'
import { flashesAt, type Press, type Shop, usableHeads } from '../equipment'
import type { Run } from '../order'
import { boardFor, liesOnPallet } from '../registration'
import type { PressSpace } from '../sequence'
import { PLAN } from './definition'
import { hitsAt, type PrintOf } from './mounted'

const MANY_SCREENS = 6
/** More screens than this do not hold register on a hinge. */
export const BENCH_SCREENS = 2
const LONG_RUN = 150

/** Presses in the order in which a run should try them, and why the one that is taken. */
interface Ranked {
  readonly presses: readonly Press[]
  readonly why: (taken: Press) => readonly Reason[]
}

/** Presses in the order this run should try them: those whose board takes the print first, never by quantity alone. */
export function rankPresses(run: Run, screens: number, shop: Shop): Ranked {
  const { placement } = run
  const halftones = placement.inks.some((ink) => ink.ruling !== undefined)
  const inputs = {
    screens: q('count', screens),
    pieces: q('count', run.quantity),
    halftones: halftones ? ' with halftones' : '',
  }
  const able = shop.presses.filter((p) => p.kind !== 'bench' || screens <= BENCH_SCREENS)
  const few = able.length > 0 ? able : shop.presses
  const boards = few.filter((p) => liesOnPallet(run, p))
  const board = boardReasons(run, few, boards)
  const by = (...kinds: Press['kind'][]) =>
    [...few].sort(
      (a, b) =>
        Number(boards.includes(b)) - Number(boards.includes(a)) ||
        kinds.indexOf(a.kind) - kinds.indexOf(b.kind) ||
        boardOf(a) - boardOf(b) ||
        size(a) - size(b),
    )
  const ranked = (presses: readonly Press[], why: (byHand: boolean) => RuleOf<typeof PLAN>): Ranked => ({
    presses,
    why: (taken) => [PLAN.because(why(taken.kind !== 'automatic'), inputs), ...board],
  })
  if (placement.where === 'offPallet')
    return ranked(by('bench', 'single', 'manual', 'automatic'), (byHand) =>
      byHand ? 'PRESS_ODD' : 'PRESS_ONLY',
    )
  const automaticFirst = by('automatic', 'manual', 'single', 'bench')
  if (screens >= MANY_SCREENS || (halftones && screens > 3))
    return ranked(automaticFirst, (byHand) => (byHand ? 'PRESS_MANY_BY_HAND' : 'PRESS_MANY'))
  if (run.quantity >= LONG_RUN)
    return ranked(automaticFirst, (byHand) => (byHand ? 'PRESS_LONG_BY_HAND' : 'PRESS_LONG'))
  return ranked(by('manual', 'single', 'automatic', 'bench'), (byHand) =>
    byHand ? 'PRESS_SHORT' : 'PRESS_ONLY',
  )
}

const size = (press: Press) => (press.kind === 'manual' ? press.pallets : 0)
/** A small board is quicker to turn and to load. */
const boardOf = ({ palletWidth, palletHeight }: Press) => palletWidth * palletHeight

/** Which boards the print rules out. */
function boardReasons(run: Run, presses: readonly Press[], boards: readonly Press[]): readonly Reason[] {
  const { what, width, height } = boardFor(run)
  const print = { what, width: q('length', width), height: q('length', height) }
  if (boards.length === 0) return [PLAN.because('PRESS_NO_BOARD', print)]
  const short = presses.filter((p) => !boards.includes(p)).map((p) => p.name)
  return short.length > 0 ? [PLAN.because('PRESS_BOARD', { ...print, presses: short.join(', ') })] : []
}

export function pressAdvice(
  advised: Press,
  fits: boolean,
  shop: Shop,
  why: readonly Reason[],
  overrides: Overrides,
): ChoiceAdvice {
  return PLAN.choice(
    'press',
    {
      advised: advised.id,
      choices: shop.presses.map((p) => ({ value: p.id, label: p.name })),
      reasons: [...why, PLAN.because(fits ? 'PRESS_FITS' : 'PRESS_NONE')],
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
