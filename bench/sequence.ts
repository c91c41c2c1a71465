/**
 * The planner on random jobs: 6 to 14 screens on 18 stations, against a mixed integer program (HiGHS) on the same jobs of six
 * screens; what a drag asks for; other ways to print. Last line: ratios.
 */
import { randomLcg } from 'd3-random'
import highs from 'highs'
import { movesOf, noDecisions, plan } from '../src/core/plan'
import type { Hit, Job, Relation, Ring } from '../src/core/sequence'
import { movesIn, OTHER_JOB, solve } from '../src/core/sequence'
import { milpOf } from '../src/core/sequence/milp.fixtures'
import { DEMO_SHOP, demoOrders } from '../src/store/demo'
import { SMALL } from './size'

const ring = (stations: number, mounted: readonly (string | undefined)[] = []): Ring => ({
  kind: 'stations',
  stations: Array.from({ length: stations }, (_, i) => ({
    number: i + 1,
    usable: i !== 6,
    flashAllowed: true,
    ...(mounted[i] === undefined ? {} : { mounted: mounted[i] }),
    flashStands: mounted.length > 0 && (i === 1 || i === 9),
  })),
  flashUnits: 3,
  cool: 1,
})

const draw = randomLcg(11)
const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T

/** A base, a highlight, a black and colours, of which half meet. */
function job(screens: number): Job {
  const hit = (i: number): Hit => {
    const role = i === 0 ? 'base' : i === 1 ? 'highlight' : i === 2 ? 'black' : 'spot'
    return {
      id: `h${i}`,
      name: `h${i}`,
      role,
      L: role === 'black' ? 10 : 30 + 60 * draw(),
      opacity: pick([0.4, 0.6, 0.9]),
      coverage: 0.05 + 0.3 * draw(),
      system: 'plastisol',
      onBase: i > 0,
    }
  }
  const hits = Array.from({ length: screens }, (_, i) => hit(i))
  const relations: Relation[] = []
  for (let i = 1; i < screens; i++)
    for (let j = i + 1; j < screens; j++)
      if (draw() < 0.5)
        relations.push({ a: `h${i}`, b: `h${j}`, how: pick(['touch', 'touch', 'overlap']), width: 0.0004 })
  return {
    hits,
    relations,
    darkCloth: true,
    method: { flash: 'where', colourOrder: 'overpower', wetMost: 'any', blackTrap: 'wet' },
  }
}

const timed = (act: () => unknown): number => {
  const start = performance.now()
  act()
  return performance.now() - start
}
const sorted = (x: readonly number[]) => [...x].sort((a, b) => a - b)
const median = (x: readonly number[]) => sorted(x)[x.length >> 1] ?? 0

const JOBS = SMALL ? 3 : 100
const medians = new Map<number, { readonly middle: number; readonly worst: number }>()
for (const screens of [6, 8, 10, 12, 14]) {
  const jobs = Array.from({ length: JOBS }, () => job(screens))
  solve(jobs[0] as Job, ring(18), 'press')
  let fits = 0
  const times = jobs.map((j) => timed(() => (fits += solve(j, ring(18), 'press').fits ? 1 : 0)))
  const others = jobs.slice(0, 20).map((j) => timed(() => solve(j, ring(18), 'press', { wanted: 4 })))
  const drag = jobs.slice(0, 20).map((j) => {
    const explicit = ['h0', ...j.hits.slice(3).map((h) => h.id), 'h1', 'h2']
    return timed(() => solve({ ...j, explicit }, ring(18), 'press'))
  })
  medians.set(screens, { middle: median(times), worst: Math.max(...times) })
  console.log(
    `${screens} screens: median ${median(times).toFixed(1)} ms, worst ${Math.max(...times).toFixed(0)} ms, ${fits} of ${JOBS} fit one lap; four that differ ${median(others).toFixed(1)} ms; one order checked: median ${median(drag).toFixed(2)}, worst ${Math.max(...drag).toFixed(1)} ms`,
  )
}

// Every other head holds a screen, of this job or of another.
let found = 0
let saved = 0
const busy = Array.from({ length: JOBS }, () => job(12)).map((j) => {
  const mounted = Array.from({ length: 18 }, (_, i) =>
    i % 2 ? undefined : draw() < 0.5 ? OTHER_JOB : `h${i % 12}`,
  )
  const on = ring(18, mounted)
  let most = 0
  const usual = timed(() => {
    const s = solve(j, on, 'press')
    if (s.fits) most = movesIn(j, s.best.events, on)
  })
  const aside = timed(() => {
    const s = solve(j, on, 'press', { leastMoving: true })
    if (!s.fits) return
    found++
    saved += most - movesIn(j, s.best.events, on)
  })
  return [usual, aside] as const
})
const [mountedNow, least] = [0, 1].map((i) => busy.map((t) => t[i] as number)) as [number[], number[]]
console.log(
  `12 screens, screens hanging: median ${median(mountedNow).toFixed(1)} ms, worst ${Math.max(...mountedNow).toFixed(0)} ms; least moving ${median(least).toFixed(1)} and ${Math.max(...least).toFixed(0)} ms, found for ${found} of ${JOBS}, ${(saved / found).toFixed(1)} set-up moves saved`,
)

// What a screen that is taken up asks for: a whole order of the demo, each place of it.
const order = demoOrders('2026-11-23').find((o) => o.id === 'O-1003')
if (!order) throw new Error('no O-1003')
const undecided = noDecisions('R-1003-P1-dark')
const planned = plan(order, DEMO_SHOP, undecided)
const lifted = Array.from({ length: 30 }, () =>
  timed(() => movesOf(order, DEMO_SHOP, undecided, planned, 'I3')),
)
console.log(
  `a screen taken up, ${planned.hits.length} places told: median ${median(lifted).toFixed(1)} ms, worst ${Math.max(...lifted).toFixed(1)} ms, ${(median(lifted) / planned.hits.length).toFixed(2)} ms a place`,
)

const solver = await highs()
const small = Array.from({ length: SMALL ? 1 : 6 }, () => job(6))
let off = 0
const milp = small.map((j) =>
  timed(() => {
    const answer = solver.solve(milpOf(j, ring(10)), { time_limit: 60, mip_rel_gap: 0 })
    const own = solve(j, ring(10), 'press')
    if (
      answer.Status === 'Optimal' &&
      own.fits &&
      Math.abs(own.best.cost - 1000 * answer.ObjectiveValue) > 20
    )
      off++
  }),
)
const own = small.map((j) => timed(() => solve(j, ring(10), 'press')))
console.log(
  `6 screens on 10 stations: planner ${median(own).toFixed(2)} ms, mixed integer program ${median(milp).toFixed(0)} ms, ${off} of ${small.length} differ`,
)
const ratio = (screens: number) =>
  `${screens}: ${((medians.get(screens)?.middle ?? 0) / median(milp)).toFixed(4)}/${((medians.get(screens)?.worst ?? 0) / median(milp)).toFixed(4)}`
console.log(
  `sequence: planner to mixed integer program (its six screens on ten stations; median/worst of ${JOBS}) ${[6, 8, 10, 12, 14].map(ratio).join(', ')}`,
)
