import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { Kysely, type MigrationProvider, Migrator, SqliteDialect, sql } from 'kysely'
import Sqlite from 'libsql'
import { up as shopAndOrders } from './migrations/001_shop_and_orders'
import { up as films } from './migrations/002_films'
import { up as screens } from './migrations/003_screens'
import { up as inkRoom } from './migrations/004_ink_room'
import { up as weighed } from './migrations/005_weighed'
import { up as prices } from './migrations/006_prices'
import { up as atThePress } from './migrations/007_at_the_press'
import type { Tables } from './schema'

export type Database = Kysely<Tables>

const migrations: MigrationProvider = {
  getMigrations: async () => ({
    '001_shop_and_orders': { up: shopAndOrders },
    '002_films': { up: films },
    '003_screens': { up: screens },
    '004_ink_room': { up: inkRoom },
    '005_weighed': { up: weighed },
    '006_prices': { up: prices },
    '007_at_the_press': { up: atThePress },
  }),
}

/** The data folder: `ORVINT_DATA`, else `data` in the project. */
export const dataFolder = (): string => process.env.ORVINT_DATA ?? join(process.cwd(), 'data')

/**
 * Opens the shop's database and brings its tables up to date.
 *
 * @param file a path, or `:memory:` in tests
 * @throws Error when the folder cannot be written or a migration fails
 */
export async function openDatabase(file: string): Promise<Database> {
  const sqlite = new Sqlite(file)
  sqlite.pragma('journal_mode = WAL')
  sqlite.pragma('foreign_keys = ON')
  sqlite.pragma('busy_timeout = 5000')
  // On a full disk the engine rolls back by itself; to roll back once more would only hide why.
  const prepare = sqlite.prepare.bind(sqlite)
  sqlite.prepare = (text) => prepare(text === 'rollback' && !sqlite.inTransaction ? 'SELECT 0' : text)
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: sqlite as never }) })
  const { error } = await new Migrator({ db, provider: migrations }).migrateToLatest()
  if (error) throw error
  // Summaries were computed by the program that wrote them; this one may know better.
  await db.deleteFrom('run_summary').execute()
  return db
}

/** The database in the data folder. */
export const FILE = 'orvint.sqlite'

const shared = globalThis as { orvintDatabase?: Promise<Database> | undefined }

/** Changes when anything was written, by this server or by another program. */
export async function changeStamp(db: Database): Promise<string> {
  const { rows } = await sql<{ stamp: string }>`
    SELECT total_changes() || '.' || data_version AS stamp FROM pragma_data_version`.execute(db)
  return rows[0]?.stamp ?? ''
}

/** The one open database of the server; kept across hot reloads. */
export function database(): Promise<Database> {
  shared.orvintDatabase ??= (async () => {
    const folder = dataFolder()
    mkdirSync(folder, { recursive: true })
    return openDatabase(join(folder, FILE))
  })().catch((error) => {
    shared.orvintDatabase = undefined
    throw error
  })
  return shared.orvintDatabase
}
