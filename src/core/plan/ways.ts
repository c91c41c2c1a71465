import { because, choiceOf, numberOf, q, type Reason, ruleTable } from '../advice'
import { type Event, FLASH } from '../sequence'
import { orderingOf, plan } from './plan'
import { rankPresses } from './press'
import { type Decisions, type RunPlan, screensOf } from './runPlan'
import { baseVariants, type VariantAsk, whiteVariants } from './variants'

export const WAY_RULES = ruleTable({
  WAY_ADVISED: { says: 'The order that is advised, without the one by hand.', source: 'geometry' },
  WAY_OTHER: {
    says: 'Dried (|) between other colours than now: {flashes} flashes instead of {had}, {mud} mud points instead of {hadMud}.',
    source: 'common practice',
  },
  WAY_LEAST_MOVING: {
    says: 'Leaves most of what hangs and stands where it is: {moves} handgrips instead of {hadMoves}, {mud} mud points instead of {hadMud}.',
    source: 'geometry',
  },
  WAY_BASE_ONLY: {
    says: 'Flashed after the base only: what would smear wet is taken into the bargain, {mud} mud points instead of {hadMud}.',
    source: "the shop's choice",
  },
  WAY_EVERY: {
    says: 'Flashed after every colour: what register does is plain to see on the first prints, and nothing blends. Then go back to the order of the run.',
    source: 'common practice',
  },
  WAY_SCREEN_LESS: {
    says: '{way}: {screens} screens to coat, burn and register instead of {hadScreens}; see Ink for what it does to the colours.',
    source: 'common practice',
  },
  WAY_PRESS: { says: 'On {press}: another press of this shop on which it fits.', source: 'geometry' },
})

/** Another way to print the run, with its plan. */
export interface Way {
  readonly id: string
  readonly label: string
  /** What it gains and gives up. */
  readonly why: Reason
  /** What the lead would have decided. */
  readonly decisions: Decisions
  readonly plan: RunPlan
}

/** Orders looked at beside the one in force. */
const WANTED = 4

/**
 * Ways to print the run that truly differ from the one in force: other flashes, the schools of flashing, a screen less,
 * other presses. Each is a plan of its own; what does not fit is left out, and what comes to the same is told once.
 */
export function waysOf({ order, shop, decisions, now }: VariantAsk): readonly Way[] {
  const had = { had: q('count', now.flashes.length), hadMud: points(now) }
  const ways: Way[] = []
  const told = new Set([signature(now)])
  const offer = (
    id: string,
    label: string,
    decided: Decisions,
    why: (p: RunPlan) => Reason,
    worth: (p: RunPlan) => boolean = () => true,
  ) => {
    const p = plan(order, shop, decided)
    if (!p.sequence.fits || told.has(signature(p)) || !worth(p)) return
    told.add(signature(p))
    ways.push({ id, label, why: why(p), decisions: decided, plan: p })
  }
  const free = { ...decisions, order: [] }
  if (decisions.order.length > 0)
    offer('advised', 'As advised', free, () => because(WAY_RULES, 'WAY_ADVISED'))

  const { job, solver, space, press } = orderingOf(order, shop, free)
  const listOf = (events: readonly Event[]) =>
    events.map((e) => (e.kind === 'flash' ? FLASH : (job.hits[e.hit]?.id ?? '')))
  const least = solver(space, press.name, { laps: 2, leastMoving: true })
  if (least.fits)
    offer(
      'leastMoving',
      'Least moving',
      { ...decisions, order: listOf(least.best.events) },
      (p) =>
        because(WAY_RULES, 'WAY_LEAST_MOVING', {
          ...had,
          moves: q('count', p.sequence.moves),
          hadMoves: q('count', now.sequence.moves),
          mud: points(p),
        }),
      (p) => p.sequence.moves < now.sequence.moves,
    )
  const found = solver(space, press.name, { wanted: WANTED, laps: 2 })
  const others = found.fits ? found.others : []
  others.forEach(({ events }, i) => {
    const byHand = listOf(events)
    const nameOf = (id: string) => job.hits.find((h) => h.id === id)?.name ?? id
    const label = byHand.map((id) => (id === FLASH ? '|' : nameOf(id))).join(' ')
    offer(`other${i}`, label, { ...decisions, order: byHand }, (p) =>
      because(WAY_RULES, 'WAY_OTHER', { ...had, flashes: q('count', p.flashes.length), mud: points(p) }),
    )
  })
  const school = (flash: 'afterBase' | 'every') => ({ ...free, method: { ...decisions.method, flash } })
  offer(
    'afterBase',
    'Flash after the base only',
    school('afterBase'),
    (p) => because(WAY_RULES, 'WAY_BASE_ONLY', { ...had, mud: points(p) }),
    (p) => p.flashes.length < now.flashes.length,
  )
  const fewer = [
    ...whiteVariants({ order, shop, decisions, now }),
    ...baseVariants({ order, shop, decisions, now }),
  ]
    .filter((v) => v.fits && v.screens < screensOf(now))
    .sort((a, b) => b.screens - a.screens || (a.worst?.change ?? 0) - (b.worst?.change ?? 0))[0]
  if (fewer) {
    const kept = Object.entries(decisions.overrides).filter(([key]) => !fewer.keys.includes(key))
    const overrides = { ...Object.fromEntries(kept), ...fewer.overrides }
    offer('fewer', fewer.label, { ...free, overrides }, (p) =>
      because(WAY_RULES, 'WAY_SCREEN_LESS', {
        way: fewer.label,
        screens: q('count', screensOf(p)),
        hadScreens: q('count', screensOf(now)),
      }),
    )
  }
  const able = rankPresses(now.run, screensOf(now), shop).presses
  for (const other of shop.presses.filter((p) => able.includes(p))) {
    if (other.id === choiceOf(now.pressAdvice)) continue
    const overrides = { ...decisions.overrides, press: other.id }
    offer(
      `press.${other.id}`,
      other.name,
      { ...free, overrides },
      () => because(WAY_RULES, 'WAY_PRESS', { press: other.name }),
      (p) => p.sequence.laps <= now.sequence.laps,
    )
  }
  offer('setUp', 'For the set-up: flash every colour', school('every'), () => because(WAY_RULES, 'WAY_EVERY'))
  return ways
}

const points = (p: RunPlan) => q('count', Math.round(p.sequence.mud))

/** Two plans with the same are the same to a printer. */
const signature = (p: RunPlan): string =>
  [
    choiceOf(p.pressAdvice),
    ...p.sequence.cells.map((c) => `${c.kind}${c.lap ?? ''}${c.kind === 'print' ? c.hitId : ''}`),
    ...p.hits.map((h) => `${h.hit.id}${numberOf(h.mesh)}`),
  ].join()
