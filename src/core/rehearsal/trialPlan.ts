/** What a screen of a rehearsed plan is for. */
export type Role = 'base' | 'top' | 'white' | 'black' | 'metallic' | 'expander' | 'smoothing'

/** A screen as it is planned. Micrometres, N/cm, millimetres, degrees from upright, Shore A: units of the floor, for play. */
export interface TrialScreen {
  readonly id: string
  readonly name: string
  readonly role: Role
  readonly hex: string
  /** Of the mesh, and what the ink wants. */
  readonly opening: number
  readonly wanted: number
  readonly tension: number
  readonly gap: number
  readonly angle: number
  readonly hardness: number
  readonly strokes: number
  /** Lines to the inch; none without halftones. */
  readonly ruling?: number
  readonly waterBased: boolean
  /** Of flakes, micrometres. */
  readonly particle?: number
  /** Share of what is printed wet before it that it lies on, and how strong that is; 0 where nothing is wet. */
  readonly overlap: number
  readonly dominance: number
  /** Share of the print. */
  readonly coverage: number
  /** Black beside white, both wet. */
  readonly blackOnWhite: boolean
}

/** A flash as it is planned. */
export interface TrialFlash {
  readonly quartz: boolean
  /** Seconds; what boards at 45 C need by the full model; seconds until the next print. */
  readonly dwell: number
  readonly needed: number
  readonly cool: number
}

export type TrialEvent =
  | { readonly kind: 'print'; readonly screen: number }
  | { readonly kind: 'flash'; readonly flash: number }

/** All that a simulated press needs of a plan. */
export interface TrialPlan {
  readonly hand: boolean
  readonly boards: number
  readonly aluminium: boolean
  /** Pieces of the run, and seconds from one to the next. */
  readonly pieces: number
  readonly pace: number
  /** Celsius. */
  readonly air: number
  readonly screens: readonly TrialScreen[]
  readonly flashes: readonly TrialFlash[]
  /** In the order of printing. */
  readonly events: readonly TrialEvent[]
  /** Film wanted and its upper limit, celsius, and seconds on the belt. */
  readonly cure: {
    readonly target: number
    readonly limit: number
    readonly seconds: number
    readonly low: boolean
    /** What the dryer is set for, where that is not the target. */
    readonly set?: number
  }
  /** Millimetres; none where no base lies under colours. */
  readonly choke?: number
  readonly cloth: {
    readonly hex: string
    readonly dark: boolean
    readonly polyester: boolean
    /** How much fibres stand up, 0..1. */
    readonly fibre: number
  }
  /** White that the plan reaches against what is wanted. */
  readonly cover: number
  /** Garments on a board between adhesive, pieces between ink. */
  readonly tackEvery: number
  readonly inkEvery: number
  readonly timer: boolean
}
