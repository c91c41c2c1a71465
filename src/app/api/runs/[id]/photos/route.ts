import { writeFile } from 'node:fs/promises'
import sharp from 'sharp'
import { database } from '@/store/database'
import { dropFile, incomingFile, keepFile } from '@/store/films'
import { revisionAtPress } from '../../../../runs/atPress'
import { bytesOf, json, nothing, Refused, write } from '../../../answer'

interface Context {
  readonly params: Promise<{ id: string }>
}

/** The longest side that is kept, and the most points a picture may have. */
const SIDE = 1600
const MOST_POINTS = 100e6

/**
 * Keeps a picture of a sample by what is in it. It is made anew: as it was held, no larger than a sample needs, and without what
 * a camera writes beside it (where, when, with what).
 */
export async function POST(request: Request, { params }: Context): Promise<Response> {
  return write(request, async () => {
    const { id } = await params
    if ((await revisionAtPress(await database(), id)) === undefined) return nothing(`run ${id}`)
    const brought = await bytesOf(request)
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
