import { mkdir, readdir, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { format, parseISO, set, subDays } from 'date-fns'
import { sql } from 'kysely'
import { type Database, dataFolder, openDatabase } from './database'

/** A copy of the whole database in one file. */
export interface Backup {
  readonly name: string
  /** ISO time. */
  readonly at: string
  readonly bytes: number
}

/** How many backups are kept; the oldest go first. */
const KEPT = 30
const NAME = /^orvint-[\d-]+\.sqlite$/

const folder = () => join(dataFolder(), 'backups')

/** Backups, the newest first. */
export async function listBackups(): Promise<readonly Backup[]> {
  const names = await readdir(folder()).catch((): string[] => [])
  const found = await Promise.all(
    names
      .filter((n) => NAME.test(n))
      .map(async (name) => {
        const { mtime, size } = await stat(join(folder(), name))
        return { name, at: mtime.toISOString(), bytes: size }
      }),
  )
  return found.sort((a, b) => b.name.localeCompare(a.name))
}

/** Copies the database as it is at this moment, while others go on working. */
export async function backUp(db: Database, now: Date): Promise<string> {
  await mkdir(folder(), { recursive: true })
  const name = `orvint-${format(now, 'yyyy-MM-dd-HHmmss')}.sqlite`
  await sql`VACUUM INTO ${join(folder(), name)}`.execute(db)
  for (const old of (await listBackups()).slice(KEPT)) await rm(join(folder(), old.name))
  return name
}

/**
 * Puts a backup in place of what is there, in one transaction. What is there is backed up first.
 *
 * @throws Error when there is no such backup or it is damaged; then nothing has changed
 */
export async function restore(db: Database, name: string, now: Date): Promise<void> {
  if (!NAME.test(name)) throw new Error(`There is no backup ${name}.`)
  const file = join(folder(), name)
  await stat(file)
  // Opening brings an old backup's tables up to date, and refuses a damaged file.
  const copy = await openDatabase(file)
  const sound = await sql<{ integrity_check: string }>`PRAGMA integrity_check`.execute(copy)
  await copy.destroy()
  if (sound.rows[0]?.integrity_check !== 'ok') throw new Error(`The backup ${name} is damaged.`)
  await backUp(db, now)
  await sql`ATTACH ${file} AS backup`.execute(db)
  try {
    await db.transaction().execute(async (tx) => {
      await sql`PRAGMA defer_foreign_keys = ON`.execute(tx)
      const { rows } = await sql<{ name: string }>`
        SELECT name FROM backup.sqlite_schema
        WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`.execute(tx)
      for (const table of rows) await sql`DELETE FROM main.${sql.ref(table.name)}`.execute(tx)
      for (const table of rows)
        await sql`INSERT INTO main.${sql.ref(table.name)} SELECT * FROM backup.${sql.ref(table.name)}`.execute(
          tx,
        )
    })
  } finally {
    await sql`DETACH backup`.execute(db)
  }
}

/** When the night's backup is due, in hours after midnight. */
const NIGHT = 2

/** A backup unless there is one since the last night; so the first is made at once. */
export async function backUpNightly(db: Database, now: Date): Promise<void> {
  const [last] = await listBackups()
  const today = set(now, { hours: NIGHT, minutes: 0, seconds: 0, milliseconds: 0 })
  const night = today > now ? subDays(today, 1) : today
  if (!last || parseISO(last.at) < night) await backUp(db, now)
}
