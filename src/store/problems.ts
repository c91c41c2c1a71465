import { no } from '@/core/quantity'
import { Unopenable } from './sound'

/** Where a data file that cannot be opened is replaced. */
export const WAY_OUT = 'Open /recover here and put a backup in its place.'

/** Plain sentences for what a disk can do to a database, by the start of its error code. */
const SENTENCES: readonly (readonly [RegExp, string])[] = [
  [/SQLITE_FULL|ENOSPC|EDQUOT/, 'The disk is full, so nothing was saved. Free some space, then try again.'],
  [
    /SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EPERM|EROFS/,
    'The data folder cannot be written, so nothing was saved. Check its permissions, then try again.',
  ],
  [
    /SQLITE_IOERR|EIO/,
    'The disk could not be written or read, so nothing was saved. Check the disk, then try again.',
  ],
  [
    /SQLITE_BUSY|SQLITE_LOCKED/,
    'Another program holds the data, so nothing was saved. Close it, then try again.',
  ],
  [/SQLITE_CORRUPT|SQLITE_NOTADB|malformed/, `The data file is damaged. ${WAY_OUT}`],
]

/** What to tell a person about an error of the disk or the database; undefined when it is another kind of error. */
export function diskProblem(error: unknown): string | undefined {
  if (error instanceof Unopenable) return `${error.message} ${WAY_OUT}`
  const { code = '', message = '' } = error as { code?: string; message?: string }
  return SENTENCES.find(([test]) => test.test(`${code} ${message}`))?.[1]
}

/** Does something that needs the disk; what a disk can do comes back as a sentence. */
export async function attempt<T>(act: () => Promise<T>): Promise<T | ReturnType<typeof no>> {
  try {
    return await act()
  } catch (error) {
    const problem = diskProblem(error)
    if (problem === undefined) throw error
    return no(problem)
  }
}

/** Rows that break a rule of the tables: a file was edited by hand. */
export function isMisfit(error: unknown): boolean {
  const { code = '', message = '' } = error as { code?: string; message?: string }
  return /SQLITE_CONSTRAINT|UNIQUE constraint|CHECK constraint|FOREIGN KEY|stock below nothing/.test(
    `${code} ${message}`,
  )
}
