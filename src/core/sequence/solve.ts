import { because, q, type Reason } from '../advice'
import type { Event, Job, PressSpace } from './hit'
import { type Relaxed, relax } from './relaxed'
import { SEQUENCE_RULES } from './rules'
import { layOut } from './stations'
import { buildTables, COST, FORBIDDEN, MOST_HITS, type Tables } from './tables'

/** An order of printing with its cost, or the reasons why there is none. */
export type Solution =
  | { readonly fits: true; readonly events: readonly Event[]; readonly cost: number; readonly tables: Tables }
  | { readonly fits: false; readonly reasons: readonly Reason[] }

const count = (x: number) => q('count', x)
const flashesIn = (cost: number) => Math.floor(cost / COST.flash)

/** Finds the cheapest order of a job on one press. `pressName` is used in the reasons only. */
export type Solver = (press: PressSpace, pressName: string) => Solution

/**
 * A solver for one job: the cheapest order of printing, exactly. Fewest flashes first, then least mud, then cool-down,
 * then compactness. One revolution on a ring of stations; any order where all screens print at the same place. What does
 * not depend on the press is computed once and serves every press.
 *
 * @returns `fits: false` with Stop reasons when the inks clash on any press or the press has no room
 */
export function solverFor(job: Job): Solver {
  const refuse = (...reasons: Reason[]): Solution => ({ fits: false, reasons })
  const known = new Map<boolean, { readonly tables: Tables; readonly relaxed: Relaxed }>()
  const prepare = (wetOnWet: boolean) => {
    const tables = buildTables(job, wetOnWet)
    const made = { tables, relaxed: relax(tables) }
    known.set(wetOnWet, made)
    return made
  }
  return (press, pressName) => {
    if (job.hits.length > MOST_HITS)
      return refuse(
        because(SEQUENCE_RULES, 'TOO_MANY', { screens: count(job.hits.length), most: count(MOST_HITS) }),
      )
    const wetOnWet = press.kind === 'stations' || press.wetOnWet
    const { tables, relaxed } = known.get(wetOnWet) ?? prepare(wetOnWet)
    if (tables.smoothing && !tables.whites) return refuse(because(SEQUENCE_RULES, 'SMOOTH_ALONE'))
    const free = relaxed.cost(0, 0)
    if (free >= FORBIDDEN) return refuse(...clash(job, wetOnWet))
    const short = whatIsShort(job, press, pressName, tables, flashesIn(free))
    if (short.length > 0) return refuse(...short)
    if (press.kind === 'heads') return { fits: true, events: relaxed.path(0, 0), cost: free, tables }
    return ring(job, press, pressName, tables, relaxed)
  }
}

/** `solverFor` for a single press. */
export const solve = (job: Job, press: PressSpace, pressName: string): Solution =>
  solverFor(job)(press, pressName)

function ring(
  job: Job,
  press: Extract<PressSpace, { kind: 'stations' }>,
  pressName: string,
  tables: Tables,
  relaxed: Relaxed,
): Solution {
  const layout = layOut(tables, press, relaxed)
  if (layout) return { fits: true, ...layout, tables }
  const flashes = flashesIn(relaxed.cost(0, 0))
  const inputs = { screens: count(job.hits.length), flashes: count(flashes), press: pressName }
  return { fits: false, reasons: [because(SEQUENCE_RULES, 'NO_LAYOUT', inputs)] }
}

/** Plain shortages that can be counted: heads, stations, flash units. */
function whatIsShort(job: Job, press: PressSpace, pressName: string, t: Tables, flashes: number): Reason[] {
  const screens = job.hits.length
  if (press.kind === 'heads') {
    // By hand the second base hit is the same screen again.
    const hung = screens - (t.hits.some((h) => h.role === 'base2') ? 1 : 0)
    const reasons: Reason[] = []
    if (press.heads !== 'unlimited' && hung > press.heads)
      reasons.push(
        because(SEQUENCE_RULES, 'HEADS_SHORT', {
          screens: count(hung),
          press: pressName,
          have: count(press.heads),
        }),
      )
    if (flashes > 0 && !press.hasFlash)
      reasons.push(because(SEQUENCE_RULES, 'NO_FLASH', { press: pressName }))
    return reasons
  }
  const reasons: Reason[] = []
  if (flashes > press.flashUnits)
    reasons.push(
      because(SEQUENCE_RULES, 'FLASH_SHORT', {
        need: count(flashes),
        press: pressName,
        have: count(press.flashUnits),
      }),
    )
  const have = press.stations.filter((s) => s.usable || s.flashAllowed).length
  const usable = press.stations.filter((s) => s.usable).length
  if (screens + flashes > have || screens > usable)
    reasons.push(
      because(SEQUENCE_RULES, 'STATIONS_SHORT', {
        screens: count(screens),
        flashes: count(flashes),
        need: count(screens + flashes),
        press: pressName,
        have: count(Math.min(have, usable + flashes)),
      }),
    )
  return reasons
}

/** The smallest set of hits that cannot be printed together, and the rules among them that pull apart. */
function clash(job: Job, wetOnWet: boolean): readonly Reason[] {
  const impossible = (hits: Job['hits'], explicit = job.explicit ?? []) => {
    const t = buildTables({ ...job, hits, explicit }, wetOnWet)
    return !(t.smoothing && !t.whites) && relax(t).cost(0, 0) >= FORBIDDEN
  }
  let left = job.hits
  for (const hit of job.hits) {
    const without = left.filter((h) => h !== hit)
    if (impossible(without)) left = without
  }
  const byHand = !impossible(left, [])
  const names = because(SEQUENCE_RULES, byHand ? 'BY_HAND' : 'CLASH', {
    names: left.map((h) => h.name).join(', '),
  })
  const { pair } = buildTables({ ...job, hits: left }, wetOnWet)
  const why = left.flatMap((i, a) =>
    left.flatMap((j, b) =>
      a === b
        ? []
        : (pair[a]?.[b]?.codes ?? []).map((code) => because(SEQUENCE_RULES, code, { i: i.name, j: j.name })),
    ),
  )
  return [names, ...why.slice(0, 6)]
}
