import { type NumberAdvice, numberOf } from '../advice'
import { lightness } from '../color'
import type { FlashUnit, Press } from '../equipment'
import {
  AS_TABLED,
  BOARDS,
  type Board,
  type BoardKind,
  CLOTH_TAKES,
  FABRICS,
  type Fabric,
  type Fitted,
  INK_TAKES,
  INKS,
  type InkKind,
  type Shade,
  type Takes,
  type UnitOver,
  type WetInk,
} from '../heat'
import { type Can, type Cloth, isBlend, isPolyester, type Placement } from '../order'
import { mm } from '../quantity'

/** A shade as heat sees it: by lightness (assumed). */
const shadeOf = (hex: string): Shade => {
  const { L } = lightness(hex)
  if (L > 85) return 'white'
  if (L > 65) return 'light'
  return L > 40 ? 'mid' : 'dark'
}

/** What heat has to know of a hit. */
export interface HeatedHit {
  readonly hex: string
  readonly lowCure: boolean
  readonly hit: { readonly role: string; readonly system: string }
  readonly can?: Can | undefined
}

/** Roles of the whites. */
export const WHITES = new Set<string>(['base', 'base2', 'highlight'])

export function inkKindOf({ hit, lowCure }: HeatedHit): InkKind {
  if (lowCure) return 'low'
  if (hit.role === 'metallic' || hit.role === 'expanding') return hit.role
  if (hit.system === 'highSolids') return 'highSolids'
  if (hit.system === 'waterBased' || hit.system === 'discharge') return 'waterBased'
  return WHITES.has(hit.role) ? 'base' : 'top'
}

/** An ink whose can says that it flashes fast gels so much cooler, K: the coolest that plastisols gel at (the model's own range). */
const COOLER = 8
const flashing = (ink: WetInk, can: Can | undefined): WetInk =>
  can?.flashesFast ? { ...ink, kinetics: { ...ink.kinetics, gelAt: ink.kinetics.gelAt - COOLER } } : ink

/** The wet film that a hit leaves, and how it and its cloth take heat. */
export function wetFilm(hit: HeatedHit, cloth: Cloth): { readonly ink: WetInk; readonly takes: Takes } {
  const ink = flashing(INKS[inkKindOf(hit)], hit.can)
  return {
    ink,
    takes: { ink: INK_TAKES[shadeOf(hit.hex)], cloth: CLOTH_TAKES[shadeOf(cloth.hex)], lets: ink.lets },
  }
}

const fabricKind = (cloth: Cloth): keyof typeof FABRICS => {
  if (cloth.weave === 'fleece') return 'fleece'
  if (isPolyester(cloth)) return 'polyester'
  return isBlend(cloth) ? 'blend' : 'cotton'
}

/** One layer of the cloth, as thick as it is heavy. */
export function heatedCloth(cloth: Cloth): Fabric {
  const usual = FABRICS[fabricKind(cloth)]
  return { ...usual, mass: cloth.weight, thickness: (usual.thickness * cloth.weight) / usual.mass }
}

/** Honeycomb is aluminium with air in it: as a heated face it is one. */
const MATERIALS: Readonly<Record<Press['palletMaterial'], BoardKind>> = {
  aluminium: 'aluminium',
  honeycomb: 'aluminium',
  'rubber-topped': 'rubber',
  wood: 'wood',
}
/** How a press passes heat on as its unit was read; as tabled where it never was. */
export const fittedOf = ({ calibration }: FlashUnit): Fitted => calibration ?? AS_TABLED

/** What a pallet is as a heated board. */
export const boardKindOf = (material: Press['palletMaterial']): BoardKind => MATERIALS[material]
export const boardOf = (press: Press): Board => BOARDS[boardKindOf(press.palletMaterial)]

/** How the flash units of a run are set. */
export interface UnitsSet {
  readonly flashHeight: NumberAdvice | undefined
  readonly panelTemperature: NumberAdvice | undefined
}

/** A unit over the print, as high and as hot as set. */
export function unitOver(
  { kind, calibration }: FlashUnit,
  { width, height }: Placement,
  { flashHeight, panelTemperature: panel }: UnitsSet,
): UnitOver {
  return {
    kind,
    print: { width, height },
    height: flashHeight ? numberOf(flashHeight) : mm(65),
    gain: calibration?.gain ?? 1,
    // Units of two kinds are turned down by as much.
    cooler: panel ? panel.advised - numberOf(panel) : 0,
  }
}
