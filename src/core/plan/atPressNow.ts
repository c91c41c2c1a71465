import { isPaused, type Stated, saidOf } from '../record'
import type { RunPlan } from './runPlan'
import type { AtPressNow } from './troubleFacts'

const CELSIUS = 273.15
/** Stops further back than this no longer dry a screen, s. */
const LATELY = 1800

const through = (said: readonly Stated[]): number =>
  said.reduce((sum, e) => sum + (e.kind === 'count' || e.kind === 'spoil' || e.kind === 'scrap' ? e.n : 0), 0)

/**
 * Where a run stands, out of what was said of it: pieces, adhesive and ink since, the longest stop lately, what a gun read last.
 *
 * @param now seconds since 1970
 */
export function pressNow(plan: RunPlan, said: readonly Stated[], now: number): AtPressNow {
  const pieces = through(said)
  const since = (is: (e: Stated) => boolean) => {
    const at = said.findLastIndex(is)
    return pieces - (at < 0 ? 0 : through(said.slice(0, at + 1)))
  }
  const heard = (alarm: string) => (e: Stated) => e.kind === 'heard' && e.alarm === alarm
  const boards = plan.press.kind === 'manual' ? plan.press.pallets : 1
  const reading = (what: 'film' | 'pallet' | 'belt' | 'tension') => {
    const at = said.findLastIndex((e) => e.kind === 'read' && e.what === what)
    const e = said[at]
    return e?.kind === 'read' ? { value: e.value, age: pieces - through(said.slice(0, at + 1)) } : undefined
  }
  const [film, board, belt] = [reading('film'), reading('pallet'), reading('belt')]
  const tensions = saidOf(said, 'read').flatMap((e) => (e.what === 'tension' ? [e.value] : []))
  const age = Math.min(film?.age ?? Number.POSITIVE_INFINITY, board?.age ?? Number.POSITIVE_INFINITY)
  const fresh = (r: typeof film) => (r && r.age <= age + 1 ? r.value - CELSIUS : undefined)
  const [filmC, boardC] = [fresh(film), fresh(board)]
  return {
    pieces,
    sinceTack: Math.floor(since(heard('tack')) / Math.max(1, boards)),
    sinceInk: since((e) => e.kind === 'ink' || heard('ink')(e)),
    stood: longestStop(said, now),
    ...(Number.isFinite(age) && {
      check: { age, ...(filmC !== undefined && { filmC }), ...(boardC !== undefined && { boardC }) },
    }),
    ...(belt && { belt: belt.value }),
    ...(tensions.length > 0 && { tension: Math.min(...tensions) }),
  }
}

/** Longest time without a print lately, up to now, s. */
function longestStop(said: readonly Stated[], now: number): number {
  const strokes = said
    .filter((e) => e.kind === 'count' || e.kind === 'spoil' || e.kind === 'go' || e.kind === 'start')
    .map((e) => Date.parse(e.at) / 1000)
    .filter((t) => t <= now && now - t < LATELY)
  if (strokes.length === 0) return isPaused(said) ? LATELY : 0
  return Math.max(0, ...[...strokes.slice(1), now].map((t, i) => t - (strokes[i] ?? t)))
}
