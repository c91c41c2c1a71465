import type { ShopMethod } from '../advice'
import { type Hex, lightness } from '../color'
import { type SecondWhite, whiteOverColours } from '../ink'
import {
  type Can,
  type Cloth,
  COVERS_ALONE,
  type InkColour,
  type InkSystem,
  type InkType,
  isProcess,
  meetings,
  OPACITIES,
  type Order,
  type Placement,
  toneOf,
} from '../order'
import type { Ruling } from '../quantity'
import type { ScreenUse } from '../screen'
import { FLASH, type Hit, type Relation, type Role } from '../sequence'
import type { StrokeNeed } from '../stroke'

/** A hit with what the other rooms need to know of it. */
export interface Separation {
  readonly hit: Hit
  readonly hex: Hex
  readonly use: ScreenUse
  readonly stroke: StrokeNeed['use']
  readonly system: InkSystem
  readonly inkType: InkType
  readonly lowCure: boolean
  readonly can: Can
  /** What the film asks of the mesh. */
  readonly drawn: Pick<InkColour, 'ruling' | 'angle' | 'line' | 'gap' | 'particle' | 'deposit'>
}

const WHITE: Hex = '#f4f4f0'
const BASE_OPACITY = 0.95

const ROLES: Readonly<Record<Exclude<InkType, 'white'>, Role>> = {
  spot: 'spot',
  black: 'black',
  yellow: 'yellow',
  magenta: 'magenta',
  cyan: 'cyan',
  key: 'key',
  metallic: 'metallic',
  expanding: 'expanding',
  fluorescent: 'spot',
  clear: 'clear',
}

const systemOf = (ink: InkColour, method: ShopMethod): InkSystem =>
  ink.system === 'house' ? method.ink : ink.system

function screenUseOf(ink: InkColour, based: boolean, cloth: Cloth, label: boolean): ScreenUse {
  if (label) return 'label'
  if (ink.inkType === 'white' && based) return 'highlight'
  if (ink.inkType === 'metallic' || ink.inkType === 'expanding') return ink.inkType
  if (isProcess(ink)) return 'process'
  const coversAlone =
    OPACITIES[ink.opacity].opacity >= COVERS_ALONE && ink.ruling === undefined && ink.inkType === 'spot'
  const open = cloth.weave === 'canvas' || cloth.weave === 'openKnit'
  if (!based && (open || ink.inkType === 'white')) return 'oneHit'
  if (!based && coversAlone && toneOf(cloth) !== 'light') return 'oneHit'
  return ink.ruling === undefined ? 'spot' : 'halftone'
}

function strokeOf(ink: InkColour, based: boolean, darkCloth: boolean, label: boolean): StrokeNeed['use'] {
  if (label) return 'top'
  if (ink.inkType === 'white' && based) return 'white'
  if (ink.inkType === 'expanding' || ink.inkType === 'metallic') return ink.inkType
  if (ink.ruling !== undefined || isProcess(ink)) return 'halftone'
  return !based && darkCloth && ink.inkType !== 'black' ? 'direct' : 'top'
}

/** A colour of the art as a hit. */
export function colourHit(
  ink: InkColour,
  based: boolean,
  cloth: Cloth,
  darkCloth: boolean,
  method: ShopMethod,
  label = false,
): Separation {
  const system = systemOf(ink, method)
  const role: Role = ink.inkType === 'white' ? (based ? 'highlight' : 'spot') : ROLES[ink.inkType]
  return {
    hit: {
      id: ink.id,
      name: ink.name,
      role,
      L: lightness(ink.hex).L,
      opacity: OPACITIES[ink.opacity].opacity,
      coverage: ink.coverage,
      system,
      onBase: based,
    },
    hex: ink.hex,
    use: screenUseOf(ink, based, cloth, label),
    stroke: strokeOf(ink, based, darkCloth, label),
    system,
    inkType: ink.inkType,
    lowCure: ink.lowCure,
    can: ink.can ?? {},
    drawn: ink,
  }
}

const WHITES = { base: 'Base white', base2: 'Base again', smoothing: 'Smoothing screen' } as const

/** What an order of printing by hand may name: the screens of a print, and a flash. */
export const orderable = ({ inks }: Pick<Placement, 'inks'>): readonly string[] => [
  ...Object.keys(WHITES),
  FLASH,
  ...inks.map((ink) => ink.id),
]

/** What a screen of an order is called, by its id; the id itself where there is no such screen. */
export const screenNames =
  ({ placements }: Order): ((id: string) => string) =>
  (id) =>
    (WHITES as Readonly<Record<string, string>>)[id] ??
    placements.flatMap((p) => p.inks).find((ink) => ink.id === id)?.name ??
    id

/** A white screen that the plan adds: base, second base hit, smoothing screen; of the system of the ink on it. */
export function whiteHit(
  role: 'base' | 'base2' | 'smoothing',
  coverage: number,
  on: InkColour,
  method: ShopMethod,
  /** Finest of the halftones that it carries. */
  ruling: Ruling | undefined,
  lowCure = on.lowCure,
): Separation {
  const process = isProcess(on)
  const system = systemOf(on, method)
  const smoothing = role === 'smoothing'
  return {
    hit: {
      id: role,
      name: WHITES[role],
      role,
      L: smoothing ? 100 : lightness(WHITE).L,
      opacity: smoothing ? 0 : BASE_OPACITY,
      coverage,
      system,
      onBase: false,
    },
    hex: WHITE,
    use: smoothing ? 'smoothing' : process ? 'process' : 'base',
    stroke: smoothing ? 'smoothing' : 'base',
    system,
    inkType: 'white',
    drawn: ruling === undefined || smoothing || method.baseTones === 'coarse' ? {} : { ruling },
    lowCure,
    can: on.can ?? {},
  }
}

/** The finest of the halftones that stand on a base; puff takes none. */
export const finestRuling = (inks: readonly InkColour[]): Ruling | undefined => {
  const all = inks.flatMap((ink) => (ink.inkType === 'expanding' ? [] : (ink.ruling ?? [])))
  return all.length > 0 ? Math.max(...all) : undefined
}

/**
 * The hits of a print: its colours, and the whites that the base decision adds. A white of the art that the base shows
 * by itself needs no screen.
 *
 * @param based ids of the inks that stand on a base
 * @param coverage of the base, 0..1
 * @param smoothsBase the base is smoothed for the colours on it
 */
export function separate(
  placement: Placement,
  based: ReadonlySet<string>,
  secondWhite: SecondWhite,
  coverage: number,
  cloth: Cloth,
  darkCloth: boolean,
  method: ShopMethod,
  smoothsBase = false,
): { readonly separations: readonly Separation[]; readonly relations: readonly Relation[] } {
  const { inks } = placement
  const relations = meetings(placement.relations)
  const shownByBase = (ink: InkColour) =>
    ink.inkType === 'white' &&
    based.has(ink.id) &&
    (secondWhite === 'none' || secondWhite === 'sameScreen') &&
    !whiteOverColours(ink, inks, relations)
  const printed = inks.filter((ink) => !shownByBase(ink))
  const label = placement.where === 'neckLabel'
  const colours = printed.map((ink) => colourHit(ink, based.has(ink.id), cloth, darkCloth, method, label))
  const onBase = inks.filter((ink) => based.has(ink.id))
  if (onBase.length === 0) return { separations: colours, relations: relations.filter(bothIn(colours)) }
  const first = onBase.find(isProcess) ?? (onBase[0] as InkColour)
  const lowCure = onBase.every((ink) => ink.lowCure)
  const whites: ('base' | 'base2' | 'smoothing')[] = ['base']
  if (secondWhite === 'smoothing' || smoothsBase) whites.push('smoothing')
  if (secondWhite === 'sameScreen') whites.push('base2')
  const ruling = finestRuling(onBase)
  const separations = [
    ...whites.map((role) => whiteHit(role, coverage, first, method, ruling, lowCure)),
    ...colours,
  ]
  return { separations, relations: relations.filter(bothIn(separations)) }
}

const bothIn = (separations: readonly Separation[]) => {
  const ids = new Set(separations.map((s) => s.hit.id))
  return (r: Relation) => ids.has(r.a) && ids.has(r.b)
}
