import { createHash } from 'node:crypto'
import { readFile, writeFile } from 'node:fs/promises'
import type { Placement } from '@/core/order'
import { filmFile } from '@/store/films'
import { inDarkroom } from './darkroom'
import { paintsOf } from './paints'
import { type PrintFilms, readingOf } from './printFilms'

/** On what, how large, and with or without white under it. */
export interface PictureAsked {
  readonly ground: string
  /** Pixels. */
  readonly width: number
  readonly based: boolean
}

/** A print composed of its films: made once, then kept beside them. */
export interface PictureWanted {
  /** Names all that it is made of. */
  readonly tag: string
  readonly kept: () => Promise<Buffer | undefined>
  /** @returns nothing where there is no film, or none that can be read */
  readonly composed: () => Promise<Uint8Array | undefined>
}

export function pictureWanted(own: PrintFilms, placement: Placement, asked: PictureAsked): PictureWanted {
  const { ground, width, based } = asked
  const paints = paintsOf(own.films, placement, based)
  const all = JSON.stringify([own.set.key, paints, ground, width])
  const tag = createHash('sha256').update(all).digest('hex')
  const path = filmFile(`${tag}.png`)
  return {
    tag,
    kept: () => readFile(path).catch(() => undefined),
    async composed() {
      const nobody = () => undefined
      if (own.films.length === 0) return undefined
      if ('ok' in (await readingOf(own, nobody, new AbortController().signal, 'later'))) return undefined
      const made = await inDarkroom((api) => api.picture(own.set, paints, ground, width), 'later')
      if (made) await writeFile(path, made)
      return made
    },
  }
}
