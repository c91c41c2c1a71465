import {
  type Duration,
  type Film,
  keysOf,
  type Length,
  type MeshCount,
  micron,
  mm,
  perCm,
  type Share,
} from '../quantity'

/** A mesh as woven. Thread and thickness start from memory: a maker's sheet replaces them. */
export interface Fabric {
  readonly count: MeshCount
  readonly thread: Film
  readonly thickness: Film
  /** Dyed mesh keeps light from spreading, and takes longer. */
  readonly dyed: 'white' | 'yellow'
}

export const EMULSION_KINDS = {
  photopolymer: 'Photopolymer, ready to use',
  dual: 'Dual cure, two parts',
  diazo: 'Diazo, two parts',
  thermal: 'Thermal film stencil',
} as const

export const WATER = { resistant: 'water-resistant', ordinary: 'not under water-based ink' } as const

export interface Emulsion {
  readonly id: string
  readonly name: string
  readonly kind: keyof typeof EMULSION_KINDS
  readonly water: keyof typeof WATER
  /** What each coat adds over the mesh once dry. */
  readonly build: Film
  /** ISO day on which it was mixed, or opened; and days that it keeps then. */
  readonly mixedOn?: string | undefined
  readonly keeps?: number | undefined
}

/** What the image is printed on. */
export const MEDIA = {
  film: 'Clear film',
  vellum: 'Vellum',
  paper: 'Paper made clear with oil',
} as const
export type Medium = keyof typeof MEDIA

export const LAMP_KINDS = {
  led: 'LED panel',
  metalHalide: 'Metal halide',
  halogen: 'Halogen work lamp',
  bulb: 'Bulb',
  sun: 'Sun',
} as const

export interface Lamp {
  readonly id: string
  readonly name: string
  readonly kind: keyof typeof LAMP_KINDS
  /** From the lamp to the glass. */
  readonly distance: Length
}

/** What one step test found for a lamp and an emulsion: the shop's own calibration. */
export interface StepTest {
  readonly id: string
  /** ISO day. */
  readonly on: string
  readonly lampId: string
  readonly emulsionId: string
  readonly mesh: MeshCount
  readonly coats: number
  readonly distance: Length
  /** Clear film where it was not said. */
  readonly medium?: Medium | undefined
  /** What holds, and between which times it was found. */
  readonly time: Duration
  readonly low: Duration
  readonly high: Duration
}

/** The work on a screen, in its order. */
export const STEPS = {
  coat: 'Coat',
  dry: 'Dry in the dark',
  expose: 'Expose',
  wash: 'Wash out',
  dryOff: 'Dry',
  harden: 'Harden, or expose again',
  check: 'Check, spot out',
  tape: 'Tape',
  mount: 'Mount',
} as const
export type Step = keyof typeof STEPS
export const STEP_NAMES = keysOf(STEPS)

/** What is mounted on a frame: the screen of one colour of one print, and how far it has come. */
export interface Stencil {
  readonly order: string
  readonly print: string
  readonly hit: string
  /** Customer, job and colour in words: they outlive the order. */
  readonly words: string
  readonly emulsionId: string
  readonly coats: number
  /** It is for ink that dries in the screen: hardened, or exposed once more. */
  readonly hardens?: boolean | undefined
  /** Done so far, each with its moment as ISO time. */
  readonly done: readonly { readonly step: Step; readonly at: string }[]
}

/** One reading of the tension meter; N/m. */
export interface TensionReading {
  /** ISO day. */
  readonly on: string
  readonly tension: number
}

/** What is known of stencils here. */
export interface ScreenRoom {
  /** Of the air where screens dry. */
  readonly humidity: Share
  /** Screens that can dry at a time; any where nobody said. */
  readonly racks?: number | undefined
  /** From the frame's top edge to the pallet's end, screen down. */
  readonly frameToPallet: Length
  /** From the pallet's end to where the collar seam lies. */
  readonly collarLine: Length
  /** Tension that frames work at here, N/m. */
  readonly leastTension: number
  readonly mostTension: number
  /** What films are printed on here; clear film where it is not said. */
  readonly medium?: Medium | undefined
  readonly fabrics: readonly Fabric[]
  readonly emulsions: readonly Emulsion[]
  readonly lamps: readonly Lamp[]
  readonly tests: readonly StepTest[]
}

const fabric = (count: number, thread: number, thickness: number): Fabric => ({
  count: perCm(count),
  thread: micron(thread),
  thickness: micron(thickness),
  dyed: count < 77 ? 'white' : 'yellow',
})

/** Common meshes; threads and thicknesses are from memory. */
export const FABRICS: readonly Fabric[] = [
  fabric(21, 140, 230),
  fabric(34, 100, 165),
  fabric(43, 80, 130),
  fabric(49, 70, 115),
  fabric(61, 64, 102),
  fabric(64, 64, 102),
  fabric(77, 55, 88),
  fabric(79, 48, 78),
  fabric(90, 48, 76),
  fabric(110, 40, 64),
  fabric(120, 34, 54),
  fabric(140, 34, 54),
]

/** What a new shop starts from; the builds are from memory. */
export const USUAL_SCREENS: ScreenRoom = {
  humidity: 0.45,
  frameToPallet: mm(60),
  collarLine: mm(20),
  // Usual working range (from memory).
  leastTension: 2000,
  mostTension: 3500,
  fabrics: FABRICS,
  emulsions: [
    { id: 'dual', name: 'Dual cure', kind: 'dual', water: 'resistant', build: micron(5) },
    { id: 'quick', name: 'Quick photopolymer', kind: 'photopolymer', water: 'ordinary', build: micron(5) },
  ],
  lamps: [{ id: 'led', name: 'LED unit', kind: 'led', distance: mm(100) }],
  tests: [],
}
