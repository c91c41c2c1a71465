import type { Angle, Duration, Length, MeshCount } from '../quantity'

/** What a screen has to print, as far as the squeegee is concerned. */
export const STROKE_USES = {
  base: 'Base',
  white: 'White on top',
  smoothing: 'Smoothing',
  halftone: 'Halftone',
  expanding: 'Puff',
  metallic: 'Metallic',
  direct: 'Opaque, straight on the cloth',
  top: 'Colour',
} as const
export type StrokeUse = keyof typeof STROKE_USES

/** What makes two screens alike to a squeegee. */
export interface Alike {
  readonly pressId: string
  readonly use: StrokeUse
  readonly mesh: MeshCount
  readonly darkCloth: boolean
  readonly driesInScreen: boolean
}

/** How a screen was struck. */
export interface StrokeSettings {
  readonly squeegee: string
  readonly edge: string
  readonly angle: Angle
  readonly pressure: string
  /** On the scale of the press, where it has one. */
  readonly gauge?: number | undefined
  readonly time: Duration
  readonly strokes: number
  readonly flood: string
  readonly offContact: Length
}

/** Which screen is asked for: its own sample counts before that of another that is alike. */
export interface WhichScreen {
  /** Run and hit. */
  readonly id: string
  /** Job and colour: a reorder has the same. */
  readonly words: string
}

/** One screen of a sample that was approved at the press; a later sample of the same screen takes its place. */
export interface ApprovedSetting extends Alike, StrokeSettings, WhichScreen {
  /** ISO day. */
  readonly on: string
  /** On fleece, which wants more off-contact. */
  readonly fleece: boolean
}

/** Meshes within a tenth of each other lay alike. */
const ALIKE_MESH = 0.1

/** What was approved for screens like this one: the last counts most. */
export function approvedFor(
  approved: readonly ApprovedSetting[],
  like: Alike,
  { id, words }: WhichScreen,
): readonly ApprovedSetting[] {
  const near = (p: ApprovedSetting) => (p.id === id ? 2 : p.words === words ? 1 : 0)
  return approved
    .filter(
      (p) =>
        p.pressId === like.pressId &&
        p.use === like.use &&
        p.darkCloth === like.darkCloth &&
        p.driesInScreen === like.driesInScreen &&
        Math.abs(p.mesh / like.mesh - 1) <= ALIKE_MESH,
    )
    .sort((a, b) => near(a) - near(b))
}
