/** A PDF of these objects, the first its catalog. */
export const written = (objects: readonly (string | Buffer)[]) => {
  const parts: Buffer[] = [Buffer.from('%PDF-1.4\n')]
  const starts: number[] = []
  for (const [i, object] of objects.entries()) {
    starts.push(Buffer.concat(parts).length)
    parts.push(Buffer.from(`${i + 1} 0 obj\n`), Buffer.from(object), Buffer.from('\nendobj\n'))
  }
  const body = Buffer.concat(parts)
  const table = starts.map((at) => `${String(at).padStart(10, '0')} 00000 n \n`).join('')
  const end = `xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${table}trailer\n<</Size ${objects.length + 1}/Root 1 0 R>>\nstartxref\n${body.length}\n%%EOF`
  return new Uint8Array(Buffer.concat([body, Buffer.from(end)]))
}

export const CATALOG = '<</Type/Catalog/Pages 2 0 R>>'

/** A document of one page that holds what `drawing` draws, with these entries in its page. */
export const onePage = (page: string, drawing: string): Uint8Array =>
  written([
    CATALOG,
    '<</Type/Pages/Kids[3 0 R]/Count 1>>',
    `<</Type/Page/Parent 2 0 R/Contents 4 0 R${page}>>`,
    `<</Length ${drawing.length}>>\nstream\n${drawing}\nendstream`,
  ])
