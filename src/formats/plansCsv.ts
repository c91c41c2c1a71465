import { choiceOf, numberOf, settled } from '@/core/advice'
import type { RunPlan } from '@/core/plan'
import { tidy, writeCsv } from './csv'

/** A run as its CSV tells it. */
export interface CsvRun {
  readonly run: string
  readonly order: string
  readonly customer: string
  readonly due: string
  readonly print: string
  readonly pieces: number
  readonly press: string
  readonly screens: number
  /** Seconds, lowest and highest. */
  readonly time: readonly [number, number] | undefined
  readonly revision: number
  readonly open: number
}

/** Runs as CSV: one record a run; minutes as a range. */
export const runsCsv = (runs: readonly CsvRun[]): string =>
  writeCsv(
    [
      'run',
      'order',
      'customer',
      'due',
      'print',
      'pieces',
      'press',
      'screens',
      'minutes_from',
      'minutes_to',
      'revision',
      'open',
    ],
    runs.map((r) => [
      r.run,
      r.order,
      r.customer,
      r.due,
      r.print,
      r.pieces,
      r.press,
      r.screens,
      r.time ? Math.round(r.time[0] / 60) : '',
      r.time ? Math.round(r.time[1] / 60) : '',
      r.revision || '',
      r.open,
    ]),
  )

/** Plans as CSV: one record a screen. Units stand in the head. */
export const plansCsv = (plans: readonly RunPlan[]): string =>
  writeCsv(
    [
      'run',
      'press',
      'step',
      'screen',
      'frame',
      'mesh_per_cm',
      'strokes',
      'squeegee',
      'angle_deg',
      'pressure',
      'stroke_s',
      'flood',
      'ink_g',
    ],
    plans.flatMap((p) =>
      p.hits.map((h, i) => [
        p.run.id,
        p.press.name,
        i + 1,
        h.hit.name,
        h.sameScreenAs ? 'same' : (h.frame?.id ?? ''),
        tidy(numberOf(h.mesh) / 100),
        settled(h.stroke.strokes),
        choiceOf(h.stroke.squeegee),
        Math.round((numberOf(h.stroke.angle) * 180) / Math.PI),
        choiceOf(h.stroke.pressure),
        tidy(numberOf(h.stroke.time)),
        choiceOf(h.stroke.flood),
        h.ink ? Math.round(numberOf(h.ink) * 1000) : '',
      ]),
    ),
  )
