import type { ChoiceAdvice, NumberAdvice, Overrides, Reason, ShopMethod } from '../advice'
import type { Hex } from '../color'
import type { FlashUnit, Frame, Medium, Press, StrokeUse } from '../equipment'
import type { Cure, ShopAir } from '../heat'
import type { BaseOrNone, Films, SecondWhite, Smooth } from '../ink'
import type { Can, Cloth, Run } from '../order'
import type { Duration } from '../quantity'
import type { RunTime } from '../rate'
import type { Rounds } from '../record'
import type { FilmPosition, PlacementAdvice } from '../registration'
import type { ExposureAdvice, Rise, ScreenUse, StencilAdvice, TensionFit } from '../screen'
import type { Hit } from '../sequence'
import type { Hold, StrokeAdvice } from '../stroke'

/** What the lead chose by hand for one run. */
export interface Decisions {
  readonly runId: string
  /** Practices that differ from the shop's for this job. */
  readonly method: Partial<ShopMethod>
  readonly overrides: Overrides
  /** Hit ids in the order the lead wants; empty follows the advice. */
  readonly order: readonly string[]
}

export const noDecisions = (runId: string): Decisions => ({ runId, method: {}, overrides: {}, order: [] })

/** Nothing was chosen by hand: the plan follows the advice. */
export const isUndecided = ({ method, overrides, order }: Decisions): boolean =>
  Object.keys(method).length + Object.keys(overrides).length + order.length === 0

/** One colour of the art and its base. */
export interface ColourPlan {
  readonly inkId: string
  readonly base: ChoiceAdvice<BaseOrNone>
  /** Dry deposit of the colour and of whites under it, printed or not. */
  readonly films: Films
}

/** One hit with its screen and its stroke. */
export interface HitPlan {
  readonly hit: Hit
  readonly hex: Hex
  readonly use: ScreenUse
  /** The same screen as an earlier hit (by hand a second base hit), else empty. */
  readonly sameScreenAs: string
  /** Where its screen mounted: head of a manual press, station of an automatic; none on a bench. */
  readonly head: number | undefined
  /** What the squeegee has to do. */
  readonly strokeUse: StrokeUse
  /** Cures at a lower temperature than its system does. */
  readonly lowCure: boolean
  /** Plans released before cans were written down have none. */
  readonly can?: Can | undefined
  readonly mesh: NumberAdvice
  readonly frame: Frame | undefined
  readonly stencil: StencilAdvice
  /** How high it is to stand; of raised ink only. */
  readonly rise?: ChoiceAdvice<Rise> | undefined
  readonly exposure: ExposureAdvice | undefined
  readonly stroke: StrokeAdvice
  readonly ink: NumberAdvice | undefined
  /** Dry deposit this hit leaves; none for the smoothing screen. */
  readonly deposit: NumberAdvice | undefined
  readonly reasons: readonly Reason[]
}

/** One flash with its dwell. */
export interface FlashPlan {
  readonly unit: FlashUnit | undefined
  readonly dwell: NumberAdvice
  /** Seconds that the first prints want, on boards as cold as the room; none where that is no longer, or a rack dries. */
  readonly cold?: Duration | undefined
  readonly reasons: readonly Reason[]
}

/** What happens at one place, in the order a garment meets it. */
export type Cell = (
  | { readonly kind: 'print'; readonly station?: number; readonly hitId: string }
  | { readonly kind: 'flash'; readonly station?: number; readonly flash: number }
  | { readonly kind: 'cool'; readonly station: number; readonly reasons: readonly Reason[] }
  | { readonly kind: 'down'; readonly station: number; readonly reasons: readonly Reason[] }
  /** Under a flash unit that takes more than its own station. */
  | { readonly kind: 'covered'; readonly station: number; readonly reasons: readonly Reason[] }
  | { readonly kind: 'free'; readonly station: number }
) & {
  /** Only where a garment goes round twice. */
  readonly lap?: 1 | 2
}

export interface SequencePlan {
  readonly fits: boolean
  readonly byHand: boolean
  /** Revolutions of every garment. */
  /** The lead's choice of them; on an automatic alone. */
  readonly revolutions?: ChoiceAdvice | undefined
  readonly laps: 1 | 2
  /** Wet contact risk: a fitted score, to compare orders of the same job with. */
  readonly wetRisk: number
  /** Set-up moves from what is mounted there now. */
  readonly moves: number
  readonly cells: readonly Cell[]
  /** Why it does not fit, or where wet contact risk is left. */
  readonly reasons: readonly Reason[]
}

/** Everything computed for one run: plain frozen data. */
export interface RunPlan {
  readonly run: Run
  readonly cloth: Cloth
  readonly press: Press
  readonly pressAdvice: ChoiceAdvice
  readonly method: ShopMethod
  readonly colours: readonly ColourPlan[]
  readonly secondWhite: ChoiceAdvice<SecondWhite>
  /** None where no base carries colours, or the white is smoothed anyway. */
  readonly smooth?: ChoiceAdvice<Smooth> | undefined
  readonly baseCoverage: NumberAdvice | undefined
  readonly sequence: SequencePlan
  /** In print order; in the order of the art when no order fits. */
  readonly hits: readonly HitPlan[]
  /** Why these frames, and what is wrong with them. */
  readonly frames: readonly Reason[]
  readonly medium: ChoiceAdvice<Medium>
  readonly tension: TensionFit
  /** Where every film of the run is taped. */
  readonly position: FilmPosition
  readonly flashes: readonly FlashPlan[]
  readonly flashHeight: NumberAdvice | undefined
  /** None where only a gun is used. */
  readonly panelTemperature: NumberAdvice | undefined
  /** The air that heat is computed with. */
  readonly ambient: ShopAir
  readonly coolDown: NumberAdvice | undefined
  readonly offContact: NumberAdvice
  readonly squeegeeLength: NumberAdvice
  readonly direction: ChoiceAdvice<'push' | 'pull'> | undefined
  /** How closely strokes are held while halftones run; none without them. */
  readonly hold: Hold | undefined
  readonly cure: Cure
  readonly placement: PlacementAdvice
  /** What comes round while it is printed. */
  readonly rounds: Rounds
  /** None while no order of printing fits. */
  readonly time: RunTime | undefined
  /** Stop, Watch and Note, worst first. */
  readonly warnings: readonly Reason[]
  readonly cautions: readonly Reason[]
}

/** A hit printed with the screen of another is no screen of its own. */
export const ownScreens = <T extends { readonly sameScreenAs: string }>(hits: readonly T[]): readonly T[] =>
  hits.filter((h) => h.sameScreenAs === '')

/** How many screens are to be made. */
export const screensOf = ({ hits }: Pick<RunPlan, 'hits'>): number => ownScreens(hits).length
