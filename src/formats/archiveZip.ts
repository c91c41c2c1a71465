import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { Readable, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { promisify } from 'node:util'
import { type Entry, open as openZip, type ZipFile } from 'yauzl'
import { ZipFile as NewZip } from 'yazl'

const JSON_NAME = 'archive.json'
const FILM = /^films\/([\da-f]{64})$/
/** The most text that is taken in: a shop of fifty thousand orders has about as much. */
const MOST_TEXT = 512 * 1024 ** 2
const MOST_FILM = 1024 ** 3

/** An original of a film: the hash of its content, and where it is. */
export interface Original {
  readonly hash: string
  readonly path: string
}

/** Writes an archive as a zip: its JSON, and the originals of the films as they were brought. Streams. */
export function writeArchiveZip(
  text: AsyncIterable<string>,
  originals: readonly Original[],
): NodeJS.ReadableStream {
  const zip = new NewZip()
  // A film is packed already, or nearly so.
  for (const { hash, path } of originals) zip.addFile(path, `films/${hash}`, { compress: false })
  zip.addReadStream(Readable.from(text, { objectMode: false }), JSON_NAME)
  zip.end()
  return zip.outputStream
}

/** Why a file is no archive, in words. */
export class ArchiveProblem extends Error {}

/** Whether a file begins as a zip does. */
export const isZip = (head: Uint8Array): boolean =>
  Buffer.from(head.subarray(0, 2)).toString('latin1') === 'PK'

const limited = (most: number) => {
  let bytes = 0
  return new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length
      done(
        bytes > most ? new ArchiveProblem('Something in it is larger than anything an archive holds.') : null,
        chunk,
      )
    },
  })
}

/**
 * Reads an archive that lies in a file: its text, and its films, each written where `place` says and looked at.
 *
 * @throws ArchiveProblem when it is no such archive
 */
export async function readArchiveZip(
  path: string,
  place: () => Promise<string>,
): Promise<{ readonly text: string; readonly films: readonly Original[] }> {
  const zip = await promisify<string, object, ZipFile>(openZip)(path, { lazyEntries: true }).catch(() => {
    throw new ArchiveProblem('This zip is damaged, or cut off.')
  })
  const stream = promisify<Entry, Readable>(zip.openReadStream.bind(zip))
  const films: Original[] = []
  let text: string | undefined
  try {
    for (;;) {
      const entry = await nextOf(zip)
      if (!entry) break
      const hash = FILM.exec(entry.fileName)?.[1]
      if (entry.fileName === JSON_NAME) {
        const parts: Buffer[] = []
        await pipeline(await stream(entry), limited(MOST_TEXT), async (source: AsyncIterable<Buffer>) => {
          for await (const part of source) parts.push(part)
        })
        text = Buffer.concat(parts).toString('utf8')
      } else if (hash !== undefined) {
        const to = await place()
        films.push({ hash, path: to })
        const sum = createHash('sha256')
        const seen = new Transform({
          transform(chunk: Buffer, _, done) {
            sum.update(chunk)
            done(null, chunk)
          },
        })
        await pipeline(await stream(entry), limited(MOST_FILM), seen, createWriteStream(to))
        if (sum.digest('hex') !== hash)
          throw new ArchiveProblem('A film in it is not what its name says: the archive is damaged.')
      }
    }
  } catch (error) {
    if (error instanceof ArchiveProblem) throw error
    throw new ArchiveProblem('This zip is damaged, or cut off.')
  } finally {
    zip.close()
  }
  if (text === undefined)
    throw new ArchiveProblem(`There is no ${JSON_NAME} in it: this is no archive of Orvint.`)
  return { text, films }
}

const nextOf = (zip: ZipFile): Promise<Entry | undefined> =>
  new Promise((resolve, reject) => {
    const done = (settle: () => void) => {
      zip.off('entry', found)
      zip.off('end', ended)
      zip.off('error', broke)
      settle()
    }
    const found = (entry: Entry) => done(() => resolve(entry))
    const ended = () => done(() => resolve(undefined))
    const broke = (error: Error) => done(() => reject(error))
    zip.on('entry', found).on('end', ended).on('error', broke)
    zip.readEntry()
  })
