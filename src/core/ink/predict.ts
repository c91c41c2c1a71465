import {
  difference,
  type Hex,
  halftoned,
  hexOf,
  type Layer,
  labOf,
  layered,
  type Optics,
  reflectanceOf,
  type Spectrum,
} from '../color'
import type { ColourLimits } from '../equipment'
import type { Cloth } from '../order'
import type { Film, Share } from '../quantity'
import { WHITE, WHITE_CARD } from './optics'

/** What the cloth does to a colour, in words. */
export const changeWord = (change: number, limits: ColourLimits): string =>
  change <= limits.match ? 'match' : change <= limits.visible ? 'visible' : 'off'

/** No cloth is darker or lighter than this, whatever a display shows. */
const CLOTH: readonly [number, number] = [0.018, 0.9]
/** Share of the surface that lies on fibre tops, by weave (tuned). */
const TOPS: Readonly<Record<Cloth['weave'], Share>> = {
  jersey: 0.06,
  coarse: 0.12,
  fleece: 0.12,
  canvas: 0.12,
  openKnit: 0.12,
}
/** What stays of a film there: the first hit, and later ones on a flashed film (tuned). */
const FIRST_ON_TOPS = 0.25
const LATER_ON_TOPS = 0.7

/** How a print should look. */
export interface Printed {
  readonly hex: Hex
  readonly lightness: number
  /** CIEDE2000 to the very same layers on white: what the cloth does to the colour. */
  readonly change: number
  /** All films together. */
  readonly thickness: Film
}

function onGround(layers: readonly Layer[], ground: Spectrum, tops: Share): Spectrum {
  const full = layered(layers, ground)
  const thin = layered(
    layers.map((l, i) => ({ ...l, thickness: l.thickness * (i === 0 ? FIRST_ON_TOPS : LATER_ON_TOPS) })),
    ground,
  )
  return full.map((r, i) => (1 - tops) * r + tops * (thin[i] ?? 0))
}

const groundOf = (cloth: Cloth): Spectrum =>
  reflectanceOf(cloth.hex).map((r) => Math.min(CLOTH[1], Math.max(CLOTH[0], r)))

/** @param layers the lowest first */
function printed(layers: readonly Layer[], cloth: Cloth): Printed {
  const ground = groundOf(cloth)
  const tops = TOPS[cloth.weave]
  const here = onGround(layers, ground, tops)
  const onWhite = onGround(
    layers,
    ground.map(() => WHITE_CARD),
    tops,
  )
  return {
    hex: hexOf(here),
    lightness: labOf(here).l,
    change: difference(labOf(here), labOf(onWhite)),
    thickness: layers.reduce((sum, l) => sum + l.thickness, 0),
  }
}

/** Dry deposit of a colour and of the whites under it, metres. */
export interface Films {
  readonly direct: Film
  readonly onFilm: Film
  readonly base: Film
  readonly second: Film
}

/** A colour printed straight on the cloth, on one base, and on base and second white. */
export interface Looks {
  readonly direct: Printed
  readonly based: Printed
  readonly twice: Printed
}

/** Films of a colour in each way to print it, the lowest first; the colour itself is the last. */
function layersOf(optics: Optics, films: Films): Readonly<Record<keyof Looks, readonly Layer[]>> {
  const base = { optics: WHITE, thickness: films.base }
  const second = { optics: WHITE, thickness: films.second }
  const top = { optics, thickness: films.onFilm }
  return {
    direct: [{ optics, thickness: films.direct }],
    based: [base, top],
    twice: [base, second, top],
  }
}

/** How a colour of a print should look on a cloth, with and without whites under it. */
export function looksOf(optics: Optics, cloth: Cloth, films: Films): Looks {
  const { direct, based, twice } = layersOf(optics, films)
  return { direct: printed(direct, cloth), based: printed(based, cloth), twice: printed(twice, cloth) }
}

/** A tint of a halftone as it should look. */
export interface Tint {
  /** Share on the film. */
  readonly dot: Share
  readonly hex: Hex
  readonly lightness: number
}

const DOTS: readonly Share[] = [0.25, 0.5, 0.75]

/** How tints of a halftone should look: dots of the last film, and what is below them between. */
export function tintsOf(optics: Optics, cloth: Cloth, films: Films, way: keyof Looks): readonly Tint[] {
  const layers = layersOf(optics, films)[way]
  const [ground, tops] = [groundOf(cloth), TOPS[cloth.weave]]
  const solid = onGround(layers, ground, tops)
  const between = onGround(layers.slice(0, -1), ground, tops)
  return DOTS.map((dot) => {
    const seen = halftoned(dot, solid, between)
    return { dot, hex: hexOf(seen), lightness: labOf(seen).l }
  })
}
