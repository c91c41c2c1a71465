import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { Kysely, type MigrationProvider, Migrator, SqliteDialect } from 'kysely'
import Sqlite from 'libsql'
import { up as shopAndOrders } from './migrations/001_shop_and_orders'
import type { Tables } from './schema'

export type Database = Kysely<Tables>

const migrations: MigrationProvider = {
  getMigrations: async () => ({ '001_shop_and_orders': { up: shopAndOrders } }),
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
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: sqlite as never }) })
  const { error } = await new Migrator({ db, provider: migrations }).migrateToLatest()
  if (error) throw error
  return db
}

const shared = globalThis as { orvintDatabase?: Promise<Database> }

/** The one open database of the server; kept across hot reloads. */
export function database(): Promise<Database> {
  shared.orvintDatabase ??= (() => {
    const folder = dataFolder()
    mkdirSync(folder, { recursive: true })
    return openDatabase(join(folder, 'orvint.sqlite'))
  })()
  return shared.orvintDatabase
}
