import { q, type Reason } from '../advice'
import { isPrinted, type Placement, type Where } from '../order'
import { type Length, mm } from '../quantity'
import { REGISTRATION } from './definition'
import { about, type Piece, type PieceKind, pieceOf, widthAt } from './piece'
import { artAt, type PlacementAdvice } from './placement'

/** Nearer to a seam a print meets its bulk: it is told (from memory). */
const TO_SEAM: Length = mm(50)
/** A sleeve, a hood or a leg is narrow: its seams are folds, or lie at the edge. */
const TO_FOLD: Length = mm(15)

/** A print on a garment of one size: metres from the pallet's centre line to the right as it is seen, and down from what is laid at its end. */
export interface OnSize {
  readonly size: string
  readonly piece: Piece
  readonly group: PlacementAdvice['groups'][number]
  readonly art: { readonly x: Length; readonly y: Length; readonly width: Length; readonly height: Length }
  /** From the art to the nearer side, below nothing where it runs over it; from the art to the other end. */
  readonly toSeam: Length
  readonly toEnd: Length
  readonly state: 'clear' | 'near' | 'over'
  readonly reasons: readonly Reason[]
}

/** What is measured across on a piece, in words. */
export const ACROSS: Readonly<Record<PieceKind, string>> = {
  body: 'chest',
  sleeve: 'sleeve about',
  hood: 'half of the hood about',
  leg: 'leg about',
}

/** Where the art lies on each size of a run, smallest first; nothing for an item of which nothing is known. */
export function onSizes(
  placement: Placement,
  { groups, origin }: Pick<PlacementAdvice, 'groups' | 'origin'>,
): readonly OnSize[] {
  const { where } = placement
  const found = groups.flatMap((group) =>
    group.sizes.flatMap((size): readonly OnSize[] => {
      const piece = isPrinted(size, placement.sizes) ? pieceOf(where, size) : undefined
      return piece
        ? [{ size, piece, group, ...laidOn(piece, size, placement, artAt(placement, origin, group)) }]
        : []
    }),
  )
  return found.sort((a, b) => a.piece.near - b.piece.near)
}

function laidOn(
  piece: Piece,
  size: string,
  { where, width, height }: Placement,
  { x, y }: { readonly x: Length; readonly y: Length },
): Pick<OnSize, 'art' | 'toSeam' | 'toEnd' | 'state' | 'reasons'> {
  const narrowest = Math.min(widthAt(piece, y), widthAt(piece, y + height))
  const across = piece.kind === 'body' ? narrowest : about(narrowest)
  const aside = Math.abs(x + width / 2)
  const beside = piece.kind === 'body' ? TO_SEAM : TO_FOLD
  const toSeam = across / 2 - aside - width / 2
  const toEnd = piece.length - y - height
  const least = Math.min(toSeam, toEnd)
  const state = least < 0 ? 'over' : toSeam < beside - 1e-9 ? 'near' : 'clear'
  const told = {
    size,
    part: ACROSS[piece.kind],
    across: q('length', across),
    left: q('length', Math.abs(least)),
    beside: q('length', beside),
  }
  const meant = RUNS_OVER.has(where)
  return {
    art: { x, y, width, height },
    toSeam,
    toEnd,
    state,
    reasons: [
      REGISTRATION.because(RULES[meant && state !== 'clear' ? 'meant' : state], told),
      ...(state !== 'clear' && toEnd >= 0 && !meant
        ? wayOut(size, { across, beside, aside, lacks: beside - toSeam })
        : []),
    ],
  }
}

/** What leaves room at both sides: the print nearer to the centre line, or else an artwork of its own for the size. */
function wayOut(
  size: string,
  at: { readonly across: Length; readonly beside: Length; readonly aside: Length; readonly lacks: Length },
): readonly Reason[] {
  if (at.lacks <= at.aside)
    return [
      REGISTRATION.because('SIZE_INWARD', {
        size,
        by: q('length', Math.ceil(at.lacks * 1000 - 1e-6) / 1000),
      }),
    ]
  const fits = at.across - 2 * at.beside
  return fits > 0 ? [REGISTRATION.because('SIZE_SECOND', { size, width: q('length', fits) })] : []
}

/** Prints that are meant to run over seams and edges. */
const RUNS_OVER: ReadonlySet<Where> = new Set(['allOver'])

const RULES = { clear: 'SIZE_CLEAR', near: 'SIZE_NEAR', over: 'SIZE_OVER', meant: 'SIZE_MEANT' } as const

/** Sizes on which a print runs over what it lies on, and over what; those whose chest is told elsewhere left out. */
export function runsOver(
  placement: Placement,
  placed: Pick<PlacementAdvice, 'groups' | 'origin'>,
  told: readonly string[],
): readonly Reason[] {
  if (RUNS_OVER.has(placement.where)) return []
  const over = onSizes(placement, placed).filter((s) => s.state === 'over' && !told.includes(s.size))
  const [first] = over
  if (!first) return []
  return [
    REGISTRATION.because('PIECE_BEYOND', {
      sizes: over.map((s) => s.size).join(', '),
      part: first.piece.kind === 'body' ? 'garment' : first.piece.kind,
      width: q('length', placement.width),
      height: q('length', placement.height),
    }),
  ]
}
