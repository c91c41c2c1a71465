import type { RuleOf } from '../advice'
import { type NumberAdvice, numberOf, type Overrides, q, type Reason, type ShopMethod } from '../advice'
import { beatOf, moireRisk } from '../artwork'
import type { Fabric } from '../equipment'
import type { InkSystem } from '../order'
import { type Angle, type Film, type Length, type MeshCount, perCm, type Ruling } from '../quantity'
import { SCREEN } from './definition'
import { dryFilm, fabricOf, inkVolume, openArea, opening } from './fabric'
import { OF_RISE, type Rise } from './rise'

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
  | 'label'

interface Wanted {
  readonly rule: RuleOf<typeof SCREEN>
  /** T/cm: lowest, preferred, highest. */
  readonly mesh: readonly [number, number, number]
}

const WANTED: Readonly<Record<Exclude<ScreenUse, 'base' | 'expanding'>, Wanted>> = {
  metallic: { rule: 'MESH_METALLIC', mesh: [24, 43, 43] },
  oneHit: { rule: 'MESH_ONE_HIT', mesh: [34, 43, 49] },
  spot: { rule: 'MESH_SPOT', mesh: [61, 77, 90] },
  highlight: { rule: 'MESH_HIGHLIGHT', mesh: [77, 90, 120] },
  halftone: { rule: 'MESH_HALFTONE', mesh: [79, 90, 120] },
  process: { rule: 'MESH_PROCESS', mesh: [110, 120, 140] },
  label: { rule: 'MESH_LABEL', mesh: [61, 77, 90] },
  smoothing: { rule: 'MESH_SMOOTHING', mesh: [61, 61, 90] },
}

const wantedBase = (method: ShopMethod, driesInScreen: boolean, tones: boolean): Wanted => {
  if (method.baseMesh === 'finer' && !driesInScreen) return { rule: 'MESH_BASE_FINER', mesh: [77, 90, 140] }
  if (tones) return { rule: 'MESH_BASE_TONES', mesh: [77, 77, 90] }
  if (driesInScreen) return { rule: 'MESH_BASE_WATER', mesh: [43, 43, 61] }
  return method.baseMesh === 'fine'
    ? { rule: 'MESH_BASE_FINE', mesh: [77, 77, 90] }
    : { rule: 'MESH_BASE_COARSE', mesh: [43, 61, 64] }
}

const wantedOf = ({ use, driesInScreen, ruling, rise }: ScreenNeed, method: ShopMethod): Wanted => {
  if (use === 'base') return wantedBase(method, driesInScreen, ruling !== undefined)
  return use === 'expanding' ? OF_RISE[rise ?? 'usual'] : WANTED[use]
}

export interface ScreenNeed {
  readonly hitId: string
  readonly name: string
  readonly use: ScreenUse
  readonly driesInScreen: boolean
  /** How high a raised ink is wanted. */
  readonly rise?: Rise | undefined
  readonly ruling?: Ruling | undefined
  /** As fine as the colours it stands among. */
  readonly atLeast?: MeshCount | undefined
  readonly angle?: Angle | undefined
  readonly line?: Length | undefined
  readonly particle?: Length | undefined
  /** Dry deposit that one hit should leave. */
  readonly deposit?: Film | undefined
  readonly system: InkSystem
  /** Printed on an earlier film, which drinks nothing. */
  readonly onFilm: boolean
}

/** Threads across the smallest line (from memory), and openings across the largest grain (common practice: 3 to 4). */
const ACROSS_LINE = 2
const OPENINGS = 3
/** What a line can ask of: the finest usual mesh. */
const FINEST = perCm(140)
/** Uses whose detail comes from the film; the others lay their ink through what it needs. */
const DRAWN: ReadonlySet<ScreenUse> = new Set(['spot', 'highlight', 'halftone', 'process', 'oneHit'])

/** The finest tabled mesh whose openings let a grain through; none when it passes all. */
function finestFor(particle: Length | undefined, fabrics: readonly Fabric[]): MeshCount | undefined {
  if (particle === undefined) return undefined
  const wide = fabrics.filter((f) => opening(f) >= OPENINGS * particle).map((f) => f.count)
  return wide.length > 0 ? Math.max(...wide) : Math.min(...fabrics.map((f) => f.count))
}

/** Where detail asks for more than is usual, or grains for less, meshes this much finer or coarser still do (assumed). */
const FINER = 1.15
const COARSER = 0.7

/** Mesh per ruling by practice. */
const PER_RULING = { four: 4.5, lean: 3.5, leanest: 3.1 } as const

/**
 * The mesh for one screen: what the use wants, raised by the ruling, resolved to a mesh that is on a frame here.
 *
 * @param held mesh counts of the free frames, threads per metre; empty takes the wanted mesh
 * @param fabrics the mesh table
 */
export function meshFor(
  need: ScreenNeed,
  method: ShopMethod,
  held: readonly MeshCount[],
  fabrics: readonly Fabric[],
  overrides: Overrides,
): NumberAdvice {
  const wanted = wantedOf(need, method)
  const [lowest, preferred, highest] = wanted.mesh.map(perCm) as [number, number, number]
  const factor = PER_RULING[method.ruling]
  const raised = need.use === 'expanding'
  const least = need.ruling === undefined || raised ? 0 : need.ruling * factor
  const drawn = need.line !== undefined && DRAWN.has(need.use)
  const forLine = drawn ? Math.min(FINEST, ACROSS_LINE / (need.line ?? 1)) : 0
  const most = finestFor(need.particle, fabrics)
  const finest = Math.max(lowest, least, forLine, need.atLeast ?? 0)
  // Grains come before detail: where no mesh does both, they go through.
  const low = most === undefined || finest < most ? finest : Math.min(lowest, COARSER * most)
  const high = Math.min(Math.max(highest, FINER * low), most ?? Number.POSITIVE_INFINITY)
  const aim = Math.min(Math.max(preferred, low), high)
  const inRange = held.filter((m) => m >= low - 1 && m <= high + 1)
  const nearest = (from: readonly MeshCount[]) =>
    from.reduce((a, b) => (Math.abs(b - aim) < Math.abs(a - aim) ? b : a), from[0] ?? aim)
  const clear = inRange.filter((m) => riskOf(need, m) === 'none')
  const { deposit } = need
  const leaves = (mesh: MeshCount) => dryFilm(fabricOf(fabrics, mesh), 1, need.system, need.onFilm)
  const wantedFilm = (from: readonly MeshCount[]) =>
    deposit === undefined || from.length === 0
      ? nearest(from)
      : from.reduce((a, b) => (Math.abs(leaves(b) - deposit) < Math.abs(leaves(a) - deposit) ? b : a))
  const advised = inRange.length > 0 ? wantedFilm(clear.length > 0 ? clear : inRange) : nearest(held)
  const reasons: Reason[] = [
    SCREEN.because(wanted.rule, { low: q('meshCount', lowest), high: q('meshCount', highest) }),
  ]
  if (need.ruling !== undefined && raised)
    reasons.push(SCREEN.because('MESH_NO_TONES', { name: need.name, ruling: q('ruling', need.ruling) }))
  else if (need.ruling !== undefined)
    reasons.push(
      SCREEN.because('MESH_RULING', {
        factor: String(factor),
        ruling: q('ruling', need.ruling),
        least: q('meshCount', least),
      }),
    )
  if (need.atLeast !== undefined && need.atLeast > lowest)
    reasons.push(SCREEN.because('MESH_AS_TOPS', { least: q('meshCount', need.atLeast) }))
  if (forLine > lowest)
    reasons.push(
      SCREEN.because('MESH_LINE', { line: q('fine', need.line ?? 0), least: q('meshCount', forLine) }),
    )
  if (most !== undefined)
    reasons.push(
      SCREEN.because('MESH_PARTICLE', {
        particle: q('thickness', need.particle ?? 0),
        most: q('meshCount', most),
      }),
    )
  if (deposit !== undefined)
    reasons.push(
      SCREEN.because('MESH_WANTED', {
        wanted: q('thickness', deposit),
        leaves: q('thickness', leaves(advised)),
      }),
    )
  if (held.length > 0 && inRange.length === 0)
    reasons.push(
      SCREEN.because('MESH_NOT_HELD', {
        name: need.name,
        low: q('meshCount', low),
        high: q('meshCount', high),
        mesh: q('meshCount', advised),
      }),
    )
  else if (held.length > 0) reasons.push(SCREEN.because('MESH_STOCK'))
  const advice = SCREEN.number(
    'mesh',
    {
      of: { id: need.hitId, name: need.name },
      advised,
      // The nearest frame may lie outside of what is wanted: then it says so, and is a choice all the same.
      range: [Math.min(low, advised), Math.max(high, advised)],
      reasons,
    },
    overrides,
  )
  const mesh = numberOf(advice)
  const known = [...new Set(fabrics.map((f) => f.count))].filter(
    (m) => m >= advice.range[0] && m <= advice.range[1],
  )
  return {
    ...advice,
    reasons: [...advice.reasons, ...beatSaid(need, mesh, known), heldBy(fabricOf(fabrics, mesh))],
  }
}

/** What can be seen of a tint through a mesh. */
const riskOf = ({ use, ruling, angle }: ScreenNeed, mesh: MeshCount) =>
  ruling === undefined || angle === undefined || use === 'expanding'
    ? 'none'
    : moireRisk(beatOf(ruling, angle, mesh))

/** Whether the halftone beats with the mesh in force, and which of those in range would not. */
function beatSaid(need: ScreenNeed, mesh: MeshCount, inRange: readonly MeshCount[]): readonly Reason[] {
  const { use, ruling, angle } = need
  if (ruling === undefined || angle === undefined || use === 'expanding') return []
  const { period } = beatOf(ruling, angle, mesh)
  const told = {
    mesh: q('meshCount', mesh),
    ruling: q('ruling', ruling),
    angle: q('turn', angle),
    period: Number.isFinite(period) ? q('length', period) : 'none',
  }
  if (riskOf(need, mesh) === 'none') return [SCREEN.because('MESH_CLEAR', told)]
  const clear = inRange.filter((m) => riskOf(need, m) === 'none')
  return clear.length === 0
    ? [SCREEN.because('MESH_MOIRE_ALL', told)]
    : [SCREEN.because('MESH_MOIRE', { ...told, clear: { kind: 'meshCount', values: clear } })]
}

const heldBy = (fabric: Fabric): Reason =>
  SCREEN.because('MESH_DEPOSIT', {
    held: q('thickness', inkVolume(fabric)),
    open: q('share', openArea(fabric)),
    opening: q('thickness', opening(fabric)),
  })
