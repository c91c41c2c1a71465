import sharp, { type Metadata, type Sharp } from 'sharp'
import { type GreyImage, type Turn, turnImage } from '@/core/artwork'
import { isColoured, isPale, onClear } from './clear'
import { densityOf } from './density'
import { drawPage, pdfPages } from './pdf'
import { FilmProblem, MOST_PAGES, MOST_PIXELS, MOST_SOURCE, tooLarge } from './problem'
import { drawingAt, drawingShape, readDrawing } from './svg'

export { platesOf } from './plates'
export { FilmProblem, MOST_BYTES, MOST_PIXELS } from './problem'

// A film is decoded once: what the decoder keeps of it for another time is only memory.
sharp.cache(false)

/** One page of a file, as far as it can be told without reading it whole. */
export interface FilmPage {
  readonly page: number
  /** Pixels of a raster, square ones; undefined for drawings, which have as many as are asked for. */
  readonly pixels: { readonly width: number; readonly height: number } | undefined
  /** Pixels per inch that the file states. */
  readonly dpi: number | undefined
  /** Size in millimetres; undefined when the file says neither size nor resolution. */
  readonly size: { readonly width: number; readonly height: number } | undefined
  /** Width by height. */
  readonly shape: number
  /** What a drawing counts in, while no one said how large that is. */
  readonly units?: { readonly width: number; readonly height: number }
}

/** How a film is to be decoded. */
export interface Decoding {
  readonly page: number
  readonly width: number
  readonly height: number
  /** Ink is what is not transparent, when a person says so; undefined finds out. */
  readonly opaque?: boolean
  /** The way it lies, which is turned back. */
  readonly turn?: Turn
}

type Kind = 'raster' | 'svg' | 'pdf'

const starts = (bytes: Uint8Array, text: string) =>
  Buffer.from(bytes.subarray(0, text.length)).toString('latin1') === text

/** What a file is by its content; names lie. */
function kindOf(bytes: Uint8Array): Kind {
  if (bytes.length === 0) throw new FilmProblem('This file is empty.')
  if (starts(bytes, '%PDF')) return 'pdf'
  const raster = ['\x89PNG', 'II*\0', 'MM\0*', 'II+\0', 'MM\0+', '\xff\xd8\xff'].some((magic) =>
    starts(bytes, magic),
  )
  if (raster) return 'raster'
  const head = Buffer.from(bytes.subarray(0, 4096)).toString('utf8')
  if (/<svg\b/i.test(head) || /^\s*(\ufeff)?<(\?xml|!DOCTYPE svg|!--)/i.test(head)) return 'svg'
  throw new FilmProblem('This is no film that can be read: bring PNG, TIFF, SVG or PDF.')
}

const textOf = (bytes: Uint8Array) => Buffer.from(bytes).toString('utf8')

/** Files that say 72 by habit say nothing. */
const HABIT = 72

const stated = (dpi: number | undefined): number | undefined =>
  dpi === undefined || !Number.isFinite(dpi) || Math.round(dpi) === HABIT || dpi < 30 ? undefined : dpi
const dpiOf = ({ density }: Metadata): number | undefined => stated(density)

const open = (bytes: Uint8Array, page: number) =>
  sharp(bytes, { page, limitInputPixels: MOST_SOURCE, failOn: 'error', sequentialRead: true })

async function rasterPages(bytes: Uint8Array): Promise<readonly FilmPage[]> {
  const first = await sharp(bytes, { limitInputPixels: false })
    .metadata()
    .catch(() => {
      throw new FilmProblem('This picture is damaged, so it cannot be read.')
    })
  const count = first.pages ?? 1
  if (count > MOST_PAGES)
    throw new FilmProblem(`${count} pages are more than ${MOST_PAGES}: bring only the separations.`)
  const pages: FilmPage[] = []
  for (let page = 0; page < count; page++) {
    const meta = page === 0 ? first : await sharp(bytes, { page, limitInputPixels: false }).metadata()
    const { width, height } = meta
    if (width * height > MOST_SOURCE) throw tooLarge(width, height)
    const both = count === 1 ? densityOf(bytes) : undefined
    const dpi = both ? stated(both.across) : dpiOf(meta)
    const down = (both && stated(both.down)) ?? dpi
    // Rows that lie closer than columns are told as if they lay as far apart.
    const pixels = { width, height: dpi && down ? height * (dpi / down) : height }
    const size =
      dpi === undefined ? undefined : { width: (width / dpi) * 25.4, height: (pixels.height / dpi) * 25.4 }
    pages.push({ page, pixels, dpi, size, shape: width / pixels.height })
  }
  return pages
}

/**
 * Looks into a file: its pages and their sizes.
 *
 * @throws FilmProblem with a message for the person who brought it
 */
export async function filmPages(bytes: Uint8Array): Promise<readonly FilmPage[]> {
  const kind = kindOf(bytes)
  if (kind === 'raster') return rasterPages(bytes)
  if (kind === 'pdf')
    return (await pdfPages(bytes)).sizes.map((size, page) => ({
      page,
      pixels: undefined,
      dpi: undefined,
      size,
      shape: size.width / size.height,
    }))
  const text = textOf(bytes)
  const { size } = readDrawing(text)
  const shape = drawingShape(text)
  if (shape === undefined) throw new FilmProblem('This drawing has no size.')
  return [
    { page: 0, pixels: undefined, dpi: undefined, size, shape: shape.width / shape.height, units: shape },
  ]
}

/**
 * Decodes one page to greys at an exact number of pixels; transparent is clear film, unless it carries a light picture.
 *
 * @throws FilmProblem for files that are cut short or damaged
 */
export async function decodeFilm(bytes: Uint8Array, how: Decoding): Promise<GreyImage> {
  if (how.width * how.height > MOST_PIXELS) throw tooLarge(how.width, how.height)
  const image = await decoded(bytes, how)
  return how.turn ? turnImage(image, how.turn) : image
}

async function decoded(bytes: Uint8Array, { page, width, height, opaque }: Decoding): Promise<GreyImage> {
  const kind = kindOf(bytes)
  if (kind === 'pdf') return drawPage(bytes, page, width, height, opaque)
  const source =
    kind === 'svg'
      ? sharp(Buffer.from(drawingAt(readDrawing(textOf(bytes)).text, width, height)), {
          limitInputPixels: MOST_PIXELS,
        })
      : open(bytes, page)
  try {
    const { hasAlpha, channels } = await source.metadata()
    const bytesOf = async (picture: Sharp) => {
      const { data } = await picture
        .resize({ width, height, fit: 'fill', kernel: 'cubic' })
        .toColourspace('b-w')
        .raw({ depth: 'uchar' })
        .toBuffer({ resolveWithObject: true })
      return new Uint8Array(data.buffer, data.byteOffset, data.length)
    }
    const grey = await bytesOf(source.clone().flatten({ background: '#fff' }).greyscale())
    const image: GreyImage = { width, height, grey }
    // Every drawing has transparency; few say anything by it, and to draw one twice takes time.
    const pale = isPale(grey)
    const telling = kind === 'raster' || opaque || pale || textOf(bytes).includes('opacity')
    const read =
      hasAlpha && telling
        ? onClear(image, await bytesOf(source.clone().extractChannel('alpha')), opaque)
        : image
    if (read.opaque || !pale || channels < 3) return read
    const seen = source.clone().flatten({ background: '#fff' }).toColourspace('srgb')
    const small = await seen
      .resize({ width: 160, height: 160, fit: 'fill' })
      .raw({ depth: 'uchar' })
      .toBuffer()
    return { ...read, coloured: isColoured(small, 3) }
  } catch (error) {
    if (error instanceof FilmProblem) throw error
    throw new FilmProblem('This picture is cut short or damaged, so it cannot be read.')
  }
}
