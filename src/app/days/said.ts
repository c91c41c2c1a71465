import { format } from 'date-fns'
import type { Difference, LaneRun, Lanes, Shift } from '@/core/days'
import { type Moment, momentOf } from '@/core/schedule'

const DAY = 86_400

/** A moment in the few words of a shop: `10:40` today, `Thu 10:40` within the week, else with its date. */
export function clockWords(moment: Moment, now: Moment): string {
  const days = Math.floor(moment / DAY) - Math.floor(now / DAY)
  const at = new Date(moment * 1000)
  const local = new Date(
    at.getUTCFullYear(),
    at.getUTCMonth(),
    at.getUTCDate(),
    at.getUTCHours(),
    at.getUTCMinutes(),
  )
  if (days === 0) return format(local, 'HH:mm')
  return format(local, days > 0 && days < 7 ? 'EEE HH:mm' : 'EEE d MMM HH:mm')
}

/** How much too late, in hours or days. */
export function lateWords(seconds: number): string {
  const hours = seconds / 3600
  if (hours >= 24) return `${Math.round(hours / 24)} ${Math.round(hours / 24) === 1 ? 'day' : 'days'} late`
  return hours >= 1 ? `${Math.round(hours)} h late` : `${Math.max(1, Math.round(seconds / 60))} min late`
}

const some = (list: readonly Shift[], say: (s: Shift) => string) => {
  // Two prints of a job are one to whoever is told: the worse one, which comes first.
  const all = [...new Map(list.map((s) => [s.facts.words, s] as const).reverse()).values()].reverse().map(say)
  const told = all.slice(0, 3).join('; ')
  return all.length > 3 ? `${told}; and ${all.length - 3} more` : told
}

/** A day: `today`, `tomorrow`, `Thu 3 Dec`. */
export function dayWords(iso: string, now: Moment): string {
  const days = momentOf(iso) / DAY - Math.floor(now / DAY)
  if (days === 0 || days === 1) return days === 0 ? 'today' : 'tomorrow'
  const [year = 0, month = 1, day = 1] = iso.split('-').map(Number)
  return format(new Date(year, month - 1, day), 'EEE d MMM')
}

/** Names of presses and people by their ids. */
export interface Names {
  readonly press: (id: string) => string
  readonly who: (id: string) => string
}

/** Who has to be told that runs change their press or their turn: where, and by name as far as people are named. */
function tellWords(moved: readonly Shift[], names: Names): string {
  const of = (pick: (s: NonNullable<Shift['from']>) => readonly string[]) => [
    ...new Set(moved.flatMap(({ from, to }) => [...(from ? pick(from) : []), ...(to ? pick(to) : [])])),
  ]
  const presses = of((p) => [p.pressId]).map(names.press)
  const people = of((p) => p.crew).map(names.who)
  return `To be told: ${presses.join(', ')}${people.length > 0 ? ` (${people.join(', ')})` : ''}`
}

/** Whose sheets are planned anew for another press. */
export const sheetWords = (sheets: readonly LaneRun[], names: Names): string => {
  const all = [...new Set(sheets.map((r) => `${r.facts.words} for ${names.press(r.pressId)}`))]
  const told = all.slice(0, 3).join('; ')
  return `Sheets planned anew: ${told}${all.length > 3 ? `; and ${all.length - 3} more` : ''}`
}

/** What a proposal changes, in sentences: how many are late, then whatever is worse, better, moved. */
export function differenceWords(
  { later, sooner, moved, sheets, overtime, lateBefore, lateAfter }: Difference,
  now: Moment,
  names?: Names,
): readonly string[] {
  const said = [
    later.length > 0 &&
      `Later than it must be: ${some(later, (s) => `${s.facts.words}, ${s.to ? lateWords(s.to.late) : 'without a place'}`)}.`,
    sooner.length > 0 &&
      `Better: ${some(sooner, (s) => `${s.facts.words}, ${s.to && s.to.late > 0 ? `${lateWords(s.to.late)}, done ${clockWords(s.to.done, now)}` : `in time, ${s.to ? clockWords(s.to.done, now) : ''}`}`)}.`,
    names !== undefined &&
      overtime.length > 0 &&
      `Overtime: ${overtime.map((o) => `${names.press(o.pressId)} ${dayWords(o.day, now)}`).join(', ')}.`,
    names !== undefined && sheets.length > 0 && `${sheetWords(sheets, names)}.`,
    moved.length > 0 && `Changes its press or its turn: ${some(moved, (s) => s.facts.words)}.`,
    names !== undefined && moved.length > 0 && `${tellWords(moved, names)}.`,
  ].filter((x) => x !== false)
  const late =
    lateAfter === lateBefore ? `${lateAfter} late, as now` : `${lateAfter} late instead of ${lateBefore}`
  return said.length > 0 ? [`${late}.`, ...said] : ['Nothing becomes late by it, nothing else moves.']
}

/** What the days come to, for the head of the board. */
export const lanesWords = ({ runs, lateRuns, out }: Lanes): string => {
  const late = lateRuns === 0 ? 'all in time' : `${lateRuns} late`
  return `${runs.length} ${runs.length === 1 ? 'run' : 'runs'} placed, ${late}${out.length > 0 ? `, ${out.length} without a place` : ''}`
}
