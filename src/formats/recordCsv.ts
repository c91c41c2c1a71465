import type { Account } from '@/core/plan'
import { keysOf } from '@/core/quantity'
import { PAUSED_BY, SPOILED_BY } from '@/core/record'
import { writeCsv } from './csv'

const MINUTE = 60
const HOUR = 3600
const minutes = (seconds: number | undefined) =>
  seconds === undefined ? '' : Math.round((10 * seconds) / MINUTE) / 10
const hourly = (rate: number | undefined) => (rate === undefined ? '' : Math.round(10 * rate * HOUR) / 10)
const causes = keysOf(SPOILED_BY)
const pauses = keysOf(PAUSED_BY)

/** What came of runs as CSV: one record a run; minutes, pieces, pieces an hour. */
export const recordCsv = (accounts: readonly Account[]): string =>
  writeCsv(
    [
      ...['day', 'run', 'order', 'job', 'revision', 'press', 'people', 'ended'],
      ...['ordered', 'good', 'spoiled'],
      ...['setup_minutes', 'setup_planned', 'printing_minutes', 'printing_planned'],
      ...['pieces_per_hour', 'pieces_per_hour_planned', 'stood_minutes'],
      ...causes.map((c) => `spoiled_${c}`),
      ...pauses.map((c) => `stood_${c}`),
    ],
    accounts.map((a) => [
      ...[a.on, a.runId, a.orderId, a.words, a.revision, a.press, a.people.join(' '), a.ended ? 'yes' : 'no'],
      ...[a.ordered, a.good, a.spoiled],
      ...[minutes(a.setup?.was), minutes(a.setup?.planned)],
      ...[minutes(a.printing?.was), minutes(a.printing?.planned)],
      ...[hourly(a.pace?.was), hourly(a.pace?.planned), minutes(a.paused)],
      ...causes.map((c) => a.causes[c] ?? 0),
      ...pauses.map((c) => minutes(a.pauses[c] ?? 0)),
    ]),
  )
