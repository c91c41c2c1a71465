import type { RuleOf } from '../advice'
import { type Inputs, q, type Reason } from '../advice'
import type { Area } from '../quantity'
import { ARTWORK } from './definition'
import type { FilmFacts } from './facts'
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

/**
 * What is wrong with films, or worth knowing, before a screen is burnt.
 *
 * @param names of the films, in the order of `facts`
 */
export function filmFindings(facts: readonly FilmFacts[], names: readonly string[]): readonly Reason[] {
  const say = (rule: RuleOf<typeof ARTWORK>, inputs: Inputs) => ARTWORK.because(rule, inputs)
  const most = Math.max(0, ...facts.map((f) => f.marks.length))
  const found: Reason[] = facts.length > 1 && most < 2 ? [say('MARKS_NONE', {})] : []
  facts.forEach((f, i) => {
    const film = names[i] ?? `Film ${i + 1}`
    if (f.negative) found.push(say('FILM_NEGATIVE', { film }))
    if (!f.box) found.push(say('FILM_EMPTY', { film }))
    if (f.specks > MANY_SPECKS) found.push(say('FILM_SPECKS', { film, count: q('count', f.specks) }))
    if (most >= 2 && f.marks.length < most) found.push(say('MARKS_MISSING', { film }))
    const m = f.misfit
    if (!m) return
    const half = Math.hypot(f.width, f.height) / 2
    if (Math.abs(m.rotation) * half > MEETS)
      found.push(say('MARKS_TURNED', { film, angle: q('turn', m.rotation) }))
    if (Math.abs(m.scale - 1) * half > MEETS)
      found.push(
        say('MARKS_STRETCHED', {
          film,
          percent: q('share', m.scale),
          off: q('fine', Math.abs(m.scale - 1) * half),
        }),
      )
    if (Math.hypot(m.dx, m.dy) > SHIFTED)
      found.push(say('MARKS_SHIFTED', { film, dx: q('fine', m.dx), dy: q('fine', m.dy) }))
  })
  if (most >= 2 && facts.length > 1 && !found.some((r) => r.rule.startsWith('MARKS')))
    found.push(
      say('MARKS_AGREE', {
        count: q('count', most),
        worst: q('fine', Math.max(...facts.map((f) => f.misfit?.worst ?? 0))),
      }),
    )
  const rank = { Stop: 0, Watch: 1, Note: 2 }
  return found.sort((a, b) => (a.severity ? rank[a.severity] : 3) - (b.severity ? rank[b.severity] : 3))
}
