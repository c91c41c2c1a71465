/**
 * Reads films of 330 x 483 mm with all pairs and the base, against decoding the same files alone: six of spot colours and fades,
 * six and twelve of a photograph in halftones throughout (all at 300 dpi), and six at 720 dpi that are read at 600.
 * Each part runs in a process of its own, so that its memory is its own.
 */
import { fork } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { baseOf } from '../src/core/artwork'
import { keysOf } from '../src/core/quantity'
import { decodeFilm } from '../src/formats/film'
import { DEMO_ART } from '../src/store/demo/art'
import { screened } from '../src/store/demo/screened'
import { helperHand } from '../src/workers/helper'
import { meetings, OWN_HAND, readSet } from '../src/workers/reading'
import { SMALL } from './size'

/** Millimetres. */
const SHEET = [330, 483]
/** Threads become quick by what they have done: the first reading after a start is told for itself, the rest by their median. */
const ROUNDS = SMALL ? 1 : 5

/** What is read: how many films, of what, and at how many pixels an inch they come and are read. */
const SETS = {
  mixed: { films: 6, drawn: 300, dpi: 300 },
  dense: { films: 6, drawn: 300, dpi: 300 },
  twelve: { films: 12, drawn: 300, dpi: 300 },
  fine: { films: 6, drawn: 720, dpi: 600 },
} as const
type SetName = keyof typeof SETS

async function draw(name: SetName, folder: string): Promise<void> {
  const { films, drawn } = SETS[name]
  const flat = DEMO_ART['O-1002/P1']?.() ?? []
  const soft = DEMO_ART['O-1003/P1']?.() ?? []
  const mixed = [...flat.slice(0, 4), ...soft.slice(3, 5)]
  const [width, height] = SHEET.map((mm) => Math.round((mm / 25.4) * drawn)) as [number, number]
  for (let i = 0; i < films; i++) {
    const film = (name === 'mixed' || name === 'fine' ? mixed : soft)[i % 6]
    if (!film) throw new Error('the demo has no such film')
    // A photograph of 300 dpi printed at 720 has its dots drawn by larger pixels; so has a film that was scaled up.
    const { grey, ...size } =
      'svg' in film
        ? await decodeFilm(Buffer.from(film.svg), { page: 0, width: 3898, height: 5705 })
        : screened({ ...film.halftone, dpi: 300 })
    await sharp(grey, { raw: { ...size, channels: 1 }, limitInputPixels: false })
      .resize({ width, height, fit: 'fill', kernel: 'nearest' })
      .png({ compressionLevel: 3 })
      .toFile(join(folder, `${i}.png`))
  }
}

const decoded = async (file: string, name: SetName) => {
  const { drawn, dpi } = SETS[name]
  if (drawn === dpi) {
    const { data, info } = await sharp(file).greyscale().raw().toBuffer({ resolveWithObject: true })
    return {
      width: info.width,
      height: info.height,
      grey: new Uint8Array(data.buffer, data.byteOffset, data.length),
    }
  }
  const [width, height] = SHEET.map((mm) => Math.round((mm / 25.4) * dpi)) as [number, number]
  return decodeFilm(new Uint8Array(await readFile(file)), { page: 0, width, height })
}

/** The thread that helps is there before films come, as it is in a server that runs. */
const noFilms = { films: [], kept: [], dpi: 300, width: 1, height: 1 }

async function part(name: SetName, what: string, folder: string): Promise<void> {
  const { films: count, dpi } = SETS[name]
  const files = Array.from({ length: count }, (_, i) => join(folder, `${i}.png`))
  const [width, height] = SHEET.map((mm) => Math.round((mm / 25.4) * dpi)) as [number, number]
  const films = files.map((path) => ({ path, page: 0, width, height }))
  const hands = [OWN_HAND, helperHand()]
  await readSet(noFilms, what === 'decode' ? [] : hands)
  const times: number[] = []
  let mb = 0
  const rounds = name === 'fine' ? 1 : ROUNDS
  for (let round = 0; round < rounds; round++) {
    const start = performance.now()
    if (what === 'decode') for (const file of files) await decoded(file, name)
    else {
      const set = await readSet({ films, kept: [], dpi, width, height }, hands)
      if ('ok' in set) throw new Error(JSON.stringify(set.wrong))
      await meetings(set, helperHand())
      baseOf(set, 0, [1, 2, 3], [4, 5])
    }
    times.push(performance.now() - start)
    // Of one reading: what the ones before it left behind is garbage, which a thread keeps as long as it has room.
    if (round === 0) mb = process.resourceUsage().maxRSS / 1024
  }
  const [first] = times
  times.sort((a, b) => a - b)
  process.send?.({ first, ms: times[rounds >> 1], mb }, () => process.exit())
}

interface Measured {
  readonly first: number
  readonly ms: number
  readonly mb: number
}

const measured = (name: SetName, what: string, folder: string) =>
  new Promise<Measured>((resolve, reject) => {
    const child = fork(import.meta.filename, [name, what, folder], {
      execArgv: ['--import', 'tsx', '--max-old-space-size=1024'],
    })
    child.on('message', resolve)
    child.on('exit', (code) => code !== 0 && reject(new Error(`${name} ended with ${code}`)))
  })

const [name, what, folder] = process.argv.slice(2)
if (name && what && folder) await part(name as SetName, what, folder)
else {
  const told: string[] = []
  for (const set of SMALL ? (['mixed'] as const) : keysOf(SETS)) {
    const own = mkdtempSync(join(tmpdir(), 'films-'))
    try {
      await draw(set, own)
      const decode = await measured(set, 'decode', own)
      const read = await measured(set, 'read', own)
      console.log(
        `${set}: decoding ${decode.ms.toFixed(0)} ms, reading with decoding ${read.ms.toFixed(0)} ms (the first time ${read.first.toFixed(0)} ms), peak ${read.mb.toFixed(0)} MB`,
      )
      told.push(`${set} ${(read.ms / decode.ms).toFixed(2)} x decoding, ${read.mb.toFixed(0)} MB`)
    } finally {
      rmSync(own, { recursive: true })
    }
  }
  console.log(`artwork: ${told.join('; ')}`)
}
