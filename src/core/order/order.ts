import type { Hex } from '../color'
import type { Angle, ArealMass, Film, Length, Ruling, Share } from '../quantity'
import type { Can } from './can'
import type { OrderedSystem } from './systems'

/** Weave decides how much ink the cloth drinks and how far its fibres stand. */
export const WEAVES = {
  jersey: 'Jersey',
  fleece: 'Fleece',
  canvas: 'Canvas, open weave',
  coarse: 'Coarse jersey',
  openKnit: 'Open knit, mesh',
} as const
export type Weave = keyof typeof WEAVES

/** What its dye does, where its colour does not tell. */
export const DYES = { undyed: 'Undyed', bleeds: 'Known to bleed' } as const

export interface Cloth {
  readonly name: string
  readonly hex: Hex
  readonly weave: Weave
  /** Shares of the fibre blend; what is left of 1 is other fibre. */
  readonly cotton: Share
  readonly polyester: Share
  /** 0.02 to 0.6 kg/m2. */
  readonly weight: ArealMass
  /** What makes it stretch. */
  readonly elastane?: Share | undefined
  readonly dye?: keyof typeof DYES | undefined
}

export interface SizeQuantity {
  readonly size: string
  readonly quantity: number
  /** Garments that came in; none while they were not counted. */
  readonly received?: number | undefined
}

export interface GarmentLine {
  readonly id: string
  readonly style: string
  readonly cloth: Cloth
  readonly sizes: readonly SizeQuantity[]
  /** The lead's own cloth group; empty follows the advice. */
  readonly group: string
}

export const OPACITIES = {
  transparent: { label: 'Transparent', opacity: 0.3 },
  ordinary: { label: 'Ordinary', opacity: 0.5 },
  opaque: { label: 'Opaque', opacity: 0.8 },
  blocking: { label: 'Blocking', opacity: 0.95 },
} as const
export type OpacityClass = keyof typeof OPACITIES

/** An ink that covers so much covers alone, and prints over others straight on the cloth (common practice). */
export const COVERS_ALONE = 0.7

/** What an ink is, as far as the order of printing and the heat are concerned. */
export const INK_TYPES = {
  spot: 'Spot colour',
  white: 'White',
  black: 'Black',
  yellow: 'Process yellow',
  magenta: 'Process magenta',
  cyan: 'Process cyan',
  key: 'Process black',
  metallic: 'Metallic shimmer',
  expanding: 'Puff',
  fluorescent: 'Fluorescent',
  clear: 'Clear',
} as const
export type InkType = keyof typeof INK_TYPES

const PROCESS: ReadonlySet<InkType> = new Set(['yellow', 'magenta', 'cyan', 'key'])
/** One of the four that make a picture together. */
export const isProcess = (ink: { readonly inkType: InkType }): boolean => PROCESS.has(ink.inkType)

/** One ink colour of the art: one separation. */
export interface InkColour {
  readonly id: string
  readonly name: string
  readonly hex: Hex
  readonly inkType: InkType
  readonly opacity: OpacityClass
  /** Share of the print's rectangle that this colour prints, 0..1. */
  readonly coverage: Share
  /** Ruling of a halftone; none for flat art. */
  readonly ruling?: Ruling
  /** Of the halftone against the upright. */
  readonly angle?: Angle
  /** Thinnest line. */
  readonly line?: Length
  /** Narrowest gap within it. */
  readonly gap?: Length
  /** Particle size or grain in the ink. */
  readonly particle?: Length
  /** Dry deposit that one hit should leave. */
  readonly deposit?: Film
  readonly system: OrderedSystem
  /** A low-cure additive is mixed in. */
  readonly lowCure: boolean
  readonly can?: Can | undefined
}

/** How two colours of the art meet. */
export interface ArtRelation {
  readonly a: string
  readonly b: string
  /** A gap is left on purpose, and shows what lies under it; colours that are simply apart have no relation. */
  readonly how: 'touch' | 'overlap' | 'blend' | 'gap'
  /** Of an overlap or a gap. */
  readonly width?: Length
  /** Which of two that overlap lies over the other: `a` or `b`. Where nobody said it, the order of printing decides. */
  readonly over?: string
}

/** Where ink meets ink: a gap keeps it apart. */
export const meetings = (
  relations: readonly ArtRelation[],
): readonly (ArtRelation & { readonly how: Exclude<ArtRelation['how'], 'gap'> })[] =>
  relations.flatMap(({ how, ...r }) => (how === 'gap' ? [] : [{ ...r, how }]))

export const WHERES = {
  front: 'Full front',
  back: 'Back',
  leftChest: 'Left chest',
  pocket: 'Pocket line',
  backNeck: 'Back neck',
  hemCorner: 'Hem corner',
  pouch: 'Hood pocket',
  allOver: 'All-over',
  sleeve: 'Sleeve',
  hood: 'Hood',
  leg: 'Leg',
  neckLabel: 'Neck label',
  offPallet: 'Off-pallet item',
} as const
export type Where = keyof typeof WHERES

/** Parts of the art that are cloth which shows: drawn by nothing else. */
export const CLOTH_DRAWS = { dark: 'Its dark parts', light: 'Its light parts' } as const

export interface Placement {
  readonly id: string
  readonly where: Where
  readonly width: Length
  readonly height: Length
  /** A second artwork for kids is a placement of its own. */
  readonly sizes: 'all' | 'adult' | 'kids'
  /** By how much the film of the base is smaller than what lies on it; below 0 it is larger. Unknown until it is read or typed. */
  readonly choke?: Length
  /** What the cloth draws of the art; nothing where it is not said. */
  readonly clothDraws?: keyof typeof CLOTH_DRAWS | undefined
  readonly inks: readonly InkColour[]
  readonly relations: readonly ArtRelation[]
}

/** How the white of a print is to look (common practice). */
export const WHITE_LOOKS = {
  bright: 'Bright: flashed, a second white',
  soft: 'Soft: thin, no second coat',
  worn: 'Worn: light passes, no base, no flash',
  flattest: 'Flattest: smoothed, then white',
} as const
export type WhiteLook = keyof typeof WHITE_LOOKS

export interface Order {
  /** Readable number, `O-1001`. */
  readonly id: string
  readonly customer: string
  readonly title: string
  /** `2026-12-01`. */
  readonly due: string
  readonly notes: string
  /** Bright where nothing else is said. */
  readonly whiteLook?: WhiteLook
  /** The customer wants no PVC on it. */
  readonly pvcFree?: boolean | undefined
  /** ISO day on which its garments are expected; none where nobody said. */
  readonly garmentsOn?: string | undefined
  /** The order that it prints again. */
  readonly reorderOf?: string
  readonly lines: readonly GarmentLine[]
  readonly placements: readonly Placement[]
}
