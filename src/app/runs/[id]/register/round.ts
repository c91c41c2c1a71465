import { useState } from 'react'
import type { KnobTurns, Pose } from '@/core/registration'
import { type SimulatedHead, someHead } from '@/devices/simulatedHead'
import type { MarkName, Typed } from './marks'

/** Who reads the marks. */
export const READERS = {
  person: 'you, at the press',
  usual: 'a simulated head',
  slack: 'a simulated head, slack screen',
} as const
export type Reader = keyof typeof READERS

/** Where a screen is on its way to be registered. */
export interface Round {
  readonly typed: Typed
  readonly number: number
  /** It was locked: how it lay before, where that was read. */
  readonly locked?: { readonly before: Pose | undefined }
  /** It was turned since it was read: how it lay before, and by how much each knob was turned. */
  readonly turned?: { readonly before: Pose; readonly turns: KnobTurns }
  /** What was read now is noted. */
  readonly noted?: boolean
  readonly reader: Reader
}

const FIRST: Round = { typed: {}, number: 1, reader: 'person' }

/** What was typed for a screen stays for as long as the tab lives: the press is walked round. */
const kept = new Map<string, Round>()
const heads = new Map<string, SimulatedHead>()

/** A slack screen bows so far, metres. */
const BOW = 0.6e-3

/** Of each screen another one, the same every time. */
const seedOf = (id: string) => [...id].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 1_000_003, 7)

/** The head a screen simulates, as long as one does. */
export function headOf(id: string, reader: Reader): SimulatedHead | undefined {
  if (reader === 'person') return undefined
  const key = `${id} ${reader}`
  const known = heads.get(key)
  if (known) return known
  const made = someHead(seedOf(id), reader === 'slack' ? BOW : 0)
  heads.set(key, made)
  return made
}

/** The play of each knob is taken up, as a person is told to. */
export function takeUp(head: SimulatedHead): void {
  for (const knob of [0, 1, 2]) for (const turns of [-1 / 4, 1 / 4]) head.turn(knob, turns)
}

/** The round that a screen is in; it outlives the page. */
export function useRound(id: string) {
  const [round, setRound] = useState(() => kept.get(id) ?? FIRST)
  const keep = (next: Round) => {
    kept.set(id, next)
    setRound(next)
  }
  return {
    round,
    keep,
    type: (mark: MarkName, axis: 'dx' | 'dy', value: number | undefined) =>
      keep({ ...round, typed: { ...round.typed, [mark]: { ...round.typed[mark], [axis]: value } } }),
    agree: (mark: MarkName) => keep({ ...round, typed: { ...round.typed, [mark]: { dx: 0, dy: 0 } } }),
  }
}
