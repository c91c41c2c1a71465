import sharp, { type Metadata } from 'sharp'
import type { GreyImage } from '@/core/artwork'
import { drawPage, pdfPages } from './pdf'
import { FilmProblem, MOST_PAGES, MOST_PIXELS, tooLarge } from './problem'
import { drawingAt, drawingShape, readDrawing } from './svg'

export { ahead } from './ahead'
export { FilmProblem, MOST_BYTES } from './problem'

/** One page of a file, as far as it can be told without reading it whole. */
export interface FilmPage {
  readonly page: number
  /** Pixels of a raster; undefined for drawings, which have as many as are asked for. */
  readonly pixels: { readonly width: number; readonly height: number } | undefined
  /** Pixels per inch that the file states. */
  readonly dpi: number | undefined
  /** Size in millimetres; undefined when the file says neither size nor resolution. */
  readonly size: { readonly width: number; readonly height: number } | undefined
  /** Width by height. */
  readonly shape: number
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

const dpiOf = ({ density }: Metadata): number | undefined =>
  density === undefined || density === HABIT || density < 30 ? undefined : density

const open = (bytes: Uint8Array, page: number) =>
  sharp(bytes, { page, limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true })

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
    if (width * height > MOST_PIXELS) throw tooLarge(width, height)
    const dpi = dpiOf(meta)
    const size =
      dpi === undefined ? undefined : { width: (width / dpi) * 25.4, height: (height / dpi) * 25.4 }
    pages.push({ page, pixels: { width, height }, dpi, size, shape: width / height })
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
  return [{ page: 0, pixels: undefined, dpi: undefined, size, shape }]
}

/**
 * Decodes one page to greys at an exact number of pixels; transparent is clear film.
 *
 * @throws FilmProblem for files that are cut short or damaged
 */
export async function decodeFilm(
  bytes: Uint8Array,
  page: number,
  width: number,
  height: number,
): Promise<GreyImage> {
  if (width * height > MOST_PIXELS) throw tooLarge(width, height)
  const kind = kindOf(bytes)
  if (kind === 'pdf') return drawPage(bytes, page, width, height)
  const source =
    kind === 'svg'
      ? sharp(Buffer.from(drawingAt(readDrawing(textOf(bytes)).text, width, height)), {
          limitInputPixels: MOST_PIXELS,
        })
      : open(bytes, page)
  try {
    const { data, info } = await source
      .flatten({ background: '#fff' })
      .resize({ width, height, fit: 'fill', kernel: 'cubic' })
      .greyscale()
      .toColourspace('b-w')
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true })
    return {
      width: info.width,
      height: info.height,
      grey: new Uint8Array(data.buffer, data.byteOffset, data.length),
    }
  } catch (error) {
    if (error instanceof FilmProblem) throw error
    throw new FilmProblem('This picture is cut short or damaged, so it cannot be read.')
  }
}
