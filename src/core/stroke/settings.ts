import type { RuleOf, ShopMethod } from '../advice'
import type { Press, Squeegee, StrokeUse, WhichScreen } from '../equipment'
import type { InkSystem, WhiteLook } from '../order'
import type { Length, MeshCount } from '../quantity'
import type { Flood, Pressure, SqueegeeKind, STROKE } from './definition'

/** What one hit has to do, as far as the squeegee is concerned. */
export interface StrokeNeed {
  readonly hitId: string
  readonly screen: WhichScreen
  readonly name: string
  readonly use: StrokeUse
  readonly mesh: MeshCount
  readonly darkCloth: boolean
  readonly offPallet: boolean
  readonly driesInScreen: boolean
  /** High-solids inks are stiff. */
  readonly system: InkSystem
  /** How white is to look; of a white only. */
  readonly look?: WhiteLook | undefined
  /** How high a raised ink is wanted. */
  readonly rise?: 'subtle' | 'usual' | 'extreme' | undefined
  /** The stencil stands hardly over the mesh: film stencils, too few coats. */
  readonly thin: boolean
  /** Schools of the shop or the job. */
  readonly schools: Pick<ShopMethod, 'blade' | 'highSolids'>
  /** Height of the print: the squeegee's way. */
  readonly height: Length
}

export type StrokeRule = RuleOf<typeof STROKE>
export type Triple = readonly [number, number, number]

/** A setting of one hit: the value, or least, usual and most, and the rule that says so. */
export interface Setting {
  readonly squeegee: readonly [SqueegeeKind, StrokeRule]
  readonly edge: readonly [Squeegee['edge'], StrokeRule]
  readonly angle: readonly [Triple, StrokeRule]
  readonly pressure: readonly [Pressure, StrokeRule]
  readonly time: readonly [Triple, StrokeRule]
  readonly strokes: readonly [Triple, StrokeRule]
  readonly flood: readonly [Flood, StrokeRule]
}

const ANGLE: Setting['angle'] = [[15, 15, 20], 'ANGLE_GENERAL']
const USUAL: Setting = {
  squeegee: ['70', 'SQUEEGEE_GENERAL'],
  edge: ['square', 'EDGE_SQUARE'],
  angle: ANGLE,
  pressure: ['medium', 'PRESSURE_LEAST'],
  time: [[1, 1.3, 2], 'TIME_PRODUCTION'],
  strokes: [[1, 1, 1], 'STROKES_TOP'],
  flood: ['even', 'FLOOD_USUAL'],
}

/** Settings by use; what is not named is usual. */
const SETTINGS: Readonly<Record<StrokeUse, Partial<Setting>>> = {
  base: {
    squeegee: ['70/90/70', 'SQUEEGEE_WHITE'],
    time: [[1.3, 2, 3], 'TIME_THICK'],
    strokes: [[1, 2, 3], 'STROKES_BASE'],
  },
  white: {
    squeegee: ['70/90/70', 'SQUEEGEE_WHITE'],
    pressure: ['firm', 'PRESSURE_FIRM'],
    time: [[1.3, 1.6, 2.5], 'TIME_THICK'],
    strokes: [[1, 1, 2], 'STROKES_HIGHLIGHT'],
  },
  smoothing: {
    squeegee: ['90', 'SQUEEGEE_SMOOTH'],
    angle: [[0, 3, 5], 'ANGLE_SMOOTH'],
    pressure: ['firm', 'PRESSURE_FIRM'],
    strokes: [[1, 1, 2], 'STROKES_SMOOTH'],
  },
  halftone: {
    squeegee: ['80', 'SQUEEGEE_HALFTONE'],
    pressure: ['light', 'PRESSURE_HALFTONE'],
    flood: ['hard', 'FLOOD_THIN'],
  },
  expanding: {
    squeegee: ['60', 'SQUEEGEE_SOFT'],
    edge: ['rounded', 'EDGE_ROUNDED'],
    strokes: [[2, 2, 2], 'STROKES_EXPANDING'],
    flood: ['slow', 'FLOOD_SLOW'],
  },
  metallic: {
    time: [[1.3, 1.6, 2.5], 'TIME_METAL'],
    strokes: [[1, 1, 2], 'STROKES_TOP'],
    flood: ['full', 'FLOOD_METAL'],
  },
  direct: { squeegee: ['70/90/70', 'SQUEEGEE_WHITE'], strokes: [[1, 2, 2], 'STROKES_DIRECT'] },
  top: {},
}

/** High-solids ink on an automatic as one school strikes it. */
const LAID_DOWN: Partial<Setting> = {
  angle: [[15, 15, 20], 'ANGLE_STIFF'],
  pressure: ['medium', 'PRESSURE_LEAST'],
  time: USUAL.time,
}

/** Print height that the usual seconds of a stroke are meant for; a longer way takes longer in proportion (assumed). */
const USUAL_HEIGHT: Length = 0.4

/** How much longer stroke and flood take over a print of this height; 1 or more. */
export const longer = (height: Length): number => Math.max(1, height / USUAL_HEIGHT)

/** What the trade sets for a hit, before the shop's own experience and the lead's choice. */
export function settingFor(need: StrokeNeed, press: Press): Setting {
  const own = { ...USUAL, ...SETTINGS[need.use] }
  const shear: Partial<Setting> =
    press.kind === 'automatic' && (need.use === 'base' || need.use === 'white')
      ? { angle: [[0, 5, 10], 'ANGLE_SHEAR'] }
      : {}
  const light: Partial<Setting> =
    need.use === 'base' && !need.darkCloth ? { strokes: [[1, 1, 2], 'STROKES_TOP'] } : {}
  const layered: Partial<Setting> =
    need.use === 'halftone' && need.schools.blade === 'layered'
      ? { squeegee: ['70/90/70', 'SQUEEGEE_SHEAR'] }
      : {}
  const stiff: Partial<Setting> =
    need.system === 'highSolids' && need.use !== 'smoothing' && need.use !== 'expanding'
      ? {
          squeegee: ['70/90/70', 'SQUEEGEE_STIFF'],
          ...(press.kind === 'automatic' && need.schools.highSolids === 'layered' && LAID_DOWN),
        }
      : {}
  const look: Partial<Setting> =
    need.look === 'worn'
      ? { strokes: [[1, 1, 3], 'STROKES_WORN'], pressure: ['light', 'PRESSURE_WORN'] }
      : need.look === 'soft'
        ? { strokes: [[1, 1, 3], 'STROKES_SOFT'] }
        : {}
  const rise: Partial<Setting> =
    need.rise === 'subtle'
      ? { strokes: [[1, 1, 2], 'STROKES_RISE'] }
      : need.rise === 'extreme'
        ? { strokes: [[2, 3, 3], 'STROKES_RISE'] }
        : {}
  const onePass: Partial<Setting> = need.offPallet ? { strokes: [[1, 1, 1], 'STROKES_ONE_PASS'] } : {}
  const thin: Partial<Setting> = need.thin ? { flood: ['hard', 'FLOOD_THIN'] } : {}
  const water: Partial<Setting> = need.driesInScreen ? { flood: ['full', 'FLOOD_WATER'] } : {}
  const set = {
    ...{ ...own, ...shear, ...light, ...layered, ...stiff, ...look, ...rise, ...onePass },
    ...{ ...thin, ...water },
  }
  const [times, rule] = set.time
  return { ...set, time: [times.map((t) => t * longer(need.height)) as unknown as Triple, rule] }
}
