import type { Rectangle } from './facts'
import type { Push } from './misregister'
import { PIECE, SMALLEST } from './preview'

/** What of a film is seen on a table, in pixels of the film. */
export interface View {
  /** Shown pixels for one of the film. */
  readonly scale: number
  /** Pixel of the film in the middle of the table. */
  readonly x: number
  readonly y: number
}

/** A length by two, in pixels. */
interface Extent {
  readonly width: number
  readonly height: number
}

/** A margin round what is shown whole. */
const MARGIN = 0.94

/** The view that shows a rectangle whole. @param box in pixels of the film */
export const viewOf = (box: Rectangle, table: Extent): View => ({
  scale: Math.min(table.width / box.width, table.height / box.height) * MARGIN,
  x: box.x + box.width / 2,
  y: box.y + box.height / 2,
})

/** How near and how far one can look. */
export const clampScale = (scale: number): number => Math.min(16, Math.max(0.02, scale))

/** Tiles of a film that a table shows: numbers of the first and last, in both directions, both included. */
export interface TilesSeen {
  /** Each tile shows 2^level pixels of the film for one of its own. */
  readonly level: number
  /** Side of a tile in pixels of the film. */
  readonly side: number
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/**
 * Which tiles of a film are seen; none gives a last one before the first.
 *
 * @param film pixels of the film
 * @param push how far it was pushed and turned about its middle
 * @param px metres of a pixel of the film
 */
export function tilesSeen(view: View, table: Extent, film: Extent, push: Push, px: number): TilesSeen {
  const level = Math.min(SMALLEST, Math.max(0, Math.floor(-Math.log2(view.scale))))
  const side = PIECE * 2 ** level
  // What a turn brings in from outside.
  const turned = Math.abs(Math.sin(push.rotation)) * (film.width + film.height)
  const along = (middle: number, half: number, most: number) =>
    [
      Math.max(0, Math.floor((middle - half - turned) / side)),
      Math.min(Math.ceil(most / side) - 1, Math.floor((middle + half + turned) / side)),
    ] as const
  const [left, right] = along(view.x - push.dx / px, table.width / 2 / view.scale, film.width)
  const [top, bottom] = along(view.y - push.dy / px, table.height / 2 / view.scale, film.height)
  return { level, side, left, right, top, bottom }
}
