import { type Length, mm } from '@/core/quantity'
import type { MarkReading } from '@/core/registration'

/** Marks stand so far from the art, metres (common practice). */
const GAP = mm(10)

export const MARKS = {
  left: 'Left',
  right: 'Right',
  top: 'Top',
  bottom: 'Bottom',
  upperRight: 'Upper right',
  lowerLeft: 'Lower left',
} as const
export type MarkName = keyof typeof MARKS

/** Which marks a job has. */
export const MARK_SETS = {
  four: { name: 'four, in the middle of the sides', marks: ['left', 'right', 'top', 'bottom'] },
  two: { name: 'two, left and right', marks: ['left', 'right'] },
  three: { name: 'three, left, right and top', marks: ['left', 'right', 'top'] },
  six: {
    name: 'six, with two corners',
    marks: ['left', 'right', 'top', 'bottom', 'upperRight', 'lowerLeft'],
  },
} as const satisfies Record<string, { readonly name: string; readonly marks: readonly MarkName[] }>
export type MarkSet = keyof typeof MARK_SETS

/** In what they are read. */
export const READ_IN = {
  fine: 'millimetres or inches',
  sixtyFourths: '1/64 in',
  halfLines: 'half a line width (line of 0.5 mm)',
} as const
export type ReadIn = keyof typeof READ_IN

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
    case 'upperRight':
      return [width / 2 + GAP, height / 2 + GAP]
    case 'lowerLeft':
      return [-width / 2 - GAP, -height / 2 - GAP]
    default:
      return name satisfies never
  }
}

/** The marks of a print with what was typed at them. */
export const marksOf = (
  typed: Typed,
  { width, height }: { readonly width: Length; readonly height: Length },
  by: ReadBy,
  set: MarkSet,
): readonly MarkReading[] =>
  MARK_SETS[set].marks.map((name) => {
    const [x, y] = placeOf(name, width, height)
    return { name: MARKS[name].toLowerCase(), x, y, ...typed[name], spread: READ_BY[by].spread }
  })
