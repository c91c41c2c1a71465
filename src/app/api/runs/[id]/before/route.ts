import { jobKindOf, nearest, planChanges } from '@/core/plan'
import { allAccounts } from '@/store/accounts'
import { database } from '@/store/database'
import { batchesFor } from '@/store/inkRoom'
import { latestRevisions } from '@/store/revisions'
import { loadShop } from '@/store/shop'
import { planRun } from '../../../../planning'
import { readFacts } from '../../../../runs/readRun'
import { answered, json, nothing } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

/** What the shop did before that is like this run; of the same design what is left of it, and what changed since. */
export async function GET(_: Request, { params }: Context): Promise<Response> {
  return answered(async () => {
    const { id } = await params
    const db = await database()
    const facts = await readFacts(db, id)
    if (!facts) return nothing(`run ${id} that can be planned`)
    const plan = await planRun(facts)
    const kind = jobKindOf(facts.order, plan)
    const accounts = await allAccounts(db)
    const past = accounts.filter((a) => a.runId !== id)
    const own = accounts.find((a) => a.runId === id)
    const near = nearest(kind, past)
    const same = near.find((n) => n.sameDesign)?.run
    const revision = same && (await latestRevisions(db, [same.runId])).get(same.runId)
    const { frames } = (await loadShop(db)).shelf.shop
    return json({
      near: near.map(({ run: { through: _, ...run }, ...apart }) => ({ ...apart, run })),
      // What the crew found otherwise, for the lead to take into the plan.
      found: own && { set: own.set.length, down: own.down },
      again: revision && {
        changes: planChanges(revision.plan, plan),
        tubs: (await batchesFor(db, [revision.runId])).map(({ id: tub, name, mass }) => ({
          id: tub,
          name,
          mass,
        })),
        screens: frames
          .filter((f) => f.stencil?.order === facts.order.id && f.stencil.print === plan.run.placement.id)
          .map((f) => ({ id: f.id, words: f.stencil?.words ?? '', mounted: f.mounted !== undefined })),
      },
    })
  })
}
