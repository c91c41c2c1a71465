import { asItIs, type LaneRun } from '@/core/days'
import { isoOf } from '@/core/schedule'
import type { CalendarEntry, CsvDayRun } from '@/formats'
import type { Database } from '@/store/database'
import { lanesOf } from '../planning'
import { daysAhead } from './ahead'
import { clockWords, lateWords } from './said'

/** The days as they stand, worked out beside the server, with the names of the presses. */
export async function lanesAhead(db: Database, at: Date) {
  const { asked, kept, needs, planning, later } = await daysAhead(db, at)
  const lanes = await lanesOf(asked, kept)
  const nameOf = (id: string) => asked.shop.presses.find((p) => p.id === id)?.name ?? id
  const people = asItIs(asked).shop.people ?? []
  const whoOf = (id: string) => people.find((p) => p.id === id)?.name ?? id
  return { lanes, nameOf, whoOf, presses: asked.shop.presses, people, asked, needs, planning, later }
}

/** A run as a calendar holds it: from its set-up to its last piece. */
export const entryOf = (
  { facts, pressId, setUp, end, late, crew }: LaneRun,
  nameOf: (id: string) => string,
  whoOf: (id: string) => string = (id) => id,
): CalendarEntry => ({
  id: facts.runId,
  ...{ from: isoOf(setUp), to: isoOf(end) },
  title: `${facts.words}, ${facts.pieces}`,
  words: `${facts.orderId}, due ${facts.due}${late > 0 ? `, ${lateWords(late)}` : ''}. Printed by ${clockWords(end, setUp)}.${crew.length > 0 ? ` ${crew.map(whoOf).join(' with ')}.` : ''}`,
  place: nameOf(pressId),
})

export const csvOf = (
  { facts, pressId, setUp, start, end, done, late }: LaneRun,
  nameOf: (id: string) => string,
): CsvDayRun => ({
  press: nameOf(pressId),
  ...{ setUp: isoOf(setUp), start: isoOf(start), end: isoOf(end), done: isoOf(done) },
  ...{ run: facts.runId, order: facts.orderId, job: facts.words, pieces: facts.pieces, due: facts.due },
  lateMinutes: Math.round(late / 60),
})
