import { q, type Reason } from '../advice'
import { type Kind, lpi, mm } from '../quantity'
import { PLAN } from './definition'

type Usual = readonly [kind: Kind, least: number, most: number]

const MESH: Usual = ['meshCount', 1600, 18_500]
const CLOTH: Usual = ['arealMass', 0.1, 0.45]
const STRETCH: Usual = ['share', 0, 0.2]
const AIR: Usual = ['workTime', 0, 48 * 3600]
const PRINT: Usual = ['length', mm(10), mm(900)]

/**
 * What is typed lies in these ranges in nearly every shop, by where it is typed, a star for any place in a list. Outside is
 * possible and asked about once: a slip of the unit or of the point looks like that. SI (common practice or from memory).
 */
const USUAL: Readonly<Record<string, Usual>> = {
  'shop.frames.*.mesh': MESH,
  'shop.frames.*.tension': ['tension', 1500, 4500],
  'shop.frames.*.width': ['length', mm(300), mm(1500)],
  'shop.frames.*.height': ['length', mm(350), mm(2000)],
  'shop.presses.*.palletWidth': ['length', mm(70), mm(1200)],
  'shop.presses.*.palletHeight': ['length', mm(100), mm(1600)],
  'shop.presses.*.frameWidth': ['length', mm(300), mm(1500)],
  'shop.presses.*.frameHeight': ['length', mm(350), mm(2000)],
  'shop.dryers.*.heatedLength': ['length', mm(600), mm(8000)],
  'shop.dryers.*.beltWidth': ['length', mm(300), mm(2000)],
  'shop.squeegees.*.length': ['length', mm(80), mm(1200)],
  'shop.screens.humidity': ['share', 0.2, 0.75],
  'shop.screens.frameToPallet': ['length', 0, mm(400)],
  'shop.screens.collarLine': ['length', 0, mm(150)],
  'shop.screens.leastTension': ['tension', 1000, 2500],
  'shop.screens.mostTension': ['tension', 2500, 6000],
  'shop.screens.emulsions.*.build': ['thickness', 2e-6, 40e-6],
  'shop.screens.emulsions.*.keeps': ['count', 7, 365],
  'shop.screens.lamps.*.distance': ['length', mm(30), mm(1500)],
  'shop.screens.fabrics.*.count': MESH,
  'shop.screens.fabrics.*.thread': ['thickness', 25e-6, 160e-6],
  'shop.screens.fabrics.*.thickness': ['thickness', 40e-6, 280e-6],
  'shop.inkRoom.laid': ['share', 0.6, 1.6],
  'shop.inkRoom.rack.*.density': ['density', 950, 1600],
  'shop.leadDays': ['count', 0, 14],
  'cloths.*.weight': CLOTH,
  'cloths.*.elastane': STRETCH,
  'lines.*.cloth.elastane': STRETCH,
  'inks.*.can.airDry': AIR,
  'placements.*.inks.*.can.airDry': AIR,
  'placements.*.inks.*.gap': ['fine', 0.1e-3, 0.02],
  'lines.*.cloth.weight': CLOTH,
  'lines.*.sizes.*.quantity': ['count', 0, 5000],
  'placements.*.width': PRINT,
  'placements.*.height': PRINT,
  'placements.*.choke': ['fine', -0.5e-3, 1.5e-3],
  'placements.*.inks.*.coverage': ['share', 0.005, 0.95],
  'placements.*.inks.*.ruling': ['ruling', lpi(25), lpi(75)],
  'placements.*.inks.*.line': ['fine', 0.1e-3, 0.02],
  'placements.*.inks.*.deposit': ['thickness', 5e-6, 0.4e-3],
  'placements.*.inks.*.particle': ['thickness', 1e-6, 0.5e-3],
}

/**
 * What to ask of a value that is possible and unusual; nothing of any other.
 *
 * @param path where it is typed: `shop.frames.3.tension`
 * @param value SI
 */
export function unusual(path: string, value: unknown): Reason | undefined {
  const usual = USUAL[path.replace(/\.\d+(?=\.|$)/g, '.*')]
  if (!usual || typeof value !== 'number' || !Number.isFinite(value)) return undefined
  const [kind, least, most] = usual
  return value >= least && value <= most
    ? undefined
    : PLAN.because('UNUSUAL', { low: q(kind, least), high: q(kind, most) })
}
