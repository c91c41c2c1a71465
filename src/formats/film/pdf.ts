import { createCanvas } from '@napi-rs/canvas'
import type { GreyImage } from '@/core/artwork'
import { FilmProblem, MOST_PAGES } from './problem'

/** Pages of a document in millimetres. */
export interface Pages {
  readonly sizes: readonly { readonly width: number; readonly height: number }[]
}

const POINT = 25.4 / 72

async function opened(bytes: Uint8Array) {
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

/** @throws FilmProblem for damaged, locked or far too long documents */
export async function pdfPages(bytes: Uint8Array): Promise<Pages> {
  const { task, document } = await opened(bytes)
  try {
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
  } finally {
    await task.destroy()
  }
}

/** Draws one page in greys. */
export async function drawPage(
  bytes: Uint8Array,
  page: number,
  width: number,
  height: number,
): Promise<GreyImage> {
  const { task, document } = await opened(bytes)
  try {
    const sheet = await document.getPage(page + 1)
    const natural = sheet.getViewport({ scale: 1 })
    const canvas = createCanvas(width, height)
    const context = canvas.getContext('2d')
    context.fillStyle = '#fff'
    context.fillRect(0, 0, width, height)
    const viewport = sheet.getViewport({ scale: width / natural.width })
    await sheet.render({ canvas: canvas as never, canvasContext: context as never, viewport }).promise
    const grey = new Uint8Array(width * height)
    // In bands: a whole film in colour takes four times the memory.
    const BAND = 256
    for (let top = 0; top < height; top += BAND) {
      const rows = Math.min(BAND, height - top)
      const { data } = context.getImageData(0, top, width, rows)
      for (let i = 0; i < width * rows; i++)
        grey[top * width + i] = Math.round(
          0.299 * (data[4 * i] as number) +
            0.587 * (data[4 * i + 1] as number) +
            0.114 * (data[4 * i + 2] as number),
        )
    }
    return { width, height, grey }
  } finally {
    await task.destroy()
  }
}
