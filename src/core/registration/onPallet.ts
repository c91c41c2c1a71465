import { type Overrides, q, type Reason, type ShopMethod } from '../advice'
import type { Press } from '../equipment'
import { laidFlat, type Run, sizeOf, sizesOf } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'
import { ACROSS, runsOver } from './onSizes'
import { about, type PieceKind, pieceOf } from './piece'
import { type PlacementAdvice, placedOn } from './placement'

/** Where the print sits on the pallets of a press, by group of sizes, and what does not fit. */
export function placeOn(run: Run, press: Press, method: ShopMethod, overrides: Overrides): PlacementAdvice {
  const placed = placedOn(run, method, overrides)
  return { ...placed, reasons: whatDoesNotFit(run, placed, press) }
}

const chestOf = (size: string): Length => sizeOf(size).halfChest

/** What a board must carry: the print, or the whole garment of an all-over print, its body at the least. */
export function boardFor({ placement, lines }: Pick<Run, 'placement' | 'lines'>): {
  readonly what: 'A print' | 'A whole garment'
  readonly width: Length
  readonly height: Length
} {
  const { where, width, height } = placement
  const sizes = sizesOf({ lines, placement })
  if (where !== 'allOver' || sizes.length === 0) return { what: 'A print', width, height }
  const garment = laidFlat(sizes)
  return {
    what: 'A whole garment',
    width: Math.max(width, garment.width),
    height: Math.max(height, garment.length),
  }
}

/** Whether a run lies on the pallets of a press; an item that goes off the pallet needs none. */
export function liesOnPallet(run: Pick<Run, 'placement' | 'lines'>, press: Press): boolean {
  const { width, height } = boardFor(run)
  const carries = width <= press.palletWidth + 1e-9 && height <= press.palletHeight + 1e-9
  return run.placement.where === 'offPallet' || carries
}

/** What is pulled over the pallet; half of a hood lies on it, and so does an all-over garment. */
const PULLED: ReadonlySet<PieceKind> = new Set(['body', 'sleeve', 'leg'])

/** Sizes that do not go over the pallet of a press. */
function tooWideFor(run: Run, { palletWidth }: Press): readonly Reason[] {
  const { where } = run.placement
  if (where === 'allOver') return []
  const narrow = sizesOf(run).flatMap((size) => {
    const piece = pieceOf(where, size)
    return piece && PULLED.has(piece.kind) && piece.near < palletWidth - 1e-9 ? [{ size, piece }] : []
  })
  narrow.sort((a, b) => a.piece.near - b.piece.near)
  const [first] = narrow
  if (!first) return []
  return [
    REGISTRATION.because('PALLET_WIDE', {
      sizes: narrow.map((n) => n.size).join(', '),
      part: ACROSS[first.piece.kind],
      widths: { kind: 'length', values: narrow.map((n) => n.piece.near) },
      palletWidth: q('length', palletWidth),
    }),
  ]
}

/** Width of a hood pocket between its openings, as a share of the chest laid flat (from memory; makers differ). */
const POUCH = 0.4

/** What a second layer of cloth does to a print on it, and on which sizes it is too narrow. */
function onPouch(width: Length, sizes: readonly string[]): readonly Reason[] {
  const across = (size: string) => about(POUCH * sizeOf(size).halfChest)
  const narrow = sizes.filter((s) => across(s) < width).sort((a, b) => across(a) - across(b))
  const edge = REGISTRATION.because('POUCH_EDGE')
  const [first] = narrow
  if (!first) return [edge]
  return [
    edge,
    REGISTRATION.because('POUCH_WIDE', {
      sizes: narrow.join(', '),
      across: q('length', across(first)),
      width: q('length', width),
    }),
  ]
}

const WIDEST = mm(305)
const SMALL_SIZES = new Set(['5-6', '7-8', '9-11', '12-13', 'XS', 'S'])
const TO_SEAM = mm(50)

function whatDoesNotFit(run: Run, placed: Omit<PlacementAdvice, 'reasons'>, press: Press): readonly Reason[] {
  const sizes = sizesOf(run)
  const { width, where } = run.placement
  const reasons: Reason[] = []
  const onBody = where === 'front' || where === 'back'
  const by = (on: readonly string[]) => [...on].sort((a, b) => chestOf(a) - chestOf(b))
  const beyond = by(sizes.filter((s) => width > chestOf(s) + 1e-9))
  const tight = by(sizes.filter((s) => !beyond.includes(s) && width > chestOf(s) - 2 * TO_SEAM + 1e-9))
  // Each size is told once, with the worst that holds for it.
  const small = sizes.filter((s) => SMALL_SIZES.has(s) && !beyond.includes(s) && !tight.includes(s))
  const chests = (on: readonly string[]) => ({ kind: 'length' as const, values: on.map(chestOf) })
  if (onBody && width > WIDEST + 1e-9 && small.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_SMALL', {
        width: q('length', width),
        limit: q('length', WIDEST),
        sizes: small.join(', '),
      }),
    )
  if (onBody && beyond.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_BEYOND', {
        sizes: beyond.join(', '),
        chests: chests(beyond),
        width: q('length', width),
      }),
    )
  if (onBody && tight.length > 0)
    reasons.push(
      REGISTRATION.because('WIDTH_SEAM', {
        sizes: tight.join(', '),
        chests: chests(tight),
        width: q('length', width),
        beside: q('length', TO_SEAM),
      }),
    )
  if (where === 'pouch') reasons.push(...onPouch(width, sizes))
  reasons.push(...runsOver(run.placement, placed, onBody ? beyond : []))
  reasons.push(...tooWideFor(run, press))
  if (!liesOnPallet(run, press)) {
    const board = boardFor(run)
    reasons.push(
      REGISTRATION.because(where === 'allOver' ? 'PALLET_WHOLE' : 'PALLET_NARROW', {
        width: q('length', board.width),
        height: q('length', board.height),
        press: press.name,
        palletWidth: q('length', press.palletWidth),
        palletHeight: q('length', press.palletHeight),
      }),
    )
  }
  return reasons
}

/** More than one screen on an item that cannot go over a pallet. */
export const offPalletStop = (run: Run, screens: number): readonly Reason[] =>
  run.placement.where === 'offPallet' && screens > 1
    ? [REGISTRATION.because('OFF_PALLET', { screens: q('count', screens) })]
    : []
