import { choiceOf, numberOf, q, type Reason } from '../advice'
import type { Press, Shop } from '../equipment'
import { liesOnPallet } from '../registration'
import { type Event, FLASH } from '../sequence'
import { PLAN } from './definition'
import { orderingOf } from './ordering'
import { plan } from './plan'
import { rankPresses } from './press'
import { type Decisions, type RunPlan, screensOf } from './runPlan'
import { baseVariants, type VariantAsk, whiteVariants } from './variants'

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
 * Ways to print the run that truly differ from the one in force: other flashes, the practices of flashing, a screen less,
 * other presses. Each is a plan of its own; what does not fit is left out, and what comes to the same is told once.
 */
export function waysOf({ order, shop, decisions, now }: VariantAsk): readonly Way[] {
  const had = { had: q('count', now.flashes.length), hadRisk: points(now) }
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
  if (decisions.order.length > 0) offer('advised', 'As advised', free, () => PLAN.because('WAY_ADVISED'))

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
        PLAN.because('WAY_LEAST_MOVING', {
          ...had,
          moves: q('count', p.sequence.moves),
          hadMoves: q('count', now.sequence.moves),
          wetRisk: points(p),
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
      PLAN.because('WAY_OTHER', { ...had, flashes: q('count', p.flashes.length), wetRisk: points(p) }),
    )
  })
  const practice = (flash: 'afterBase' | 'every') => ({ ...free, method: { ...decisions.method, flash } })
  offer(
    'afterBase',
    'Flash after the base only',
    practice('afterBase'),
    (p) => PLAN.because('WAY_BASE_ONLY', { ...had, wetRisk: points(p) }),
    (p) => p.flashes.length < now.flashes.length,
  )
  const fewer = oneScreenLess({ order, shop, decisions, now })
  if (fewer) {
    const kept = Object.entries(decisions.overrides).filter(([key]) => !fewer.keys.includes(key))
    const overrides = { ...Object.fromEntries(kept), ...fewer.overrides }
    offer('fewer', fewer.label, { ...free, overrides }, (p) =>
      PLAN.because('WAY_SCREEN_LESS', {
        way: fewer.label,
        screens: q('count', screensOf(p)),
        hadScreens: q('count', screensOf(now)),
      }),
    )
  }
  for (const other of otherPresses(now, shop)) {
    const overrides = { ...decisions.overrides, press: other.id }
    offer(
      `press.${other.id}`,
      other.name,
      { ...free, overrides },
      () => PLAN.because('WAY_PRESS', { press: other.name }),
      (p) => p.sequence.laps <= now.sequence.laps,
    )
  }
  offer('setUp', 'For the set-up: flash every colour', practice('every'), () => PLAN.because('WAY_EVERY'))
  return ways
}

/** Presses beside the one in force that the run can be printed on. */
function otherPresses(now: RunPlan, shop: Shop): readonly Press[] {
  const able = rankPresses(now.run, screensOf(now), shop).presses
  return shop.presses.filter(
    (p) => able.includes(p) && liesOnPallet(now.run, p) && p.id !== choiceOf(now.pressAdvice),
  )
}

/** Of the ways with fewer screens the one that takes away least, and of those the one that looks best. */
const oneScreenLess = (ask: VariantAsk) =>
  [...whiteVariants(ask), ...baseVariants(ask)]
    .filter((v) => v.fits && v.screens < screensOf(ask.now))
    .sort((a, b) => b.screens - a.screens || (a.worst?.change ?? 0) - (b.worst?.change ?? 0))[0]

const points = (p: RunPlan) => q('count', Math.round(p.sequence.wetRisk))

/** Two plans with the same are the same to a printer. */
const signature = (p: RunPlan): string =>
  [
    choiceOf(p.pressAdvice),
    ...p.sequence.cells.map((c) => `${c.kind}${c.lap ?? ''}${c.kind === 'print' ? c.hitId : ''}`),
    ...p.hits.map((h) => `${h.hit.id}${numberOf(h.mesh)}`),
  ].join()
