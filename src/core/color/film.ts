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
        (under, { optics, thickness }) =>
          overGround(optics.k[i] as number, optics.s[i] as number, thickness, under),
        inner(measured),
      ),
    ),
  )
