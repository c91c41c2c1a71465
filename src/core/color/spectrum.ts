import { converter, differenceCiede2000, formatHex } from 'culori'
import type { Hex } from './hex'

/** Wavelengths of the bands in nanometres: 400 to 700 by 20. */
export const BANDS: readonly number[] = Array.from({ length: 16 }, (_, i) => 400 + 20 * i)

/** One value a band: a reflectance 0..1, or an absorption or scattering in 1/m. */
export type Spectrum = readonly number[]

/** CIELAB under D65 and the 2 degree observer. */
export interface Lab {
  readonly l: number
  readonly a: number
  readonly b: number
}

/**
 * XYZ of a reflectance under D65 as three sums over the bands. From the CIE 1931 observer and D65 at 5 nm, gathered to
 * 20 nm by four-point Lagrange interpolation and scaled to the white of sRGB (0.3127, 0.3290).
 */
export const WEIGHTS: readonly [Spectrum, Spectrum, Spectrum] = [
  [
    0.0010575, 0.02623, 0.0664817, 0.0634345, 0.0220865, 0.0005154, 0.0134655, 0.0576954, 0.112989, 0.1625748,
    0.1793292, 0.1402699, 0.0705165, 0.0251253, 0.0071059, 0.0015788,
  ],
  [
    0.0000015, 0.0007266, 0.0045246, 0.0131767, 0.0293377, 0.0685849, 0.141076, 0.1898893, 0.1886304,
    0.1545626, 0.1069316, 0.0627914, 0.0274124, 0.0092243, 0.0025676, 0.0005624,
  ],
  [
    0.0048095, 0.1258848, 0.335343, 0.3640006, 0.1825913, 0.0553775, 0.0161446, 0.003832, 0.0006746,
    0.0002499, 0.0001262, 0.000025, -0.0000011, -0.0000002, 0, 0,
  ],
]

export type Xyz = readonly [number, number, number]

export const xyzOf = (r: Spectrum): Xyz =>
  WEIGHTS.map((w) => w.reduce((sum, x, i) => sum + x * (r[i] as number), 0)) as unknown as Xyz

const toLab = converter('lab65')
const toXyz = converter('xyz65')

const labOfXyz = ([x, y, z]: Xyz): Lab => {
  const { l, a, b } = toLab({ mode: 'xyz65', x, y, z })
  return { l, a, b }
}

/** @param r measured reflectance, 0..1 a band */
export const labOf = (r: Spectrum): Lab => labOfXyz(xyzOf(r))

/** @throws Error when `hex` is no colour */
export function xyzOfHex(hex: Hex): Xyz {
  const found = toXyz(hex)
  if (!found) throw new Error(`not a colour: ${hex}`)
  return [found.x, found.y, found.z]
}

/** The display colour nearest to a reflectance; what lies outside of sRGB is clipped. */
export const hexOf = (r: Spectrum): Hex => formatHex({ mode: 'lab65', ...labOf(r) })

const ciede2000 = differenceCiede2000()

/** CIEDE2000 (Sharma, Wu, Dalal 2005). About 1 is just seen side by side. */
export const difference = (a: Lab, b: Lab): number =>
  ciede2000({ mode: 'lab65', ...a }, { mode: 'lab65', ...b })
