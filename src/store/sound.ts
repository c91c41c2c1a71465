import { open as openFile, readdir, rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import Sqlite from 'libsql'
import { messageOf } from '@/core/quantity'
import { MIGRATIONS } from './migrations'

/** Why a file cannot be opened as the shop's database; a sentence for a person. */
export class Unopenable extends Error {
  override readonly name = 'Unopenable'
}

const HEADER = 'SQLite format 3\0'
/** What every database of a shop has had from the first version on. */
const TABLES = ['customer_order', 'shop', 'press', 'run', 'revision', 'kysely_migration'] as const

async function firstBytes(file: string): Promise<string> {
  const handle = await openFile(file, 'r')
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(HEADER.length), 0, HEADER.length, 0)
    return buffer.subarray(0, bytesRead).toString('latin1')
  } finally {
    await handle.close()
  }
}

/**
 * Looks whether a file is a shop's database that this program can read, without changing it. A file that is not there yet is
 * none of this.
 *
 * @param whole also every page of it (`integrity_check`): slow, for copies
 * @throws Unopenable with what is wrong, in words
 */
export async function soundDatabase(file: string, whole = false): Promise<void> {
  const { size } = await stat(file)
  if (size === 0)
    throw new Unopenable('The data file is empty, 0 bytes: something cut it off. It is no empty shop.')
  if ((await firstBytes(file)) !== HEADER)
    throw new Unopenable('The data file is no database at all: something else stands in its place.')
  let db: Sqlite.Database | undefined
  try {
    db = new Sqlite(file)
    const names = (sql: string) =>
      (db as Sqlite.Database)
        .prepare(sql)
        .all()
        .map((r) => String((r as { name: string }).name))
    const there = new Set(names(`SELECT name FROM sqlite_schema WHERE type = 'table'`))
    if (!TABLES.every((t) => there.has(t)))
      throw new Unopenable('The data file is a database of another program, so it is left as it is.')
    const newer = names('SELECT name FROM kysely_migration').filter((m) => !(m in MIGRATIONS))
    if (newer.length > 0)
      throw new Unopenable(
        'The data file was written by a newer Orvint, so it is left as it is. Start that one, or restore a backup of before.',
      )
    if (!whole) return
    const [found] = db.prepare('PRAGMA integrity_check').all() as { integrity_check: string }[]
    if (found?.integrity_check !== 'ok') throw new Unopenable('The file is damaged inside.')
  } catch (error) {
    if (error instanceof Unopenable) throw error
    if (
      /CORRUPT|NOTADB|malformed|not a database/.test(
        `${(error as { code?: string }).code} ${messageOf(error)}`,
      )
    )
      throw new Unopenable('The data file is damaged.')
    throw error
  } finally {
    db?.close()
  }
}

/** What a crash left half made in a folder: nothing that was ever acknowledged. */
export async function sweep(folder: string, begins: readonly string[]): Promise<void> {
  const names = await readdir(folder).catch((): string[] => [])
  for (const name of names)
    if (begins.some((b) => name.startsWith(b))) await rm(join(folder, name), { force: true })
}
