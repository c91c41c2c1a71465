/** Noise that is always the same at a place: patches of a few pixels. */
export function noise(x: number, y: number, size: number, salt: number): number {
  const at = (i: number, j: number) => {
    const h = Math.sin(i * 127.1 + j * 311.7 + salt * 74.7) * 43758.5453
    return h - Math.floor(h)
  }
  const [gx, gy] = [x / size, y / size]
  const [i, j] = [Math.floor(gx), Math.floor(gy)]
  const [fx, fy] = [gx - i, gy - j]
  const top = at(i, j) * (1 - fx) + at(i + 1, j) * fx
  const low = at(i, j + 1) * (1 - fx) + at(i + 1, j + 1) * fx
  return top * (1 - fy) + low * fy
}

/** How badly a cured print cracks, fades in the wash, and peels: severities, 1 is what a careful eye sees. */
export interface Wear {
  readonly cracks: number
  readonly washes: number
  readonly peels: number
}

/** Cloth shows again where ink cracked, washed out or peeled: lines, patches of a few pixels, whole flakes. */
export function wearOff(
  pixels: Uint8ClampedArray,
  bare: Uint8ClampedArray,
  side: number,
  { cracks, washes, peels }: Wear,
): void {
  if (cracks < 1 && washes < 1 && peels < 1) return
  for (let i = 0; i < side * side; i++) {
    const [x, y] = [i % side, Math.floor(i / side)]
    const isCrack = cracks >= 1 && Math.abs(noise(x, y, 13, 61) - 0.5) < 0.022 * Math.min(2, cracks)
    const isFlake = peels >= 1 && noise(x, y, 19, 62) < 0.24 * Math.min(2, peels)
    const faded = washes >= 1 ? Math.min(0.9, 0.35 * washes) * noise(x, y, 5, 63) * 1.6 : 0
    const gone = isCrack || isFlake ? 0.95 : Math.min(0.95, faded)
    if (gone <= 0) continue
    for (let c = 0; c < 3; c++) {
      const at = i * 4 + c
      pixels[at] = (pixels[at] as number) * (1 - gone) + (bare[at] as number) * gone
    }
  }
}
