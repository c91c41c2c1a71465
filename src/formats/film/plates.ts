import {
  decodePDFRawStream,
  PDFArray,
  type PDFContext,
  PDFDict,
  PDFDocument,
  PDFName,
  type PDFObject,
  PDFRawStream,
  PDFStream,
} from 'pdf-lib'
import { platedContent, processIn } from './plateContent'

/**
 * The plates of a composite document: its spot colours (Separation and DeviceN spaces, ISO 32000-1, 8.6.6.4 and 8.6.6.5) and
 * process inks, each as a document of its own in which that ink is black and all else is clear. An ink that lies over another
 * knocks it out; overprint is not followed.
 */

/** One ink of a document. */
export interface Plate {
  readonly name: string
  readonly bytes: Uint8Array
}

const PROCESS = ['Cyan', 'Magenta', 'Yellow', 'Black'] as const
/** Colours that stand for every plate or for none. */
const NO_INK = new Set(['All', 'None'])
const MOST_PLATES = 24

const nameOf = (o: PDFObject | undefined) =>
  o instanceof PDFName
    ? o
        .decodeText()
        .replace(/[\p{Cc}\p{Cs}]/gu, ' ')
        .slice(0, 80)
    : ''

/** Every array and dictionary of a document, however deep. */
function* within(object: PDFObject): Generator<PDFArray | PDFDict> {
  if (object instanceof PDFStream) yield* within(object.dict)
  else if (object instanceof PDFArray) {
    yield object
    for (const o of object.asArray()) yield* within(o)
  } else if (object instanceof PDFDict) {
    yield object
    for (const o of object.values()) yield* within(o)
  }
}

const everything = function* (context: PDFContext) {
  for (const [, object] of context.enumerateIndirectObjects()) yield* within(object)
}

/** Spot colours that a colour space names. */
function inksOf(space: PDFArray, context: PDFContext): readonly string[] {
  const kind = nameOf(space.get(0))
  if (kind === 'Separation') return [nameOf(space.get(1))]
  const names = kind === 'DeviceN' ? context.lookup(space.get(1)) : undefined
  return names instanceof PDFArray ? names.asArray().map((n) => nameOf(n)) : []
}

/** Streams that draw: contents of pages, forms and patterns. */
function drawing(document: PDFDocument): readonly PDFRawStream[] {
  const contents = new Set<PDFObject>()
  for (const page of document.getPages()) {
    const own = page.node.Contents()
    for (const part of own instanceof PDFArray ? own.asArray() : [own])
      if (part) contents.add(document.context.lookup(part) as PDFObject)
  }
  return [...document.context.enumerateIndirectObjects()].flatMap(([, o]) => {
    if (!(o instanceof PDFRawStream)) return []
    const draws =
      contents.has(o) ||
      nameOf(o.dict.get(PDFName.of('Subtype'))) === 'Form' ||
      o.dict.has(PDFName.of('PatternType'))
    return draws ? [o] : []
  })
}

/** Pictures and shades in colours that are no plates cannot be taken apart here. */
function hasOtherColours(context: PDFContext): boolean {
  for (const o of everything(context)) {
    if (o instanceof PDFArray) {
      if (['ICCBased', 'CalRGB', 'CalGray', 'Lab', 'Indexed'].includes(nameOf(o.get(0)))) return true
      continue
    }
    const space = nameOf(context.lookup(o.get(PDFName.of('ColorSpace'))))
    if (['DeviceRGB', 'DeviceCMYK', 'DeviceGray'].includes(space)) return true
  }
  return false
}

const contentOf = (stream: PDFRawStream) =>
  Buffer.from(decodePDFRawStream(stream).decode()).toString('latin1')

/** Makes one ink of a document black and all others clear. */
function keepOnly(document: PDFDocument, ink: string): void {
  const { context } = document
  const grey = PDFName.of('DeviceGray')
  for (const o of everything(context)) {
    if (!(o instanceof PDFArray)) continue
    const inks = inksOf(o, context)
    if (inks.length === 0) continue
    const at = inks.findIndex((i) => i === ink || i === 'All')
    const last = inks.length - 1
    // The tint of this ink is left of those on the stack: the ones above go first, then those below.
    const rest =
      at < 0
        ? `${'pop '.repeat(inks.length)}1`
        : `${'pop '.repeat(last - at)}${at > 0 ? `${at + 1} 1 roll ${'pop '.repeat(at)}` : ''}1 exch sub`
    const tint = context.stream(`{ ${rest} }`, {
      FunctionType: 4,
      Domain: inks.flatMap(() => [0, 1]),
      Range: [0, 1],
    })
    o.set(2, grey)
    o.set(3, context.register(tint))
  }
  const process = (PROCESS as readonly string[]).indexOf(ink)
  for (const stream of drawing(document)) {
    const found = [...context.enumerateIndirectObjects()].find(([, o]) => o === stream)
    if (!found) continue
    const dict = stream.dict.clone(context)
    dict.delete(PDFName.of('Filter'))
    dict.delete(PDFName.of('DecodeParms'))
    const content = Buffer.from(platedContent(contentOf(stream), process), 'latin1')
    context.assign(found[0], PDFRawStream.of(dict, new Uint8Array(content)))
  }
}

/**
 * The plates of a document of one page.
 *
 * @returns none for documents of several pages, of a single ink, or with colours that are no plates: those are read by pages
 */
export async function platesOf(bytes: Uint8Array): Promise<readonly Plate[]> {
  const open = () => PDFDocument.load(bytes, { updateMetadata: false })
  try {
    const document = await open()
    if (document.getPageCount() !== 1 || hasOtherColours(document.context)) return []
    const spots = new Set<string>()
    for (const o of everything(document.context))
      if (o instanceof PDFArray)
        for (const ink of inksOf(o, document.context)) if (!NO_INK.has(ink)) spots.add(ink)
    const used = processIn(drawing(document).map(contentOf).join('\n'))
    if (used === 'other') return []
    const inks = [...spots, ...used.map((i) => PROCESS[i] as string)]
    if (spots.size === 0 || inks.length < 2 || inks.length > MOST_PLATES) return []
    const plates: Plate[] = []
    for (const name of inks) {
      const own = await open()
      keepOnly(own, name)
      plates.push({ name, bytes: await own.save({ useObjectStreams: false, addDefaultPage: false }) })
    }
    return plates
  } catch {
    // What cannot be taken apart is read by pages, and what is wrong with it is told there.
    return []
  }
}
