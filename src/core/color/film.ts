import type { Spectrum } from './spectrum'

/** What a film does to light, inside it: absorption and scattering in 1/m of dry film, a value a band. */
export interface Optics {
  readonly k: Spectrum
  readonly s: Spectrum
}

/** Light lost to the surface going in, turned back inside, and caught by the instrument from a matte print (n = 1.5). */
const OUTSIDE = 0.04
const INSIDE = 0.6
const CAUGHT = 0.012
const BRIGHTEST = 0.9995

/** From a measured reflectance to the one inside the film (Saunderson 1942). */
export const inner = (measured: number): number => {
  const over = measured - CAUGHT
  const r = over / ((1 - OUTSIDE) * (1 - INSIDE) + INSIDE * over)
  return Math.min(BRIGHTEST, Math.max(0, r))
}

/** From the reflectance inside the film to what is measured (Saunderson 1942). */
export const outer = (r: number): number => CAUGHT + ((1 - OUTSIDE) * (1 - INSIDE) * r) / (1 - INSIDE * r)

/**
 * Reflectance of a film over a ground, both inside (Kubelka 1948, in a form without poles).
 *
 * @param k absorption, 1/m
 * @param s scattering, 1/m
 * @param x thickness, m
 * @param ground 0..1
 */
export function overGround(k: number, s: number, x: number, ground: number): number {
  const a = k * k + 2 * k * s
  const root = Math.sqrt(a)
  const depth = x * root
  const q =
    depth * depth < 1e-6 ? x * (1 - (depth * depth) / 3) : depth > 20 ? 1 / root : Math.tanh(depth) / root
  const d = 1 + (k + s) * q
  const own = (s * q) / d
  const through = Math.max(0, 1 - a * q * q) / (d * d)
  return own + (through * ground) / (1 - own * ground)
}

/** What `outer` gains when the reflectance inside does. */
export const outerSlope = (r: number): number => ((1 - OUTSIDE) * (1 - INSIDE)) / (1 - INSIDE * r) ** 2

/**
 * The same reflectance with what it gains by absorption and by scattering: for searches.
 *
 * @returns reflectance inside, its slope by k, its slope by s (both in m)
 */
export function overGroundSlopes(
  k: number,
  s: number,
  x: number,
  ground: number,
): readonly [number, number, number] {
  const a = k * k + 2 * k * s
  const root = Math.sqrt(a)
  const depth = x * root
  const thin = depth * depth < 1e-6
  const t = depth > 20 ? 1 : Math.tanh(depth)
  const q = thin ? x * (1 - (depth * depth) / 3) : t / root
  const qa = thin ? x ** 3 * (-1 / 3 + (4 * depth * depth) / 15) : (x * (1 - t * t) - q) / (2 * a)
  const d = 1 + (k + s) * q
  const own = (s * q) / d
  const rest = Math.max(0, 1 - a * q * q)
  const through = rest / (d * d)
  const open = 1 - own * ground
  const slope = (ak: number, fromS: number) => {
    const dq = qa * ak
    const dd = q + (k + s) * dq
    const dOwn = (s * dq + fromS - own * dd) / d
    const dThrough = rest > 0 ? -(ak * q * q + 2 * a * q * dq) / (d * d) - (2 * through * dd) / d : 0
    return dOwn + (dThrough * ground) / open + (through * ground * ground * dOwn) / (open * open)
  }
  return [own + (through * ground) / open, slope(2 * k + 2 * s, 0), slope(2 * k, q)]
}

/** A film of an ink on what lies below. */
export interface Layer {
  readonly optics: Optics
  /** m of dry film. */
  readonly thickness: number
}

/** Measured reflectance of layers on a ground, the lowest layer first. */
export const layered = (layers: readonly Layer[], ground: Spectrum): Spectrum =>
  ground.map((measured, i) =>
    outer(
      layers.reduce(
        (under, { optics, thickness }) => overGround(optics.k[i] ?? 0, optics.s[i] ?? 0, thickness, under),
        inner(measured),
      ),
    ),
  )
