import type { Hex, Lab, Light, Spectrum } from '../color'
import type { OpacityClass } from '../order'
import { type Film, micron, type Share } from '../quantity'

/** How the colour of an ink is known: the better the reading, the surer what follows from it. */
export type Characterisation =
  /** A smear of this dry thickness, read over a white and a black card, at the bands of `BANDS`. */
  | {
      readonly how: 'curves'
      readonly deposit: Film
      readonly onWhite: Spectrum
      readonly onBlack: Spectrum
      readonly letDown?: LetDown | undefined
    }
  | {
      readonly how: 'labs'
      readonly deposit: Film
      readonly light: Light
      readonly onWhite: Lab
      readonly onBlack: Lab
      readonly letDown?: LetDown | undefined
    }
  /** As printers say it: the colour, and how it covers. */
  | { readonly how: 'class'; readonly hex: Hex; readonly opacity: OpacityClass }
  /** No colour: it is stirred into a mixed ink by per cent, for what it does. */
  | { readonly how: 'additive'; readonly does: AdditiveKind }

/** What additives do, and how much of the whole is usual: a start, the sheet of the can counts. */
export const ADDITIVES = {
  /** 20 % into 80 % of ink is common practice, the others are from memory. */
  expands: { label: 'Makes it rise', usual: 0.2, most: 0.25 },
  lowersCure: { label: 'Lowers the cure', usual: 0.05, most: 0.15 },
  thins: { label: 'Thins', usual: 0.03, most: 0.05 },
  slowsDrying: { label: 'Slows drying', usual: 0.03, most: 0.05 },
} as const
export type AdditiveKind = keyof typeof ADDITIVES

/** A tint in white: what hides the card even in a thin smear shows its strength only so. */
export interface LetDown {
  /** Share of the ink in the tint, by mass. */
  readonly share: Share
  /** L* of a smear of the tint over white. */
  readonly lightness: number
}

/** An ink that formulas are mixed from. */
export interface BaseInk {
  /** As it stands on the can. */
  readonly code: string
  readonly name: string
  readonly system: string
  /** Money per kg, in the shop's own currency. */
  readonly cost: number
  /** kg/m3; 1120 to 1340 is usual. */
  readonly density: number
  readonly characterisation: Characterisation
}

/** How near is near enough, in CIEDE2000, and how bright a white has to be. */
export interface ColourLimits {
  /** What the cloth may do to a colour before anyone minds. */
  readonly match: number
  /** Up to here the change is visible and the customer is asked; above it is off, and a base is needed. */
  readonly visible: number
  /** A drawdown up to here is accepted. */
  readonly accept: number
  /** Up to here it is looked at again; above it the batch is mended or made anew. */
  readonly again: number
  /** L* that a bright white has at least. */
  readonly white: number
}

/** Common practice for drawdowns; the others tuned so that the facts of the trade come out. */
export const USUAL_LIMITS: ColourLimits = { match: 4.5, visible: 7, accept: 2, again: 3, white: 85 }

/** A part of a formula, by mass. */
export interface Part {
  /** Of the rack. */
  readonly code: string
  readonly share: Share
}

/** A colour with its parts; shares sum to 1, the largest first. */
export interface Formula {
  readonly id: string
  /** Inks of this name are mixed by it. */
  readonly name: string
  readonly system: string
  /** Daylight. */
  readonly target: Lab
  readonly parts: readonly Part[]
}

/** What the ink room has and holds to. */
export interface InkRoom {
  readonly limits: ColourLimits
  /** Ink laid, as a multiple of what is computed: 1 until runs were weighed back. */
  readonly laid: number
  readonly rack: readonly BaseInk[]
  readonly formulas: readonly Formula[]
}

/** Smears are drawn about this thick. */
export const USUAL_SMEAR: Film = micron(30)
