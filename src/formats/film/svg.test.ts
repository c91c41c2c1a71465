import { describe, expect, it } from 'vitest'
import { drawingAt, drawingShape, readDrawing } from './svg'

const svg = (head: string, body = '') =>
  `<?xml version="1.0"?>\n<svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`

describe('the size of a drawing', () => {
  // CSS: 1 in = 25.4 mm = 96 px = 72 pt = 6 pc (published: CSS Values and Units).
  it.each([
    ['width="330mm" height="483mm"', 330, 483],
    ['width="33cm" height="48.3cm"', 330, 483],
    ['width="13in" height="19in"', 330.2, 482.6],
    ['width="72pt" height="6pc"', 25.4, 25.4],
    ["width='1e2mm' height='50 mm'", 100, 50],
  ])('%s', (head, width, height) => {
    const { size } = readDrawing(svg(head))
    expect(size?.width).toBeCloseTo(width, 6)
    expect(size?.height).toBeCloseTo(height, 6)
  })

  it.each([
    'viewBox="0 0 10 20"',
    'width="100%" height="100%" viewBox="0 0 10 20"',
    'width="10" height="20"',
    // Programs mean 72, 90, 96 or 300 an inch by a pixel: it is asked.
    'width="10px" height="20px"',
  ])('is not known from %s, but its shape is', (head) => {
    expect(readDrawing(svg(head)).size).toBeUndefined()
    expect(drawingShape(svg(head))).toEqual({ width: 10, height: 20 })
  })

  it('without any size there is no shape either', () => {
    expect(drawingShape(svg(''))).toBeUndefined()
  })
})

describe('a drawing at so many pixels', () => {
  it('keeps its own coordinates', () => {
    const out = drawingAt(svg('width="50mm" height="25mm" viewBox="0 0 100 50" fill="red"', '<g/>'), 591, 295)
    expect(out).toContain('<svg width="591" height="295" viewBox="0 0 100 50"')
    expect(out).toContain('fill="red"')
    expect(out).toContain('<g/></svg>')
    expect(out.match(/viewBox/g)).toHaveLength(1)
  })

  it('takes its old size for its coordinates when it names none', () => {
    expect(drawingAt(svg('width="40" height="20"'), 400, 200)).toContain('viewBox="0 0 40 20"')
  })
})

describe('what may stay in a drawing', () => {
  it.each([
    '<use href="#a"/>',
    '<rect fill="url(#shade)"/>',
    '<image href="data:image/png;base64,AAAA"/>',
    '<rect style="fill: #000; stroke: none"/>',
    '<text>online shop, session = 3</text>',
  ])('%s', (body) => {
    expect(readDrawing(svg('width="5mm" height="5mm"', body)).size?.width).toBeCloseTo(5, 9)
  })

  it.each([
    '<SCRIPT>x()</SCRIPT>',
    '<svg:script/>',
    '<image href="data:text/html,x"/>',
    '<image href = "https://192.0.2.1/a.png"/>',
    '<?xml-stylesheet href="a.css"?>',
    '<rect style="fill:url(http://192.0.2.1/a)"/>',
    '<set onbegin="x()"/>',
    '<iframe/>',
  ])('%s may not', (body) => {
    expect(() => readDrawing(svg('width="5mm" height="5mm"', body))).toThrow('This drawing holds')
  })

  it('a link in it is dropped: it draws nothing', () => {
    expect(() => readDrawing(svg('', '<a href="https://192.0.2.1/"><rect/></a>'))).not.toThrow()
  })

  it('that draws itself again and again, or nests without end, may not', () => {
    const doubled = Array.from(
      { length: 24 },
      (_, i) => `<g id="g${i + 1}"><use href="#g${i}"/><use xlink:href="#g${i}"/></g>`,
    ).join('')
    for (const [body, why] of [
      [`<g id="g0"><path d="M0 0"/></g>${doubled}`, 'draw themselves again and again'],
      ['<g id="a"><use href="#a"/></g>', 'draw themselves again and again'],
      [`${'<g>'.repeat(5000)}${'</g>'.repeat(5000)}`, 'more than 256 levels'],
      [`<g>${'<p/>'.repeat(500_000)}</g>`, 'too many shapes'],
    ] as const)
      expect(() => readDrawing(svg('width="5mm" height="5mm"', body)), why).toThrow(why)
  })

  it('is looked through in the time of its length: sixty thousand spaces take no longer than as many letters', () => {
    const timed = (body: string) => {
      const begin = performance.now()
      // Refused or not: it is the time that counts.
      try {
        readDrawing(svg('width="5mm" height="5mm"', body))
      } catch {}
      return performance.now() - begin
    }
    const fill = (sign: string) =>
      `<text style="fill: red${sign.repeat(60_000)}" href="#a">${sign.repeat(60_000)}</text>`
    // As long as the longest of them.
    timed(fill('xxxxxx'))
    const letters = Math.max(5, timed(fill('xxxxxx')))
    for (const sign of [' ', '\n', 'url( ', ' href= '])
      expect(timed(fill(sign)), sign).toBeLessThan(20 * letters)
  })

  it('is a drawing at all', () => {
    expect(() => readDrawing('<html/>')).toThrow('not a drawing')
  })
})
