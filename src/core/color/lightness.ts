import type { Hex } from './hex'
import { toLab65, wcagContrast } from './spaces'

/**
 * CIELAB lightness L* (0..100) and chroma of a display colour under D65.
 *
 * @throws Error when `hex` is no colour
 */
export function lightness(hex: Hex): { readonly L: number; readonly chroma: number } {
  const lab = toLab65(hex)
  if (!lab) throw new Error(`not a colour: ${hex}`)
  return { L: lab.l, chroma: Math.hypot(lab.a, lab.b) }
}

/** Black or white, whichever reads better on `hex` (WCAG 2 contrast). */
export const legibleOn = (hex: Hex): Hex =>
  wcagContrast(hex, '#000000') >= wcagContrast(hex, '#ffffff') ? '#000000' : '#ffffff'
