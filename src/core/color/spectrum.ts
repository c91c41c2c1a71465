import { differenceCiede2000 } from 'culori/fn'
import type { Hex } from './hex'
import { formatHex, toXyz65 } from './spaces'

/** Wavelengths of the bands in nanometres: 400 to 700 by 20. */
export const BANDS: readonly number[] = Array.from({ length: 16 }, (_, i) => 400 + 20 * i)

/** One value a band: a reflectance 0..1, or an absorption or scattering in 1/m. */
export type Spectrum = readonly number[]

/** CIELAB of the 2 degree observer, under D65 where no other light is named. */
export interface Lab {
  readonly l: number
  readonly a: number
  readonly b: number
}

/** CIELAB is told for a light: daylight everywhere inside, D50 as many instruments say it, A for lamplight. */
export const LIGHTS = { D65: 'daylight', D50: 'D50', A: 'lamplight' } as const
export type Light = keyof typeof LIGHTS

type Weights = readonly [Spectrum, Spectrum, Spectrum]

/**
 * XYZ of a reflectance as three sums over the bands. From the CIE 1931 observer and the light at 5 nm (A: at 10 nm),
 * gathered to 20 nm by four-point Lagrange interpolation and scaled to the published white; that of D65 is the white of
 * sRGB (0.3127, 0.3290). Tables typed from memory; their sums and whites agree with the published ones.
 */
export const WEIGHTS: Readonly<Record<Light, Weights>> = {
  D65: [
    [
      0.0010575, 0.02623, 0.0664817, 0.0634345, 0.0220865, 0.0005154, 0.0134655, 0.0576954, 0.112989,
      0.1625748, 0.1793292, 0.1402699, 0.0705165, 0.0251253, 0.0071059, 0.0015788,
    ],
    [
      0.0000015, 0.0007266, 0.0045246, 0.0131767, 0.0293377, 0.0685849, 0.141076, 0.1898893, 0.1886304,
      0.1545626, 0.1069316, 0.0627914, 0.0274124, 0.0092243, 0.0025676, 0.0005624,
    ],
    [
      0.0048095, 0.1258848, 0.335343, 0.3640006, 0.1825913, 0.0553775, 0.0161446, 0.003832, 0.0006746,
      0.0002499, 0.0001262, 0.000025, -0.0000011, -0.0000002, 0, 0,
    ],
  ],
  D50: [
    [
      0.0005191, 0.0170325, 0.0477416, 0.04902, 0.0181229, 0.0004402, 0.0126085, 0.0560869, 0.1135929,
      0.1690645, 0.1954321, 0.1592269, 0.0833798, 0.0309441, 0.0090771, 0.0020067,
    ],
    [
      -0.0000044, 0.000454, 0.0032472, 0.0101854, 0.0241416, 0.0603043, 0.1314397, 0.1844582, 0.1895928,
      0.1606124, 0.1164395, 0.0713272, 0.032437, 0.0113689, 0.0032811, 0.0007149,
    ],
    [
      0.0023173, 0.0816258, 0.2408111, 0.2814716, 0.1500967, 0.0488207, 0.0150855, 0.0037625, 0.0006871,
      0.0002618, 0.0001373, 0.0000286, -0.0000012, -0.0000002, 0, 0,
    ],
  ],
  A: [
    [
      0.0000721, 0.0062916, 0.0180118, 0.0198996, 0.0088642, 0.0002482, 0.0089683, 0.0461989, 0.1107096,
      0.194694, 0.2531498, 0.2256211, 0.131946, 0.0519549, 0.0172628, 0.0046072,
    ],
    [
      -0.0000033, 0.0001728, 0.0011844, 0.0041266, 0.0120985, 0.0369144, 0.094588, 0.1519156, 0.184323,
      0.1841876, 0.1510395, 0.1009482, 0.0514557, 0.0191387, 0.0062504, 0.0016599,
    ],
    [
      0.00029, 0.030206, 0.0907046, 0.1147476, 0.0742813, 0.0302566, 0.0109578, 0.0031652, 0.0007024,
      0.0003127, 0.0001764, 0.0000457, 0.0000042, -0.0000004, 0, 0,
    ],
  ],
}

const sum = (w: Spectrum) => w.reduce((a, b) => a + b, 0)
/** XYZ of the whole reflecting white under each light. */
export const WHITE_OF: Readonly<Record<Light, Xyz>> = {
  // To the last digit, so that #ffffff has no hue.
  D65: [0.3127 / 0.329, sum(WEIGHTS.D65[1]), (1 - 0.3127 - 0.329) / 0.329],
  D50: WEIGHTS.D50.map(sum) as unknown as Xyz,
  A: WEIGHTS.A.map(sum) as unknown as Xyz,
}

export type Xyz = readonly [number, number, number]

export const xyzOf = (r: Spectrum, light: Light = 'D65'): Xyz => {
  const [x, y, z] = WEIGHTS[light]
  let [a, b, c] = [0, 0, 0]
  for (let i = 0; i < r.length; i++) {
    a += x[i]! * r[i]!
    b += y[i]! * r[i]!
    c += z[i]! * r[i]!
  }
  return [a, b, c]
}

const KNEE = 6 / 29
/** The cube root of CIELAB with its straight foot (CIE 15), and its slope. */
const root = (t: number): number => (t > KNEE ** 3 ? Math.cbrt(t) : t / (3 * KNEE * KNEE) + 4 / 29)
export const rootSlope = (t: number): number => {
  const r = Math.cbrt(t)
  return t > KNEE ** 3 ? 1 / (3 * r * r) : 1 / (3 * KNEE * KNEE)
}
const unroot = (f: number): number => (f > KNEE ? f ** 3 : 3 * KNEE * KNEE * (f - 4 / 29))

export function labOfXyz([x, y, z]: Xyz, light: Light = 'D65'): Lab {
  const [wx, wy, wz] = WHITE_OF[light]
  const [fx, fy, fz] = [root(x / wx), root(y / wy), root(z / wz)]
  return { l: 116 * fy - 16, a: 500 * (fx - fy), b: 200 * (fy - fz) }
}

export function xyzOfLab({ l, a, b }: Lab, light: Light = 'D65'): Xyz {
  const [wx, wy, wz] = WHITE_OF[light]
  const fy = (l + 16) / 116
  return [wx * unroot(fy + a / 500), wy * unroot(fy), wz * unroot(fy - b / 200)]
}

/** @param r measured reflectance, 0..1 a band */
export const labOf = (r: Spectrum, light: Light = 'D65'): Lab => labOfXyz(xyzOf(r, light), light)

/** @throws Error when `hex` is no colour */
export function xyzOfHex(hex: Hex): Xyz {
  const found = toXyz65(hex)
  if (!found) throw new Error(`not a colour: ${hex}`)
  return [found.x, found.y, found.z]
}

/** @throws Error when `hex` is no colour */
export const labOfHex = (hex: Hex): Lab => labOfXyz(xyzOfHex(hex))

/** The display colour nearest to a colour; what lies outside of sRGB is clipped. */
export const hexOfLab = (lab: Lab): Hex => formatHex({ mode: 'lab65', ...lab })
export const hexOf = (r: Spectrum): Hex => hexOfLab(labOf(r))

const ciede2000 = differenceCiede2000()

/** CIEDE2000 (Sharma, Wu, Dalal 2005). About 1 is just seen side by side. */
export const difference = (a: Lab, b: Lab): number =>
  ciede2000({ mode: 'lab65', ...a }, { mode: 'lab65', ...b })
