import { FilmProblem } from './problem'

/** What must not be in a drawing that is only looked at: nothing runs, nothing is fetched. */
const REFUSED: readonly (readonly [RegExp, string])[] = [
  [/<\s*(\w+:)?script\b/i, 'a script'],
  [/\son\w+\s*=/i, 'a script'],
  [/<!ENTITY|<!DOCTYPE[^>]*\[/i, 'entities'],
  [/<\?xml-stylesheet|@import/i, 'a reference to another file'],
  [/<\s*(\w+:)?(foreignObject|iframe|object|embed|include)\b/i, 'foreign content'],
  [
    /\b(xlink:)?(href|src)\s*=\s*["']?\s*(?!#|["']|data:image\/(png|jpeg))[^\s"'>]/i,
    'a reference to another file',
  ],
  [/url\(\s*["']?\s*(?!#|data:image\/(png|jpeg))[^\s"')]/i, 'a reference to another file'],
]

const MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
}

const ROOT = /<svg\b[^>]*>/i

export interface Drawing {
  readonly text: string
  /** Size in millimetres; undefined when the drawing has none in real units. */
  readonly size: { readonly width: number; readonly height: number } | undefined
}

const attribute = (root: string, name: string): string | undefined =>
  root.match(new RegExp(`\\s${name}\\s*=\\s*["']([^"']*)["']`, 'i'))?.[1]

function length(text: string | undefined): { readonly value: number; readonly unit: string } | undefined {
  const [, value, unit = ''] = text?.trim().match(/^([\d.]+(?:e-?\d+)?)\s*([a-z]*)$/i) ?? []
  return value === undefined ? undefined : { value: Number(value), unit: unit.toLowerCase() }
}

/**
 * Reads the head of a drawing.
 *
 * @throws FilmProblem for drawings that would run or fetch something, or that are none
 */
export function readDrawing(text: string): Drawing {
  for (const [pattern, what] of REFUSED)
    if (pattern.test(text))
      throw new FilmProblem(
        `This drawing holds ${what}, so it was not opened. Export it again as plain shapes.`,
      )
  const root = text.match(ROOT)?.[0]
  if (!root) throw new FilmProblem('This is not a drawing that can be read.')
  const width = length(attribute(root, 'width'))
  const height = length(attribute(root, 'height'))
  const known = width && height && MM[width.unit] && MM[height.unit]
  return {
    text,
    size: known
      ? {
          width: width.value * (MM[width.unit] as number),
          height: height.value * (MM[height.unit] as number),
        }
      : undefined,
  }
}

/** The drawing with its size said in pixels, so that it is drawn at exactly that many. */
export function drawingAt(text: string, width: number, height: number): string {
  const root = text.match(ROOT)?.[0] ?? ''
  const old = ['width', 'height'].map((name) => length(attribute(root, name)))
  const box = attribute(root, 'viewBox') ?? `0 0 ${old[0]?.value ?? width} ${old[1]?.value ?? height}`
  const bare = root
    .replace(/\s(width|height|viewBox)\s*=\s*(["'])[^"']*\2/gi, '')
    .replace(/^<svg/i, `<svg width="${width}" height="${height}" viewBox="${box}"`)
  return text.replace(root, bare)
}

/** Shape of a drawing without real units, width by height. */
export function drawingShape(text: string): number | undefined {
  const root = text.match(ROOT)?.[0] ?? ''
  const [, , w = 0, h = 0] = (attribute(root, 'viewBox') ?? '').split(/[\s,]+/).map(Number)
  const width = length(attribute(root, 'width'))?.value ?? w
  const height = length(attribute(root, 'height'))?.value ?? h
  return width > 0 && height > 0 ? width / height : undefined
}
