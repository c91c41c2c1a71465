import type { SqliteDatabase, SqliteStatement } from 'kysely'
import type Sqlite from 'libsql'

/** A value that no column can hold: a mistake of whoever sent it or of the program, never of the database. */
export class Unbindable extends Error {
  override readonly name = 'Unbindable'
}

/** What SQLite stores: null, a finite number, an integer, text, bytes. */
const isStorable = (value: unknown): boolean =>
  value === null ||
  typeof value === 'string' ||
  typeof value === 'bigint' ||
  (typeof value === 'number' && Number.isFinite(value)) ||
  value instanceof Uint8Array

const said = (x: unknown) => (typeof x === 'number' ? `the number ${x}` : `of type ${typeof x}`)

/**
 * Refuses a value before it reaches the binding, which ends the whole process at a boolean.
 *
 * @throws Unbindable naming the place of the parameter and its type
 */
function storable(parameters: readonly unknown[]): readonly unknown[] {
  const at = parameters.findIndex((p) => !isStorable(p))
  if (at >= 0)
    throw new Unbindable(
      `Value ${at + 1} of a statement is ${said(parameters[at])}, which no column can hold.`,
    )
  return parameters
}

/** Statements kept ready; a page asks the same few again and again. */
const KEPT = 200
const READY = /^\s*(select|insert|update|delete|with)\b/i

/** Two statements that the engine is told otherwise. */
function retold(sql: string, sqlite: Sqlite.Database): string {
  // On a full disk the engine rolls back by itself; to roll back once more would only hide why.
  if (sql === 'rollback' && !sqlite.inTransaction) return 'SELECT 0'
  // A write waits for another program before it has read anything, not half way through.
  return sql === 'begin' ? 'begin immediate' : sql
}

/** The engine with every value looked at before it is bound, and its statements kept ready. */
export function guarded(sqlite: Sqlite.Database): SqliteDatabase {
  const kept = new Map<string, SqliteStatement>()
  const ready = (sql: string): SqliteStatement => {
    const found = kept.get(sql) ?? (sqlite.prepare(sql) as unknown as SqliteStatement)
    kept.delete(sql)
    kept.set(sql, found)
    const [oldest] = kept.keys()
    if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest)
    return found
  }
  return {
    close: () => {
      kept.clear()
      sqlite.close()
    },
    prepare: (text) => {
      const sql = retold(text, sqlite)
      const statement = READY.test(sql) ? ready(sql) : (sqlite.prepare(sql) as unknown as SqliteStatement)
      return {
        reader: statement.reader,
        all: (parameters) => statement.all(storable(parameters)),
        run: (parameters) => statement.run(storable(parameters)),
        iterate: (parameters) => statement.iterate(storable(parameters)),
      }
    },
  }
}
