import { artBox } from './agreement'
import type { Film } from './film'
import { boxOf, type Mark } from './marks'
import { around, type Box, meets, within } from './pack'
import { bitAt, CELL } from './plane'

/** What of a film is no art: a registration mark, or a label or wedge outside of the marks. Pixels of the film. */
export interface LeftOut {
  readonly kind: 'mark' | 'label'
  readonly box: Box
}

/** Outside of the marks, what is larger than this both ways is art, in millimetres. A wedge or a label is lower. */
const LABEL_MM = 15
/** Pieces this near each other are one label, in millimetres. */
const JOINED_MM = 3
/** Pieces with less ink than this share of a square millimetre are dust. */
const DUST_MM2 = 0.03

/**
 * What of a film is left out of its art.
 *
 * @param places the marks of the set, where they lie on this film
 * @param kept points that someone said are art
 */
export function leftOut(
  film: Film,
  places: readonly Mark[],
  kept: readonly { readonly x: number; readonly y: number }[],
): readonly LeftOut[] {
  const { width, height } = film.packed.bits
  const px = film.dpi / 25.4
  const isKept = (box: Box) => kept.some(({ x, y }) => within(box, x, y))
  const marks = places.map(({ box }): LeftOut => ({ kind: 'mark', box })).filter((m) => !isKept(m.box))
  const art = artBox(places, width, height)
  if (art.left === 0 && art.top === 0 && art.right === width && art.bottom === height) return marks
  const inside = (cell: number) =>
    within(
      art,
      (cell % film.coarse.columns) * CELL + CELL / 2,
      Math.floor(cell / film.coarse.columns) * CELL + CELL / 2,
    )
  const outside = film.pieces
    .filter((cells) => !cells.some(inside))
    .map((cells) => boxOf(cells, film.coarse.columns))
    .filter((box) => !marks.some((m) => meets(m.box, box)))
  const labels = joined(outside, JOINED_MM * px).filter(
    (box) => Math.min(box.right - box.left, box.bottom - box.top) <= LABEL_MM * px && !isKept(box),
  )
  return [...marks, ...labels.map((box): LeftOut => ({ kind: 'label', box }))]
}

/** Boxes that come near each other, as one. */
function joined(boxes: readonly Box[], gap: number): readonly Box[] {
  const done: Box[] = []
  for (const box of boxes) {
    let own = box
    for (let again = true; again; ) {
      again = false
      for (let i = done.length - 1; i >= 0; i--) {
        const other = done[i] as Box
        const wide = {
          left: own.left - gap,
          right: own.right + gap,
          top: own.top - gap,
          bottom: own.bottom + gap,
        }
        if (!meets(wide, other)) continue
        own = around(own, other)
        done.splice(i, 1)
        again = true
      }
    }
    done.push(own)
  }
  return done
}

/** Whether a left out piece is more than dust that is not worth telling. */
export function isTold({ kind, box }: LeftOut, film: Film): boolean {
  if (kind === 'mark') return true
  const least = DUST_MM2 * (film.dpi / 25.4) ** 2
  let ink = 0
  for (let y = box.top; y < box.bottom; y++)
    for (let x = box.left; x < box.right; x++) {
      ink += bitAt(film.packed.bits, x, y)
      if (ink > least) return true
    }
  return false
}
