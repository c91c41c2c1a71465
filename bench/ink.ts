/**
 * Formula search over 12 inks x 40 targets, against every mix on a coarse grid and against a general optimiser (Levenberg
 * and Marquardt, ml-levenberg-marquardt); and the base decision for 12 colours x 20 cloths. Last line: ratios.
 */
import { levenbergMarquardt } from 'ml-levenberg-marquardt'
import { DEFAULT_METHOD } from '../src/core/advice'
import { BANDS, difference, labOf, layered, reflectanceOf, type Spectrum } from '../src/core/color'
import { FABRICS, STARTER_RACK, USUAL_INK_ROOM, USUAL_SMEAR } from '../src/core/equipment'
import { baseFor, mixed, mixInk, searchFormulas, WHITE_CARD } from '../src/core/ink'
import type { Cloth, InkColour } from '../src/core/order'
import { perCm } from '../src/core/quantity'
import { dryFilm, fabricOf } from '../src/core/screen'
import { SMALL } from './size'

const RACK = STARTER_RACK.map(mixInk)
const CARD = BANDS.map(() => WHITE_CARD)
const OPEN = new Set(STARTER_RACK.map((i) => i.code))
/** Colours that a rack of ten hues can reach, spread evenly in hue, and some greys and browns. */
const TARGETS = Array.from({ length: SMALL ? 2 : 40 }, (_, i) => {
  const hue = (i * 137.5) % 360
  const [s, l] = [0.25 + 0.5 * ((i * 7) % 10) * 0.1, 0.3 + 0.45 * ((i * 3) % 10) * 0.1]
  const f = (n: number) => {
    const k = (n + hue / 30) % 12
    return l - s * Math.min(l, 1 - l) * Math.max(-1, Math.min(k - 3, 9 - k, 1))
  }
  return `#${[f(0), f(8), f(4)]
    .map((x) =>
      Math.round(x * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
})
const median = (x: readonly number[]) => [...x].sort((a, b) => a - b)[x.length >> 1] ?? 0
const off = (
  parts: readonly { readonly mass: number; readonly of: (typeof RACK)[number] }[],
  target: Spectrum,
) => difference(labOf(layered([{ optics: mixed(parts), thickness: USUAL_SMEAR }], CARD)), labOf(target))

function search(target: Spectrum): number {
  const conditions = [{ ground: CARD, film: USUAL_SMEAR }]
  let best = Number.POSITIVE_INFINITY
  for (const step of searchFormulas(RACK, { target, conditions, opened: OPEN, most: 4 }))
    if ('found' in step) best = Math.min(...step.found.map((c) => c.difference))
  return best
}

/** Every mix of up to three inks in steps of a tenth. */
function grid(target: Spectrum): number {
  let best = Number.POSITIVE_INFINITY
  RACK.forEach((a, i) => {
    RACK.slice(i + 1).forEach((b, j) => {
      for (const c of RACK.slice(i + j + 2))
        for (let x = 0; x <= 10; x++)
          for (let y = 0; x + y <= 10; y++) {
            const parts = [
              { mass: x, of: a },
              { mass: y, of: b },
              { mass: 10 - x - y, of: c },
            ].filter((p) => p.mass > 0)
            best = Math.min(best, off(parts, target))
          }
    })
  })
  return best
}

/** All twelve amounts at once, from equal parts and from amounts that colour alike, the better of both; more than four parts are allowed, which is more than a bench may do. */
function general(target: Spectrum): number {
  const { l, a, b } = labOf(target)
  const mix = (t: readonly number[]) => RACK.map((of, i) => ({ mass: Math.exp(t[i] ?? 0), of }))
  const lab = (t: readonly number[]) => {
    const seen = labOf(layered([{ optics: mixed(mix(t)), thickness: USUAL_SMEAR }], CARD))
    return [seen.l, seen.a, seen.b]
  }
  const alike = RACK.map(({ optics }) => -0.8 * Math.log(optics.k.reduce((sum, k) => sum + k, 0)))
  const from = (initialValues: number[]) => {
    const found = levenbergMarquardt({ x: [0, 1, 2], y: [l, a, b] }, (t) => (axis) => lab(t)[axis] ?? 0, {
      initialValues,
      damping: 0.01,
      maxIterations: 60,
    })
    return off(mix(found.parameterValues), target)
  }
  return Math.min(from(RACK.map(() => 0)), from(alike))
}

function measured(name: string, act: (target: Spectrum) => number) {
  const curves = TARGETS.map(reflectanceOf)
  act(curves[0] ?? CARD)
  const start = performance.now()
  const offs = curves.map(act)
  const ms = (performance.now() - start) / curves.length
  console.log(
    `${name}: median dE00 ${median(offs).toFixed(2)}, worst ${Math.max(...offs).toFixed(2)}, ${ms.toFixed(0)} ms a target`,
  )
  return { off: median(offs), ms }
}

const own = measured('search', search)
const coarse = measured('grid of tenths, 3 inks', grid)
const other = measured('general least squares, 12 inks', general)

const inks = TARGETS.slice(0, 12).map(
  (hex, i): InkColour => ({
    id: `I${i}`,
    name: `ink ${i}`,
    hex,
    inkType: 'spot',
    opacity: (['ordinary', 'opaque', 'transparent'] as const)[i % 3] ?? 'ordinary',
    coverage: 0.2,
    system: 'plastisol',
    lowCure: false,
  }),
)
const cloths = TARGETS.slice(12, 32).map(
  (hex, i): Cloth => ({ name: `cloth ${i}`, hex, weave: 'jersey', cotton: 1, polyester: 0, weight: 0.18 }),
)
const through = (mesh: number, onFilm: boolean) =>
  dryFilm(fabricOf(FABRICS, perCm(mesh)), 1, 'plastisol', onFilm)
const films = {
  direct: through(61, false),
  onFilm: through(61, true),
  base: through(43, false),
  second: through(90, true),
}
const facts = {
  room: USUAL_INK_ROOM,
  method: DEFAULT_METHOD,
  where: 'front' as const,
  look: 'bright' as const,
  films: () => films,
}
const decide = () => cloths.map((cloth) => baseFor(inks, cloth, facts, {}))
decide()
const times = Array.from({ length: 9 }, () => {
  const start = performance.now()
  decide()
  return performance.now() - start
})
console.log(`base decision, 12 colours x 20 cloths: median ${median(times).toFixed(1)} ms`)
console.log(
  `ink: time ${(own.ms / coarse.ms).toFixed(2)} x the grid, ${(own.ms / other.ms).toFixed(2)} x the general optimiser; dE00 ${(own.off / coarse.off).toFixed(2)} x the grid, ${(own.off / other.off).toFixed(2)} x the general optimiser; base decision ${(median(times) / own.ms).toFixed(2)} x one search`,
)
