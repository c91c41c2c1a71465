import type { ArtRelation, InkColour, Placement } from '../order'
import type { Angle, Length, Ruling, Share } from '../quantity'
import type { FilmFacts, PairFacts, Rectangle, SetFacts } from './facts'

/** Halftone of less area than this is a corner of something else: 1 cm2. */
const TINTED = 1e-4
/** Every colour of an order prints something. */
const LEAST: Share = 0.001

/** Coverage of the print's rectangle, and the ruling of what is mostly tinted. */
export function colourOf(
  facts: FilmFacts,
  print: Rectangle,
): {
  readonly coverage: Share
  readonly ruling: Ruling | undefined
  readonly angle: Angle | undefined
  readonly line: Length | undefined
  readonly gap: Length | undefined
} {
  const [screen] = facts.halftones.filter((h) => h.sure).sort((a, b) => b.area - a.area)
  const tint = screen && screen.area > TINTED ? screen : undefined
  return {
    coverage: Math.max(LEAST, facts.inkArea / (print.width * print.height)),
    ruling: tint?.ruling,
    angle: tint?.angle,
    line: facts.line?.width,
    gap: facts.gap?.width,
  }
}

/** How an order tells of two films that meet; undefined when they stay apart. */
export function relationOf(pair: PairFacts): Omit<ArtRelation, 'a' | 'b'> | undefined {
  if (pair.how === 'apart') return undefined
  if (pair.how === 'touching') return { how: 'touch' }
  if (pair.how === 'blending') return { how: 'blend' }
  return { how: 'overlap', ...(pair.trap ? { width: pair.trap.median } : {}) }
}

/** A film is inside another when this much of it lies on that. */
const INSIDE: Share = 0.95

/**
 * Which of two films lies over the other, where they tell: what is drawn wholly inside a solid would be hidden under it. The number of
 * its film; undefined where neither is inside, or both are.
 */
export function overOf({ a, b, how, overlap }: PairFacts, facts: readonly FilmFacts[]): number | undefined {
  if (how !== 'overprinting') return undefined
  const isInside = (film: number) => overlap >= INSIDE * (facts[film]?.inkArea ?? Number.POSITIVE_INFINITY)
  if (isInside(a) === isInside(b)) return undefined
  return isInside(a) ? a : b
}

/** Readings nearer than this to what the order says are no news: shares and metres; the ruling by its own share. */
const SAME = {
  coverage: 0.005,
  ruling: 0.02,
  size: 0.001,
  width: 0.00005,
  angle: 0.01,
  line: 0.00003,
  choke: 0.00003,
} as const

const near = <T extends number>(was: T, is: T, most: number): T => (Math.abs(is - was) <= most ? was : is)

const pairKey = (r: { readonly a: string; readonly b: string }) => [r.a, r.b].sort().join(' ')

/**
 * A print as its films tell it: size, coverage, ruling and meetings. What the films do not tell stays, and so does
 * what they tell alike.
 *
 * @param inkOf the ink that each film is for, in the order of the facts; others are passed over
 * @param choke of the film of the base, where there is one
 */
export function asRead(
  placement: Placement,
  inkOf: readonly string[],
  { facts, pairs, print }: SetFacts,
  choke?: Length,
): Placement {
  if (!print) return placement
  const inks = placement.inks.map((ink): InkColour => {
    const own = facts[inkOf.indexOf(ink.id)]
    if (!own) return ink
    // Which way round it is read is asked first.
    if (own.either) return ink
    const { coverage, ...seen } = colourOf(own, print)
    const { ruling: _, angle: __, line: ___, gap: ____, ...rest } = ink
    const said = <K extends keyof typeof seen>(key: K, most: number) => {
      const [was, is] = [ink[key], seen[key]]
      if (is === undefined) return {}
      return { [key]: was === undefined ? is : near(was, is, most) }
    }
    return {
      ...rest,
      coverage: near(ink.coverage, Math.round(coverage * 1000) / 1000, SAME.coverage),
      ...said('ruling', SAME.ruling * (ink.ruling ?? 0)),
      ...said('angle', SAME.angle),
      ...said('line', SAME.line),
      ...said('gap', SAME.line),
    }
  })
  const colours = new Set(inks.map((i) => i.id).filter((id) => inkOf.includes(id)))
  const untold = placement.relations.filter((r) => !colours.has(r.a) || !colours.has(r.b))
  const old = new Map(placement.relations.map((r) => [pairKey(r), r]))
  const told = pairs.flatMap((p): ArtRelation[] => {
    const relation = relationOf(p)
    const [a = '', b = ''] = [inkOf[p.a], inkOf[p.b]]
    if (!colours.has(a) || !colours.has(b)) return []
    const was = old.get(pairKey({ a, b }))
    // Films know only that they lie apart; that it is meant someone said.
    if (!relation) return was?.how === 'gap' ? [was] : []
    const same = was?.how === relation.how && Math.abs((was.width ?? 0) - (relation.width ?? 0)) <= SAME.width
    // What was said of the one that lies over stays, whatever films tell.
    const film = overOf(p, facts)
    const lies = was?.over ?? (film === undefined ? undefined : inkOf[film])
    const over = lies !== undefined && relation.how === 'overlap' ? { over: lies } : {}
    return [was && same ? { ...was, ...over } : { a, b, ...relation, ...over }]
  })
  return {
    ...placement,
    width: near(placement.width, print.width, SAME.size),
    height: near(placement.height, print.height, SAME.size),
    ...(choke === undefined ? {} : { choke: near(placement.choke ?? Number.NaN, choke, SAME.choke) }),
    inks,
    relations: [...untold, ...told],
  }
}

/** Two colours whose meeting two prints tell otherwise; `undefined` is apart. */
export interface Remeeting {
  readonly a: string
  readonly b: string
  readonly is: ArtRelation | undefined
}

/** Meetings that differ between a print and the same print as read. */
export function remeetings(before: Placement, after: Placement): readonly Remeeting[] {
  const was = new Map(before.relations.map((r) => [pairKey(r), r]))
  const is = new Map(after.relations.map((r) => [pairKey(r), r]))
  return [...new Map([...was, ...is]).values()].flatMap((r) => {
    const now = is.get(pairKey(r))
    const old = was.get(pairKey(r))
    const same = now?.how === old?.how && now?.width === old?.width
    return same ? [] : [{ a: r.a, b: r.b, is: now }]
  })
}
