import { describe, expect, it } from 'vitest'
import { CAUSES, type CauseId, type QuestionId, type RemedyId, type SymptomId } from '../trouble'
import { anyTrial } from './anyTrial.fixtures'
import { canPlant } from './faults'
import { lookAt } from './looks'
import { act, afterwards, begin, type Called, printOne, type Session, standing } from './session'

const RUN = 140
interface Case {
  readonly session: Session
  readonly call: Called
}

/** Runs in which the fault was called, of so many plans it can matter on. */
function called(cause: CauseId, wanted = 8, pieces = RUN): readonly Case[] {
  const found: Case[] = []
  for (let seed = 3000, tried = 0; tried < wanted && seed < 3600; seed++) {
    const plan = anyTrial(seed)
    if (!canPlant(begin(plan, seed, []).press, cause)) continue
    tried++
    const session = begin(plan, seed, [cause])
    let call: Called | undefined
    for (let i = 0; i < pieces && !call; i++) call = printOne(session).find((c) => !c.own)
    call ??= afterwards(session).find((c) => !c.own)
    if (call) found.push({ session, call })
  }
  return found
}
const answer = ({ session, call }: Case, ask: QuestionId) =>
  lookAt(session.press, session.pieces, call.symptom, ask, call.at)
const share = (cases: readonly Case[], ask: QuestionId, said: string) =>
  cases.filter((c) => answer(c, ask) === said).length / Math.max(1, cases.length)
const shows = (cases: readonly Case[]) => new Set<SymptomId>(cases.map((c) => c.call.symptom))

// What is known at presses (handbook of the trade, common practice) must come out of the physics: nothing here is put in.
describe('facts of the trade', () => {
  it('under-gelled: sticks, and is still tacky after half a minute; too little cool-down: sticks, and is dry by then', () => {
    const [under, hot] = [called('underGel'), called('hotFilm')]
    expect(shows(under)).toContain('sticks')
    expect(share(under, 'cool', 'still tacky')).toBeGreaterThan(0.7)
    expect(share(hot, 'cool', 'dry')).toBeGreaterThan(0.8)
  })

  it('boards that heat up are called late, and a gun finds them', () => {
    const boards = called('hotBoards')
    expect(Math.max(...boards.map((c) => c.call.piece))).toBeGreaterThan(20)
    expect(share(boards, 'boardTemp', 'over 55 C')).toBeGreaterThanOrEqual(0.5)
  })

  it('uneven strokes: two careful prints are better; a low board always comes round with its fault', () => {
    expect(share(called('hand'), 'even', 'better')).toBeGreaterThan(0.6)
    const low = called('lowBoard').filter((c) => c.call.piece > 12)
    for (const c of low) expect(['low', 'firm and level', 'loose']).toContain(answer(c, 'board'))
    expect(share(called('lowBoard'), 'board', 'low')).toBeGreaterThan(0.7)
  })

  it('a slack screen fits nowhere: its marks are unequal, and a finger finds it', () => {
    const slack = called('slack')
    expect([...shows(slack)].some((s) => s === 'local' || s === 'halo')).toBe(true)
    expect(share(slack, 'tension', 'slack')).toBeGreaterThan(0.7)
  })

  it('expander heated twice lies flat or dimpled and looks glossy; flakes that settled do not shimmer', () => {
    const twice = called('puffTwice')
    for (const s of shows(twice)) expect(['flat', 'dapple']).toContain(s)
    expect(share(twice, 'gloss', 'glossy or dimpled')).toBeGreaterThan(0.7)
    expect([...shows(called('notStirred'))].some((s) => s === 'noShimmer' || s === 'flat')).toBe(true)
  })

  it('what builds up comes later: tinted ink, ink that runs low', () => {
    for (const cause of ['dirtyInk', 'inkLow'] as const)
      for (const { call } of called(cause)) expect(call.piece, cause).toBeGreaterThan(8)
  })

  it('too cool a dryer is found by stretching, a base flashed shut by the tape', () => {
    for (const s of shows(called('underCure')))
      expect(['cracks', 'tackyAfter', 'washes', 'flat']).toContain(s)
    const shut = called('overFlash').filter((c) => c.call.symptom === 'peels')
    expect(share(shut, 'tape', 'lifts')).toBeGreaterThan(0.7)
  })

  it('the paper tells adhesive from a head: in register on paper, or out there too', () => {
    expect(share(called('noTack'), 'paper', 'in on paper')).toBeGreaterThan(0.6)
    expect(share(called('setUp'), 'paper', 'out on paper too')).toBeGreaterThan(0.8)
  })
})

/** What a remedy cannot undo at the press that has it. */
const NOT_BY_ITS_REMEDY: readonly CauseId[] = [
  'thickFilm',
  'firstPrints',
  'softStencil',
  'coldBoards',
  'hotBoards',
  'overFlash',
  'silicone',
]

it('the remedy that stands first for a cause takes its symptom away, in three tries at most', () => {
  const wrong: string[] = []
  for (const cause of Object.keys(CAUSES) as CauseId[]) {
    if (NOT_BY_ITS_REMEDY.includes(cause)) continue
    const [found] = called(cause, 3, 80)
    if (!found) continue
    const { session, call } = found
    const before = vOf(session, call.symptom)
    for (let tries = 0; tries < 3 && vOf(session, call.symptom) >= 1; tries++) {
      act(session, CAUSES[cause].first as RemedyId, call.at)
      for (let i = 0; i < 2 * session.plan.boards + 12; i++) printOne(session)
    }
    const after = vOf(session, call.symptom)
    if (after >= 1 && after > 0.7 * before)
      wrong.push(`${cause}: ${call.symptom} ${before.toFixed(2)} to ${after.toFixed(2)}`)
  }
  expect(wrong).toEqual([])
})

const vOf = (session: Session, symptom: SymptomId) =>
  standing(session).find((s) => s.symptom === symptom)?.v ?? 0
