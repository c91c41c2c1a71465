import type { Kind } from '../quantity'

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

/** Why the press stands. */
export const PAUSED_BY = {
  rest: 'Break',
  approval: 'Waiting for approval',
  screen: 'A screen',
  ink: 'Ink',
  register: 'Register again',
  heat: 'Flash or dryer',
  garments: 'Garments',
  press: 'The press itself',
  other: 'Something else',
} as const
export type PausedBy = keyof typeof PAUSED_BY

/** What was tried to see whether the job is right, in the order of sign-off. */
export const SAMPLES = { square: 'Test square', scrap: 'Scrap', garment: 'First garment' } as const
export type SampleOf = keyof typeof SAMPLES
export const VERDICTS = {
  approved: 'Approved',
  again: 'Change and again',
  refused: 'Refused',
} as const
export type Verdict = keyof typeof VERDICTS
export const JUDGES = { lead: 'Lead', customer: 'Customer' } as const

/** Why something was set differently from the plan. */
export const SET_BECAUSE = {
  sample: 'The sample wanted it',
  today: 'Ink or air as they are today',
  machine: 'The press does not do it otherwise',
  always: 'We always do it so',
  trouble: 'Something was wrong',
  other: 'Something else',
} as const

/** What came of a remedy. */
export const CAME = { worked: 'It worked', same: 'No change', worse: 'Worse' } as const

/** How a print felt, straight after the flash. */
export const TACK = { wet: 'Wet', tacky: 'Tacky', right: 'Right', hot: 'Too hot' } as const

/** What is read at the press, in SI, and between what a reading is believed. */
export const READINGS = {
  film: { name: 'Film, just flashed', kind: 'temperature', between: [273.15, 573.15] },
  pallet: { name: 'Pallet', kind: 'temperature', between: [263.15, 473.15] },
  belt: { name: 'Film out of the dryer', kind: 'temperature', between: [273.15, 573.15] },
  wetFilm: { name: 'Wet film', kind: 'thickness', between: [1e-6, 0.003] },
  tension: { name: 'Tension', kind: 'tension', between: [100, 10_000] },
  /** CIEDE2000 to the colour that is wanted. */
  colour: { name: 'Colour, off the target', kind: 'difference', between: [0, 200] },
} as const satisfies Readonly<
  Record<string, { readonly name: string; readonly kind: Kind; readonly between: readonly [number, number] }>
>
export type Reading = keyof typeof READINGS

/** What was replaced while the run went on. */
export const CHANGED = { blade: 'Squeegee', screen: 'Screen', ink: 'Ink batch', lamp: 'Flash lamp' } as const

interface OfSize {
  /** The garment line of the order. */
  readonly line: string
  readonly size: string
  /** Pieces more, or fewer below nothing: never a total, so that any order of arrival gives the same sum. */
  readonly n: number
}

/** What was counted, entered by one tap. */
interface Counted extends OfSize {
  readonly kind: 'count'
  /** Counted behind the dryer, by hand or by a counter; at the press where it is not said. */
  readonly place?: 'exit' | undefined
}

interface Spoiled extends OfSize {
  readonly kind: 'spoil'
  readonly cause: SpoiledBy
}

/** Takes back an event; an undo can be undone. */
interface Undone {
  readonly kind: 'undo'
  readonly of: string
}

/** What is said once and stands until it is taken back. */
export type Said =
  | Counted
  | Spoiled
  | Undone
  /** Garments that are there beyond the order. */
  | (OfSize & { readonly kind: 'spare' })
  | (OfSize & { readonly kind: 'packed' })
  /** Pieces that a counter let through. */
  | { readonly kind: 'passed'; readonly n: number }
  /** Pieces printed that are none of the order: squares, rags. */
  | { readonly kind: 'scrap'; readonly n: number }
  | { readonly kind: 'start' | 'stop' | 'go' }
  | { readonly kind: 'pause'; readonly cause: PausedBy }
  /** Who works at the press from here on: how many. */
  | { readonly kind: 'crew'; readonly people: number }
  /** A step of a list is done, `list.step`, of a hit's screen, flash or ink; empty for the run. */
  | { readonly kind: 'tick'; readonly step: string; readonly hit: string }
  /** Set differently from the plan: the setting's key, in SI or by its option. */
  | {
      readonly kind: 'set'
      readonly setting: string
      readonly value: number | string
      readonly why: keyof typeof SET_BECAUSE
    }
  | { readonly kind: 'read'; readonly what: Reading; readonly value: number; readonly hit: string }
  | { readonly kind: 'tack'; readonly word: keyof typeof TACK; readonly hit: string }
  | {
      readonly kind: 'sample'
      readonly of: SampleOf
      readonly verdict: Verdict
      readonly judge: keyof typeof JUDGES
      /** Names of the pictures taken of it. */
      readonly photos: readonly string[]
    }
  /** Ink added to a screen, kg; 0 where it was not weighed. */
  | { readonly kind: 'ink'; readonly hit: string; readonly mass: number }
  /** What is left of a tub after the run, kg. */
  | { readonly kind: 'weigh'; readonly hit: string; readonly mass: number }
  | { readonly kind: 'changed'; readonly part: keyof typeof CHANGED; readonly hit: string }
  /** A head is out of service from here on. */
  | { readonly kind: 'down'; readonly head: number }
  /** Something was wrong, and this was done about it: what was seen and looked at, and what was believed then. */
  | {
      readonly kind: 'tried'
      readonly press: string
      readonly hit: string
      readonly symptom: string
      readonly also: readonly string[]
      readonly notThere: readonly string[]
      readonly answers: readonly { readonly ask: string; readonly answer: string }[]
      readonly remedy: string
      /** Causes by their share, the likeliest first. */
      readonly believed: readonly { readonly cause: string; readonly share: number }[]
    }
  /** What came of it. */
  | { readonly kind: 'came'; readonly of: string; readonly how: keyof typeof CAME }
  /** An alarm was heard and done: its name, and how many pieces were through by then. */
  | { readonly kind: 'heard'; readonly alarm: string; readonly pieces: number }

/** One thing that was said at the press. Nothing is changed or deleted: corrections are events. */
export type PressEvent = Said & {
  /** Made on the tablet, random: the same event sent twice is one. */
  readonly id: string
  /** The tablet, and the number it gave the event. */
  readonly pad: string
  readonly seq: number
  /** ISO time, UTC, of the tablet's clock. */
  readonly at: string
  /** Who said it, where the tablet knows. */
  readonly by?: string | undefined
}

/** What was said, without what only takes back. */
export type Stated = Exclude<PressEvent, { kind: 'undo' }>
export type StatedOf<K extends Stated['kind']> = Extract<Stated, { kind: K }>

/** Most causes that are kept with what was done. */
export const MOST_BELIEVED = 12

/** Most pieces of one tap. */
export const MOST_AT_ONCE = 1000
