/**
 * A run of 1,000 garments on eight pallets, each pallet lap by lap with the dwell that each needs, against the seconds that the
 * same run takes at a press; a plan with the heat along its run, against the plan alone.
 */
import { median } from 'd3-array'
import {
  AS_TABLED,
  BOARDS,
  CLOTH_TAKES,
  FABRICS,
  type Happening,
  INK_TAKES,
  INKS,
  type Round,
  runLaps,
  USUAL_AMBIENT,
} from '../src/core/heat'
import { splitOrder } from '../src/core/order'
import { heatOf, noDecisions, plan } from '../src/core/plan'
import { DEMO_SHELF, demoOrders } from '../src/store/demo'
import { SMALL } from './size'

const LAPS = SMALL ? 20 : 125
const ROUNDS = SMALL ? 1 : 7

const takes = { ink: INK_TAKES.white, cloth: CLOTH_TAKES.dark, lets: INKS.base.lets }
const wait = (time: number): Happening => ({ kind: 'wait', time })
const ROUND: Round = {
  board: BOARDS.rubber,
  fabric: FABRICS.cotton,
  fitted: AS_TABLED,
  ambient: USUAL_AMBIENT,
  happenings: [
    { kind: 'load' },
    wait(10),
    { kind: 'print', name: 'base', ink: INKS.base, takes },
    wait(5),
    {
      kind: 'flash',
      name: 'base',
      unit: { kind: 'panel', print: { width: 0.3, height: 0.35 }, height: 0.065 },
      time: 'needed',
      least: 0,
    },
    wait(30),
    { kind: 'print', name: 'top', ink: INKS.top, takes },
    wait(8),
  ],
}
const timed = (task: () => unknown) =>
  median(
    Array.from({ length: ROUNDS + 2 }, () => {
      const begin = performance.now()
      task()
      return performance.now() - begin
    }).slice(2),
  ) ?? Number.NaN

let atThePress = 0
const run = timed(() => {
  atThePress = 0
  for (let pallet = 0; pallet < 8; pallet++)
    atThePress += runLaps(ROUND, LAPS).reduce((sum, lap) => sum + lap.time, 0)
})
console.log(
  `${8 * LAPS} garments on eight pallets: ${run.toFixed(0)} ms; at a press ${(atThePress / 8 / 3600).toFixed(1)} h`,
)

const runs = demoOrders('2026-12-01').flatMap((order) => splitOrder(order).map(({ id }) => ({ order, id })))
const planned = runs.map(({ order, id }) => plan(order, DEMO_SHELF.shop, noDecisions(id)))
const [alone, along] = [
  timed(() => runs.map(({ order, id }) => plan(order, DEMO_SHELF.shop, noDecisions(id)))),
  timed(() => planned.map(heatOf)),
]
console.log(
  `${runs.length} runs of the demo: plans ${(alone / runs.length).toFixed(1)} ms each, heat along the run ${(along / runs.length).toFixed(1)} ms`,
)
console.log(
  `heat: ${run.toFixed(0)} ms for ${8 * LAPS} garments, ${Math.round((atThePress / 8 / run) * 1000)} x real time; along the run ${(along / alone).toFixed(1)} x its plan`,
)
