import { randomLcg, randomLogNormal } from 'd3-random'
import TinyQueue from 'tinyqueue'
import type { Duration, Share } from '../quantity'
import { stopsOf } from './carousel'
import { bestRhythm, firstAfterFlash } from './cycle'
import { automaticTimes, type CycleNeed, type Motions, printingOf, workOf } from './times'

/** Someone or something at work for a while. */
export interface Busy {
  readonly who: string
  readonly what: 'front' | 'flash' | 'load' | 'turn' | 'wait'
  readonly from: Duration
  readonly to: Duration
}

export interface Simulated {
  /** When each garment was finished, seconds from the start. */
  readonly done: readonly Duration[]
  readonly busy: readonly Busy[]
}

export interface Simulation {
  readonly garments: number
  /** Spread of human times: standard deviation as a share; 0 for none. */
  readonly spread: Share
  readonly seed: number
}

/** Events in the order of their time; those of one moment in the order in which they were foreseen. */
function clock() {
  let count = 0
  const queue = new TinyQueue<{ readonly at: number; readonly no: number; readonly act: () => void }>(
    [],
    (a, b) => a.at - b.at || a.no - b.no,
  )
  let now = 0
  return {
    now: () => now,
    at: (time: number, act: () => void) => queue.push({ at: time, no: count++, act }),
    run: (until: () => boolean) => {
      while (!until()) {
        const next = queue.pop()
        if (!next) return
        now = next.at
        next.act()
      }
    },
  }
}

const sum = (times: Motions): Duration => times.reduce((a, b) => a + b, 0)

/** Draws the time of some motions that each vary around their mean, never below nothing (lognormal). */
function sampler(spread: Share, seed: number): (motions: Motions) => Duration {
  if (spread === 0) return sum
  const sigma = Math.sqrt(Math.log(1 + spread * spread))
  const draw = randomLogNormal.source(randomLcg(seed))(-(sigma * sigma) / 2, sigma)
  return (motions) => sum(motions.map((t) => t * draw()))
}

/**
 * A press run, event by event: who works when, and when each garment is done. Machines keep their times, people vary. Tries
 * the closed forms of `cycleTime`: without spread both agree.
 *
 * @throws Error for a bench, whose rhythm is its drying places
 */
export function simulate(need: CycleNeed, asked: Simulation): Simulated {
  switch (need.press.kind) {
    case 'manual':
      return carousel(need, need.press.pallets, asked)
    case 'automatic':
      return automatic(need, asked)
    case 'single':
      return single(need, asked)
    case 'bench':
      throw new Error('a bench is paced by its drying places')
    default:
      return need.press satisfies never
  }
}

function carousel(need: CycleNeed, pallets: number, { garments, spread, seed }: Simulation): Simulated {
  const draw = sampler(spread, seed)
  const { rhythm, alone } = bestRhythm(need)
  const work = workOf({ ...need, crew: { ...need.crew, size: alone ? 'alone' : 'loader' } })
  const stops = stopsOf(work, pallets, rhythm, alone)
  const time = clock()
  const busy: Busy[] = []
  const done: number[] = []
  const ready = new Array<number>(pallets).fill(0)
  const told = (who: string, what: Busy['what'], seconds: number, from = time.now()) => {
    busy.push({ who, what, from, to: from + seconds })
    return from + seconds
  }
  const printer = alone ? 'One person' : 'Printer'
  const stand = (j: number): void => {
    let open = 0
    const over = () => {
      open--
      if (open === 0) time.at(told('Carousel', 'turn', work.turn), () => stand(j + 1))
    }
    const stopOf = (k: number) => stops[k % stops.length]
    const here = stopOf(j)
    if (!here) return
    open++
    const from = Math.max(time.now(), ready[j % pallets] ?? 0)
    if (from > time.now() + 1e-9) busy.push({ who: printer, what: 'wait', from: time.now(), to: from })
    time.at(told(printer, 'front', draw(here.motions), from), () => {
      if (here.changes) done.push(time.now())
      over()
    })
    const leaving = j > 0 ? stopOf(j - 1) : undefined
    if (leaving?.flashed) {
      open++
      const end = told('Flash', 'flash', work.flash)
      ready[(j - 1) % pallets] = end + work.cool
      time.at(end, over)
    }
    const k = j - rhythm.loaderAt
    if (k >= 0 && stopOf(k)?.reload) {
      open++
      time.at(told('Loader', 'load', draw(work.handMotions)), () => {
        done.push(time.now())
        over()
      })
    }
  }
  stand(0)
  time.run(() => done.length >= garments)
  return { done, busy }
}

function automatic(need: CycleNeed, { garments, spread, seed }: Simulation): Simulated {
  const { crew, groups, laps, coolHeads } = need
  const draw = sampler(spread, seed)
  const { ends, index } = automaticTimes(need)
  const { flash, cool } = workOf(need)
  const busy: Busy[] = []
  const done: number[] = []
  const time = clock()
  const prints = groups.flat().map(printingOf)
  const first = firstAfterFlash(groups)
  const flashed = groups.length > 1
  /** When the film is cool that was flashed so many stops ago. */
  const cooled: number[] = []
  const stand = (j: number): void => {
    let open = 0
    const over = () => {
      open--
      if (open > 0) return
      if (j % laps === laps - 1) done.push(time.now())
      busy.push({ who: 'Carousel', what: 'turn', from: time.now(), to: time.now() + index })
      time.at(time.now() + index, () => stand(j + 1))
    }
    const does = (who: string, what: Busy['what'], seconds: number, from = time.now()) => {
      open++
      busy.push({ who, what, from, to: from + seconds })
      time.at(from + seconds, over)
    }
    const [load, unload] = [draw([ends[0]]), draw([ends[1]])]
    if (crew.size === 'alone') does('One person', 'load', load + unload)
    else {
      does('Loader', 'load', load)
      does('Unloader', 'load', unload)
    }
    does('Heads', 'front', Math.max(...prints))
    if (!flashed) return
    does('Flash', 'flash', flash)
    cooled.push(time.now() + flash + cool)
    const waits = cooled[j - coolHeads - 1] ?? 0
    does('First head after the flash', 'front', first, Math.max(time.now(), waits))
  }
  stand(0)
  time.run(() => done.length >= garments)
  return { done, busy }
}

function single(need: CycleNeed, { garments, spread, seed }: Simulation): Simulated {
  const draw = sampler(spread, seed)
  const work = workOf(need)
  const busy: Busy[] = []
  const done: number[] = []
  let now = 0
  const does = (who: string, what: Busy['what'], seconds: number) => {
    busy.push({ who, what, from: now, to: now + seconds })
    now += seconds
  }
  for (let i = 0; i < garments; i++) {
    does('One person', 'load', draw(work.handMotions))
    work.motions.forEach((group, at) => {
      if (at > 0) {
        does('Flash', 'flash', work.flash)
        does('One person', 'wait', work.cool)
      }
      does('One person', 'front', draw(group))
    })
    done.push(now)
  }
  return { done, busy }
}
