import { type Light, rootSlope, WEIGHTS, WHITE_OF } from '../color'

/**
 * What L*, a* and b* gain by each band of a measured reflectance (CIE 15).
 *
 * @param xyz of the reflectance they are taken at
 */
export function labSlopes(
  xyz: readonly [number, number, number],
  light: Light = 'D65',
): readonly (readonly number[])[] {
  const [x, y, z] = WEIGHTS[light]
  const [sx, sy, sz] = xyz.map((v, i) => {
    const white = WHITE_OF[light][i]!
    return rootSlope(v / white) / white
  }) as [number, number, number]
  return [
    y.map((w) => 116 * sy * w),
    x.map((w, i) => 500 * (sx * w - sy * y[i]!)),
    y.map((w, i) => 200 * (sy * w - sz * z[i]!)),
  ]
}
