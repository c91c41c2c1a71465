/** A film of the demo, drawn by code: flat art as a vector drawing, photographic art as a halftone. Millimetres. */
export type DemoFilm = { readonly ink: string; readonly name: string } & (
  | { readonly svg: string }
  | { readonly halftone: Halftone }
)

export interface Halftone {
  readonly width: number
  readonly height: number
  readonly dpi: number
  readonly lpi: number
  readonly degrees: number
  /** Ink wanted at a place, 0..1; looked at once for every `coarse` pixels across and down. */
  readonly tint: (x: number, y: number) => number
  readonly coarse: number
  /** Middles of registration marks. */
  readonly marks: readonly (readonly [number, number])[]
}

/** The sheet all demo films are on, and the middle of the art. */
export const SHEET = { width: 330, height: 483 }
export const MIDDLE = { x: SHEET.width / 2, y: 235 }

/** Marks at the middle of each side of the art, 8 mm away from it. */
export const marks = (width: number, height: number): readonly (readonly [number, number])[] => [
  [MIDDLE.x, MIDDLE.y - height / 2 - 8],
  [MIDDLE.x, MIDDLE.y + height / 2 + 8],
  [MIDDLE.x - width / 2 - 8, MIDDLE.y],
  [MIDDLE.x + width / 2 + 8, MIDDLE.y],
]

const drawnMark = ([x, y]: readonly [number, number]) =>
  `<g fill="none" stroke="#000" stroke-width="0.3"><path d="M${x - 5} ${y}H${x + 5}M${x} ${y - 5}V${y + 5}"/><circle cx="${x}" cy="${y}" r="3"/></g>`

/** A sheet with marks round an art of a size; the art is drawn about its own middle. */
export const sheet = (width: number, height: number, art: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${SHEET.width}mm" height="${SHEET.height}mm" viewBox="0 0 ${SHEET.width} ${SHEET.height}"><rect width="100%" height="100%" fill="#fff"/>${marks(width, height).map(drawnMark).join('')}<g transform="translate(${MIDDLE.x} ${MIDDLE.y})">${art}</g></svg>`

export const round = (n: number) => Math.round(n * 1000) / 1000
export const disc = (x: number, y: number, r: number, fill = '#000') =>
  `<circle cx="${round(x)}" cy="${round(y)}" r="${round(r)}" fill="${fill}"/>`
export const stroke = (d: string, width: number, colour = '#000') =>
  `<path d="${d}" fill="none" stroke="${colour}" stroke-width="${round(width)}"/>`

/** Part of a circle about a point, in degrees. */
export const arc = (cx: number, cy: number, r: number, from: number, to: number) => {
  const at = (deg: number) => {
    const a = (deg * Math.PI) / 180
    return `${round(cx + r * Math.cos(a))} ${round(cy + r * Math.sin(a))}`
  }
  return `M${at(from)}A${r} ${r} 0 ${to - from > 180 ? 1 : 0} 1 ${at(to)}`
}

/** The same numbers every time, spread over 0..1. */
export const spread = (i: number, turn = 0.618034) => (i * turn) % 1
