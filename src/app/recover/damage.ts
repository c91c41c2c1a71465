import { sql } from 'kysely'
import { database } from '@/store/database'
import { diskProblem, WAY_OUT } from '@/store/problems'

/** What is wrong with the data, in words; empty when it can be read. */
export async function damage(): Promise<string> {
  try {
    const { rows } = await sql<{ quick_check: string }>`PRAGMA quick_check(1)`.execute(await database())
    return rows[0]?.quick_check === 'ok' ? '' : 'The data file is damaged inside.'
  } catch (error) {
    // The way out is the page that says this.
    return diskProblem(error)?.replace(WAY_OUT, '').trim() ?? 'The data cannot be opened.'
  }
}
