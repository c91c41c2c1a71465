import { writeFile } from 'node:fs/promises'
import sharp from 'sharp'
import { dropFile, incomingFile, keepFile } from '@/store/films'
import { bytesOf, json, Refused, write } from '../answer'

/** The longest side that is kept, and the most points a picture may have. */
const SIDE = 1600
const MOST_POINTS = 100e6

/**
 * Keeps a picture of a sample or a note by what is in it. It is made anew: as it was held, no larger than is looked at, and without what
 * a camera writes beside it (where, when, with what).
 */
export async function POST(request: Request): Promise<Response> {
  return write(request, async () => {
    const brought = await bytesOf(request)
    if (brought.length === 0) throw new Refused(400, 'Nothing came: take the picture again.')
    const picture = await sharp(brought, { limitInputPixels: MOST_POINTS, failOn: 'error' })
      .rotate()
      .resize(SIDE, SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer()
      .catch(() => {
        throw new Refused(400, 'This is no picture that can be read, or one of more than 100 million points.')
      })
    const path = await incomingFile()
    try {
      await writeFile(path, picture)
      return json({ hash: await keepFile(path) })
    } finally {
      await dropFile(path)
    }
  })
}
