import { type CauseId, type RemedyId, SYMPTOMS, type SymptomId } from '../trouble'
import { streamsOf } from './draw'
import { plant } from './faults'
import { type Piece, printPiece } from './piece'
import { type Severities, severities } from './severity'
import type { TrialPlan } from './trialPlan'
import { type TruePress, truePress } from './truePress'
import { turn } from './turns'

/** What is seen is called with this chance at every second piece; behind the dryer at every tenth. */
const CALLED = 0.55
const EVERY = { press: 2, dryer: 10, later: Number.POSITIVE_INFINITY } as const
/** What the same press shows without the fault is the plan's own; nor does a fault count that hardly raises it. */
const OWN = 0.8
const RAISED = 0.15
/** Under this nobody sees anything. */
const BARELY = 0.6
/** Nobody calls on less than a few prints. */
const FIRST_CALL = 4
/** Pieces that looks go back to. */
const KEPT = 64
/** How differently people look. */
const EYE = 0.12

/** A symptom that somebody called. */
export interface Called {
  readonly piece: number
  readonly symptom: SymptomId
  /** The screen it shows at, by its place. */
  readonly at: number
  /** What the plan shows without any fault. */
  readonly own: boolean
}

/** A rehearsal under way. Everything in it follows from plan, seed, faults and turns. */
export interface Session {
  readonly plan: TrialPlan
  readonly press: TruePress
  /** The same seed without the fault; none where nothing is planted: what is seen is all the plan's own. */
  readonly twin: TruePress | undefined
  readonly planted: readonly CauseId[]
  /** The screens the faults sit at. */
  readonly at: readonly number[]
  /** The last of each; the first eight are kept for looking back. */
  readonly pieces: Piece[]
  readonly twins: Piece[]
  readonly called: Called[]
  /** What was seen on each piece: 0 nothing, else how bad. */
  readonly seen: number[]
}

/**
 * Begins a rehearsal of a plan with faults planted in it.
 *
 * @param spread how far a true press is from its plan: 1 as presses are, 0 not at all
 */
export function begin(plan: TrialPlan, seed: number, faults: readonly CauseId[], spread = 1): Session {
  const press = truePress(plan, streamsOf(seed), spread)
  const at = faults.map((cause) => plant(press, cause))
  return {
    ...{ plan, press, at, planted: faults },
    twin: faults.length > 0 ? truePress(plan, streamsOf(seed), spread) : undefined,
    ...{ pieces: [], twins: [], called: [], seen: [] },
  }
}

/** What counts at the press of what is seen there; what its twin shows too is the plan's own. */
export function standing(session: Session): readonly {
  readonly symptom: SymptomId
  readonly v: number
  readonly at: number
  readonly own: boolean
}[] {
  const now = [...severities(session.press, session.pieces)].sort((a, b) => b[1].v - a[1].v)
  // The twin is asked only where something is seen.
  const isSeen = (now[0]?.[1].v ?? 0) >= BARELY
  const twin: Severities = isSeen && session.twin ? severities(session.twin, session.twins) : new Map()
  return now.map(([symptom, { v, at }]) => ({
    symptom,
    v,
    at,
    own: !session.twin || isOwn(symptom, v, twin),
  }))
}

const isOwn = (symptom: SymptomId, v: number, twin: Severities): boolean => {
  const without = twin.get(symptom)?.v ?? 0
  return without >= OWN || v - without < RAISED
}

/** Prints one more piece, and calls what is seen. @returns what was called on it */
export function printOne(session: Session): readonly Called[] {
  const { press, pieces, twins, called, seen } = session
  keep(pieces, printPiece(press))
  if (session.twin) keep(twins, printPiece(session.twin))
  const n = press.pieces
  const caller = press.streams.caller
  const found: Called[] = []
  let worst = 0
  const isLook = n >= FIRST_CALL && n % EVERY.press === 0
  for (const { symptom, v, at, own } of isLook ? standing(session) : []) {
    const when = SYMPTOMS[symptom].seen
    if (when !== 'later' && v > worst) worst = v
    if (n % EVERY[when] !== 0 || v * Math.exp(caller.normal(EYE)) < 1) continue
    if (called.some((c) => c.symptom === symptom) || (session.twin && !caller.chance(CALLED))) continue
    found.push({ piece: n, symptom, at, own })
  }
  seen.push(isLook ? worst : (seen.at(-1) ?? 0))
  called.push(...found)
  return found
}

function keep(pieces: Piece[], piece: Piece): void {
  pieces.push(piece)
  // The first ones stay: looks go back to them.
  if (pieces.length > KEPT + 8) pieces.splice(8, 1)
}

/** What shows only when the run is done: in the wash, hours later. */
export function afterwards(session: Session): readonly Called[] {
  const found = standing(session).filter(({ symptom, v }) => SYMPTOMS[symptom].seen === 'later' && v >= 1)
  const called = found.map(({ symptom, at, own }) => ({ piece: session.press.pieces, symptom, at, own }))
  session.called.push(...called)
  return called
}

/** Does a remedy; what was called before may be called again if it is still there. */
export function act(session: Session, remedy: RemedyId, at: number): void {
  turn(session.press, remedy, at)
  session.called.length = 0
}
