import type { GreyImage } from './levels'

/** How a film lies the wrong way: left for right, upside down, or both (top for bottom). */
export const TURNS = {
  mirrored: 'mirrored',
  'half turn': 'turned by half',
  flipped: 'top for bottom',
} as const
export type Turn = keyof typeof TURNS

/** The same film the other way round; each turn taken twice is none. */
export function turnImage(image: GreyImage, turn: Turn): GreyImage {
  const { width, height, grey } = image
  const out = new Uint8Array(grey.length)
  for (let y = 0; y < height; y++) {
    const from = (turn === 'mirrored' ? y : height - 1 - y) * width
    const row = grey.subarray(from, from + width)
    out.set(row, y * width)
    if (turn !== 'flipped') out.subarray(y * width, y * width + width).reverse()
  }
  return { ...image, grey: out }
}
