import { type Length, mm } from '@/core/quantity'
import type { MarkReading } from '@/core/registration'

/** Marks stand so far from the art, metres (common practice). */
const GAP = mm(10)

export const MARKS = { left: 'Left', right: 'Right', top: 'Top', bottom: 'Bottom' } as const
export type MarkName = keyof typeof MARKS

/** What was typed at each mark: metres to the right, and away from the operator. */
export type Typed = Readonly<
  Partial<Record<MarkName, { readonly dx?: Length | undefined; readonly dy?: Length | undefined }>>
>

/** How marks are read, and how far such a reading is off, one standard deviation (assumed). */
export const READ_BY = {
  loupe: { name: 'with a loupe, on film', spread: mm(0.05) },
  paper: { name: 'by eye, on paper', spread: mm(0.1) },
  cloth: { name: 'by eye, on cloth', spread: mm(0.15) },
} as const
export type ReadBy = keyof typeof READ_BY

/** Where each mark stands, from the centre of the art with its collar away from the operator. */
const placeOf = (name: MarkName, width: Length, height: Length): readonly [number, number] => {
  switch (name) {
    case 'left':
      return [-width / 2 - GAP, 0]
    case 'right':
      return [width / 2 + GAP, 0]
    case 'top':
      return [0, height / 2 + GAP]
    case 'bottom':
      return [0, -height / 2 - GAP]
    default:
      return name satisfies never
  }
}

/** The marks of a print with what was typed at them. */
export const marksOf = (
  typed: Typed,
  { width, height }: { readonly width: Length; readonly height: Length },
  by: ReadBy,
): readonly MarkReading[] =>
  (Object.keys(MARKS) as MarkName[]).map((name) => {
    const [x, y] = placeOf(name, width, height)
    return { name: MARKS[name].toLowerCase(), x, y, ...typed[name], spread: READ_BY[by].spread }
  })
