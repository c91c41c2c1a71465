import { type Overrides, q, type Reason } from '../advice'
import type { Press, Shop } from '../equipment'
import { HEAT } from '../heat'
import type { Order } from '../order'
import { plan } from './plan'
import { heatOf, lapAt, type RunHeat } from './runHeat'
import type { Decisions } from './runPlan'

/** What is tried: choices in place of those that stand, and boards that are not the press's own. */
export interface Tried {
  readonly overrides: Overrides
  readonly board?: Press['palletMaterial']
}

/** Heat along the run as it would be. */
export interface HeatTried {
  /** Undefined where nothing is flashed any more, or nothing can be printed. */
  readonly heat: RunHeat | undefined
  /** What is then another. */
  readonly changes: readonly Reason[]
  /** What was wrong and is no longer. */
  readonly ended: readonly Reason[]
}

/** Plans a run anew with what is tried. @param now as it stands */
export function heatTried(
  order: Order,
  shop: Shop,
  decisions: Decisions,
  now: RunHeat,
  tried: Tried,
): HeatTried {
  const presses = shop.presses.map((p) => ({ ...p, palletMaterial: tried.board ?? p.palletMaterial }))
  const overrides = { ...decisions.overrides, ...tried.overrides }
  const then = plan(order, { ...shop, presses }, { ...decisions, overrides })
  const heat = heatOf(then)
  if (!heat) return { heat, changes: [HEAT.because('TRY_NONE')], ended: [] }
  const still = new Set(heat.reasons.map(named))
  const ended = now.reasons.filter((r) => r.severity && !still.has(named(r)))
  return { heat, changes: heatChanges(now, heat), ended }
}

const named = ({ rule, inputs }: Reason) => `${rule} ${inputs.name ?? ''}`

/** Nobody reads a difference below these: K, s. */
const READ_K = 1
const READ_S = 0.25

/** What is read of the last garment of the run, then and now; and the dwell that it needs. */
export function heatChanges(was: RunHeat, now: RunHeat): readonly Reason[] {
  const ends = (h: RunHeat) => lapAt(h, h.pieces)
  const [before, after] = [ends(was), ends(now)]
  if (!before || !after) return []
  const isOther = (a: number, b: number, least: number) => Math.abs(a - b) >= least
  const out: Reason[] = []
  const degrees = (name: string, a: number, b: number, rule: 'TRY_FILM' | 'TRY_NEXT' | 'TRY_BOARDS') => {
    if (isOther(a, b, READ_K))
      out.push(HEAT.because(rule, { name, film: q('temperature', b), was: q('temperature', a) }))
  }
  after.flashes.forEach((f, i) => {
    const old = before.flashes[i]
    if (!old || old.name !== f.name) return
    if (isOther(f.time, old.time, READ_S))
      out.push(
        HEAT.because('TRY_DWELL', {
          name: f.name,
          dwell: q('duration', f.time),
          was: q('duration', old.time),
        }),
      )
    degrees(f.name, old.peak, f.peak, 'TRY_FILM')
    const [needed, asked] = [f.needed, old.needed]
    if (needed !== undefined && asked !== undefined && isOther(needed, asked, READ_S))
      out.push(
        HEAT.because('TRY_NEEDS', { name: f.name, needed: q('duration', needed), was: q('duration', asked) }),
      )
  })
  after.prints.forEach((p, i) => {
    const old = before.prints[i]
    if (old?.name === p.name) degrees(p.name, old.film, p.film, 'TRY_NEXT')
  })
  degrees('', before.board, after.board, 'TRY_BOARDS')
  return out.length > 0 ? out : [HEAT.because('TRY_SAME')]
}
