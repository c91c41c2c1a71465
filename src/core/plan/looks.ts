import { choiceOf } from '../advice'
import type { InkRoom } from '../equipment'
import { type InkOptics, isFilm, type Looks, looksOf, opticsOfInk, type Tint, tintsOf } from '../ink'
import { driesInScreen } from '../order'
import type { RunPlan } from './runPlan'

/** One colour of a print as it should look, with and without whites under it. */
export interface Look {
  readonly inkId: string
  readonly driesInScreen: boolean
  readonly how: InkOptics['how']
  readonly looks: Looks
  /** Which of them the plan prints. */
  readonly planned: keyof Looks
  /** How tints of it look, as planned; none of a flat colour. */
  readonly tints: readonly Tint[]
}

/** How each colour of a run should look in the films of its plan; inks that no film describes are left out. */
export const looksOfRun = (plan: RunPlan, room: InkRoom): readonly Look[] =>
  plan.run.placement.inks.flatMap((ink, i): Look[] => {
    const colour = plan.colours[i]
    if (!colour || !isFilm(ink)) return []
    const { optics, how } = opticsOfInk(ink, room)
    const based = choiceOf(colour.base) === 'base'
    const second = choiceOf(plan.secondWhite)
    const own = plan.hits.find((h) => h.hit.id === ink.id)
    // A white without a screen of its own is shown by the base: once, or twice with the same screen.
    const shown = ink.inkType === 'white' && own === undefined
    const twice = based && second === 'sameScreen'
    const planned = !based || (shown && !twice) ? 'direct' : twice && !shown ? 'twice' : 'based'
    return [
      {
        inkId: ink.id,
        driesInScreen: driesInScreen(own?.hit.system ?? ''),
        how,
        looks: looksOf(optics, plan.cloth, colour.films),
        planned,
        tints: ink.ruling === undefined ? [] : tintsOf(optics, plan.cloth, colour.films, planned),
      },
    ]
  })
