import { numberOf, q, type Reason } from '../advice'
import { INK, LEFT } from '../ink'
import { type Duration, grams, type Mass } from '../quantity'
import { RATE } from '../rate'
import { type HitPlan, ownScreens, type RunPlan } from './runPlan'

/** What goes before the first good print, or into it. */
export interface OpeningRow {
  readonly what: 'open' | 'squares' | 'scrap' | 'first'
  /** Prints on whatever: of the strokes that open a screen there are none. */
  readonly prints: number
  readonly time: Duration
  readonly ink: Mass
  readonly reasons: readonly Reason[]
}

export const OPENING = {
  open: 'Opening the screens',
  squares: 'Test squares',
  scrap: 'Scrap, then real garments',
  first: 'First prints, wet on wet',
} as const satisfies Record<OpeningRow['what'], string>

/** About three strokes until the image clears, 3 to 4 s each (common practice). */
const OPENS = { strokes: 3, each: 3.5 } as const
/** Test squares for register, then one scrap garment and one or two real ones (common practice; how many squares is from memory). */
const SQUARES = 3
const GARMENTS = 3
/** Loading one, looking at it, and putting right what is off, s (assumed). */
const LOOKED_AT: Duration = 60

/** Ink that a screen takes for one print, kg. */
const perPrint = ({ ink }: HitPlan, pieces: number): Mass =>
  ink === undefined || pieces < 1 ? 0 : Math.max(0, numberOf(ink) - LEFT.usual) / pieces

const sum = (times: readonly Duration[]): Duration => times.reduce((a, b) => a + b, 0)

/** So many prints through every screen, s: each by itself under a flash unit, all together on a rack. */
function through({ hits, flashes }: RunPlan, prints: number): Duration {
  const strokes = sum(hits.map(({ stroke }) => numberOf(stroke.strokes) * numberOf(stroke.time)))
  const dwells = (racked: boolean) =>
    sum(flashes.filter((f) => (f.unit === undefined) === racked).map((f) => numberOf(f.dwell)))
  return prints * (strokes + dwells(false) + LOOKED_AT) + dwells(true)
}

/**
 * What is printed before the run counts: time and ink of each. All but the first prints are in the set-up of the run; those are
 * counted as spoiled and in its time.
 *
 * @returns nothing while the order of printing fits nowhere
 */
export function openingOf(plan: RunPlan): readonly OpeningRow[] {
  const { hits, time, run } = plan
  if (!time || hits.length === 0) return []
  const each = hits.reduce((sum, h) => sum + perPrint(h, run.quantity), 0)
  const screens = ownScreens(hits).length
  const row = (what: OpeningRow['what'], prints: number, spent: Duration, ink: Mass): OpeningRow => ({
    ...{ what, prints, time: spent, ink },
    reasons: [
      RATE.because(OF_ROW[what], {
        prints: q('count', prints),
        screens: q('count', screens),
        time: q('workTime', spent),
        ink: q('mass', ink),
      }),
    ],
  })
  return [
    row('open', 0, screens * OPENS.strokes * OPENS.each, each * OPENS.strokes),
    row('squares', SQUARES, through(plan, SQUARES), each * SQUARES),
    row('scrap', GARMENTS, through(plan, GARMENTS), each * GARMENTS),
    ...(time.first > 0
      ? [row('first', time.first, time.first / numberOf(time.rate), each * time.first)]
      : []),
  ]
}

const OF_ROW = {
  open: 'OPEN_STROKES',
  squares: 'OPEN_SQUARES',
  scrap: 'OPEN_SCRAP',
  first: 'OPEN_FIRST',
} as const

/** What goes into a screen, and when. */
export interface ScreenLoad {
  readonly hitId: string
  readonly first: Mass
  /** After so many prints, so much; none where the first load is all. */
  readonly again: { readonly every: number; readonly mass: Mass; readonly times: number } | undefined
  readonly reasons: readonly Reason[]
}

/** It is scooped back and topped up every few dozen prints (common practice); about so much goes in at a time. */
const TOPPED: Mass = grams(100)
const EVERY = { least: 12, most: 48 } as const

/** Ink into one screen: the first load, and refills on the way. @returns none for a screen without ink of its own */
export function loadOf(hit: HitPlan, pieces: number): ScreenLoad | undefined {
  if (hit.ink === undefined) return undefined
  const each = perPrint(hit, pieces)
  const all = numberOf(hit.ink)
  const every = Math.min(EVERY.most, Math.max(EVERY.least, Math.floor(TOPPED / Math.max(each, 1e-6))))
  const name = hit.hit.name
  if (pieces <= every)
    return {
      ...{ hitId: hit.hit.id, first: all, again: undefined },
      reasons: [INK.because('LOAD_ALL', { name, mass: q('mass', all), pieces: q('count', pieces) })],
    }
  const first = LEFT.usual + every * each
  const times = Math.ceil(pieces / every) - 1
  const mass = (all - first) / times
  return {
    ...{ hitId: hit.hit.id, first, again: { every, mass, times } },
    reasons: [
      INK.because('LOAD_FIRST', { name, mass: q('mass', first), left: q('mass', LEFT.usual) }),
      INK.because('LOAD_AGAIN', {
        mass: q('mass', mass),
        every: q('count', every),
        times: q('count', times),
      }),
    ],
  }
}
