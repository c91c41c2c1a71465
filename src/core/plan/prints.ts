import { because, q, type Reason, ruleTable } from '../advice'
import { type Order, type Run, splitOrder } from '../order'

export const PRINTS_RULES = ruleTable({
  PRINTS_LABEL: {
    says: 'The label first: nothing is pressed or dried over a finished print.',
    source: 'common practice',
  },
  PRINTS_RAISED: {
    says: 'Raised ink last: it sees the dryer once, and no heat press.',
    source: 'common practice',
  },
  PRINTS_SMALL: {
    says: 'Small before large: the main print is heated least.',
    source: 'common practice',
  },
  PRINTS_AGAIN: {
    says: 'It goes through the dryer {times} more after its own: watch for gloss, shrinking and dye coming through on polyester.',
    source: 'common practice',
  },
  PRINTS_RAISED_AGAIN: {
    says: '{count} prints of raised ink: all but the last are heated again and may fall flat.',
    source: 'common practice',
    severity: 'Watch',
  },
})

/** One print of those on a garment, in the order in which they are printed. */
export interface PrintInTurn {
  readonly run: Run
  /** Passes through the dryer after its own. */
  readonly heatedAgain: number
  readonly reasons: readonly Reason[]
}

const isRaised = (run: Run) => run.placement.inks.some((i) => i.character === 'expanding')
const area = ({ placement }: Run) => placement.width * placement.height
const rank = (run: Run) => (isRaised(run) ? 2 : run.placement.where === 'neckLabel' ? 0 : 1)

/** The runs of the order that meet on the garments of this one, itself among them, in their order of printing. */
export function printsInTurn(order: Order, of: Run): readonly PrintInTurn[] {
  const garments = new Set(of.lines.map((l) => l.id))
  const runs = splitOrder(order)
    .filter((r) => r.placement.inks.length > 0 && r.lines.some((l) => garments.has(l.id)))
    .sort((a, b) => rank(a) - rank(b) || area(a) - area(b))
  const raised = runs.filter(isRaised).length
  return runs.map((run, i): PrintInTurn => {
    const heatedAgain = runs.length - 1 - i
    const rule = isRaised(run)
      ? 'PRINTS_RAISED'
      : run.placement.where === 'neckLabel'
        ? 'PRINTS_LABEL'
        : 'PRINTS_SMALL'
    return {
      run,
      heatedAgain,
      reasons: [
        because(PRINTS_RULES, rule),
        ...(heatedAgain > 0
          ? [
              because(PRINTS_RULES, 'PRINTS_AGAIN', {
                times: heatedAgain === 1 ? 'once' : `${heatedAgain} times`,
              }),
            ]
          : []),
        ...(isRaised(run) && heatedAgain > 0
          ? [because(PRINTS_RULES, 'PRINTS_RAISED_AGAIN', { count: q('count', raised) })]
          : []),
      ],
    }
  })
}
