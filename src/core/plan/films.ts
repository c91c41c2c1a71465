import { numberOf } from '../advice'
import { freeFrames } from '../equipment'
import type { Films } from '../ink'
import type { Cloth, InkColour } from '../order'
import type { Film } from '../quantity'
import { dryFilm, fabricOf, meshFor } from '../screen'
import { relativeDeposit, strokeFor } from '../stroke'
import { type Context, needOf, strokeNeedOf } from './hitPlans'
import { colourHit, finestRuling, type Separation, whiteHit } from './hits'
import { rankPresses } from './press'

/**
 * The dry films that the plan would print of a colour, straight or on white, and of the whites under it, whether it ends up
 * printing them or not: through the meshes and with the strokes it advises for each.
 *
 * @throws Error when the shop has no press
 */
export function filmsFor(ctx: Context, cloth: Cloth, dark: boolean): (ink: InkColour) => Films {
  const { shop, run, method, overrides } = ctx
  const { inks } = run.placement
  const { presses } = rankPresses(run, inks.length, shop)
  const press = shop.presses.find((p) => p.id === overrides.press) ?? presses[0]
  if (!press) throw new Error('the shop has no press')
  const held = freeFrames(shop).map((f) => f.mesh)
  const film = (s: Separation, onFilm: boolean): Film => {
    const mesh = meshFor(
      { ...needOf(s, false, overrides), onFilm },
      method,
      held,
      shop.screens.fabrics,
      overrides,
    )
    const struck = strokeNeedOf(s, numberOf(mesh), dark, ctx)
    const stroke = strokeFor(struck, press, shop, method, overrides)
    const fabric = fabricOf(shop.screens.fabrics, numberOf(mesh))
    return (
      dryFilm(fabric, numberOf(stroke.strokes), s.system, onFilm) * relativeDeposit(struck, press, stroke)
    )
  }
  const label = run.placement.where === 'neckLabel'
  const ruling = finestRuling(inks)
  return (ink) => {
    const [plain, based] = [false, true].map((on) => colourHit(ink, on, cloth, dark, method, label)) as [
      Separation,
      Separation,
    ]
    const base = whiteHit('base', 1, ink, method, ruling)
    const white = { ...ink, id: 'white', inkType: 'white', opacity: 'blocking' } as const
    const twice = (overrides.white ?? method.white) === 'sameScreen'
    const second = twice
      ? film(whiteHit('base2', 1, ink, method, ruling), true)
      : film(colourHit(white, true, cloth, dark, method), true)
    const alone = ink.inkType === 'white'
    return {
      // A white that stands alone is the base itself; printed twice it is the base again.
      direct: film(alone && !label ? base : plain, false),
      onFilm: alone && twice ? second : film(based, true),
      base: film(base, false),
      second,
    }
  }
}
