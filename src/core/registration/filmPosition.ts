import { type NumberAdvice, numberOf, type Overrides, q, type Reason, type RuleOf } from '../advice'
import type { ScreenRoom } from '../equipment'
import { type Length, mm } from '../quantity'
import { FRAME_WALL, SCREEN } from '../screen'
import { NECK_DROP, seenAside } from './placement'
import type { Origin } from './sizeGroups'

/** From the edge of the art to the centre of a mark. */
const MARK_GAP = mm(10)
const LEAST_END = mm(100)
const LEAST_SIDE = mm(60)

export interface PositionNeed {
  readonly frameWidth: Length
  readonly frameHeight: Length
  readonly width: Length
  readonly height: Length
  /** What `down` is measured from. */
  readonly origin: Origin
  /** From there to the art. */
  readonly down: Length
  /** From the centre line to the middle of the art, towards the wearer's left. */
  readonly side: Length
}

/**
 * Where the film is taped, seen from the print side with the collar end up; from the frame's outer edges to the
 * centres of the marks. Equal for all screens of a job.
 */
export interface FilmPosition extends PositionNeed {
  /** Top edge to the top of the art. */
  readonly top: Length
  readonly topMark: Length
  readonly sideMarks: Length
  readonly bottomMark: Length
  /** Left edge to the left mark and right edge to the right mark. */
  readonly left: Length
  readonly right: Length
  /** Top and left as they are told, and as the first film was put on if that was otherwise. */
  readonly put: { readonly top: NumberAdvice; readonly left: NumberAdvice }
  readonly reasons: readonly Reason[]
}

const TOPS = {
  collar: 'POSITION_TOP',
  shoulder: 'POSITION_SHOULDER',
  hem: 'POSITION_HEM',
  edge: 'POSITION_EDGE',
} as const satisfies Record<Origin, RuleOf<typeof SCREEN>>

/** From the pallet's end to where a print is measured from: a hem or an item's edge lies at the end itself. */
const fromPallet = (origin: Origin, collarLine: Length): Length =>
  origin === 'collar' ? collarLine : origin === 'shoulder' ? collarLine - NECK_DROP : 0

/** What lies at the pallet's end. */
export const ENDS = {
  collar: 'collar end',
  shoulder: 'collar end',
  hem: 'hem end',
  edge: 'edge of the item',
} as const satisfies Record<Origin, string>

/**
 * The numbers to measure for every film of a job. Geometry; checked with worked examples in the tests. Where the first film was
 * put on otherwise than told, all others follow it.
 *
 * @returns metres, seen from the print side, where the film is taped
 */
export function filmPosition(
  need: PositionNeed,
  { frameToPallet, collarLine }: Pick<ScreenRoom, 'frameToPallet' | 'collarLine'>,
  overrides: Overrides = {},
): FilmPosition {
  const { frameWidth, frameHeight, width, height, origin, down, side } = need
  const reasons = [
    SCREEN.because(TOPS[origin], {
      frame: q('length', frameToPallet),
      collar: q('length', collarLine),
      down: q('length', down),
      drop: q('length', NECK_DROP),
    }),
    SCREEN.because(side === 0 ? 'POSITION_MIDDLE' : 'POSITION_SIDE'),
  ]
  // From the print side left and right swap.
  const centre = frameWidth / 2 - seenAside(origin, side)
  const advice = (setting: 'filmTop' | 'filmLeft', advised: Length, span: Length) =>
    SCREEN.number(setting, { advised, range: freely(advised, span), reasons }, overrides)
  const put = {
    top: advice(
      'filmTop',
      frameToPallet + fromPallet(origin, collarLine) + down - MARK_GAP,
      frameHeight - height,
    ),
    left: advice('filmLeft', centre - width / 2 - MARK_GAP, frameWidth - width),
  }
  const top = numberOf(put.top) + MARK_GAP
  const left = numberOf(put.left)
  const right = frameWidth - width - 2 * MARK_GAP - left
  const ends = [
    { end: 'top', room: top - FRAME_WALL, least: LEAST_END },
    { end: 'bottom', room: frameHeight - FRAME_WALL - top - height, least: LEAST_END },
    { end: 'left', room: left + MARK_GAP - FRAME_WALL, least: LEAST_SIDE },
    { end: 'right', room: right + MARK_GAP - FRAME_WALL, least: LEAST_SIDE },
  ]
  const tight = ends
    .filter((e) => e.room < e.least - 1e-9)
    .map(({ end, room, least }) =>
      room < 0
        ? SCREEN.because('POSITION_OUT', { end, over: q('length', -room) })
        : SCREEN.because('POSITION_END', {
            end,
            room: q('length', room),
            least: q('length', least),
          }),
    )
  return {
    ...need,
    top,
    topMark: top - MARK_GAP,
    sideMarks: top + height / 2,
    bottomMark: top + height + MARK_GAP,
    left,
    right,
    put,
    reasons: [
      ...reasons,
      ...putOtherwise(put.top, ['nearer to', 'farther from'], `the ${ENDS[origin]}`),
      ...putOtherwise(put.left, ['nearer to', 'farther from'], 'the left edge, print side up'),
      ...tight,
    ],
  }
}

/** Between the walls of the frame, whatever is advised. @param span of the frame that the art leaves free */
const freely = (advised: Length, span: Length): readonly [Length, Length] => [
  Math.min(advised, FRAME_WALL),
  Math.max(advised, span - FRAME_WALL - 2 * MARK_GAP),
]

/** A film that was put on otherwise than told: what that does to the print. */
function putOtherwise(
  put: NumberAdvice,
  [near, far]: readonly [string, string],
  end: string,
): readonly Reason[] {
  const off = numberOf(put) - put.advised
  if (Math.abs(off) < 0.0005) return []
  return [
    SCREEN.because('POSITION_PUT', {
      label: put.label,
      chosen: q('length', numberOf(put)),
      advised: q('length', put.advised),
      off: q('length', Math.abs(off)),
      way: `${off < 0 ? near : far} ${end}`,
    }),
  ]
}

/** Where the collar lies when the film must be mounted at a given height: the inverse of the top distance. */
export const collarLineFor = (top: Length, frameToPallet: Length, down: Length): Length =>
  top - frameToPallet - down

/** One sheet of a film that is larger than the sheet. */
export interface Tile {
  readonly row: number
  readonly column: number
  /** What of the art lies on it, metres from the art's top left. */
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/**
 * Art cut into sheets of equal size, as few as can be.
 *
 * @param sheetWidth what can be printed of a sheet
 */
export function tilesOf(
  width: Length,
  height: Length,
  sheetWidth: Length,
  sheetHeight: Length,
): readonly Tile[] {
  const columns = Math.ceil(width / sheetWidth - 1e-9)
  const rows = Math.ceil(height / sheetHeight - 1e-9)
  const [w, h] = [width / columns, height / rows]
  return Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns]
    return { row, column, x: column * w, y: row * h, width: w, height: h }
  })
}
