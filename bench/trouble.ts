/**
 * Every cause planted on random plans of the simulated press; the ranked list asks its looks and is told what is there, a twentieth
 * of it wrong. Shares in the first place and the first three, looks asked, and what repairing costs, against the order of the
 * tables and a random order on the same calls. The press is simulated by the same hand that wrote the tables: read the gain.
 */

import {
  afterwards,
  begin,
  canPlant,
  checkAt,
  lookAt,
  printOne,
  sessionFacts,
  standing,
  streamsOf,
} from '../src/core/rehearsal'
import { anyTrial } from '../src/core/rehearsal/anyTrial.fixtures'
import {
  bookOf,
  CAUSES,
  type Call,
  type CauseId,
  callOf,
  linesOf,
  nextLook,
  QUESTIONS,
  REMEDIES,
  type RemedyId,
  ranked,
  SYMPTOMS,
  shares,
  toTry,
} from '../src/core/trouble'
import { SMALL } from './size'

const EACH = SMALL ? 1 : Number(process.env.BENCH_EACH ?? 7)
const SEED = Number(process.env.BENCH_SEED ?? 500_000)
const MOST = 140
const NEIGHBOUR = 0.08
const PIECE = 60
const GIVEN_UP = 1800

const book = bookOf()
const NOTHING = { z: {}, x: {}, flags: {}, has: {} }
const causes = Object.keys(CAUSES) as CauseId[]
const fixes = (remedy: RemedyId, cause: CauseId) =>
  (REMEDIES[remedy].fixes as Readonly<Partial<Record<CauseId, number>>>)[cause] ?? 0

interface Result {
  readonly cause: CauseId
  readonly before: readonly CauseId[]
  readonly after: readonly CauseId[]
  readonly lineAt: number
  readonly fixed: readonly CauseId[]
  readonly random: readonly CauseId[]
  readonly asked: number
  readonly askedSeconds: number
  readonly rightAt: number
  readonly repair: number
  readonly fixedRepair: number
  readonly randomRepair: number
  readonly ms: number
}

/** A plan that the fault can matter on, run until somebody calls it; nothing where nobody does. */
function call(cause: CauseId, from: number) {
  for (let seed = from; seed < from + 400; seed++) {
    const plan = anyTrial(seed)
    if (!canPlant(begin(plan, seed, []).press, cause)) continue
    const session = begin(plan, seed, [cause])
    let check: ReturnType<typeof checkAt>
    for (let i = 0; i < MOST; i++) {
      const found = printOne(session).find((c) => !c.own)
      check = checkAt(session) ?? check
      if (found) return { seed, session, found, check }
    }
    const late = afterwards(session).find((c) => !c.own)
    return late ? { seed, session, found: late, check } : 'silent'
  }
  return undefined
}

/** Seconds until the cause is cured, remedies in this order, pieces at risk at a minute each. */
function costs(order: readonly RemedyId[], cause: CauseId): number {
  let sum = 0
  for (const id of order) {
    sum += REMEDIES[id].seconds + PIECE * REMEDIES[id].spoils
    if (fixes(id, cause) >= 0.6) return sum
  }
  return sum + GIVEN_UP
}
const firstRemedies = (order: readonly CauseId[]) =>
  [...new Set(order.map((c) => CAUSES[c].first as RemedyId))].slice(0, 10)

function examine(cause: CauseId, from: number): Result | 'silent' | undefined {
  const started = call(cause, from)
  if (!started || started === 'silent') return started
  const { session, found, check, seed } = started
  const d = streamsOf(seed + 77).caller
  const others = SYMPTOMS[found.symptom].confused
  const told = d.chance(NEIGHBOUR) && others.length > 0 ? (d.one(others) ?? found.symptom) : found.symptom
  const kit = { gun: d.chance(0.7), loupe: d.chance(0.8), tension: d.chance(0.3) }
  const facts = sessionFacts(session, kit, check)
  const also = standing(session).find(
    (s) => s.symptom !== told && s.v >= 1.2 && !s.own && SYMPTOMS[s.symptom].seen === SYMPTOMS[told].seen,
  )
  let now: Call = { ...callOf(told), also: also ? [also.symptom] : [] }
  const order = (c: Call, f = facts) => ranked(book, shares(book, f, c)).map((r) => r.cause)
  const before = order(now)
  let askedSeconds = 0
  let slowest = 0
  for (;;) {
    const t = performance.now()
    const asked = nextLook(book, facts, now, shares(book, facts, now))
    slowest = Math.max(slowest, performance.now() - t)
    if (!asked) break
    askedSeconds += QUESTIONS[asked.ask].seconds + 8
    const answer = lookAt(session.press, session.pieces, told, asked.ask, found.at)
    now = { ...now, answers: [...now.answers, { ask: asked.ask, answer }] }
  }
  if (process.env.BENCH_SHOW?.split(',').includes(cause))
    console.log(
      cause,
      '|',
      found.symptom,
      told !== found.symptom ? 'as ' + told : '',
      now.also.join(),
      'piece',
      found.piece,
      '|',
      now.answers.map((a) => a.ask + '=' + a.answer).join('; '),
      '|',
      ranked(book, shares(book, facts, now))
        .slice(0, 4)
        .map((r) => r.cause + ' ' + r.share.toFixed(2))
        .join(', '),
    )
  const m = shares(book, facts, now)
  const after = ranked(book, m)
  const steps = toTry(book, m, now)
  const random = [...causes]
    .map((c) => ({ c, k: d.between(0, 1) }))
    .filter(({ c }) => seesAny(c, told))
    .sort((a, b) => a.k - b.k)
    .map(({ c }) => c)
  const fixed = order(callOf(told), NOTHING)
  return {
    ...{ cause, before, fixed, random, askedSeconds },
    after: after.map((r) => r.cause),
    lineAt: linesOf(after).findIndex((l) => CAUSES[cause].first === l.remedy),
    asked: now.answers.length,
    rightAt: steps.findIndex((r) => fixes(r, cause) >= 0.6),
    repair: askedSeconds + costs(steps, cause),
    fixedRepair: costs(firstRemedies(fixed), cause),
    randomRepair: costs(firstRemedies(random), cause),
    ms: slowest,
  }
}
const seesAny = (c: CauseId, s: string) => Object.hasOwn(CAUSES[c].sees, s)

const results: Result[] = []
let silent = 0
const silentBy = new Map<CauseId, number>()
for (const [i, cause] of causes.entries())
  for (let k = 0; k < EACH; k++) {
    const r = examine(cause, SEED + (i * 1000 + k) * 401)
    if (r === 'silent') {
      silent++
      silentBy.set(cause, (silentBy.get(cause) ?? 0) + 1)
    } else if (r) results.push(r)
  }

const share = (of: (r: Result) => boolean) => results.filter(of).length / results.length
const median = (xs: readonly number[]) =>
  [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? Number.NaN
const mean = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0) / xs.length
const top = (order: readonly CauseId[], n: number, cause: CauseId) => order.slice(0, n).includes(cause)
const per = (x: number) => `${Math.round(100 * x)} %`
const line = (name: string, of: (r: Result) => readonly CauseId[]) =>
  `${name}: first ${per(share((r) => top(of(r), 1, r.cause)))}, in three ${per(share((r) => top(of(r), 3, r.cause)))}`
console.log(`${results.length} calls, ${silent} plants never showed`)
console.log(line('before looks', (r) => r.before))
console.log(line('after looks', (r) => r.after))
console.log(`on three shown lines ${per(share((r) => r.lineAt >= 0 && r.lineAt < 3))}`)
console.log(line('order of the tables', (r) => r.fixed))
console.log(line('random order', (r) => r.random))
console.log(
  `right remedy first ${per(share((r) => r.rightAt === 0))}, in two ${per(share((r) => r.rightAt >= 0 && r.rightAt < 2))}, in three ${per(share((r) => r.rightAt >= 0 && r.rightAt < 3))}`,
)
console.log(
  `looks median ${median(results.map((r) => r.asked))}, mean ${mean(results.map((r) => r.asked)).toFixed(1)}, ${mean(results.map((r) => r.askedSeconds)).toFixed(0)} s; slowest next look ${Math.max(...results.map((r) => r.ms)).toFixed(1)} ms`,
)
const hard = causes
  .map((cause) => ({ cause, of: results.filter((r) => r.cause === cause) }))
  .filter(({ of }) => of.length >= 2)
  .map(({ cause, of }) => ({
    cause,
    hit: of.filter((r) => top(r.after, 3, cause)).length / of.length,
    n: of.length,
  }))
  .filter(({ hit }) => hit < 0.67)
  .sort((a, b) => a.hit - b.hit)
console.log(`hard: ${hard.map((h) => `${h.cause} ${per(h.hit)} of ${h.n}`).join(', ') || 'none'}`)
console.log(`never shown: ${[...silentBy].map(([c, n]) => `${c} ${n}`).join(', ') || 'none'}`)
const begun = performance.now()
const long = begin(anyTrial(9), 9, ['underGel'])
for (let i = 0; i < (SMALL ? 100 : 1000); i++) printOne(long)
console.log(`${SMALL ? 100 : 1000} pieces with their twin: ${(performance.now() - begun).toFixed(0)} ms`)
const med = (of: (r: Result) => number) => median(results.map(of))
console.log(
  `trouble: ${(med((r) => r.repair) / med((r) => r.fixedRepair)).toFixed(2)} of the time of the tables' order, ${(med((r) => r.repair) / med((r) => r.randomRepair)).toFixed(2)} of a random one (median ${med((r) => r.repair).toFixed(0)} s); in three ${share((r) => top(r.after, 3, r.cause)).toFixed(2)}, looks ${med((r) => r.asked)}`,
)
