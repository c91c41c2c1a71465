import type { ShopMethod } from '../advice'
import type { Hex } from '../color'
import type { InkColour } from '../order'
import type { Duration, Length, MeshCount, Reader, Share, Temperature } from '../quantity'
import type { ApprovedSetting } from './approved'
import type { FlashCalibration, TunnelCalibration } from './calibration'
import type { InkRoom } from './inkRoom'
import type { OwnStep } from './ownStep'
import type { OwnTrouble } from './ownTrouble'
import type { Person } from './people'
import type { Prices } from './prices'
import type { ScreenRoom, Stencil, TensionReading } from './screenRoom'
import type { SharedPallets } from './sharedPallets'

export const PALLET_MATERIALS = {
  aluminium: 'aluminium',
  honeycomb: 'honeycomb',
  'rubber-topped': 'rubber-topped',
  wood: 'wood',
} as const

interface PressBase {
  readonly id: string
  readonly name: string
  readonly palletWidth: Length
  readonly palletHeight: Length
  readonly palletMaterial: keyof typeof PALLET_MATERIALS
  /** Outer size of the largest frame that it takes; any where it is not said. */
  readonly frameWidth?: Length | undefined
  readonly frameHeight?: Length | undefined
  /** None where the press has no scale: pressure is a word there. */
  readonly pressure?: PressureNote | undefined
}

export const PRESSURE_SCALES = { turns: 'Turns of the screw', air: 'Air gauge' } as const

/** What the words for pressure come to on the scale of a press, as the shop wrote it down: turns, or pascal. */
export interface PressureNote {
  readonly scale: keyof typeof PRESSURE_SCALES
  readonly light: number
  readonly medium: number
  readonly firm: number
}

interface Heads {
  readonly heads: number
  /** Numbers of the heads that are out of order. */
  readonly down: readonly number[]
}

export interface Station {
  readonly number: number
  /** A screen can print here: the head is not down. */
  readonly usable: boolean
  readonly flashAllowed: boolean
}

/** A press by its kind: what it is, no behaviour. */
export type Press =
  | (PressBase & { readonly kind: 'bench' })
  | (PressBase & Heads & { readonly kind: 'single' })
  | (PressBase & Heads & { readonly kind: 'manual'; readonly pallets: number })
  | (PressBase & { readonly kind: 'automatic'; readonly stations: readonly Station[] })

/** Heads a screen can be mounted at; a bench takes one screen after another. */
export const usableHeads = (press: Press & Heads): number =>
  Array.from({ length: press.heads }, (_, i) => i + 1).filter((n) => !press.down.includes(n)).length

/** Heads of a press with whether each works; a bench has none. */
export const headsOf = (press: Press): readonly { readonly number: number; readonly works: boolean }[] => {
  if (press.kind === 'bench') return []
  if (press.kind === 'automatic')
    return press.stations.map(({ number, usable }) => ({ number, works: usable }))
  return Array.from({ length: press.heads }, (_, i) => ({
    number: i + 1,
    works: !press.down.includes(i + 1),
  }))
}

/** The press with one head put out of order, or back to work. */
export function headTurned(press: Press, head: number): Press {
  if (press.kind === 'bench') return press
  if (press.kind === 'automatic')
    return {
      ...press,
      stations: press.stations.map((s) => (s.number === head ? { ...s, usable: !s.usable } : s)),
    }
  const down = press.down.includes(head)
    ? press.down.filter((n) => n !== head)
    : [...press.down, head].sort((a, b) => a - b)
  return { ...press, down }
}

export const PRESS_KINDS: Readonly<Record<Press['kind'], string>> = {
  bench: 'Bench',
  single: 'Single station',
  manual: 'Manual carousel',
  automatic: 'Automatic carousel',
}

export const FLASH_KINDS = {
  panel: 'Black panel',
  quartz: 'Quartz',
  air: 'Infrared with air',
  gun: 'Heat gun',
} as const
export type FlashKind = keyof typeof FLASH_KINDS

export const FLASH_MOUNTS = {
  timed: 'goes out by itself',
  swings: 'is swung away by hand',
  fixed: 'stays over the pallet',
} as const
export type FlashMount = keyof typeof FLASH_MOUNTS

/** Inks that a unit is kept for. */
export const FLASH_SUITS = { plastisol: 'Plastisol', water: 'Water-based inks' } as const
/** Where it stands, as who prints sees it. */
export const FLASH_SIDES = { left: 'left', right: 'right', behind: 'behind' } as const

/** A flash unit stands at one press. */
export interface FlashUnit {
  readonly id: string
  readonly name: string
  readonly kind: FlashKind
  readonly pressId: string
  /** Stations of an automatic that it takes up, its own and those after it. */
  readonly takes: number
  /** Where it stands in the ring of an automatic now, if it is known. */
  readonly station?: number | undefined
  /** It goes out, or away, after its dwell where no one said. */
  readonly mount?: FlashMount | undefined
  readonly side?: keyof typeof FLASH_SIDES | undefined
  /** Any ink where no one said. */
  readonly suits?: keyof typeof FLASH_SUITS | undefined
  readonly calibration?: FlashCalibration | undefined
}

export const DRYER_HEATS = { infrared: 'Infrared', gas: 'Gas, hot air' } as const
export type DryerHeat = keyof typeof DRYER_HEATS

export interface Dryer {
  readonly id: string
  readonly name: string
  readonly heatedLength: Length
  readonly beltWidth: Length
  /** Infrared where no one said. */
  readonly heat?: DryerHeat | undefined
  readonly calibration?: TunnelCalibration | undefined
}

export const FRAME_STATES = {
  clean: 'clean',
  retired: 'retired',
  tension: 'out of tension',
  busy: 'on another job',
} as const
export type FrameState = keyof typeof FRAME_STATES

/** Screens that a shop keeps. */
export const STANDING = { smoothing: 'Smoothing screen' } as const

export interface Frame {
  readonly id: string
  readonly width: Length
  readonly height: Length
  readonly mesh: MeshCount
  /** N/m, as last read. */
  readonly tension: number
  readonly state: FrameState
  /** Earlier readings, oldest first. */
  readonly readings: readonly TensionReading[]
  /** A tool of the shop that is kept from job to job: neither coated nor exposed for one. */
  readonly standing?: keyof typeof STANDING | undefined
  readonly stencil?: Stencil | undefined
  /** Where it is mounted now: the head of a manual press, the station of an automatic. */
  readonly mounted?: MountedAt | undefined
}

/** What can break of a screen. */
export const BROKE = { stencil: 'Stencil broke', frame: 'Mesh or frame broke' } as const
export type Broke = keyof typeof BROKE

/**
 * A frame whose screen broke: it carries nothing and is mounted nowhere, so that the same screen is to be made again, on
 * another frame where there is one. A frame that broke itself is out of use.
 */
export function screenBroke(frame: Frame, what: Broke): Frame {
  const { stencil: _, mounted: __, ...bare } = frame
  return { ...bare, state: what === 'frame' ? 'retired' : 'clean' }
}

export interface MountedAt {
  readonly pressId: string
  readonly head: number
}

export const EDGES = { square: 'square', rounded: 'rounded' } as const

export interface Squeegee {
  readonly id: string
  /** `70` or layered `70/90/70`, Shore A. */
  readonly hardness: string
  readonly length: Length
  readonly edge: keyof typeof EDGES
}

/** An ink on the shelf, described by colour only. */
export interface ShelfInk {
  readonly id: string
  readonly name: string
  readonly hex: Hex
  readonly inkType: InkColour['inkType']
  readonly opacity: InkColour['opacity']
  readonly system: string
  readonly can?: InkColour['can']
}

/** When the shop works; times of day in seconds after midnight. */
export interface Hours {
  /** Days of the week, Monday is 1. */
  readonly days: readonly number[]
  readonly from: Duration
  readonly to: Duration
  readonly breaks: readonly { readonly from: Duration; readonly to: Duration }[]
  /** Days of the week with hours of their own. */
  readonly own?:
    | readonly { readonly day: number; readonly from: Duration; readonly to: Duration }[]
    | undefined
  /** Days on which nobody works, or only until a time of the day. */
  readonly off?: readonly { readonly on: string; readonly to?: Duration | undefined }[] | undefined
  /** Presses that open and close at times of their own, on the same days. */
  readonly presses?:
    | readonly { readonly pressId: string; readonly from: Duration; readonly to: Duration }[]
    | undefined
}

export const USUAL_HOURS: Hours = {
  days: [1, 2, 3, 4, 5],
  from: 8 * 3600,
  to: 17 * 3600,
  breaks: [{ from: 12 * 3600, to: 12.5 * 3600 }],
}

/** How warm and damp the shop is on a day, as it was said that day. */
export interface AirOfDay {
  /** ISO day. */
  readonly on: string
  readonly temperature: Temperature
  readonly humidity: Share
}

/** Everything the plan may know of the shop. */
export interface Shop {
  readonly name: string
  /** A device that never chose shows inches; millimetres where nothing is said. */
  readonly units?: 'inch' | undefined
  /** Fractions where nothing is said. */
  readonly inches?: 'decimals' | undefined
  /** Day first where nothing is said. */
  readonly dayOrder?: 'monthFirst' | 'yearFirst' | undefined
  /** Monday where nothing is said. */
  readonly weekFrom?: 'sunday' | undefined
  /** None while nobody said it today. */
  readonly air?: AirOfDay | undefined
  /** Set-up of a screen as the shop's record has it, s; what is usual where it is not said. */
  readonly setupPerScreen?: Duration | undefined
  /** Days between printed and due: to dry, fold, pack and send; none where it goes out as it is printed. */
  readonly leadDays?: number | undefined
  /** Days of the week on which goods leave, Monday is 1; any day where none is said. */
  readonly goesOut?: readonly number[] | undefined
  /** None where nobody is named: then nobody waits for anybody. */
  readonly people?: readonly Person[] | undefined
  /** None where all is done as usual. */
  readonly ownSteps?: readonly OwnStep[] | undefined
  /** None where the tables of trouble are as they come. */
  readonly ownTrouble?: readonly OwnTrouble[] | undefined
  readonly method: ShopMethod
  readonly presses: readonly Press[]
  readonly flashes: readonly FlashUnit[]
  readonly dryers: readonly Dryer[]
  /** None where every press has pallets of its own for all it prints. */
  readonly sharedPallets?: readonly SharedPallets[] | undefined
  readonly frames: readonly Frame[]
  readonly squeegees: readonly Squeegee[]
  readonly hours: Hours
  readonly screens: ScreenRoom
  readonly inkRoom: InkRoom
  readonly prices: Prices
  /** Settings that printed a good sample, oldest first. */
  readonly approved: readonly ApprovedSetting[]
}

/** How the shop writes what is read, where a device does not choose otherwise. */
export const readerOf = ({ units, inches, dayOrder }: Shop): Reader => ({
  measure: units ?? 'metric',
  decimals: inches === 'decimals',
  ...(dayOrder && { dayOrder }),
})

export const flashesAt = (shop: Shop, press: Press): readonly FlashUnit[] =>
  shop.flashes.filter((f) => f.pressId === press.id)

/** Frames a job may be burnt on: clean, and nothing is mounted on them. */
export const freeFrames = (shop: Shop): readonly Frame[] =>
  shop.frames.filter((f) => f.state === 'clean' && f.stencil === undefined && f.standing === undefined)
