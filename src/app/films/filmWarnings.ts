import type { Reason } from '@/core/advice'
import { filmFindings } from '@/core/artwork'
import type { Database } from '@/store/database'
import { filmsOf } from './onTable'

/** What stands against the films of an order as they were read last, for each print: findings that warn. */
export async function filmWarningsOf(
  db: Database,
  orderId: string,
): Promise<Readonly<Record<string, readonly Reason[]>>> {
  const found = Object.entries(await filmsOf(db, orderId)).map(([print, { films, reading }]) => {
    if (!reading) return [print, []] as const
    const names = reading.films.map((id) => films.find((f) => f.id === id)?.name ?? id)
    const told = filmFindings(reading.facts, names, reading.pairs, reading.tiles)
    return [
      print,
      told.map((f) => f.reason).filter((r) => r.severity === 'Stop' || r.severity === 'Watch'),
    ] as const
  })
  return Object.fromEntries(found)
}
