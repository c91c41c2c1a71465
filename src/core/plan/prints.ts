import { q, type Reason, type ShopMethod } from '../advice'
import { cureFor } from '../heat'
import { hardestCloth, type Order, type Run, splitOrder } from '../order'
import type { Temperature } from '../quantity'
import { PLAN } from './definition'

/** One print of those on a garment, in the order in which they are printed. */
export interface PrintInTurn {
  readonly run: Run
  /** Passes through the dryer after its own. */
  readonly heatedAgain: number
  readonly reasons: readonly Reason[]
}

const isRaised = (run: Run) => run.placement.inks.some((i) => i.inkType === 'expanding')
const area = ({ placement }: Run) => placement.width * placement.height
/** Each size of each line by itself: art for children and for adults never meet on one. */
const garmentsOf = ({ lines }: Run) => lines.flatMap((l) => l.sizes.map((s) => `${l.id} ${s.size}`))
const isLabel = (run: Run) => run.placement.where === 'neckLabel'
/** Labels stand where the shop holds them, raised ink behind all. */
const rank = (run: Run, last: boolean) => (isRaised(run) ? 3 : isLabel(run) ? (last ? 2 : 0) : 1)

/** Film temperature at the cure of a run as it is advised, kelvin, and the most its inks take. */
function cureOf(run: Run, method: ShopMethod) {
  const { placement } = run
  const needs = placement.inks.map((i) => ({ ...i, system: i.system === 'house' ? method.ink : i.system }))
  const print = { width: placement.width, length: placement.height }
  const { inkFilm } = cureFor(needs, hardestCloth(run), { garment: print, print }, [], method, {})
  return { own: inkFilm.advised, most: inkFilm.range[1] }
}

/**
 * The runs of the order that meet on the garments of this one, itself among them, in their order of printing, each with the
 * heat it sees again.
 *
 * @param films at the cure of each run that is set, kelvin by run; the others cure as advised
 */
export function printsInTurn(
  order: Order,
  of: Run,
  method: ShopMethod,
  films: Readonly<Record<string, Temperature | undefined>> = {},
): readonly PrintInTurn[] {
  const labelLast = method.label === 'last'
  const garments = new Set(garmentsOf(of))
  const runs = splitOrder(order)
    .filter((r) => r.placement.inks.length > 0 && garmentsOf(r).some((g) => garments.has(g)))
    .sort((a, b) => rank(a, labelLast) - rank(b, labelLast) || area(a) - area(b))
  const raised = runs.filter(isRaised).length
  const cures = runs.map((r) => {
    const cure = cureOf(r, method)
    return { ...cure, own: films[r.id] ?? cure.own }
  })
  return runs.map((run, i): PrintInTurn => {
    const own = garmentsOf(run)
    const meets = (j: number) => garmentsOf(runs[j] as Run).some((g) => garments.has(g) && own.includes(g))
    const again = cures.flatMap((c, j) => (j > i && meets(j) ? [c.own] : []))
    const rule = isRaised(run)
      ? 'PRINTS_RAISED'
      : isLabel(run)
        ? labelLast
          ? 'PRINTS_LABEL_LAST'
          : 'PRINTS_LABEL'
        : 'PRINTS_SMALL'
    const heat = again.length > 0 ? heatedAgain(cures[i] as Cured, again) : []
    const flat =
      isRaised(run) && again.length > 0
        ? [PLAN.because('PRINTS_RAISED_AGAIN', { count: q('count', raised) })]
        : []
    return { run, heatedAgain: again.length, reasons: [PLAN.because(rule), ...heat, ...flat] }
  })
}

type Cured = ReturnType<typeof cureOf>

/** What later passes through the dryer do to a print. */
function heatedAgain({ own, most }: Cured, again: readonly number[]): readonly Reason[] {
  const later = Math.max(...again)
  const inputs = {
    times: again.length === 1 ? 'once' : `${again.length} times`,
    later: q('temperature', later),
    own: q('temperature', own),
    most: q('temperature', most),
  }
  return [
    PLAN.because('PRINTS_AGAIN', inputs),
    ...(later > most ? [PLAN.because('PRINTS_TOO_HOT', inputs)] : []),
  ]
}
