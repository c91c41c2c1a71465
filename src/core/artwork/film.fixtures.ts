import type { GreyImage } from './levels'

/** Signed distance in millimetres to the edge of a shape, negative inside. */
export type Shape = (x: number, y: number) => number

const far = (x: number, y: number) => Math.sqrt(x * x + y * y)

export const disc =
  (cx: number, cy: number, r: number): Shape =>
  (x, y) =>
    far(x - cx, y - cy) - r

/** A rectangle about its middle, turned by degrees. */
export const slab = (cx: number, cy: number, w: number, h: number, degrees = 0): Shape => {
  const c = Math.cos((degrees * Math.PI) / 180)
  const s = Math.sin((degrees * Math.PI) / 180)
  return (x, y) => {
    const u = Math.abs((x - cx) * c + (y - cy) * s) - w / 2
    const v = Math.abs((y - cy) * c - (x - cx) * s) - h / 2
    return u > 0 && v > 0 ? far(u, v) : Math.max(u, v)
  }
}

const ring =
  (cx: number, cy: number, r: number, width: number): Shape =>
  (x, y) =>
    Math.abs(far(x - cx, y - cy) - r) - width / 2

export const together =
  (...shapes: readonly Shape[]): Shape =>
  (x, y) =>
    shapes.reduce((least, s) => Math.min(least, s(x, y)), Number.POSITIVE_INFINITY)

export const grown =
  (shape: Shape, by: number): Shape =>
  (x, y) =>
    shape(x, y) - by

export const outside =
  (shape: Shape, hole: Shape): Shape =>
  (x, y) =>
    Math.max(shape(x, y), -hole(x, y))

/** A registration mark: a cross of hairlines, in a circle or plain. */
export const mark = (cx: number, cy: number, degrees = 0, size = 10, hair = 0.3, circle = true): Shape => {
  const drawnMark = together(
    slab(cx, cy, size, hair, degrees),
    slab(cx, cy, hair, size, degrees),
    ...(circle ? [ring(cx, cy, size * 0.3, hair)] : []),
  )
  return (x, y) => {
    const away = Math.max(Math.abs(x - cx), Math.abs(y - cy)) - size
    return away > 0 ? away : drawnMark(x, y)
  }
}

/** Round dots on a square lattice: their tint is pi r2 while they do not touch. `frequency` per millimetre. */
export const dots = (frequency: number, degrees: number, tint: number): Shape => {
  const c = Math.cos((degrees * Math.PI) / 180)
  const s = Math.sin((degrees * Math.PI) / 180)
  const pitch = 1 / frequency
  const r = Math.sqrt(tint / Math.PI) * pitch
  return (x, y) => {
    const u = x * c - y * s
    const v = x * s + y * c
    return far(u - Math.round(u / pitch) * pitch, v - Math.round(v / pitch) * pitch) - r
  }
}

export const within =
  (shape: Shape, window: Shape): Shape =>
  (x, y) =>
    Math.max(shape(x, y), window(x, y))

const SAMPLES = 5

/** Share of a pixel that a shape covers. */
function share(shape: Shape, x: number, y: number, px: number): number {
  let n = 0
  for (let j = 0; j < SAMPLES; j++)
    for (let i = 0; i < SAMPLES; i++)
      if (shape((x + (i + 0.5) / SAMPLES) / px, (y + (j + 0.5) / SAMPLES) / px) < 0) n++
  return n / SAMPLES ** 2
}

/** A film of a shape with soft edges, as a drawing program exports it. */
export function drawn(widthMm: number, heightMm: number, dpi: number, shape: Shape): GreyImage {
  const px = dpi / 25.4
  const width = Math.round(widthMm * px)
  const height = Math.round(heightMm * px)
  const grey = new Uint8Array(width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const d = shape((x + 0.5) / px, (y + 0.5) / px) * px
      const ink = Math.abs(d) > 1 ? Number(d < 0) : share(shape, x, y, px)
      grey[y * width + x] = Math.round(255 * (1 - ink))
    }
  return { width, height, grey }
}
