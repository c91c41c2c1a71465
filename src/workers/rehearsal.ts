import { expose, transfer } from 'comlink'
import {
  act,
  afterwards,
  begin,
  type Called,
  type Lesson,
  lessonsFor,
  lookAt,
  type Mask,
  motif,
  parOf,
  printOne,
  type Session,
  sessionFacts,
  standing,
  swatch,
  type TrialPlan,
} from '@/core/rehearsal'
import type { CauseId, QuestionId, RemedyId, RunFacts, SymptomId } from '@/core/trouble'

/** What is seen after a few more pieces. */
export interface Progress {
  readonly pieces: number
  readonly called: readonly Called[]
  /** How bad each piece looked at the press, from the first one on. */
  readonly seen: readonly number[]
  /** What can be seen now, the worst first. */
  readonly now: readonly {
    readonly symptom: SymptomId
    readonly v: number
    readonly at: number
    readonly own: boolean
  }[]
  readonly boardC: number
  readonly spoiled: number
}

let session: Session | undefined
let masks: readonly Mask[] = []

const running = (): Session => {
  if (!session) throw new Error('no rehearsal has begun')
  return session
}

/** A careful eye sees it: such a piece is spoiled. */
const SPOILED = 1

function progress(called: readonly Called[]): Progress {
  const s = running()
  return {
    pieces: s.press.pieces,
    called,
    seen: [...s.seen],
    now: standing(s).filter((x) => x.v >= 0.5),
    boardC: s.pieces.at(-1)?.boardC ?? s.press.boards[0]?.celsius ?? s.plan.air,
    spoiled: s.seen.filter((v) => v >= SPOILED).length,
  }
}

const rehearsal = {
  /** @param films masks of the films by screen; a stand-in is drawn where there are none */
  begin(
    plan: TrialPlan,
    seed: number,
    faults: readonly CauseId[],
    films: readonly Mask[] | undefined,
  ): Progress {
    session = begin(plan, seed, faults)
    masks = films ?? motif(plan)
    return progress([])
  },
  run(pieces: number): Progress {
    const called: Called[] = []
    const s = running()
    for (let i = 0; i < pieces && s.press.pieces < s.plan.pieces; i++) called.push(...printOne(s))
    if (s.press.pieces >= s.plan.pieces)
      called.push(...afterwards(s).filter((c) => !s.called.slice(0, -1).includes(c)))
    return progress(called)
  },
  look(symptom: SymptomId, ask: QuestionId, at: number): string {
    const s = running()
    return lookAt(s.press, s.pieces, symptom, ask, at)
  },
  turn(remedy: RemedyId, at: number): void {
    act(running(), remedy, at)
  },
  facts(): RunFacts {
    return sessionFacts(running(), { gun: true, loupe: true, tension: false }, undefined)
  },
  par: (plan: TrialPlan, seed: number, faults: readonly CauseId[]): number => parOf(plan, seed, faults),
  lessons: (plan: TrialPlan): readonly Lesson[] => {
    const calm = begin(plan, 1, [])
    return lessonsFor(plan, sessionFacts(calm, { gun: true, loupe: true, tension: false }, undefined))
  },
  /** The last piece, drawn. */
  draw(): { readonly side: number; readonly pixels: Uint8ClampedArray } | undefined {
    const s = running()
    const piece = s.pieces.at(-1)
    if (!piece) return undefined
    const all = standing(s)
    const how = (symptom: SymptomId) => all.find((x) => x.symptom === symptom)?.v ?? 0
    // The wash, and what peels, come when the run is done.
    const isDone = s.press.pieces >= s.plan.pieces
    const later = (symptom: SymptomId) => (isDone ? how(symptom) : 0)
    const wear = { cracks: how('cracks'), washes: later('washes'), peels: later('peels') }
    const drawn = swatch(s.press, piece, masks, how('rough'), wear)
    return transfer(drawn, [drawn.pixels.buffer])
  },
}
export type RehearsalWorker = typeof rehearsal

expose(rehearsal)
