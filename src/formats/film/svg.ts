import { SaxesParser, type SaxesTagPlain } from 'saxes'
import { FilmProblem } from './problem'

/** Drawings that are larger, deeper or fuller than any film; `use` counts for all that it draws again. */
const MOST_LETTERS = 48 * 1024 ** 2
const DEEPEST = 256
const MOST_ELEMENTS = 400_000

const MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
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

/** Elements that run or bring something else in. */
const FOREIGN = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'include',
  'handler',
  'listener',
])
/** Where an address may lead: inside the drawing, or to a picture that it carries. */
const isOwn = (address: string) => /^(#|data:image\/(png|jpeg)[;,])/i.test(address.trim())

/** What style text refers to, read from left to right once. */
function referencesIn(style: string): readonly string[] {
  const plain = style.replace(/\s/g, '').toLowerCase()
  if (plain.includes('@import')) return ['@import']
  return plain
    .split('url(')
    .slice(1)
    .map((after) => after.slice(0, 40).replace(/^["']/, ''))
}

/** What an element draws: itself and what is inside, and what it draws again by reference. */
interface Drawn {
  elements: number
  readonly again: string[]
}

/** How many elements are drawn once every reference is followed; infinite where one leads back to itself. */
function expanded(root: Drawn, byId: ReadonlyMap<string, Drawn>): number {
  const known = new Map<Drawn, number>()
  const count = (drawn: Drawn): number => {
    const before = known.get(drawn)
    if (before !== undefined) return before
    // Found again while it is being counted: it contains itself.
    known.set(drawn, Number.POSITIVE_INFINITY)
    const all = drawn.again.reduce((sum, id) => {
      const to = byId.get(id)
      return sum + (to ? count(to) : 0)
    }, drawn.elements)
    known.set(drawn, all)
    return all
  }
  return count(root)
}

/**
 * Looks through a drawing with a parser, once from left to right.
 *
 * @returns the attributes of its root
 * @throws FilmProblem for drawings that would run or fetch something, that draw far too much, or that are none
 */
function lookedThrough(text: string): Readonly<Record<string, string>> {
  const refuse = (what: string): never => {
    throw new FilmProblem(
      `This drawing holds ${what}, so it was not opened. Export it again as plain shapes.`,
    )
  }
  if (text.length > MOST_LETTERS) refuse('more than 48 million letters')
  const parser = new SaxesParser({ position: false, xmlns: false })
  const root: Drawn = { elements: 0, again: [] }
  const open: Drawn[] = [root]
  const byId = new Map<string, Drawn>()
  let attributes: Readonly<Record<string, string>> | undefined
  let inStyle = false
  let style = ''
  const look = (address: string) => isOwn(address) || refuse('a reference to another file')
  parser.on('error', () => {
    throw new FilmProblem('This is not a drawing that can be read: it is no well-formed SVG.')
  })
  parser.on('doctype', (type) => type.includes('[') && refuse('entities'))
  parser.on(
    'processinginstruction',
    ({ target }) => target === 'xml-stylesheet' && refuse('a reference to another file'),
  )
  parser.on('opentag', (tag: SaxesTagPlain) => {
    const name = (tag.name.split(':').at(-1) ?? '').toLowerCase()
    const { attributes: own } = tag
    if (attributes === undefined) {
      if (name !== 'svg') throw new FilmProblem('This is not a drawing that can be read.')
      attributes = own
    }
    if (FOREIGN.has(name)) refuse(name === 'script' ? 'a script' : 'foreign content')
    const drawn: Drawn = { elements: 1, again: [] }
    for (const [key, value] of Object.entries(own)) {
      const plain = key.toLowerCase()
      if (/^on[a-z]+$/.test(plain)) refuse('a script')
      if (plain === 'href' || plain === 'xlink:href' || plain === 'src') {
        // A link draws nothing, and no one follows it here.
        if (name === 'a') continue
        look(value)
        if (name === 'use') drawn.again.push(value.trim().slice(1))
      } else for (const r of referencesIn(value.includes('url') ? value : '')) look(r)
      if (plain === 'id') byId.set(value, drawn)
    }
    if (open.length > DEEPEST) refuse(`more than ${DEEPEST} levels`)
    open.push(drawn)
    inStyle = name === 'style'
  })
  parser.on('closetag', () => {
    const drawn = open.pop()
    const above = open.at(-1)
    if (drawn && above) {
      above.elements += drawn.elements
      above.again.push(...drawn.again)
      if (above.elements > MOST_ELEMENTS || above.again.length > MOST_ELEMENTS) refuse('too many shapes')
    }
    inStyle = false
  })
  const styled = (part: string) => {
    if (inStyle) style += part
  }
  parser.on('text', styled)
  parser.on('cdata', styled)
  parser.write(text).close()
  for (const r of referencesIn(style)) look(r)
  if (expanded(root, byId) > MOST_ELEMENTS) refuse('shapes that draw themselves again and again')
  if (!attributes) throw new FilmProblem('This is not a drawing that can be read.')
  return attributes
}

/**
 * Reads the head of a drawing.
 *
 * @throws FilmProblem for drawings that would run or fetch something, or that are none
 */
export function readDrawing(text: string): Drawing {
  const own = lookedThrough(text)
  const width = length(own.width)
  const height = length(own.height)
  const known = width && height && MM[width.unit] && MM[height.unit]
  return {
    text,
    size: known
      ? {
          width: width.value * (MM[width.unit] ?? 0),
          height: height.value * (MM[height.unit] ?? 0),
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

/** Width and height of a drawing in its own units. A pixel is none: programs mean 72, 90, 96 or 300 an inch by it. */
export function drawingShape(text: string): { readonly width: number; readonly height: number } | undefined {
  const root = text.match(ROOT)?.[0] ?? ''
  const [, , w = 0, h = 0] = (attribute(root, 'viewBox') ?? '').split(/[\s,]+/).map(Number)
  const width = length(attribute(root, 'width'))?.value ?? w
  const height = length(attribute(root, 'height'))?.value ?? h
  return width > 0 && height > 0 ? { width, height } : undefined
}
