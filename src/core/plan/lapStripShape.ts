import { numberOf } from '../advice'
import type { Hex } from '../color'
import type { Cell, HitPlan, RunPlan } from './runPlan'

/** One film in the cross-section: a span of the art (0..1) and a height above the cloth in metres. */
export interface Layer {
  readonly hitId: string
  readonly hex: Hex
  readonly from: number
  readonly to: number
  readonly bottom: number
  readonly top: number
  /** Laid at this very place. */
  readonly fresh: boolean
  /** Not flashed yet. */
  readonly wet: boolean
}

/** A cell of the strip with all the ink that is on the cloth when the garment leaves it. */
export interface StripCell {
  readonly cell: Cell
  readonly layers: readonly Layer[]
}

export interface LapStripShape {
  readonly cells: readonly StripCell[]
  /** Height of the tallest stack at the end, metres. */
  readonly tallest: number
}

interface Span {
  readonly from: number
  readonly to: number
}

/** Even a one per cent line is drawn wide enough to see. */
const LEAST_SHARE = 0.05

/** Lays the colours of the art side by side, those on base first, each as wide as its share of the coverage. */
function spansOf(plan: RunPlan): ReadonlyMap<string, Span> {
  const based = new Set(
    plan.colours.filter((c) => (c.base.chosen ?? c.base.advised) === 'base').map((c) => c.inkId),
  )
  const inks = [...plan.run.placement.inks].sort((a, b) => Number(based.has(b.id)) - Number(based.has(a.id)))
  const shares = inks.map((i) => Math.max(i.coverage, LEAST_SHARE))
  const whole = shares.reduce((a, b) => a + b, 0)
  const spans = new Map<string, Span>()
  let at = 0
  inks.forEach((ink, i) => {
    const width = (shares[i] ?? 0) / whole
    spans.set(ink.id, { from: at, to: at + width })
    at += width
  })
  const onBase = inks.filter((i) => based.has(i.id)).map((i) => spans.get(i.id) as Span)
  const base = { from: 0, to: Math.max(0, ...onBase.map((s) => s.to)) }
  for (const id of ['base', 'base2']) spans.set(id, base)
  return spans
}

/**
 * The press unrolled: one cell per place in the order a garment meets it, with the films on the cloth there. Pure
 * geometry; thicknesses to scale.
 */
export function lapStripShape(plan: RunPlan): LapStripShape {
  const spans = spansOf(plan)
  const hits = new Map(plan.hits.map((h) => [h.hit.id, h]))
  let films: readonly Layer[] = []
  const heightAt = (s: Span) =>
    Math.max(0, ...films.filter((l) => l.from < s.to - 1e-9 && l.to > s.from + 1e-9).map((l) => l.top))
  const lay = (h: HitPlan): Layer | undefined => {
    const span = spans.get(h.hit.id)
    if (!span || !h.deposit) return undefined
    const bottom = heightAt(span)
    return {
      hitId: h.hit.id,
      hex: h.hex,
      ...span,
      bottom,
      top: bottom + numberOf(h.deposit),
      fresh: true,
      wet: true,
    }
  }
  const cells = plan.sequence.cells.map((cell): StripCell => {
    films = films.map((l) => ({ ...l, fresh: false, wet: l.wet && cell.kind !== 'flash' }))
    const hit = cell.kind === 'print' ? hits.get(cell.hitId) : undefined
    const layer = hit && lay(hit)
    if (layer) films = [...films, layer]
    return { cell, layers: films }
  })
  return { cells, tallest: Math.max(1e-6, ...films.map((l) => l.top)) }
}

/** An empty station takes an index, about this long, seconds. */
const PASSED = 3

/** Seconds that a garment spends at a place; where it waits to cool by hand, that counts to its flash. */
export function cellTime(plan: RunPlan, cell: Cell): number {
  if (cell.kind === 'print') {
    const stroke = plan.hits.find((h) => h.hit.id === cell.hitId)?.stroke
    return stroke ? PASSED + numberOf(stroke.strokes) * numberOf(stroke.time) : PASSED
  }
  if (cell.kind !== 'flash') return PASSED
  const flash = plan.flashes[cell.flash]
  const waits = plan.coolDown?.kind === 'duration' ? numberOf(plan.coolDown) : 0
  return (flash ? numberOf(flash.dwell) : PASSED) + waits
}
