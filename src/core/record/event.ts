/** Why a piece was spoiled, in the words of the press. */
export const SPOILED_BY = {
  register: 'Out of register',
  pinhole: 'Pinhole',
  lint: 'Lint',
  smear: 'Smeared or off-set',
  spot: 'Ink where none belongs',
  cover: 'Thin or patchy',
  stuck: 'Stuck to a screen',
  scorch: 'Scorched',
  crooked: 'Laid crooked',
  flaw: 'Flaw in the garment',
  first: 'First prints',
  other: 'Something else',
} as const
export type SpoiledBy = keyof typeof SPOILED_BY

/** What was counted, entered by one tap. */
export interface Counted {
  readonly kind: 'count'
  /** The garment line of the order. */
  readonly line: string
  readonly size: string
  /** Pieces more, or fewer below nothing: never a total, so that any order of arrival gives the same sum. */
  readonly n: number
}

export interface Spoiled extends Omit<Counted, 'kind'> {
  readonly kind: 'spoil'
  readonly cause: SpoiledBy
}

/** Takes back an event; an undo can be undone. */
interface Undone {
  readonly kind: 'undo'
  readonly of: string
}

export type Said = Counted | Spoiled | Undone

/** One thing that was said at the press. Nothing is changed or deleted: corrections are events. */
export type PressEvent = Said & {
  /** Made on the tablet, random: the same event sent twice is one. */
  readonly id: string
  /** The tablet, and the number it gave the event. */
  readonly pad: string
  readonly seq: number
  /** ISO time, UTC, of the tablet's clock. */
  readonly at: string
}

/** Most pieces of one tap. */
export const MOST_AT_ONCE = 1000
