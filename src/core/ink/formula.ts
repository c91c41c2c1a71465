import { type Lab, labOf, layered, type Optics, type Spectrum } from '../color'
import type { BaseInk, Part } from '../equipment'
import type { Film } from '../quantity'
import { opticsOfKnown } from './optics'

/** An ink of the rack with what it does to light. */
export interface MixInk {
  readonly ink: BaseInk
  readonly optics: Optics
}

const known = new WeakMap<BaseInk, MixInk>()

/** Readings are worked out once. */
export function mixInk(ink: BaseInk): MixInk {
  const found = known.get(ink) ?? { ink, optics: opticsOfKnown(ink.known) }
  known.set(ink, found)
  return found
}

/** Parts are weighed, but light sees volume: K and S of a mix add by it (Duncan 1940). */
export function mixed(parts: readonly { readonly mass: number; readonly of: MixInk }[]): Optics {
  const volumes = parts.map(({ mass, of }) => mass / of.ink.density)
  const all = volumes.reduce((a, b) => a + b, 0)
  const mean = (pick: (o: Optics) => Spectrum): Spectrum =>
    (parts[0] ? pick(parts[0].of.optics) : []).map((_, band) =>
      parts.reduce((sum, p, i) => sum + (volumes[i]! / all) * pick(p.of.optics)[band]!, 0),
    )
  return { k: mean((o) => o.k), s: mean((o) => o.s) }
}

/** What a mix is printed on, and how thick. */
export interface Condition {
  /** Measured reflectance below the film. */
  readonly ground: Spectrum
  readonly film: Film
}

export const colourOn = (optics: Optics, { ground, film }: Condition): Lab =>
  labOf(layered([{ optics, thickness: film }], ground))

/** Parts so that they sum to 1, largest first: that is how they are weighed. */
export function inOrder(parts: readonly Part[]): readonly Part[] {
  const all = parts.reduce((sum, p) => sum + p.share, 0)
  return parts.map((p) => ({ ...p, share: p.share / all })).sort((a, b) => b.share - a.share)
}

/** Inks of a formula from the rack; undefined where one is missing. */
export function partsOf(
  parts: readonly Part[],
  rack: readonly BaseInk[],
): readonly { readonly mass: number; readonly of: MixInk }[] | undefined {
  const found = parts.flatMap(({ code, share }) => {
    const ink = rack.find((i) => i.code === code)
    return ink ? [{ mass: share, of: mixInk(ink) }] : []
  })
  return found.length === parts.length ? found : undefined
}
