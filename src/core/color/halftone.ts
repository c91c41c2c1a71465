import type { Share } from '../quantity'
import type { Spectrum } from './spectrum'

/** Rise of a dot at half tone by spreading and by light under it; calibrate on a step wedge (assumed, tuned). */
const GAIN = 0.12
/** Light spreads below the dots: 1 is Murray and Davies, 2 usual on textiles (Yule and Nielsen 1951; n assumed). */
const SPREAD = 2

/** Share that a dot covers once printed. @param dot share on the film, 0..1 */
export const printedDot = (dot: Share, gain = GAIN): Share => dot + 4 * gain * dot * (1 - dot)

/**
 * Reflectance of a halftone: what is printed and what shows between the dots, mixed as light spreads below them
 * (Yule and Nielsen 1951).
 *
 * @param dot share on the film, 0..1
 * @param printed measured reflectance of the solid, @param between of what shows between
 */
export function halftoned(
  dot: Share,
  printed: Spectrum,
  between: Spectrum,
  { gain = GAIN, spread = SPREAD } = {},
): Spectrum {
  const a = printedDot(dot, gain)
  return printed.map((r, i) => (a * r ** (1 / spread) + (1 - a) * between[i]! ** (1 / spread)) ** spread)
}
