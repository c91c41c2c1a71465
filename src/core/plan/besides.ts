import { numberOf } from '../advice'
import type { Shop } from '../equipment'
import { driesInScreen, type Order } from '../order'
import type { Duration } from '../quantity'
import { spreadOf } from '../rate'
import { type Costs, costsOf } from './costs'
import { plan } from './plan'
import { printsInTurn } from './prints'
import { type Decisions, type RunPlan, screensOf } from './runPlan'
import { waysOf } from './ways'

/** Another way to print the run, in short. */
export interface ShortWay {
  readonly label: string
  readonly press: string
  readonly screens: number
  readonly flashes: number
  readonly wetRisk: number
  /** Seconds from set-up to the last piece. */
  readonly time: Duration | undefined
}

/** What follows from a plan with the order and the shop beside it. */
export interface Besides {
  /** Runs of the same garments in their order of printing. */
  readonly prints: readonly string[]
  readonly ways: readonly ShortWay[]
  readonly costs: Costs | undefined
  /** Seconds from opening that half, 4 in 5 and 19 in 20 of simulated runs do not exceed. */
  readonly finish: { readonly half: Duration; readonly eighty: Duration; readonly most: Duration } | undefined
}

/** Hits up to which other ways are looked for: each is a whole plan, and others wait for theirs. */
const WAYS_UP_TO = 8

/** Simulated runs: the 95 % moves by about a minute with another seed. */
const RUNS = 1000

function finishOf({ time, hits }: RunPlan, { hours }: Shop): Besides['finish'] {
  if (!time) return undefined
  const { setup, need, most } = time
  const range = setup.chosen === undefined ? setup.range : ([numberOf(setup), numberOf(setup)] as const)
  const driesIn = hits.some((h) => driesInScreen(h.hit.system))
  const run = { cycle: need, setup: range, most, driesIn, relief: false }
  const steps = spreadOf(run, hours, hours.from, { runs: RUNS, seed: 1 })
  let step = steps.next()
  while (!step.done) step = steps.next()
  const { middle, eighty, most: last } = step.value
  return { half: middle, eighty, most: last }
}

/** The plan of a run, and all that is told beside it. Up to some seconds: never on a thread that someone waits for. */
export function planWithBesides(
  order: Order,
  shop: Shop,
  decisions: Decisions,
): { readonly plan: RunPlan; readonly besides: Besides } {
  const now = plan(order, shop, decisions)
  const found = now.hits.length > WAYS_UP_TO ? [] : waysOf({ order, shop, decisions, now })
  const ways = found.map(
    ({ label, plan: p }): ShortWay => ({
      label,
      press: p.press.id,
      screens: screensOf(p),
      flashes: p.flashes.length,
      wetRisk: p.sequence.wetRisk,
      time: p.time && numberOf(p.time.total),
    }),
  )
  return {
    plan: now,
    besides: {
      prints: printsInTurn(order, now.run, now.method).map((p) => p.run.id),
      ways,
      costs: costsOf(now, shop),
      finish: finishOf(now, shop),
    },
  }
}
