import { mkdirSync } from 'node:fs'
import { rename, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { Kysely, Migrator, SqliteDialect, sql } from 'kysely'
import Sqlite from 'libsql'
import { guarded } from './guard'
import { MIGRATIONS } from './migrations'
import type { Tables } from './schema'
import { soundDatabase } from './sound'

export type Database = Kysely<Tables>

/** The data folder: `ORVINT_DATA`, else `data` in the project. */
export const dataFolder = (): string => process.env.ORVINT_DATA ?? join(process.cwd(), 'data')

/**
 * Opens a shop's database and brings its tables up to date.
 *
 * @param file a path, or `:memory:` in tests
 * @throws Error when the folder cannot be written or a migration fails
 */
export async function openDatabase(file: string): Promise<Database> {
  const sqlite = new Sqlite(file)
  sqlite.pragma('journal_mode = WAL')
  // What is acknowledged outlives a power cut, not only a crash.
  sqlite.pragma('synchronous = FULL')
  sqlite.pragma('foreign_keys = ON')
  sqlite.pragma('busy_timeout = 5000')
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: guarded(sqlite) }) })
  const { error } = await new Migrator({
    db,
    provider: { getMigrations: async () => MIGRATIONS },
  }).migrateToLatest()
  if (error) {
    await db.destroy()
    throw error
  }
  // Summaries were computed by the program that wrote them; this one may know better, so they are shown and renewed.
  await db.updateTable('run_summary').set({ stamp: '' }).execute()
  return db
}

/** Closes a database so that its one file holds all of it: it may be moved or copied then. */
export async function closeWhole(db: Database): Promise<void> {
  await sql`PRAGMA wal_checkpoint(TRUNCATE)`.execute(db)
  await sql`PRAGMA journal_mode = DELETE`.execute(db)
  await db.destroy()
}

/** The database in the data folder. */
export const FILE = 'orvint.sqlite'
/** One that is not finished yet never bears its name. */
export const MAKING = 'making-'

/**
 * Opens the database of a data folder; a new one is made beside it and moved in its place when it is whole.
 *
 * @throws Unopenable when what stands there is no shop's database
 */
async function openFolder(folder: string): Promise<Database> {
  mkdirSync(folder, { recursive: true })
  const file = join(folder, FILE)
  if (
    await stat(file).then(
      () => true,
      () => false,
    )
  )
    await soundDatabase(file)
  else {
    const making = join(folder, `${MAKING}${crypto.randomUUID()}`)
    await closeWhole(await openDatabase(making))
    for (const end of ['-wal', '-shm']) await rm(`${making}${end}`, { force: true })
    await rename(making, file)
  }
  return openDatabase(file)
}

const shared = globalThis as { orvintDatabase?: Promise<Database> | undefined }

/** The one open database of the server; kept across hot reloads. */
export const database = (): Promise<Database> => shared.orvintDatabase ?? keep(openFolder(dataFolder()))

/** Keeps what is being opened for whoever asks; what cannot be opened is tried anew, unless another took its place. */
function keep(opening: Promise<Database>): Promise<Database> {
  const kept: Promise<Database> = opening.catch((error) => {
    if (shared.orvintDatabase === kept) shared.orvintDatabase = undefined
    throw error
  })
  shared.orvintDatabase = kept
  return kept
}

/** Lets go of the open database, so that the next who asks opens what stands there then. */
export async function closeDatabase(): Promise<void> {
  const open = shared.orvintDatabase
  shared.orvintDatabase = undefined
  await open?.then((db) => db.destroy()).catch(() => undefined)
}

/**
 * Does what needs the data closed, and opens what stands there then. Whoever asks for the data meanwhile waits: a file that is away
 * for a moment is no new shop.
 */
export async function whileClosed<T>(work: () => Promise<T>): Promise<T> {
  const done = closeDatabase().then(work)
  // What is wrong with it is told to whoever asks for it.
  keep(done.catch(() => undefined).then(() => openFolder(dataFolder()))).catch(() => undefined)
  return done
}

/** Rows that were written without being news: what is computed from the rest. */
const quiet = new WeakMap<Database, number>()

/** Says that so many rows were written that are no news to anyone. */
export const hush = (db: Database, rows: number): void => {
  quiet.set(db, (quiet.get(db) ?? 0) + rows)
}

/** Changes when anything was written that people see, by this server or by another program. */
export async function changeStamp(db: Database): Promise<string> {
  const { rows } = await sql<{ total: number; version: number }>`
    SELECT total_changes() AS total, data_version AS version FROM pragma_data_version`.execute(db)
  const [row] = rows
  return `${(row?.total ?? 0) - (quiet.get(db) ?? 0)}.${row?.version ?? 0}`
}
