import { numberOf } from '@/core/advice'
import { type FilmFinding, lostDots, type Push } from '@/core/artwork'
import type { InkColour } from '@/core/order'
import type { Reading, StoredFilm } from '@/store/films'
import { useOrder } from '../../orderContext'
import { Findings } from './Findings'
import { Mend } from './Mend'
import { Misregister } from './Misregister'
import { filmName } from './PushBar'
import { UseReadings } from './UseReadings'
import { useBase } from './useBase'
import type { FilmsDesk } from './useFilms'
import { useMeasure } from './useMeasure'

interface Props {
  readonly at: number
  /** The print. */
  readonly id: string
  readonly desk: FilmsDesk
  readonly films: readonly StoredFilm[]
  readonly inks: readonly InkColour[]
  readonly reading: Reading
  readonly pushes: Readonly<Record<string, Push>>
  readonly onSpot: (spot: { readonly x: number; readonly y: number }) => void
}

/** What was read off the films: what is wrong with them, what the order says otherwise, what a miss would show. */
export function WhatFilmsSay({ at, id, desk, films, inks, reading, pushes, onSpot }: Props) {
  const read = films.filter((f) => reading.films.includes(f.id))
  const onBase = useBase(read, inks)
  const under = useMeasure(desk.base, desk.table?.set.key ?? '', onBase)?.base
  const { plan, run, shelf } = useOrder()
  // Of the run that is looked at: another cloth may take another mesh.
  const hits = plan && run?.placement.id === id ? plan.hits : []
  const fabrics = shelf.shop.screens.fabrics.map((f) => f.count)
  const lost = read.flatMap((film, i) => {
    const mesh = hits.find((h) => h.hit.id === film.ink)?.mesh
    const facts = reading.facts[i]
    if (!mesh || !facts) return []
    return lostDots(film.name, facts, numberOf(mesh), fabrics).map(
      ({ reason, place }): FilmFinding => ({ reason, film: i, ...(place ? { place } : {}) }),
    )
  })
  const nameOf = (i: number) => {
    const film = read[i]
    return film ? filmName(film, inks) : ''
  }
  return (
    <>
      <Findings {...{ desk, reading, under, onSpot, lost }} />
      <UseReadings {...{ at, films, reading }} choke={under?.choke?.median} />
      <Misregister {...{ desk, inks, reading, pushes }} />
      <Mend {...{ desk, reading, nameOf }} films={read} under={onBase} />
    </>
  )
}
