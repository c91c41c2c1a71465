import { q, type Reason } from '../advice'
import type { Length } from '../quantity'
import { REGISTRATION } from './definition'

/** A place of the art where two colours meet closely: metres from its centre, collar up: to the right, and towards the collar. */
export interface LookHere {
  readonly x: Length
  readonly y: Length
  readonly reason: Reason
}

/** How a colour meets another: what is known of it from their films. */
export interface Meets {
  /** The other one's name. */
  readonly other: string
  /** From the top left corner of the film. */
  readonly tight: readonly {
    readonly x: Length
    readonly y: Length
    readonly width: Length
    readonly length: Length
  }[]
}

const MOST = 4
/** A look takes in so much, metres. */
const ONE_LOOK: Length = 0.02
/** Widths this near to each other are alike, metres: half a pixel of usual films. */
const ALIKE: Length = 0.05e-3

/**
 * Where to look once a screen is registered: the narrowest meetings first, the longest of those alike.
 *
 * @param print round the ink of all films, from the top left corner of the film
 */
export function whereToLook(
  name: string,
  meets: readonly Meets[],
  print: { readonly x: Length; readonly y: Length; readonly width: Length; readonly height: Length },
): readonly LookHere[] {
  const [cx, cy] = [print.x + print.width / 2, print.y + print.height / 2]
  const ranked = meets
    .flatMap(({ other, tight }) => tight.map((t) => ({ other, ...t, like: Math.round(t.width / ALIKE) })))
    .sort((a, b) => a.like - b.like || b.length - a.length)
  // Where several colours meet one looks once.
  const apart = ranked.filter(
    (t, i) => !ranked.slice(0, i).some((before) => Math.hypot(before.x - t.x, before.y - t.y) < ONE_LOOK),
  )
  return apart.slice(0, MOST).map(({ other, x, y, width, length }) => ({
    x: x - cx,
    y: cy - y,
    reason: REGISTRATION.because('REGISTER_HERE', {
      name,
      other,
      width: q('fine', Math.max(0, width)),
      length: q('length', length),
    }),
  }))
}
