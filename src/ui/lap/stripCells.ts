import { cellTime, lapStripShape, type RunPlan, type StripCell } from '@/core/plan'

/** Cells as wide as their places, or as long as they take. */
export type StripScale = 'places' | 'time'

/** A strip of one or two screens is no wider than it needs to be, rem a cell. */
export const WIDEST = 15

/** A cell as the strip shows it. */
export interface ShownCell extends StripCell {
  /** The places of the press that it stands for, counted from 0: free stations one after the other are one. */
  readonly first: number
  readonly last: number
  /** Its number, or numbers. */
  readonly place: string
  /** The lap that begins with it, where a garment goes round twice. */
  readonly begins: 1 | 2 | undefined
}

/** The cells of a strip with their numbers; three or more free stations in a row are one cell. */
export function stripCells(plan: RunPlan): {
  readonly cells: readonly ShownCell[]
  readonly tallest: number
} {
  const { cells, tallest } = lapStripShape(plan)
  const numberOf = (i: number) => {
    const cell = cells[i]?.cell
    return plan.press.kind === 'automatic' && cell && 'station' in cell ? cell.station : i + 1
  }
  const out: ShownCell[] = []
  for (let i = 0; i < cells.length; i++) {
    const one = cells[i]
    if (!one) continue
    let last = i
    while (one.cell.kind === 'free' && cells[last + 1]?.cell.kind === 'free') last++
    if (last - i < 2) last = i
    const { lap } = one.cell
    const begins = lap !== cells[i - 1]?.cell.lap ? lap : undefined
    const place = last > i ? `${numberOf(i)}–${numberOf(last)}` : String(numberOf(i))
    out.push({ ...one, first: i, last, place, begins })
    i = last
  }
  return { cells: out, tallest }
}

/** How much of a strip's width each cell takes; together 1. */
export function cellShares(plan: RunPlan, cells: readonly ShownCell[], scale: StripScale): readonly number[] {
  const whole = cells.reduce((sum, c) => sum + cellTime(plan, c.cell), 0)
  const widths = cells.map(({ cell, first, last }) => {
    if (last > first) return 1.1
    if (scale === 'time') return Math.max(0.45, (cells.length * cellTime(plan, cell)) / whole)
    return cell.kind === 'print' || cell.kind === 'flash' ? 1.35 : 0.55
  })
  const all = widths.reduce((a, b) => a + b, 0)
  return widths.map((w) => w / all)
}
