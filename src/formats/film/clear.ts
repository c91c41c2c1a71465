import type { GreyImage } from '@/core/artwork'

/** Every so many pixels are looked at to tell what a file's transparency says. */
const SAMPLE = 13
/** What is darker is black as films have it: nothing else is to be asked. */
const PALE = 40
/** Opaque pixels are alike, and not black: a white base by itself, a colour as it will print. */
const ALIKE = 16
/** So many of them; the rest are soft rims. */
const NEARLY_ALL = 0.97

/** What the transparency of a picture says: whether it carries the picture, and how much of it is half transparent. */
function saidBy(grey: Uint8Array, alpha: Uint8Array, width: number) {
  let [solid, clear, half] = [0, 0, 0]
  const tones = new Uint32Array(256)
  for (let i = 0; i < alpha.length; i += SAMPLE) {
    const a = alpha[i] ?? 0
    if (a < 8) clear++
    else if (a > 247) {
      solid++
      const v = grey[i] ?? 0
      tones[v] = (tones[v] ?? 0) + 1
    } else if (
      i >= width &&
      Math.abs(a - (alpha[i + 1] ?? 0)) <= 2 &&
      Math.abs(a - (alpha[i - width] ?? 0)) <= 2
    )
      // A rim changes from pixel to pixel; what is half transparent all over does not.
      half++
  }
  const most = tones.indexOf(Math.max(...tones))
  const alike = tones.subarray(Math.max(0, most - ALIKE), most + ALIKE + 1).reduce((a, b) => a + b, 0)
  const seen = Math.ceil(alpha.length / SAMPLE)
  return {
    carries: solid > 0 && clear > 0 && most > PALE && alike >= NEARLY_ALL * solid,
    half: half / seen,
  }
}

/** Whether a picture on clear film shows next to nothing that is black. */
export function isPale(grey: Uint8Array): boolean {
  let [dark, seen] = [0, 0]
  for (let i = 0; i < grey.length; i += SAMPLE) {
    seen++
    if ((grey[i] ?? 0) < PALE) dark++
  }
  return dark < seen * 1e-4
}

/** Colour by the distance of its channels, and what is not white. */
const CHROMA = 40
const WHITE = 230

/** Whether most of what is not white in a picture is a colour. @param channels 3 or 4 a pixel, the last of four passed over */
export function isColoured(pixels: Uint8Array | Uint8ClampedArray, channels: 3 | 4): boolean {
  let [inked, coloured] = [0, 0]
  for (let i = 0; i + 2 < pixels.length; i += channels) {
    const [r, g, b] = [pixels[i] ?? 0, pixels[i + 1] ?? 0, pixels[i + 2] ?? 0]
    if (Math.min(r, g, b) >= WHITE || (channels === 4 && (pixels[i + 3] ?? 0) < 128)) continue
    inked++
    if (Math.max(r, g, b) - Math.min(r, g, b) > CHROMA) coloured++
  }
  return 2 * coloured > inked
}

/**
 * Greys of a picture with transparency: over clear film, or, where it is of one tone and its transparency carries it, as dark as
 * it is opaque.
 *
 * @param image laid on clear film
 * @param opaque said by a person: ink is what is not transparent; undefined finds out
 */
export function onClear(image: GreyImage, alpha: Uint8Array, opaque?: boolean): GreyImage {
  const { carries, half } = saidBy(image.grey, alpha, image.width)
  const byAlpha = opaque ?? carries
  const grey = byAlpha ? alpha.map((a) => 255 - a) : image.grey
  return { ...image, grey, opaque: byAlpha, translucent: half }
}
