import { createWriteStream } from 'node:fs'
import { open, readFile, stat } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { ReadableStream as NodeStream } from 'node:stream/web'
import { messageOf } from '@/core/quantity'
import {
  ArchiveProblem,
  archiveText,
  isZip,
  type Original,
  readArchiveFile,
  readArchiveZip,
  writeArchiveZip,
} from '@/formats'
import { openArchive, replaceAll } from '@/store/archive'
import { backUp } from '@/store/backup'
import { database } from '@/store/database'
import { dropFile, filmFile, incomingFile, keepFile } from '@/store/films'
import type { InkBook } from '@/store/inkBook'
import { photosNoted } from '@/store/notes'
import { photosSaid } from '@/store/pressEvents'
import { isMisfit } from '@/store/problems'
import type { Revision } from '@/store/revisions'
import { answered, file, json, Refused, streamed, write } from '../answer'

/** Everything, as a zip with the originals of the films and the pictures of samples, or its JSON alone (`?as=json`). Written as it goes out. */
export async function GET(request: Request): Promise<Response> {
  return answered(async () => {
    const db = await database()
    const source = await openArchive(db)
    const text = archiveText(source)
    if (new URL(request.url).searchParams.get('as') === 'json')
      return streamed(text, 'application/json', 'orvint-archive.json')
    const hashes = [
      ...new Set([...source.films.map((f) => f.hash), ...(await photosSaid(db)), ...(await photosNoted(db))]),
    ]
    const there = await Promise.all(
      hashes.map(async (hash): Promise<readonly Original[]> => {
        const path = filmFile(hash)
        return stat(path).then(
          () => [{ hash, path }],
          () => [],
        )
      }),
    )
    const zip = Readable.toWeb(
      Readable.from(writeArchiveZip(text, there.flat()) as unknown as AsyncIterable<Buffer>),
    )
    return file(zip as unknown as ReadableStream, 'application/zip', 'orvint-archive.zip')
  })
}

/** The most that is taken in: an archive with a few thousand films. */
const MOST = 8 * 1024 ** 3
/** A JSON alone is read whole. */
const MOST_TEXT = 512 * 1024 ** 2

/** Replaces everything by an archive, zip or JSON. What was there is backed up first. */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    if (Number(request.headers.get('content-length') ?? 0) > MOST)
      throw new Refused(413, 'That is more than any archive of Orvint: at most 8 GB.')
    if (!request.body) throw new Refused(400, 'This file is empty.')
    const brought = await incomingFile()
    const taken: string[] = [brought]
    try {
      await pipeline(Readable.fromWeb(request.body as unknown as NodeStream), createWriteStream(brought))
      const place = async () => {
        const path = await incomingFile()
        taken.push(path)
        return path
      }
      const { text, films } = await opened(brought, place)
      const read = readArchiveFile<Revision, InkBook>(text)
      if (!read.ok) return json({ wrong: read.wrong.slice(0, 200) }, 400)
      const db = await database()
      const backup = await backUp(db, new Date())
      for (const { path } of films) await keepFile(path)
      try {
        await replaceAll(db, read.archive)
      } catch (error) {
        if (!isMisfit(error)) throw error
        return json({ wrong: [`Its parts do not fit together: ${messageOf(error)}.`] }, 400)
      }
      return json({ orders: read.archive.orders.length, films: films.length, backup })
    } catch (error) {
      if (error instanceof ArchiveProblem) return json({ wrong: [error.message] }, 400)
      throw error
    } finally {
      for (const path of taken) await dropFile(path)
    }
  })
}

async function opened(path: string, place: () => Promise<string>) {
  const handle = await open(path, 'r')
  const head = Buffer.alloc(2)
  await handle.read(head, 0, 2, 0).finally(() => handle.close())
  if (isZip(head)) return readArchiveZip(path, place)
  if ((await stat(path)).size > MOST_TEXT)
    throw new Refused(413, 'A JSON archive has at most 512 MB: bring the zip.')
  return { text: await readFile(path, 'utf8'), films: [] }
}
