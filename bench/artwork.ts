/**
 * Reads six films of 330 x 483 mm at 300 dpi with all pairs and the base, against decoding the same files alone.
 * Each part runs in a process of its own, so that its memory is its own.
 */
import { fork } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { baseOf, meetingOf, pairsOf, readFilm, settle } from '../src/core/artwork'
import { ahead, decodeFilm } from '../src/formats/film'
import { DEMO_ART } from '../src/store/demo/art'
import { screened } from '../src/store/demo/screened'
import { SMALL } from './size'

const FILMS = 6
const DPI = 300
const ROUNDS = SMALL ? 1 : 3

async function draw(folder: string): Promise<void> {
  const flat = DEMO_ART['O-1002/P1']?.() ?? []
  const soft = DEMO_ART['O-1003/P1']?.() ?? []
  const chosen = [...flat.slice(0, 4), ...soft.slice(3, 5)]
  for (const [i, film] of chosen.entries()) {
    const to = join(folder, `${i}.png`)
    if ('svg' in film) {
      const { width, height, grey } = await decodeFilm(Buffer.from(film.svg), {
        page: 0,
        width: 3898,
        height: 5705,
      })
      await sharp(grey, { raw: { width, height, channels: 1 } })
        .png()
        .toFile(to)
    } else {
      const { width, height, grey } = screened({ ...film.halftone, dpi: DPI })
      await sharp(grey, { raw: { width, height, channels: 1 } })
        .png()
        .toFile(to)
    }
  }
}

const decoded = async (file: string) => {
  const { data, info } = await sharp(file).greyscale().raw().toBuffer({ resolveWithObject: true })
  return {
    width: info.width,
    height: info.height,
    grey: new Uint8Array(data.buffer, data.byteOffset, data.length),
  }
}

async function part(name: string, folder: string): Promise<void> {
  const files = Array.from({ length: FILMS }, (_, i) => join(folder, `${i}.png`))
  const times: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now()
    if (name === 'decode') for (const file of files) await decoded(file)
    else {
      const films = []
      for await (const image of ahead(files.map((file) => () => decoded(file)))) {
        if (image.status === 'rejected') throw image.reason
        films.push(readFilm(image.value, DPI))
      }
      const set = settle(films)
      for (const [a, b] of pairsOf(files.map((_, i) => i))) meetingOf(set, a, b)
      baseOf(set, 0, [1, 2, 3], [4, 5])
    }
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  process.send?.({ ms: times[ROUNDS >> 1], mb: process.resourceUsage().maxRSS / 1024 })
}

const measured = (name: string, folder: string) =>
  new Promise<{ ms: number; mb: number }>((resolve, reject) => {
    const child = fork(import.meta.filename, [name, folder], { execArgv: ['--import', 'tsx'] })
    child.on('message', resolve)
    child.on('exit', (code) => code !== 0 && reject(new Error(`${name} ended with ${code}`)))
  })

const [name, folder] = process.argv.slice(2)
if (name && folder) await part(name, folder)
else {
  const own = mkdtempSync(join(tmpdir(), 'films-'))
  try {
    await draw(own)
    const decode = await measured('decode', own)
    const read = await measured('read', own)
    console.log(
      `decoding ${decode.ms.toFixed(0)} ms, reading with decoding ${read.ms.toFixed(0)} ms (median of ${ROUNDS})`,
    )
    console.log(`artwork: ${(read.ms / decode.ms).toFixed(2)} x decoding, peak ${read.mb.toFixed(0)} MB`)
  } finally {
    rmSync(own, { recursive: true })
  }
}
