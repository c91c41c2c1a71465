import {
  because,
  decideNumber,
  type NumberAdvice,
  type Overrides,
  q,
  type Reason,
  ruleTable,
  type ShopMethod,
} from '../advice'
import { type MeshCount, perCm, type Ruling } from '../quantity'

export const MESH_RULES = ruleTable({
  MESH_EXPANDING: {
    says: 'Expanding ink wants an open mesh and a thick stencil: {low} to {high}.',
    source: 'common practice',
  },
  MESH_METALLIC: {
    says: 'Metallic, {low} to {high}: a finer mesh would sieve the flakes out, no shimmer.',
    source: 'common practice',
  },
  MESH_ONE_HIT: { says: 'One heavy hit that must cover alone: {low} to {high}.', source: 'common practice' },
  MESH_BASE_COARSE: {
    says: 'Base white in one strong hit, {low} to {high}: opacity and speed.',
    source: 'common practice',
  },
  MESH_BASE_FINE: {
    says: 'Thin base under a second white, {low} to {high}: softer hand.',
    source: 'common practice',
  },
  MESH_BASE_WATER: {
    says: 'Water-based base: coarse, {low} to {high}, or it does not cover.',
    source: 'common practice',
  },
  MESH_SPOT: { says: 'Spot colours print through {low} to {high}.', source: 'common practice' },
  MESH_HIGHLIGHT: {
    says: 'Highlight white as fine as the top colours or finer: {low} to {high}.',
    source: 'common practice',
  },
  MESH_HALFTONE: { says: 'Halftone tops of simulated process: {low} to {high}.', source: 'common practice' },
  MESH_PROCESS: {
    says: 'True process, {low} to {high}: fine mesh for all of it, base and highlight too.',
    source: 'common practice',
  },
  MESH_SMOOTHING: {
    says: 'The smoothing screen lays no ink; a usual spot mesh, {low} to {high}, carries it.',
    source: 'from memory',
  },
  MESH_RULING: {
    says: 'At least {factor} times the ruling of {ruling}: {least}.',
    source: 'common practice',
  },
  MESH_STOCK: { says: 'The nearest mesh on the frames of this shop.', source: 'the order' },
  MESH_NOT_HELD: {
    says: '{name} wants {low} to {high}; the nearest frame here has {mesh}.',
    source: 'common practice',
    severity: 'Watch',
  },
})

/** What the screen has to print. */
export type ScreenUse =
  | 'base'
  | 'highlight'
  | 'smoothing'
  | 'spot'
  | 'oneHit'
  | 'metallic'
  | 'expanding'
  | 'halftone'
  | 'process'

interface Wanted {
  readonly rule: keyof typeof MESH_RULES
  /** T/cm: lowest, preferred, highest. */
  readonly mesh: readonly [number, number, number]
}

const WANTED: Readonly<Record<Exclude<ScreenUse, 'base'>, Wanted>> = {
  expanding: { rule: 'MESH_EXPANDING', mesh: [21, 43, 43] },
  metallic: { rule: 'MESH_METALLIC', mesh: [24, 43, 43] },
  oneHit: { rule: 'MESH_ONE_HIT', mesh: [34, 43, 49] },
  spot: { rule: 'MESH_SPOT', mesh: [61, 77, 90] },
  highlight: { rule: 'MESH_HIGHLIGHT', mesh: [77, 90, 120] },
  halftone: { rule: 'MESH_HALFTONE', mesh: [79, 90, 120] },
  process: { rule: 'MESH_PROCESS', mesh: [110, 120, 140] },
  smoothing: { rule: 'MESH_SMOOTHING', mesh: [61, 61, 90] },
}

const wantedBase = (method: ShopMethod, waterBased: boolean): Wanted => {
  if (waterBased) return { rule: 'MESH_BASE_WATER', mesh: [43, 43, 61] }
  return method.baseMesh === 'fine'
    ? { rule: 'MESH_BASE_FINE', mesh: [77, 77, 90] }
    : { rule: 'MESH_BASE_COARSE', mesh: [43, 61, 64] }
}

export interface ScreenNeed {
  readonly hitId: string
  readonly name: string
  readonly use: ScreenUse
  readonly waterBased: boolean
  readonly ruling?: Ruling
}

/** Mesh per ruling by school. */
const PER_RULING = { four: 4.5, lean: 3.5 } as const

/**
 * The mesh for one screen: what the use wants, raised by the ruling, resolved to a mesh that hangs on a frame here.
 *
 * @param held mesh counts of the free frames, threads per metre; empty takes the wanted mesh
 */
export function meshFor(
  need: ScreenNeed,
  method: ShopMethod,
  held: readonly MeshCount[],
  overrides: Overrides,
): NumberAdvice {
  const wanted = need.use === 'base' ? wantedBase(method, need.waterBased) : WANTED[need.use]
  const [lowest, preferred, highest] = wanted.mesh.map(perCm) as [number, number, number]
  const factor = PER_RULING[method.ruling]
  const least = need.ruling === undefined ? 0 : need.ruling * factor
  const low = Math.max(lowest, least)
  const high = Math.max(highest, low)
  const aim = Math.max(preferred, low)
  const inRange = held.filter((m) => m >= low - 1 && m <= high + 1)
  const nearest = (from: readonly MeshCount[]) =>
    from.reduce((a, b) => (Math.abs(b - aim) < Math.abs(a - aim) ? b : a), from[0] ?? aim)
  const advised = inRange.length > 0 ? nearest(inRange) : nearest(held)
  const reasons: Reason[] = [
    because(MESH_RULES, wanted.rule, { low: q('meshCount', lowest), high: q('meshCount', highest) }),
  ]
  if (need.ruling !== undefined)
    reasons.push(
      because(MESH_RULES, 'MESH_RULING', {
        factor: String(factor),
        ruling: q('ruling', need.ruling),
        least: q('meshCount', least),
      }),
    )
  if (held.length > 0 && inRange.length === 0)
    reasons.push(
      because(MESH_RULES, 'MESH_NOT_HELD', {
        name: need.name,
        low: q('meshCount', low),
        high: q('meshCount', high),
        mesh: q('meshCount', advised),
      }),
    )
  else if (held.length > 0) reasons.push(because(MESH_RULES, 'MESH_STOCK'))
  return decideNumber(
    {
      key: `mesh.${need.hitId}`,
      label: `Mesh, ${need.name}`,
      kind: 'meshCount',
      advised,
      range: [low, high],
      reasons,
    },
    overrides,
  )
}
