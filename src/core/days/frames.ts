import { stepTime } from '../schedule'
import type { DayScreen, ShopDays } from './facts'
import type { DayRun, DaysProblem, Span } from './problem'

/** A frame is stripped and clean again after so long, min (from memory). */
const RECLAIM = 40

type Frames = ShopDays['shop']['frames']

/** Nothing is on it that a job ahead wants: what else it carries is stripped when the frame is wanted. */
export const isFree = ({ state, stencil, standing }: Frames[number], wanted: ShopDays['screens']) =>
  state === 'clean' &&
  standing === undefined &&
  (stencil === undefined || wanted[`${stencil.order}.${stencil.print}`] === undefined)

/** Kinds of mesh in the house, finest last. */
export const meshesOf = (frames: Frames): readonly number[] =>
  [
    ...new Set(
      frames.filter((f) => f.state !== 'retired' && f.standing === undefined).map((f) => Math.round(f.mesh)),
    ),
  ].sort((a, b) => a - b)

/** The kind of mesh in the house that is nearest to what a screen wants. */
export const nearest = (meshes: readonly number[], { mesh }: DayScreen): number =>
  meshes.reduce((best, m, i) => (Math.abs(m - mesh) < Math.abs((meshes[best] ?? m) - mesh) ? i : best), 0)

/** The frames that all screens of a run hang on. */
export const allOf = ({ frames, already = [] }: Pick<DayRun, 'frames' | 'already'>): DayRun['frames'] => {
  const counts = new Map<number, number>()
  for (const f of [...frames, ...already]) counts.set(f.mesh, (counts.get(f.mesh) ?? 0) + f.count)
  return [...counts].map(([mesh, count]) => ({ mesh, count }))
}

/** The screen room: one pair of hands, and what a screen takes there. */
export function roomOf({ screens }: ShopDays['shop'], works: readonly Span[]): DaysProblem['room'] {
  const minutes = (...steps: Parameters<typeof stepTime>[0][]) =>
    Math.ceil(steps.reduce((sum, step) => sum + stepTime(step, screens.humidity), 0) / 60)
  return {
    works,
    hands: 1,
    handling: minutes('coat', 'expose', 'wash', 'check', 'tape'),
    waiting: minutes('dry', 'dryOff'),
    reclaim: RECLAIM,
    ...(screens.racks !== undefined && { racks: screens.racks }),
  }
}
