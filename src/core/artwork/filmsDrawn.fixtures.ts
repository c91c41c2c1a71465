import { disc, drawn, grown, mark, outside, type Shape, together } from './film.fixtures'
import { readFilm, settle } from './index'

export const DPI = 300
export const PX = 0.0254 / DPI
/** Marks at the middle of each side of a 60 x 60 mm film. */
export const FRAME = together(mark(30, 6), mark(30, 54), mark(6, 30), mark(54, 30))

export const film = (shape: Shape, dpi = DPI) => readFilm(drawn(60, 60, dpi, together(FRAME, shape)), dpi)
export const bare = (shape: Shape, dpi = DPI, size = 40) => readFilm(drawn(size, size, dpi, shape), dpi)
export const setOf = (...shapes: readonly Shape[]) => settle(shapes.map((s) => film(s)))
export const px = (metres: number | undefined) => (metres ?? Number.NaN) / PX

/** A hole cut for a shape, smaller by the trap or larger by the gap. */
export const knockout = (shape: Shape, trap: number) => outside(disc(30, 30, 17), grown(shape, -trap))
