import type { Reason } from '../advice'
import type { ArtRelation } from '../order'
import { REGISTRATION } from './definition'

interface Screen {
  readonly id: string
  readonly name: string
  readonly isBase: boolean
}

/** A screen in the order in which they are registered, and on what. */
export interface Registered {
  readonly id: string
  /** The screen on whose print; on the film without. */
  readonly on: string | undefined
  readonly reason: Reason
}

/** Metres of lap that are taken for a blend, and for an overlap of which no width is known (assumed). */
const BLENDS = 1e-3
const OVERLAPS = 0.3e-3

/** How little two colours forgive: nothing where they touch. */
const lapOf = ({ how, width }: ArtRelation): number => {
  if (how === 'touch') return 0
  return how === 'blend' ? BLENDS : (width ?? OVERLAPS)
}

/**
 * In which order to register screens, and on which print each. All on the base, or on the colour that most others meet: between
 * two that hang on one print the error counts twice, on one another once, and along a chain it grows with each. So only what does
 * not meet the first hangs on its own partner. What is tightest comes last: all that it meets is printed then and can be looked at.
 */
export function registerOrder(
  screens: readonly Screen[],
  relations: readonly ArtRelation[],
): readonly Registered[] {
  const own = (id: string) => relations.filter((r) => r.a === id || r.b === id)
  const tightest = (id: string) => Math.min(BLENDS * 2, ...own(id).map(lapOf))
  const first =
    screens.find((s) => s.isBase) ?? [...screens].sort((a, b) => own(b.id).length - own(a.id).length)[0]
  if (!first) return []
  const nameOf = (id: string | undefined) => screens.find((s) => s.id === id)?.name ?? ''
  const meets = (a: string, b: string) => own(a).some((r) => r.a === b || r.b === b)
  const onFirst = (s: Screen) => first.isBase || own(s.id).length === 0 || meets(s.id, first.id)
  const rest = screens.filter((s) => s !== first)
  const byLap = (list: readonly Screen[]) => [...list].sort((a, b) => tightest(b.id) - tightest(a.id))
  const placed: Registered[] = [
    {
      id: first.id,
      on: undefined,
      reason: REGISTRATION.because(first.isBase ? 'REGISTER_BASE' : 'REGISTER_FIRST', { name: first.name }),
    },
  ]
  const isPlaced = (id: string) => placed.some((p) => p.id === id)
  for (const { id, name } of [...byLap(rest.filter(onFirst)), ...byLap(rest.filter((s) => !onFirst(s)))]) {
    const partners = own(id)
      .map((r) => ({ id: r.a === id ? r.b : r.a, lap: lapOf(r), how: r.how }))
      .filter((p) => isPlaced(p.id))
      .sort((a, b) => a.lap - b.lap)
    const [partner] = partners
    const hangs = rest.some((s) => s.id === id && onFirst(s))
    const on = hangs || !partner ? first.id : partner.id
    const seen = partner && partner.id !== on ? partner : undefined
    const rule = seen ? 'REGISTER_LOOK' : partner ? MEETS[partner.how] : 'REGISTER_FREE'
    const inputs = { name, other: nameOf(on), partner: nameOf(seen?.id) }
    placed.push({ id, on, reason: REGISTRATION.because(rule, inputs) })
  }
  return placed
}

const MEETS = {
  touch: 'REGISTER_TOUCH',
  overlap: 'REGISTER_OVERLAP',
  blend: 'REGISTER_BLEND',
  gap: 'REGISTER_GAP',
} as const satisfies Record<ArtRelation['how'], string>
