import { inverse, Matrix } from 'ml-matrix'
import type { Length } from '../../quantity'
import type { Pose } from './fit'
import { STILL } from './knobs'

/** Turns are counted as metres at this distance from the centre of the art. */
const ARM: Length = 0.15
/** Usual spread of a head that was never read, metres (assumed). */
const USUAL: Length = 0.09e-3
const PRIOR = { k: 1, nu: 8 } as const
/** So much of what was learnt is kept with each lock. */
const KEEPS = 0.95
/** Beyond this squared distance a lock is odd and widens the spread less (1 % of a chi-square of three). */
const ODD = 11.3
/** From this lock on it is asked whether the head is another one. */
const ASKED_FROM = 7
const OTHER = 20
/** Locks whose median is looked at. */
const LAST = 3
/** Locks after which it is turned against. */
const SURE_FROM = 3

/** How far a screen moved when its head was locked: metres and radians, as the operator sees it. */
export interface HeadLock extends Pose {
  readonly pressId: string
  readonly head: number
  /** ISO. */
  readonly at: string
}

/** A lock that moved a screen farther than this was none: metres, radians. */
export const MOST_LOCK = { move: 0.02, turn: 0.1 } as const

/** What is known of how a head moves when it is locked. */
export interface Drift {
  readonly locks: number
  /** As it moves on average: dx, dy in metres, turn in radians. */
  readonly mean: Pose
  /** One standard deviation of a single lock, the reading in it. */
  readonly spread: Pose
  /** What is turned against beforehand; nothing where it is not sure. */
  readonly against: Pose
  /** The lock, counted from 1, at which the head was found to be another one. */
  readonly changedAt: number | undefined
}

type Triple = readonly [number, number, number]
const tripleOf = ({ dx, dy, turn }: Pose): Triple => [dx, dy, ARM * turn]
const poseFrom = ([dx, dy, arm]: Triple): Pose => ({ dx, dy, turn: arm / ARM })
const each = (of: (i: 0 | 1 | 2) => number): Triple => [of(0), of(1), of(2)]

interface Belief {
  readonly mean: Triple
  readonly k: number
  readonly nu: number
  readonly psi: Matrix
}

const prior = (): Belief => ({
  ...PRIOR,
  mean: [0, 0, 0],
  psi: Matrix.eye(3).mul((PRIOR.nu - 4) * USUAL ** 2),
})

const spreadOf = ({ psi, nu }: Belief): Matrix => Matrix.mul(psi, 1 / (nu - 4))

/** Squared distance of a lock from what is expected, in its spread widened by what is not known of the mean. */
function away(e: Triple, b: Belief, widened: number): number {
  const v = Matrix.columnVector([...e])
  return v
    .transpose()
    .mmul(inverse(Matrix.mul(spreadOf(b), widened)))
    .mmul(v)
    .get(0, 0)
}

/** Old locks count less and less. */
function faded({ mean, k, nu, psi }: Belief): Belief {
  const start = prior()
  return {
    mean,
    k: start.k + KEEPS * (k - start.k),
    nu: start.nu + KEEPS * (nu - start.nu),
    psi: Matrix.add(Matrix.mul(psi, KEEPS), Matrix.mul(start.psi, 1 - KEEPS)),
  }
}

function learnt(before: Belief, d: Triple): Belief {
  const e = each((i) => d[i] - before.mean[i])
  const d2 = away(e, before, 1 + 1 / before.k)
  const b = faded(before)
  const w = Math.min(1, 8 / (5 + d2))
  const widens = d2 > ODD ? Math.min(w, (8 * w) / d2) : w
  const k = b.k + w
  const v = Matrix.columnVector([...e])
  return {
    mean: each((i) => b.mean[i] + (w / k) * e[i]),
    k,
    nu: b.nu + w,
    psi: Matrix.add(b.psi, v.mmul(v.transpose()).mul((widens * b.k) / k)),
  }
}

const middle = (list: readonly Triple[]): Triple =>
  each((i) => list.map((d) => d[i]).sort((a, b) => a - b)[list.length >> 1] ?? 0)

/**
 * What the locks of a head come to, oldest first: a normal and inverse Wishart belief that forgets, takes odd locks for less, and
 * begins anew where the last three say that the head is another one.
 *
 * @param locks fit after locking less fit before, the same marks and film: metres and radians
 */
export function driftOf(locks: readonly Pose[]): Drift {
  let belief = prior()
  let buffer: Triple[] = []
  let changedAt: number | undefined
  for (const [n, lock] of locks.entries()) {
    const d = tripleOf(lock)
    belief = learnt(belief, d)
    buffer = [...buffer, d].slice(-LAST)
    if (n + 1 < ASKED_FROM || buffer.length < LAST) continue
    const now = middle(buffer)
    const e = each((i) => now[i] - belief.mean[i])
    if (away(e, belief, 0.449 + 1 / belief.k) <= OTHER) continue
    belief = { ...belief, mean: now, k: PRIOR.k + 1.5 }
    buffer = []
    changedAt = n + 1
  }
  const s = spreadOf(belief)
  const { mean, k } = belief
  const isSure = (i: 0 | 1 | 2) => locks.length >= SURE_FROM && mean[i] ** 2 * k > s.get(i, i)
  return {
    locks: locks.length,
    mean: locks.length > 0 ? poseFrom(mean) : STILL,
    spread: poseFrom(each((i) => Math.sqrt(s.get(i, i)))),
    against: poseFrom(each((i) => (isSure(i) ? -mean[i] : 0))),
    changedAt,
  }
}

/** What a lock scatters by is never told finer, metres. */
const FLOOR: Length = 0.02e-3

/** How far locking leaves a screen off where its head is known, one standard deviation: without what reading it twice adds. */
function lockingOf({ locks, mean, spread, against }: Drift, read: Pose): Pose | undefined {
  if (locks < SURE_FROM) return undefined
  const [m, s, a, r] = [mean, spread, against, read].map(tripleOf) as [Triple, Triple, Triple, Triple]
  // What is not turned against stays in it.
  return poseFrom(
    each((i) => Math.sqrt(Math.max(FLOOR ** 2, s[i] ** 2 - 2 * r[i] ** 2) + (a[i] === 0 ? m[i] ** 2 : 0))),
  )
}

/** A head of a press, and how it moves when it is locked. */
export interface KnownHead {
  readonly pressId: string
  readonly head: number
  readonly drift: Drift
}

/** Of locks before these less than a twentieth is left. */
const COUNTED = 60

/** The heads of which locks are noted. @param locks oldest first */
export function knownHeads(locks: readonly HeadLock[]): readonly KnownHead[] {
  const of = new Map<string, HeadLock[]>()
  for (const lock of locks) {
    const key = `${lock.pressId} ${lock.head}`
    const own = of.get(key)
    if (own) own.push(lock)
    else of.set(key, [lock])
  }
  return [...of.values()].flatMap((own) => {
    const [first] = own
    return first ? [{ pressId: first.pressId, head: first.head, drift: driftOf(own.slice(-COUNTED)) }] : []
  })
}

/**
 * The worst of some heads of a press, as they are locked; undefined where one of them is not known yet.
 *
 * @param read one standard deviation of a pose that is read off the marks
 */
export function lockingOn(
  known: readonly Pick<KnownHead, 'head' | 'drift'>[],
  heads: readonly number[],
  read: Pose,
): Pose | undefined {
  const found = heads.map((head) => {
    const own = known.find((k) => k.head === head)
    return own && lockingOf(own.drift, read)
  })
  const sure = found.flatMap((f) => f ?? [])
  if (sure.length === 0 || sure.length < found.length) return undefined
  return sure.reduce((a, b) => (Math.hypot(b.dx, b.dy) > Math.hypot(a.dx, a.dy) ? b : a))
}
