import type { Angle, Duration, Length, MeshCount } from '../quantity'

/** What a screen has to print, as far as the blade is concerned. */
export const STROKE_USES = {
  base: 'Base',
  white: 'White on top',
  smoothing: 'Smoothing',
  halftone: 'Halftone',
  expanding: 'Expanding ink',
  direct: 'Opaque, straight on the cloth',
  top: 'Colour',
} as const
export type StrokeUse = keyof typeof STROKE_USES

/** What makes two screens alike to a blade. */
export interface Alike {
  readonly pressId: string
  readonly use: StrokeUse
  readonly mesh: MeshCount
  readonly darkCloth: boolean
  readonly waterBased: boolean
}

/** How a screen was struck. */
export interface StrokeSettings {
  readonly blade: string
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

/** One screen of a sample that was found good at the press. */
export interface Proven extends Alike, StrokeSettings {
  /** Run and hit: a later sample of the same screen takes its place. */
  readonly id: string
  /** ISO day. */
  readonly on: string
  /** Job and colour in words. */
  readonly words: string
  /** On fleece, which wants more off-contact. */
  readonly fleece: boolean
}

/** Meshes within a tenth of each other lay alike. */
const ALIKE_MESH = 0.1

/** What was found good for screens like this one, oldest first. */
export const provenFor = (proven: readonly Proven[], like: Alike): readonly Proven[] =>
  proven.filter(
    (p) =>
      p.pressId === like.pressId &&
      p.use === like.use &&
      p.darkCloth === like.darkCloth &&
      p.waterBased === like.waterBased &&
      Math.abs(p.mesh / like.mesh - 1) <= ALIKE_MESH,
  )
