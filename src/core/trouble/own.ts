import { keysOf } from '../quantity'
import { type Numbers, STARTING } from './book'
import { CAUSES } from './tables/causes'
import { QUESTIONS } from './tables/questions'
import { REMEDIES } from './tables/remedies'
import { SYMPTOMS } from './tables/symptoms'

/** Numbers of the tables that the shop has set itself, by row. */
export type OwnNumbers = Readonly<Record<string, number>>

/** What a row of the tables is called. */
export const rowKey = {
  base: (cause: string) => `base ${cause}`,
  sees: (cause: string, symptom: string) => `sees ${cause} ${symptom}`,
  says: (cause: string, ask: string, answer: string) => `says ${cause} ${ask} ${answer}`,
  fixes: (remedy: string, cause: string) => `fixes ${remedy} ${cause}`,
  seconds: (remedy: string) => `seconds ${remedy}`,
  spoils: (remedy: string) => `spoils ${remedy}`,
} as const
export type RowKind = keyof typeof rowKey

/** Between what each kind of number may lie: rates against each other, shares, seconds, pieces. */
export const ROW_WITHIN = {
  base: [0, 1000],
  sees: [0, 0.98],
  says: [0, 1],
  fixes: [0, 0.99],
  seconds: [1, 86_400],
  spoils: [0, 100],
} as const satisfies Readonly<Record<RowKind, readonly [number, number]>>

/** The numbers with the shop's own in their place; what no row is called does nothing. */
export function withOwn(own: OwnNumbers, from: Numbers): Numbers {
  const within = (kind: RowKind, key: string, start: number): number => {
    const value = Object.hasOwn(own, key) ? own[key] : undefined
    if (value === undefined || !Number.isFinite(value)) return start
    const [least, most] = ROW_WITHIN[kind]
    return Math.min(most, Math.max(least, value))
  }
  return {
    base: (c) => within('base', rowKey.base(c), from.base(c)),
    sees: (c, s) => within('sees', rowKey.sees(c, s), from.sees(c, s)),
    says: (c, ask, answer) => {
      const start = from.says(c, ask, answer)
      return start === undefined ? undefined : within('says', rowKey.says(c, ask, answer), start)
    },
    fixes: (r, c) => within('fixes', rowKey.fixes(r, c), from.fixes(r, c)),
    seconds: (r) => within('seconds', rowKey.seconds(r), from.seconds(r)),
    spoils: (r) => within('spoils', rowKey.spoils(r), from.spoils(r)),
  }
}

/** Rows in which numbers are other than as the tables start. */
export function differences(numbers: Numbers, from: Numbers = STARTING): OwnNumbers {
  const rows: Record<string, number> = {}
  const note = (key: string, value: number | undefined, start: number | undefined) => {
    if (value !== undefined && start !== undefined && Math.abs(value - start) > 1e-6)
      rows[key] = Number(value.toPrecision(5))
  }
  for (const c of keysOf(CAUSES)) {
    note(rowKey.base(c), numbers.base(c), from.base(c))
    for (const s of keysOf(SYMPTOMS)) note(rowKey.sees(c, s), numbers.sees(c, s), from.sees(c, s))
    for (const ask of keysOf(QUESTIONS))
      for (const answer of Object.keys(QUESTIONS[ask].usual))
        note(rowKey.says(c, ask, answer), numbers.says(c, ask, answer), from.says(c, ask, answer))
    for (const r of keysOf(REMEDIES)) note(rowKey.fixes(r, c), numbers.fixes(r, c), from.fixes(r, c))
  }
  for (const r of keysOf(REMEDIES)) {
    note(rowKey.seconds(r), numbers.seconds(r), from.seconds(r))
    note(rowKey.spoils(r), numbers.spoils(r), from.spoils(r))
  }
  return rows
}
