import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** The words on each page of a PDF. */
export async function pagesOf(pdf: Buffer): Promise<readonly string[]> {
  const doc = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise
  const pages: string[] = []
  for (let n = 1; n <= doc.numPages; n++) {
    const { items } = await (await doc.getPage(n)).getTextContent()
    pages.push(items.map((i) => ('str' in i ? i.str : '')).join(' '))
  }
  return pages
}
