import type { Angle, Area, Length, Share } from '../quantity'
import type { Art } from './film'
import type { HalftoneScreen } from './halftone'
import type { Spread } from './histogram'
import type { Mark } from './marks'
import type { Turn } from './orient'
import type { How } from './pairs'

/** From the top left corner of the film. */
export interface Place {
  readonly x: Length
  readonly y: Length
}

export interface Rectangle extends Place {
  readonly width: Length
  readonly height: Length
}

/** The smallest lines or gaps of a film. */
export interface Detail {
  /** The lowest tenth of the thinnest: indicative on busy art. */
  readonly width: Length
  readonly places: readonly (Place & { readonly width: Length; readonly length: Length })[]
}

export interface FilmFacts {
  /** The film sheet. */
  readonly width: Length
  readonly height: Length
  readonly dpi: number
  readonly negative: boolean
  /** Dark to its edges and without marks: a negative, or art that bleeds. */
  readonly either: boolean
  /** Ink is what is not transparent. */
  readonly opaque: boolean
  /** Share of the file that is half transparent. */
  readonly translucent: Share
  /** It lies another way or elsewhere than the others, by its outlines; `laid` when it was moved so. */
  readonly mislaid:
    | {
        readonly turn: Turn | undefined
        readonly dx: Length
        readonly dy: Length
        readonly then: Share
        readonly laid: boolean
      }
    | undefined
  readonly inkArea: Area
  /** Round the ink. */
  readonly box: Rectangle | undefined
  readonly halftones: readonly (Omit<HalftoneScreen, 'tiles' | 'lightest' | 'darkest'> & {
    readonly area: Area
    /** Where its tints are the lightest and the darkest. */
    readonly lightest?: Place
    readonly darkest?: Place
  })[]
  /** Random dots: stochastic and index separations, textures. */
  readonly grain: Area
  readonly line: Detail | undefined
  readonly gap: Detail | undefined
  readonly specks: number
  /** Ink taken for dust: it counts for nothing. */
  readonly dust: Area
  /** Film that is grey all over, neither screened nor solid. */
  readonly grey: Area
  readonly marks: readonly (Place & Pick<Mark, 'shape'>)[]
  /** What was taken for no art, where it lies once the film is laid on the others. */
  readonly leftOut: readonly (Rectangle & { readonly kind: 'mark' | 'label' })[]
  /** Against the film that agrees best with all others; undefined when too few marks are shared. */
  readonly misfit:
    | {
        readonly dx: Length
        readonly dy: Length
        readonly rotation: Angle
        readonly scale: Share
        readonly worst: Length
      }
    | undefined
}

export type InMetres<T> = { readonly [K in keyof T]: Length }

export interface PairFacts {
  readonly a: number
  readonly b: number
  readonly how: How
  readonly overlap: Area
  readonly trap: InMetres<Spread> | undefined
  readonly gap: { readonly least: Length; readonly rough: boolean } | undefined
  /** Where a miss would show first, the worst first; none in readings from before it was asked. */
  readonly tight?: readonly (Place & { readonly width: Length; readonly length: Length })[]
  /** One of them stops midway in their fade: which, at what tints of both, and where. */
  readonly stops:
    | {
        readonly of: number
        readonly tint: Share
        readonly other: Share
        readonly places: readonly Place[]
      }
    | undefined
}

/** All that is read off the films of a print; pairs count in the order of the facts. */
export interface SetFacts {
  readonly facts: readonly FilmFacts[]
  readonly pairs: readonly PairFacts[]
  /** Round the ink of all films. */
  readonly print: Rectangle | undefined
  /** Number of the film whose marks are the measure. */
  readonly reference: number
  /** Films that are two tiles of one. */
  readonly tiles: readonly { readonly a: number; readonly b: number }[]
}

/** Films of one print, laid on each other by their marks. */
export interface FilmSet extends Omit<SetFacts, 'pairs'> {
  readonly arts: readonly Art[]
}
