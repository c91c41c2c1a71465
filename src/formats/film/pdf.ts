import { createInflate } from 'node:zlib'
import { createCanvas } from '@napi-rs/canvas'
import type { GreyImage } from '@/core/artwork'
import { isColoured, isPale, onClear } from './clear'
import { FilmProblem, MOST_PAGES } from './problem'

/** Pages of a document in millimetres. */
export interface Pages {
  readonly sizes: readonly { readonly width: number; readonly height: number }[]
}

const POINT = 25.4 / 72

/** What one stream of a document may come to once unpacked, and all of them: far more than the largest film has. */
const MOST_STREAM = 384 * 1024 ** 2
const MOST_STREAMS = 1536 * 1024 ** 2

const vast = () =>
  new FilmProblem('This document is vast once it is unpacked, so it was not opened. Export it at 300 dpi.')

/** How much a packed stream comes to, counted without keeping it; stops at the limit. */
const unpacked = (packed: Uint8Array, most: number): Promise<number> =>
  new Promise((resolve) => {
    let bytes = 0
    const inflate = createInflate()
    const done = () => {
      inflate.destroy()
      resolve(bytes)
    }
    inflate.on('data', (part: Buffer) => {
      bytes += part.length
      if (bytes > most) done()
    })
    // What is no packed stream, or cut short, has given all it has.
    inflate.on('end', done).on('error', done)
    inflate.end(packed)
  })

/** @throws FilmProblem for a document that is small on the disk and vast once unpacked */
async function lookInto(bytes: Uint8Array): Promise<void> {
  const whole = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.length)
  let all = 0
  for (let at = whole.indexOf('stream'); at >= 0; at = whole.indexOf('stream', at + 6)) {
    if (whole.toString('latin1', at - 3, at) === 'end') continue
    const end = whole.indexOf('endstream', at)
    if (end < 0) return
    let from = at + 6
    while (from < end && (whole[from] === 13 || whole[from] === 10)) from++
    // Packed streams begin with the head of zlib (RFC 1950).
    if (
      ((whole[from] ?? 0) & 0x0f) === 8 &&
      (((whole[from] ?? 0) << 8) | (whole[from + 1] ?? 0)) % 31 === 0
    ) {
      const own = await unpacked(whole.subarray(from, end), MOST_STREAM)
      if (own > MOST_STREAM) throw vast()
      all += own
    }
    if (all > MOST_STREAMS) throw vast()
    at = end
  }
}

async function opened(bytes: Uint8Array) {
  await lookInto(bytes)
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const task = getDocument({
    // The reader takes the bytes away from whoever gave them.
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    disableAutoFetch: true,
    useSystemFonts: false,
    useWorkerFetch: false,
    verbosity: 0,
  })
  try {
    return { task, document: await task.promise }
  } catch (error) {
    const { name = '' } = error as Error
    if (name === 'PasswordException') throw new FilmProblem('This document is locked by a password.')
    throw new FilmProblem('This document is damaged or cut short, so it cannot be read.')
  }
}

/** What the reader meets inside a document that is wrong, in words. */
async function inWords<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act()
  } catch (error) {
    if (error instanceof FilmProblem) throw error
    throw new FilmProblem('This document is damaged inside, so it cannot be read.')
  }
}

/** @throws FilmProblem for damaged, locked or far too long documents */
export async function pdfPages(bytes: Uint8Array): Promise<Pages> {
  const { task, document } = await opened(bytes)
  const looked = async () => {
    if (document.numPages > MOST_PAGES)
      throw new FilmProblem(
        `${document.numPages} pages are more than ${MOST_PAGES}: bring only the separations.`,
      )
    const sizes = []
    for (let n = 1; n <= document.numPages; n++) {
      const { width, height } = (await document.getPage(n)).getViewport({ scale: 1 })
      sizes.push({ width: width * POINT, height: height * POINT })
    }
    return { sizes }
  }
  return inWords(looked).finally(() => task.destroy())
}

/** Draws one page in greys. @param opaque said by a person: ink is what is not transparent */
export async function drawPage(
  bytes: Uint8Array,
  page: number,
  width: number,
  height: number,
  opaque?: boolean,
): Promise<GreyImage> {
  const { task, document } = await opened(bytes)
  const drawn = async () => {
    const sheet = await document.getPage(page + 1)
    const natural = sheet.getViewport({ scale: 1 })
    const canvas = createCanvas(width, height)
    const context = canvas.getContext('2d')
    const viewport = sheet.getViewport({ scale: width / natural.width })
    await sheet.render({
      canvas: canvas as never,
      canvasContext: context as never,
      viewport,
      background: 'rgba(0,0,0,0)',
    }).promise
    const grey = new Uint8Array(width * height)
    const alpha = new Uint8Array(width * height)
    // In bands: a whole film in colour takes four times the memory.
    const BAND = 256
    let coloured = false
    for (let top = 0; top < height; top += BAND) {
      const rows = Math.min(BAND, height - top)
      const { data } = context.getImageData(0, top, width, rows)
      coloured ||= isColoured(data, 4)
      for (let i = 0; i < width * rows; i++) {
        const own =
          0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0)
        const a = data[4 * i + 3] ?? 0
        grey[top * width + i] = Math.round(255 - ((255 - own) * a) / 255)
        alpha[top * width + i] = a
      }
    }
    return onClear({ width, height, grey, coloured: coloured && isPale(grey) }, alpha, opaque)
  }
  return inWords(drawn).finally(() => task.destroy())
}
