import { q, type Reason } from '../advice'
import type { Press } from '../equipment'
import { HEAT } from '../heat'
import { INK } from '../ink'
import { type Cloth, driesInScreen, type Placement } from '../order'
import { chokeTooTight, gapHolds, USUAL_GAP } from '../registration'
import { SCREEN } from '../screen'
import { PLAN } from './definition'
import type { Context } from './hitPlans'
import type { Separation } from './hits'
import { BENCH_SCREENS } from './press'
import type { FlashPlan } from './runPlan'

/** Rounds of a pallet after which it is hot (common practice). */
const HOT_AFTER = 20
/** Rough cloth holds no finer dots (from memory). */
const ROUGH_RULING = 45 / 0.0254
/** Prints between two stirs of an ink with flakes (from memory). */
const STIRRED = 25
/** Cloth lighter than this puckers under raised ink (from memory). */
const THIN = 0.15

/** What a lead expects to be told of such a job. */
export function cautionNotes(
  { run }: Context,
  press: Press,
  cloth: Cloth,
  separations: readonly Separation[],
  flashes: readonly FlashPlan[],
): readonly Reason[] {
  const named = (inkType: Separation['inkType']) => separations.filter((s) => s.inkType === inkType)
  const pallets =
    press.kind === 'manual' ? press.pallets : press.kind === 'automatic' ? press.stations.length : 1
  const heated = flashes.some((f) => f.unit) && run.quantity / pallets >= HOT_AFTER
  const fine = Math.max(0, ...separations.map((s) => s.drawn.ruling ?? 0))
  return [
    ...(cloth.weave !== 'jersey' && fine > ROUGH_RULING
      ? [
          SCREEN.because('RULING_ROUGH', {
            cloth: cloth.name,
            ruling: q('ruling', fine),
            most: q('ruling', ROUGH_RULING),
          }),
        ]
      : []),
    ...named('metallic').map((s) => INK.because('STIR', { name: s.hit.name, every: q('count', STIRRED) })),
    ...named('expanding')
      .filter(() => cloth.weight < THIN)
      .map((s) =>
        HEAT.because('PUCKERS', {
          name: s.hit.name,
          cloth: cloth.name,
          weight: q('arealMass', cloth.weight),
        }),
      ),
    ...(heated
      ? [HEAT.because('BOARDS_HOT', { pieces: q('count', pallets * HOT_AFTER), press: press.name })]
      : []),
  ]
}

/** A base that shows beside what lies on it, as its films and a usual set-up have it. */
export function chokeNote(
  { width, height, choke }: Placement,
  separations: readonly Separation[],
): readonly Reason[] {
  const based = separations.some((s) => s.hit.role === 'base') && separations.some((s) => s.hit.onBase)
  const tight = based && choke !== undefined ? chokeTooTight(width, height, choke) : undefined
  return tight ? [tight] : []
}

/** Gaps that are left on purpose, against what a usual set-up misses by. */
export function gapNotes({ width, height, relations, inks }: Placement): readonly Reason[] {
  const name = (id: string) => inks.find((ink) => ink.id === id)?.name || id
  return relations.flatMap((r) =>
    r.how === 'gap' ? [gapHolds(width, height, r.width ?? USUAL_GAP, [name(r.a), name(r.b)])] : [],
  )
}

/** What a bench cannot hold or dry. */
export function onBench(
  press: Press,
  flashes: readonly FlashPlan[],
  separations: readonly Separation[],
): readonly Reason[] {
  if (press.kind !== 'bench') return []
  const screens = q('count', separations.length)
  const loose =
    separations.length > BENCH_SCREENS ? [PLAN.because('BENCH_REGISTER', { screens, press: press.name })] : []
  const wet = flashes.some((f) => !f.unit) ? separations.filter((s) => !driesInScreen(s.system)) : []
  const [first] = wet
  return first ? [...loose, HEAT.because('NO_RACK', { name: first.hit.name, press: press.name })] : loose
}
