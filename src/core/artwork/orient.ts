import type { GreyImage } from './levels'

/** How a film lies the wrong way: left for right, upside down, or both (top for bottom). */
export const TURNS = {
  mirrored: 'mirrored',
  'half turn': 'turned by half',
  flipped: 'top for bottom',
} as const
export type Turn = keyof typeof TURNS

const PARTS: Readonly<Record<Turn, readonly [across: boolean, down: boolean]>> = {
  mirrored: [true, false],
  'half turn': [true, true],
  flipped: [false, true],
}

/** One turn after another; none when they are alike. */
export function turnedAgain(first: Turn | undefined, then: Turn): Turn | undefined {
  if (!first) return then
  const [a, b] = [PARTS[first], PARTS[then]]
  return (Object.keys(PARTS) as Turn[]).find(
    (t) => PARTS[t][0] === (a[0] !== b[0]) && PARTS[t][1] === (a[1] !== b[1]),
  )
}

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
