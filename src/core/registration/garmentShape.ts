import type { OnSize } from './onSizes'
import type { Piece } from './piece'

/** What lies on a pallet, flat, millimetres from its centre line and from what is laid at its end: to scale, the rest only shown. */
export interface GarmentShape {
  readonly outline: string
  /** The collar, hem or edge that it is laid by, and its other seams. */
  readonly edge: string
  readonly seams: string
}

/** How a piece lies: whether its back is up, and whether its hem is away from the loader instead of its collar. */
export interface Lies {
  readonly isBack: boolean
  readonly byHem: boolean
}

type Point = readonly [x: number, y: number]

/** Of a front the collar hangs, of a back it runs nearly straight. */
const FRONT = { neck: 85, drop: 75 }
const BACK = { neck: 85, drop: 20 }
/** A chest that the neck and the sleeves are drawn for. */
const USUAL = 520
/** Round the drawing. */
const MARGIN = 12
/** A stitch line from its edge. */
const STITCH = 20

const at = ([x, y]: Point) => `${x.toFixed(1)} ${y.toFixed(1)}`
const line = (points: readonly Point[]) => `M ${points.map(at).join(' L ')}`
const mirrored = (points: readonly Point[]): readonly Point[] => points.map(([x, y]) => [-x, y])

function bodyShape({ near, length }: Piece, { isBack, byHem }: Lies): GarmentShape {
  const half = (near * 1000) / 2
  const k = (near * 1000) / USUAL
  const { neck, drop } = isBack ? BACK : FRONT
  const d = drop * k
  const hem = length * 1000
  // Laid by the hem it lies the other way round.
  const laid = ([x, y]: Point): Point => (byHem ? [-x, hem - y] : [x, y])
  const side: readonly Point[] = [
    [neck * k, -d],
    [half * 0.9, -d + 38 * k],
    [half + 105 * k, 150 * k],
    [half + 28 * k, 205 * k],
    [half, 165 * k],
    [half, hem],
  ]
  const points = [...side, ...[...mirrored(side)].reverse()].map(laid)
  const [first, last] = [points[0], points.at(-1)] as [Point, Point]
  const collar = `Q ${at(laid([0, d]))} ${at(first)}`
  const stitched = [-half, half].map((x) => laid([x, hem - STITCH]))
  return {
    outline: `${line(points)} ${collar} Z`,
    edge: byHem ? line(stitched) : `M ${at(last)} ${collar}`,
    seams: byHem ? `M ${at(last)} ${collar}` : line(stitched),
  }
}

/** A sleeve or a leg: a tube laid flat, by its hem. */
function tubeShape({ near, far, length }: Piece): GarmentShape {
  const [n, f, l] = [near * 500, far * 500, length * 1000]
  const across = (y: number, half: number) =>
    line([
      [-half, y],
      [half, y],
    ])
  return {
    outline: `${line([
      [-n, 0],
      [n, 0],
      [f, l],
      [-f, l],
    ])} Z`,
    edge: across(STITCH, n + ((f - n) * STITCH) / l),
    seams: across(l, f),
  }
}

/** Half of a hood: its face edge at the pallet's end, rounded at the back of the head, open to the neck seam at the right. */
function hoodShape({ near, far, length }: Piece): GarmentShape {
  const [n, f, l] = [near * 500, far * 500, length * 1000]
  return {
    outline: `M ${at([-n, 0])} L ${at([n, 0])} L ${at([f, l])} L ${at([-f / 2, l])} Q ${at([-n, l])} ${at([-n, l / 2])} Z`,
    edge: line([
      [-n, STITCH],
      [n, STITCH],
    ]),
    seams: line([
      [n, 0],
      [f, l],
    ]),
  }
}

export function garmentShape(piece: Piece, lies: Lies): GarmentShape {
  if (piece.kind === 'body') return bodyShape(piece, lies)
  return piece.kind === 'hood' ? hoodShape(piece) : tubeShape(piece)
}

/** All garments of a run to one scale, with the pallet they lie on: millimetres. */
export function roomFor(
  all: readonly Pick<OnSize, 'piece'>[],
  pallet: { readonly width: number; readonly height: number },
  byHem: boolean,
) {
  const isBody = all.some(({ piece }) => piece.kind === 'body')
  const widest = Math.max(...all.flatMap(({ piece }) => [piece.near, piece.far])) * 1000
  const longest = Math.max(...all.map(({ piece }) => piece.length)) * 1000
  // What a body has beside and above what is measured: sleeves, and its neck.
  const [sleeve, neck] = isBody ? [(115 * widest) / USUAL, (85 * widest) / USUAL] : [0, 0]
  const half = Math.max(widest / 2 + sleeve, pallet.width / 2 + MARGIN)
  const above = isBody && !byHem ? neck : MARGIN
  const below = Math.max(longest + (isBody && byHem ? neck : 0), pallet.height) + MARGIN
  return { x: -half, y: -above, width: 2 * half, height: above + below }
}
