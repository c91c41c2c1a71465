import { writeCsv } from './csv'

/** A run in the days, as their CSV tells it. Times are of the clock on the wall, `2026-12-01T08:30`. */
export interface CsvDayRun {
  readonly press: string
  readonly setUp: string
  readonly start: string
  readonly end: string
  readonly done: string
  readonly run: string
  readonly order: string
  readonly job: string
  readonly pieces: number
  readonly due: string
  readonly lateMinutes: number
}

/** The days as CSV: one record a run, press by press. */
export const daysCsv = (runs: readonly CsvDayRun[]): string =>
  writeCsv(
    ['press', 'set_up', 'start', 'end', 'done', 'run', 'order', 'job', 'pieces', 'due', 'late_minutes'],
    runs.map((r) => [
      ...[r.press, r.setUp, r.start, r.end, r.done],
      ...[r.run, r.order, r.job, r.pieces, r.due, r.lateMinutes],
    ]),
  )
