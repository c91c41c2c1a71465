import type { Halftone } from './filmSheet'

/** A halftone's grey values, 0 is ink: round dots that grow with the tint, rows turned by an angle. */
export function screened({ width, height, dpi, lpi, degrees, tint, coarse, marks: places }: Halftone) {
  const px = 25.4 / dpi
  const w = Math.round(width / px)
  const h = Math.round(height / px)
  const grey = new Uint8Array(w * h).fill(255)
  const turn = (2 * Math.PI * lpi) / 25.4
  const c = Math.cos((degrees * Math.PI) / 180) * turn
  const s = Math.sin((degrees * Math.PI) / 180) * turn
  /** Inks the pixels of a square where a hill over each dot is higher than the tint leaves clear. */
  const square = (left: number, top: number, ink: number) => {
    for (let j = top; j < Math.min(h, top + coarse); j++)
      for (let i = left; i < Math.min(w, left + coarse); i++) {
        const x = (i + 0.5) * px
        const y = (j + 0.5) * px
        const hill = (Math.cos(c * x - s * y) + Math.cos(s * x + c * y)) / 4 + 0.5
        if (ink >= 1 || hill > 1 - ink) grey[j * w + i] = 0
      }
  }
  for (let j = 0; j < h; j += coarse)
    for (let i = 0; i < w; i += coarse) {
      const ink = tint((i + coarse / 2) * px, (j + coarse / 2) * px)
      if (ink > 0) square(i, j, ink)
    }
  for (const [mx, my] of places)
    for (let j = Math.floor((my - 5) / px); j * px < my + 5; j++)
      for (let i = Math.floor((mx - 5) / px); i * px < mx + 5; i++) {
        const dx = Math.abs((i + 0.5) * px - mx)
        const dy = Math.abs((j + 0.5) * px - my)
        const hair = dx < 0.15 || dy < 0.15 || Math.abs(Math.hypot(dx, dy) - 3) < 0.15
        if (dx <= 5 && dy <= 5 && hair) grey[j * w + i] = 0
      }
  return { width: w, height: h, grey }
}
