import { randomLcg, randomNormal } from 'd3-random'
import { numberOf } from '@/core/advice'
import { printedSizes } from '@/core/order'
import { craftListsOf, type RunPlan } from '@/core/plan'
import type { PressEvent, Said, SpoiledBy } from '@/core/record'

/**
 * Past days of the demo shop, simulated. It has values of its own that no plan knows: so that what is learnt from the record has
 * something to find. Seeded: the same every time.
 */
const HIDDEN = {
  /** Times of common practice that this shop takes: by press, by who prints. */
  press: { four: 1.08, six: 0.96, twelve: 1.15, bench: 1 } as Readonly<Record<string, number>>,
  people: { Mara: 0.95, Joss: 1.12, Ines: 1 } as Readonly<Record<string, number>>,
  setup: 1.22,
  /** Spread of a day, share. */
  day: 0.09,
  /** Of the first twelve and of later ones. */
  spoils: { first: 0.12, later: 0.017 },
}
const PEOPLE = Object.keys(HIDDEN.people)
const CAUSES: readonly SpoiledBy[] = [
  'lint',
  'register',
  'lint',
  'pinhole',
  'smear',
  'crooked',
  'cover',
  'flaw',
  'stuck',
]
const PAUSES = ['garments', 'screen', 'ink', 'register', 'heat'] as const
const BATCH = 10
const FIRST = 12

/** What was said while a plan was printed, from a moment on. @param begins ms since 1970 */
export function pastEvents(plan: RunPlan, begins: number, seed: number): readonly PressEvent[] {
  const random = randomLcg(seed)
  const normal = randomNormal.source(random)(0, 1)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T
  const events: PressEvent[] = []
  const by = pick(PEOPLE)
  let at = begins
  const say = (said: Said, after = 0) => {
    at += Math.round(Math.max(1, after * 1000))
    const seq = events.length
    events.push({
      ...{ id: `past-${seed}-${`${seq}`.padStart(6, '0')}`, pad: `press ${plan.press.id}`, seq },
      ...{ at: new Date(at).toISOString(), by },
      ...said,
    })
  }
  const { time, run } = plan
  const setup = (time ? numberOf(time.setup) : 1800) * HIDDEN.setup * Math.exp(0.15 * normal())
  const slow = (HIDDEN.press[plan.press.id] ?? 1) * (HIDDEN.people[by] ?? 1) * Math.exp(HIDDEN.day * normal())
  const cycle = slow / (time ? numberOf(time.rate) : 0.02)
  say({ kind: 'start' })
  const steps = craftListsOf(plan)
    .filter((l) => l.id === 'head')
    .flatMap((l) => l.steps.map((s) => ({ step: s.key, hit: l.subject.hit })))
  for (const step of steps) say({ kind: 'tick', ...step }, (0.85 * setup) / steps.length)
  for (const of of ['square', 'scrap', 'garment'] as const)
    say({ kind: 'sample', of, verdict: 'approved', judge: 'lead', photos: [] }, (0.05 * setup) / 3)
  let through = 0
  let sinceCheck = 0
  const film = plan.flashes.find((f) => f.unit)?.dwell.key.replace(/^\w+\./, '')
  for (const line of run.lines)
    for (const { size, quantity } of printedSizes(line, run.placement)) {
      for (let left = quantity; left > 0; ) {
        const n = Math.min(BATCH, left)
        const chance = through < FIRST ? HIDDEN.spoils.first : HIDDEN.spoils.later
        for (let i = 0; i < n; i++)
          if (random() < chance) {
            const cause = through < FIRST && random() < 0.6 ? 'first' : pick(CAUSES)
            say({ kind: 'spare', line: line.id, size, n: 1 })
            say({ kind: 'spoil', line: line.id, size, n: 1, cause }, cycle)
            through++
          }
        say({ kind: 'count', line: line.id, size, n }, n * cycle * Math.exp(0.1 * normal()))
        left -= n
        through += n
        sinceCheck += n
        if (sinceCheck >= 50) {
          sinceCheck = 0
          say({ kind: 'heard', alarm: 'check', pieces: through }, 30)
          if (film) say({ kind: 'read', what: 'film', value: Math.round(412 + 6 * normal()), hit: film }, 5)
        }
        // Some stops are noted, some are not.
        if (random() < 0.05) {
          const length = 120 + 600 * random()
          if (random() < 0.7) {
            say({ kind: 'pause', cause: pick(PAUSES) })
            say({ kind: 'go' }, length)
          } else at += length * 1000
        }
      }
    }
  say({ kind: 'stop' }, 60)
  for (const line of run.lines)
    for (const { size, quantity } of printedSizes(line, run.placement))
      say({ kind: 'packed', line: line.id, size, n: quantity }, 20)
  return events
}
