import { type Hex, lightness } from '@/core/color'

/** Lines that stand for a colour where colours may not be shown. */
export interface Hatch {
  /** Degrees. */
  readonly angle: number
  /** Distance of the lines in pixels: dark colours stand close. */
  readonly gap: number
}

const ANGLES = [45, 135, 90, 0] as const
const GAPS = [3, 5, 7, 10] as const

/** The hatching of a colour: the darker the closer, the direction by its hue. */
export function hatchOf(hex: Hex): Hatch {
  const { L } = lightness(hex)
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => Number.parseInt(hex.slice(i, i + 2), 16) || 0)
  const strongest = Math.max(r, g, b)
  const grey = strongest - Math.min(r, g, b) < 20
  const direction = grey ? 3 : strongest === r ? (g > b ? 0 : 1) : strongest === g ? 2 : 1
  return { angle: ANGLES[direction] ?? 45, gap: GAPS[Math.min(3, Math.floor(L / 25))] ?? 10 }
}

/** As a CSS background in amber on black. */
export function hatchCss(hex: Hex): string {
  const { angle, gap } = hatchOf(hex)
  return `repeating-linear-gradient(${angle}deg, #c07000 0 1.5px, #000000 1.5px ${gap}px)`
}

/** Names of the SVG patterns, one for each hatching. */
export const hatchId = ({ angle, gap }: Hatch): string => `hatch-${angle}-${gap}`
export const HATCHES: readonly Hatch[] = ANGLES.flatMap((angle) => GAPS.map((gap) => ({ angle, gap })))
