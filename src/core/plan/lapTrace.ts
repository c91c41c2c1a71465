import { type Lap, type Moment, type Round, trace } from '../heat'
import type { Duration, Temperature } from '../quantity'

/** Seconds of a lap at one cell of the strip. */
interface AtCell {
  readonly cell: number
  readonly from: Duration
  readonly to: Duration
}

/** A film that is flashed, from its print until the next print lies on it. */
export interface FlashedFilm {
  readonly from: Duration
  readonly to: Duration
  /** Where it gels; ink with water in it dries instead. */
  readonly gels: readonly [Temperature, Temperature] | undefined
  /** Warmer than this its middle is closed, under this flash; none where no flash closes it. */
  readonly closes: Temperature | undefined
}

/** What a gun finds in the middle of a film at once after its flash, and seconds later. */
interface Read {
  readonly name: string
  readonly later: Temperature
}

/** A lap moment by moment, at the middle of the print, with what holds where on it. */
export interface LapTrace {
  readonly moments: readonly Moment[]
  /** In order; a cell that takes no time is not among them. */
  readonly cells: readonly AtCell[]
  readonly films: readonly FlashedFilm[]
  /** Of each flash, in order. */
  readonly reads: readonly Read[]
}

/** A film falls by 25 K in its first second: who reads it a little later reads it truer, s. */
export const LATER: Duration = 3

/** Plastisol gels at 105 to 130 °C (common practice): so far below and above where the model has its middle, K. */
const GELS = [-10, 15] as const

/** What a garment goes through on its lap. */
export function lapTrace(round: Round, lap: Lap): LapTrace {
  let at = 0
  let flash = 0
  const cells: AtCell[] = []
  const films: FlashedFilm[] = []
  const flashed: { readonly name: string; readonly at: Duration }[] = []
  let printed: { readonly at: Duration; readonly gels: FlashedFilm['gels'] } | undefined
  for (const h of round.happenings) {
    const begins = at
    if (h.kind === 'wait') at += h.time
    else if (h.kind === 'print') {
      const open = films.at(-1)
      if (open && open.to === Number.POSITIVE_INFINITY) films[films.length - 1] = { ...open, to: at }
      const { water, kinetics } = h.ink
      printed = { at, gels: water > 0 ? undefined : [kinetics.gelAt + GELS[0], kinetics.gelAt + GELS[1]] }
    } else if (h.kind === 'flash') {
      const done = lap.flashes[flash++]
      at += done?.time ?? 0
      flashed.push({ name: h.name, at })
      if (printed)
        films.push({
          from: printed.at,
          to: Number.POSITIVE_INFINITY,
          gels: printed.gels,
          closes: done?.closes,
        })
    }
    const here = cells.at(-1)
    if (h.cell === undefined || at === begins) continue
    if (here?.cell === h.cell) cells[cells.length - 1] = { ...here, to: at }
    else cells.push({ cell: h.cell, from: begins, to: at })
  }
  // The layers below the face are near it: what they were is not kept for every lap.
  const moments = trace(
    round,
    round.board.layers.map(() => lap.board),
  )
  return {
    moments,
    cells,
    films: films.map((f) => ({ ...f, to: Math.min(f.to, at) })),
    reads: flashed.map((f) => ({
      name: f.name,
      later: (moments.find((m) => m.at >= f.at + LATER - 1e-6) ?? moments.at(-1))?.film ?? lap.board,
    })),
  }
}
