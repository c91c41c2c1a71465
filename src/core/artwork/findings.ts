import type { RuleOf } from '../advice'
import { type Inputs, q, type Reason } from '../advice'
import { type Area, INCH } from '../quantity'
import { ARTWORK } from './definition'
import type { FilmFacts, PairFacts, Place, SetFacts } from './facts'
import { SURE } from './halftone'
import { TURNS } from './orient'
import type { BaseFacts } from './set'

/** Off its marks by more than this, a film cannot register: 0.15 mm. */
const MEETS = 0.00015
const SHIFTED = 0.0001
const MANY_SPECKS = 20
/** Smaller areas are the rim of pixels. */
const AREA = 0.5e-6
/** From a square centimetre on, areas are told in those. */
export const areaKind = (area: Area): 'area' | 'fineArea' => (area > 1e-4 ? 'area' : 'fineArea')

/** What of a base is worth saying, worst first. */
export function baseFindings(base: BaseFacts): readonly Reason[] {
  const say = (rule: 'BASE_OPEN' | 'BASE_PEEPS' | 'BASE_BARE' | 'BASE_NEEDLESS', area: number) =>
    area > AREA ? [ARTWORK.because(rule, { area: q(areaKind(area), area) })] : []
  return [
    ...say('BASE_OPEN', base.uncovered.area),
    ...say('BASE_PEEPS', base.peep.area),
    ...say('BASE_BARE', base.bare.area),
    ...say('BASE_NEEDLESS', base.needless.area),
  ]
}

/** What is said of a film, or of all of them. */
export interface FilmFinding {
  readonly reason: Reason
  /** The film it is about, by its number. */
  readonly film: number | undefined
  readonly place?: Place
}

/** A dot of fewer pixels across has under 26 steps of tone (geometry; what shows as bands: from memory). */
const DOT_PIXELS = 5
/** Edges of coarser art are seen to stand in steps; 300 dots an inch at print size is common practice. */
const LOW = 200
/** Less grey than this is a soft rim. */
const GREY = 2e-5
/** So much of a file half transparent is meant. */
const TRANSLUCENT = 0.001

/**
 * What is wrong with films, or worth knowing, before a screen is burnt; worst first.
 *
 * @param names of the films, in the order of `facts`
 */
export function filmFindings(
  facts: readonly FilmFacts[],
  names: readonly string[],
  pairs: readonly PairFacts[] = [],
  tiles: SetFacts['tiles'] = [],
): readonly FilmFinding[] {
  const found: FilmFinding[] = []
  const say = (film: number | undefined, rule: RuleOf<typeof ARTWORK>, inputs: Inputs, place?: Place) =>
    found.push({ reason: ARTWORK.because(rule, inputs), film, ...(place ? { place } : {}) })
  const nameOf = (i: number) => names[i] ?? `Film ${i + 1}`
  const most = Math.max(0, ...facts.map((f) => f.marks.length))
  if (facts.length > 1 && most < 2) say(undefined, 'MARKS_NONE', {})
  const widest = Math.max(0, ...facts.map((f) => f.width))
  const highest = Math.max(0, ...facts.map((f) => f.height))
  facts.forEach((f, i) => {
    const film = nameOf(i)
    if (f.either) say(i, 'FILM_EITHER', { film })
    else if (f.negative) say(i, 'FILM_NEGATIVE', { film })
    if (f.opaque) say(i, 'FILM_OPAQUE', { film })
    if (f.translucent > TRANSLUCENT) say(i, 'FILM_TRANSLUCENT', { film, share: q('share', f.translucent) })
    if (f.grey > GREY) say(i, 'FILM_GREY', { film, area: q('area', f.grey) })
    if (f.grain > 0) say(i, 'FILM_GRAIN', { film, area: q('area', f.grain) })
    for (const h of f.halftones) {
      const across = f.dpi / INCH / h.ruling
      if (h.sure && across < DOT_PIXELS)
        say(i, 'FILM_COARSE_DOTS', {
          film,
          dpi: q('count', f.dpi),
          ruling: q('ruling', h.ruling),
          levels: q('count', Math.floor(across ** 2) + 1),
          wanted: q('count', Math.ceil((10 * h.ruling * INCH) / 50 - 1e-9) * 50),
        })
      if (!h.sure)
        say(i, 'FILM_REPEATS', {
          film,
          ruling: q('ruling', h.ruling),
          angle: q('turn', h.angle),
          confidence: q('share', h.confidence),
          sure: q('share', SURE),
        })
    }
    if (f.dpi < LOW && f.box && f.halftones.length === 0)
      say(i, 'FILM_LOW', { film, dpi: q('count', f.dpi), step: q('fine', INCH / f.dpi) })
    if (!f.box && f.grey <= GREY) say(i, 'FILM_EMPTY', { film })
    // Where fades end, single dots stand by themselves.
    const screened = f.grain > 0 || f.halftones.some((h) => h.sure)
    if (f.specks > MANY_SPECKS && !screened)
      say(i, 'FILM_SPECKS', { film, count: q('count', f.specks), area: q('fineArea', f.dust) })
    if (f.mislaid?.turn)
      say(i, 'FILM_TURNED', { film, turn: TURNS[f.mislaid.turn], then: q('share', f.mislaid.then) })
    else if (f.mislaid?.laid)
      say(i, 'FILM_OFF', { film, dx: q('length', -f.mislaid.dx), dy: q('length', -f.mislaid.dy) })
    else if (f.mislaid)
      say(i, 'FILM_MOVED', { film, dx: q('length', f.mislaid.dx), dy: q('length', f.mislaid.dy) })
    const small = widest - f.width > SHEET || highest - f.height > SHEET
    if (small && !f.misfit && !f.mislaid)
      say(i, 'FILM_SHEET', {
        film,
        width: q('length', f.width),
        height: q('length', f.height),
        widest: q('length', widest),
        highest: q('length', highest),
      })
    if (most >= 2 && f.marks.length < most) say(i, 'MARKS_MISSING', { film })
    const m = f.misfit
    if (!m) return
    const half = Math.hypot(f.width, f.height) / 2
    if (Math.abs(m.rotation) * half > MEETS) say(i, 'MARKS_TURNED', { film, angle: q('turn', m.rotation) })
    if (Math.abs(m.scale - 1) * half > MEETS)
      say(i, 'MARKS_STRETCHED', {
        film,
        percent: q('share', m.scale),
        off: q('fine', Math.abs(m.scale - 1) * half),
      })
    if (Math.hypot(m.dx, m.dy) > SHIFTED)
      say(i, 'MARKS_SHIFTED', { film, dx: q('fine', m.dx), dy: q('fine', m.dy) })
  })
  for (const { a, b } of tiles) say(a, 'FILM_TILES', { a: nameOf(a), b: nameOf(b) })
  for (const { a, b, stops } of pairs)
    if (stops)
      say(
        stops.of,
        'FADE_STOPS',
        {
          a: nameOf(stops.of),
          b: nameOf(stops.of === a ? b : a),
          tint: q('share', stops.tint),
          other: q('share', stops.other),
        },
        stops.places[0],
      )
  if (most >= 2 && facts.length > 1 && !found.some(({ reason }) => reason.rule.startsWith('MARKS')))
    say(undefined, 'MARKS_AGREE', {
      count: q('count', most),
      worst: q('fine', Math.max(...facts.map((f) => f.misfit?.worst ?? 0))),
    })
  const left = facts.map((f) => f.leftOut).reduce((a, b) => (b.length > a.length ? b : a), [])
  const labels = left.filter((o) => o.kind === 'label').length
  if (labels > 0)
    say(undefined, 'LEFT_OUT', {
      marks: q('count', left.length - labels),
      labels: q('count', labels),
    })
  const rank = { Stop: 0, Watch: 1, Note: 2 }
  const rankOf = ({ reason: { severity } }: FilmFinding) => (severity ? rank[severity] : 3)
  return found.sort((x, y) => rankOf(x) - rankOf(y))
}

/** Sheets that differ by more than this are not the same. */
const SHEET = 0.001
