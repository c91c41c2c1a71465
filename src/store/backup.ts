import {
  copyFile,
  mkdir,
  open as openFile,
  readdir,
  readFile,
  rename,
  rm,
  stat,
  writeFile,
} from 'node:fs/promises'
import { join } from 'node:path'
import { format, parse, set, subDays } from 'date-fns'
import { sql } from 'kysely'
import type { Outcome } from '@/core/quantity'
import { closeWhole, type Database, dataFolder, FILE, MAKING, openDatabase, whileClosed } from './database'
import { filmFile } from './films'
import { photosNoted } from './notes'
import { photosSaid } from './pressEvents'
import { soundDatabase, sweep, Unopenable } from './sound'

/** A copy of the whole database in one file, with the film files it names beside it. */
export interface Backup {
  readonly name: string
  /** Local ISO time at which it was made. */
  readonly at: string
  readonly bytes: number
  /** It is a database from its first bytes; one that is not is never restored, nor counted. */
  readonly whole: boolean
}

/** How many backups are kept; the oldest go first. */
const KEPT = 30
const NAME = /^orvint-(\d{4}-\d{2}-\d{2}-\d{6})(?:-\d{1,3})?\.sqlite$/
const STAMP = 'yyyy-MM-dd-HHmmss'

const folder = () => join(dataFolder(), 'backups')
const films = () => join(folder(), 'films')
/** The films of a backup, by the hash of their content, one a line. */
const listFile = (name: string) => join(folder(), `${name}.films`)

const exists = (path: string) =>
  stat(path).then(
    () => true,
    () => false,
  )

/** Backups, the newest first. */
export async function listBackups(): Promise<readonly Backup[]> {
  const names = await readdir(folder()).catch((): string[] => [])
  const found = await Promise.all(
    names.map(async (name): Promise<readonly Backup[]> => {
      const stamp = NAME.exec(name)?.[1]
      if (stamp === undefined) return []
      const file = join(folder(), name)
      const { size } = await stat(file)
      const whole = await soundDatabase(file).then(
        () => true,
        () => false,
      )
      return [
        { name, at: format(parse(stamp, STAMP, new Date()), "yyyy-MM-dd'T'HH:mm:ss"), bytes: size, whole },
      ]
    }),
  )
  return found.flat().sort((a, b) => b.name.localeCompare(a.name, 'en', { numeric: true }))
}

/** What was written is on the disk, not only in its cache. */
async function flush(path: string): Promise<void> {
  const handle = await openFile(path, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Films of backups that stand in no list of a kept backup any more go; then backups beyond the last thirty. */
async function prune(spared: string): Promise<void> {
  const old = (await listBackups()).slice(KEPT).filter((b) => b.name !== spared)
  for (const { name } of old)
    for (const file of [join(folder(), name), listFile(name)]) await rm(file, { force: true })
  if (old.length === 0) return
  const lists = (await readdir(folder())).filter((n) => n.endsWith('.films'))
  const named = new Set(
    (await Promise.all(lists.map((n) => readFile(join(folder(), n), 'utf8')))).flatMap((t) => t.split('\n')),
  )
  for (const hash of await readdir(films()).catch((): string[] => []))
    if (!named.has(hash)) await rm(join(films(), hash), { force: true })
}

/** Copies the files of films and of pictures that the backups do not have yet; one that is missing is missing there too. */
async function copyFilms(db: Database): Promise<readonly string[]> {
  const rows = await db.selectFrom('film').select('hash').distinct().execute()
  const hashes = new Set([...rows.map((r) => r.hash), ...(await photosSaid(db)), ...(await photosNoted(db))])
  await mkdir(films(), { recursive: true })
  for (const hash of hashes) {
    const to = join(films(), hash)
    if ((await exists(to)) || !(await exists(filmFile(hash)))) continue
    const making = join(films(), `${MAKING}${crypto.randomUUID()}`)
    try {
      await copyFile(filmFile(hash), making)
      await flush(making)
      await rename(making, to)
    } finally {
      await rm(making, { force: true })
    }
  }
  return [...hashes]
}

/** A name that no backup has: two in one second get a number. */
async function freeName(now: Date): Promise<string> {
  const stem = `orvint-${format(now, STAMP)}`
  let name = `${stem}.sqlite`
  for (let n = 2; await exists(join(folder(), name)); n++) name = `${stem}-${n}.sqlite`
  return name
}

let turn: Promise<unknown> = Promise.resolve()
/** One after another: two at a time would take the same name. */
const inTurn = <T>(act: () => Promise<T>): Promise<T> => {
  const next = turn.then(act, act)
  turn = next.catch(() => undefined)
  return next
}

/**
 * Copies the database as it is at this moment, while others go on working, and its films. It gets its name when it is whole,
 * checked and on the disk: a crash or a full disk leaves no backup, never half of one.
 *
 * @param spared a backup that must not be the one too many
 */
export const backUp = (db: Database, now: Date, spared = ''): Promise<string> =>
  inTurn(async () => {
    await mkdir(folder(), { recursive: true })
    const making = join(folder(), `${MAKING}${crypto.randomUUID()}`)
    try {
      const hashes = await copyFilms(db)
      await sql`VACUUM INTO ${making}`.execute(db)
      await soundDatabase(making, true)
      await flush(making)
      const name = await freeName(now)
      await writeFile(listFile(name), hashes.join('\n'))
      await rename(making, join(folder(), name))
      await flush(folder())
      await prune(spared)
      return name
    } finally {
      for (const end of ['', '-wal', '-shm']) await rm(`${making}${end}`, { force: true })
    }
  })

/** Tables that a restore leaves alone: what was done since, what is computed, and how the tables came to be. */
const OWN = new Set(['done', 'tidied', 'run_summary'])

/** What a restore comes to: what was there before is in a backup of its own. */
export type Restored = Outcome<{ readonly before: string }>

/** A copy of a backup, checked and brought up to date; the backup itself stays as it was made. */
async function readied(name: string): Promise<string> {
  if (!NAME.test(name)) throw new Unopenable(`There is no backup ${name}.`)
  const file = join(folder(), name)
  if (!(await exists(file))) throw new Unopenable(`There is no backup ${name}.`)
  const copy = join(folder(), `${MAKING}${crypto.randomUUID()}`)
  await copyFile(file, copy)
  try {
    await soundDatabase(copy, true)
    await closeWhole(await openDatabase(copy))
    return copy
  } catch (error) {
    await drop(copy)
    if (error instanceof Unopenable)
      throw new Unopenable(`The backup ${name} is damaged, so nothing was changed.`)
    throw error
  }
}

const drop = async (file: string) => {
  for (const end of ['', '-wal', '-shm']) await rm(`${file}${end}`, { force: true })
}

/** Puts the films that a backup names back where they are missing. */
async function bringFilms(name: string): Promise<void> {
  const list = await readFile(listFile(name), 'utf8').catch(() => '')
  await mkdir(join(dataFolder(), 'films'), { recursive: true })
  for (const hash of list.split('\n').filter((h) => /^[\da-f]{64}$/.test(h)))
    if (!(await exists(filmFile(hash))) && (await exists(join(films(), hash))))
      await copyFile(join(films(), hash), filmFile(hash))
}

/** Tables whose rows count how often they were saved. */
const VERSIONED = ['customer_order', 'run', 'shop_part'] as const

/**
 * Puts a backup in place of what is there, in one transaction. What is there is backed up first. Versions go on from those
 * that are there: whoever still has an old page is told, and overwrites nobody.
 */
export async function restore(db: Database, name: string, now: Date): Promise<Restored> {
  let copy: string
  try {
    copy = await readied(name)
  } catch (error) {
    if (error instanceof Unopenable) return { ok: false, message: error.message }
    throw error
  }
  try {
    const before = await backUp(db, now, name)
    await bringFilms(name)
    await sql`ATTACH ${copy} AS backup`.execute(db)
    try {
      await db.transaction().execute(async (tx) => {
        await sql`PRAGMA defer_foreign_keys = ON`.execute(tx)
        const highest = async (table: (typeof VERSIONED)[number]) =>
          (
            await tx
              .selectFrom(table)
              .select((e) => e.fn.max<number | null>('version').as('last'))
              .executeTakeFirst()
          )?.last ?? 0
        const last = {
          customer_order: await highest('customer_order'),
          run: await highest('run'),
          shop_part: await highest('shop_part'),
        }
        const { rows } = await sql<{ name: string }>`
          SELECT name FROM backup.sqlite_schema
          WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE 'kysely_%'`.execute(tx)
        const tables = rows.filter((t) => !OWN.has(t.name))
        for (const table of tables) await sql`DELETE FROM main.${sql.ref(table.name)}`.execute(tx)
        for (const table of tables)
          await sql`INSERT INTO main.${sql.ref(table.name)} SELECT * FROM backup.${sql.ref(table.name)}`.execute(
            tx,
          )
        for (const table of VERSIONED)
          await tx
            .updateTable(table as 'run')
            .set((e) => ({ version: e('version', '+', last[table]) }))
            .execute()
      })
    } finally {
      await sql`DETACH backup`.execute(db)
    }
    return { ok: true, before }
  } finally {
    await drop(copy)
  }
}

/** Versions of a damaged database are not known: those of its successor begin above any that edits ever reach. */
async function raiseVersions(file: string, now: Date): Promise<void> {
  const db = await openDatabase(file)
  const above = Math.floor(now.getTime() / 1000)
  for (const table of VERSIONED)
    await db
      .updateTable(table as 'run')
      .set((e) => ({ version: e('version', '+', above) }))
      .execute()
  await closeWhole(db)
}

/**
 * Puts a backup in place of a database that cannot be read: what stands there is kept under another name. For when there is
 * nothing to copy rows into.
 */
export async function replaceDamaged(name: string, now: Date): Promise<Restored> {
  try {
    const copy = await readied(name)
    await raiseVersions(copy, now)
    const file = join(dataFolder(), FILE)
    const kept = `damaged-${format(now, STAMP)}-${crypto.randomUUID().slice(0, 4)}.sqlite`
    await whileClosed(async () => {
      for (const end of ['', '-wal', '-shm'])
        if (await exists(`${file}${end}`)) await rename(`${file}${end}`, join(dataFolder(), `${kept}${end}`))
      await rename(copy, file)
    })
    await bringFilms(name)
    return { ok: true, before: kept }
  } catch (error) {
    if (error instanceof Unopenable) return { ok: false, message: error.message }
    throw error
  }
}

/** When the night's backup is due, in hours after midnight. */
const NIGHT = 2

/** A backup unless there is a whole one since the last night; so the first is made at once. */
export async function backUpNightly(db: Database, now: Date): Promise<void> {
  const last = (await listBackups()).find((b) => b.whole)
  const today = set(now, { hours: NIGHT, minutes: 0, seconds: 0, milliseconds: 0 })
  const night = today > now ? subDays(today, 1) : today
  if (!last || last.at < format(night, "yyyy-MM-dd'T'HH:mm:ss")) await backUp(db, now)
}

/** Clears away what a crash left half made, when the server starts. */
export async function sweepHalfMade(): Promise<void> {
  await sweep(dataFolder(), [MAKING])
  await sweep(folder(), [MAKING])
  await sweep(films(), [MAKING])
  await sweep(join(dataFolder(), 'films'), ['incoming-'])
}
