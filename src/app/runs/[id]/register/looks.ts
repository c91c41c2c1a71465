import { type LookHere, whereToLook } from '@/core/registration'
import type { SheetFacts } from '@/formats/sheet'
import type { Database } from '@/store/database'
import { filmsOn } from '../../../films/onTable'

/** Where a miss of each screen of a run shows first, as its films say; nothing for films that were not read. */
export async function looksOf(
  db: Database,
  { order, plan }: SheetFacts,
): Promise<Readonly<Record<string, readonly LookHere[]>>> {
  const { placement } = plan.run
  const { films, reading } = await filmsOn(db, order.id, placement.id)
  if (!reading?.print) return {}
  const { print, pairs } = reading
  const inkOf = (at: number) => films.find((f) => f.id === reading.films[at])?.ink ?? ''
  const nameOf = (ink: string) =>
    ink === 'base' ? 'the base' : (placement.inks.find((i) => i.id === ink)?.name ?? '')
  return Object.fromEntries(
    plan.hits.map(({ hit }) => {
      const meets = pairs.flatMap(({ a, b, tight }) => {
        const [one, other] = [inkOf(a), inkOf(b)]
        if (!tight || !nameOf(one) || !nameOf(other) || (one !== hit.id && other !== hit.id)) return []
        return [{ other: nameOf(one === hit.id ? other : one), tight }]
      })
      return [hit.id, whereToLook(hit.name, meets, print)]
    }),
  )
}
