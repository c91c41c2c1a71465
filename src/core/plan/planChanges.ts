import { type Advice, advicesIn, CHOICES, type Input, q, type Reason, settled } from '../advice'
import { keyToday } from './oldKeys'
import { settingOf } from './rooms'
import type { Cell, RunPlan } from './runPlan'

/** One difference between two plans that a printer can read. Empty text: it was not there, or is no more. */
export interface PlanChange {
  readonly label: string
  readonly from: Input
  readonly to: Input
  /** Why it is so now; none where a fact changed. */
  readonly because: Reason | undefined
}

const shown = (a: Advice | undefined): Input => {
  if (!a) return ''
  if (a.kind !== 'choice') return q(a.kind, settled(a) as number)
  return a.choices.find((c) => c.value === settled(a))?.label ?? String(settled(a))
}

/** The reason that speaks now and did not before, or that the lead chose; else the first that speaks now. */
function newReason(now: Advice, before: Advice | undefined): Reason | undefined {
  const old = new Set(before?.reasons.map((r) => JSON.stringify(r)))
  const fresh = now.reasons.find((r) => !old.has(JSON.stringify(r)))
  if (fresh || now.chosen === undefined || now.chosen === before?.chosen) return fresh ?? now.reasons[0]
  const { chosen: _, ...advice } = now
  return CHOICES.because('OVERRIDE', { advised: shown(advice as Advice) })
}

const sameInput = (a: Input, b: Input) =>
  typeof a === 'string' || typeof b === 'string' || 'values' in a || 'values' in b
    ? a === b
    : a.kind === b.kind && Math.abs(a.value - b.value) <= 1e-9 * Math.max(1e-3, Math.abs(a.value))

/** The order of the places in words: `Base white, flash, Moon yellow`. */
function orderWords(plan: RunPlan): string {
  const words = (c: Cell): string => {
    switch (c.kind) {
      case 'print':
        return plan.hits.find((h) => h.hit.id === c.hitId)?.hit.name ?? c.hitId
      case 'flash':
        return 'flash'
      case 'cool':
      case 'down':
      case 'covered':
      case 'free':
        return ''
      default:
        return c satisfies never
    }
  }
  return plan.sequence.cells.map(words).filter(Boolean).join(', ')
}

const piecesBySize = (plan: RunPlan): ReadonlyMap<string, number> =>
  new Map(
    plan.run.lines.flatMap((l) =>
      l.sizes.map((s): [string, number] => [`${l.style}, ${l.cloth.name}, ${s.size}`, s.quantity]),
    ),
  )

/**
 * What differs between two plans of a run, in the order of the work: pieces, print order, frames, then every setting
 * with the reason it has now.
 *
 * @example flash 1: 8 s, now 6 s, because quartz gels faster
 */
export function planChanges(before: RunPlan, after: RunPlan): readonly PlanChange[] {
  const fact = (label: string, from: Input, to: Input): readonly PlanChange[] =>
    sameInput(from, to) ? [] : [{ label, from, to, because: undefined }]
  const [were, are] = [piecesBySize(before), piecesBySize(after)]
  const count = (n: number | undefined): Input => q('count', n ?? 0)
  const pieces = [...new Set([...were.keys(), ...are.keys()])].flatMap((key) =>
    fact(`Pieces, ${key}`, count(were.get(key)), count(are.get(key))),
  )
  const frameOf = (plan: RunPlan, id: string) => plan.hits.find((h) => h.hit.id === id)?.frame?.id ?? ''
  const hits = [...new Map([...before.hits, ...after.hits].map((h) => [h.hit.id, h.hit.name]))]
  const frames = hits.flatMap(([id, name]) => fact(`Frame, ${name}`, frameOf(before, id), frameOf(after, id)))
  const headOf = (plan: RunPlan, id: string): Input => {
    const head = plan.hits.find((h) => h.hit.id === id)?.head
    return head === undefined ? '' : q('count', head)
  }
  // Revisions of old do not know where their screens mountedNow.
  const mountedNow = [before, after].every((p) => p.hits.some((h) => h.head !== undefined))
  const heads = mountedNow
    ? hits.flatMap(([id, name]) => fact(`Mounted at, ${name}`, headOf(before, id), headOf(after, id)))
    : []
  const old = new Map(advicesIn(before).map((a) => [keyToday(a.key, before), a]))
  const now = new Map(advicesIn(after).map((a) => [a.key, a]))
  const settings = [...new Set([...now.keys(), ...old.keys()])]
    .filter((key) => !settingOf(key)?.setting.repeats)
    .flatMap((key): PlanChange[] => {
      const [was, is] = [old.get(key), now.get(key)]
      const [from, to] = [shown(was), shown(is)]
      if (sameInput(from, to)) return []
      return [{ label: (is ?? was)?.label ?? key, from, to, because: is && newReason(is, was) }]
    })
  return [
    ...fact('Cloth', before.cloth.name, after.cloth.name),
    ...pieces,
    ...fact('Print order', orderWords(before), orderWords(after)),
    ...frames,
    ...heads,
    ...settings,
  ]
}
