import type { JobKind } from './account'

/** How far apart two jobs are, and by what. */
export interface Apart {
  readonly distance: number
  /** What differs, the most first. */
  readonly because: readonly string[]
}

/** Runs under this are worth showing; under the second their settings are worth copying (model of the record, section 7). */
export const NEAR = 3
export const COPY = 2

const step = (words: string, by: number) => ({ words, by })
const capped = (x: number, most: number) => Math.min(most, x)

/**
 * How far a past run is from a job: steps and logarithms added up (model of the record, section 7; weights assumed). The same
 * design comes first. Ink that dries in the screen and ink that does not are never compared.
 *
 * @param runsAgo how many runs of the shop lie between
 * @returns undefined where the two cannot be compared
 */
export function apart(job: JobKind, past: JobKind, runsAgo: number): Apart | undefined {
  if (job.water !== past.water) return undefined
  const families = (inks: readonly string[]) => new Set(inks.map((i) => i.split(' ')[0]))
  const sameInks = job.inks.join() === past.inks.join()
  const sameFamily = [...families(job.inks)].sort().join() === [...families(past.inks)].sort().join()
  const steps = [
    step(
      job.pressKind === past.pressKind ? 'another press of its kind' : 'another kind of press',
      job.pressId === past.pressId ? 0 : job.pressKind === past.pressKind ? 1 : 3,
    ),
    step('another cloth', job.cloth === past.cloth ? 0 : job.weave === past.weave ? 0.7 : 2),
    step(past.dark ? 'dark cloth' : 'light cloth', job.dark === past.dark ? 0 : 2),
    step('other inks', sameInks ? 0 : sameFamily ? 0.7 : 2),
    step('another mesh', capped(Math.abs(Math.log(job.mesh / past.mesh)) / 0.18, 3)),
    step(`${past.screens} screens for ${job.screens}`, capped(0.4 * Math.abs(job.screens - past.screens), 2)),
    step(
      `${past.pieces} pieces for ${job.pieces}`,
      capped(
        (0.5 * Math.abs(Math.log(Math.max(1, job.pieces) / Math.max(1, past.pieces)))) / Math.log(4),
        1.5,
      ),
    ),
    step('another place', job.finish === past.finish ? 0 : 1),
    step('long ago', capped((0.25 * runsAgo) / 100, 1)),
  ]
  return {
    distance: steps.reduce((sum, s) => sum + s.by, 0),
    because: steps
      .filter((s) => s.by >= 0.1)
      .sort((a, b) => b.by - a.by)
      .map((s) => s.words),
  }
}

/** A past run beside a job. */
export interface Near<A> extends Apart {
  readonly run: A
  readonly sameDesign: boolean
}

/** The past runs nearest to a job, the same design first, three at the most. @param past newest first */
export function nearest<A extends { readonly kind: JobKind }>(
  job: JobKind,
  past: readonly A[],
): readonly Near<A>[] {
  return past
    .flatMap((run, i): readonly Near<A>[] => {
      const found = apart(job, run.kind, i)
      return found ? [{ ...found, run, sameDesign: run.kind.design === job.design }] : []
    })
    .filter((n) => n.sameDesign || n.distance < NEAR)
    .sort((a, b) => Number(b.sameDesign) - Number(a.sameDesign) || a.distance - b.distance)
    .slice(0, 3)
}
