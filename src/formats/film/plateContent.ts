/** Colours in the drawing operators of a page (ISO 32000-1, 8.6.8): which are plates, and what each becomes on one of them. */

/** A word of a content stream with what stands before it, so that all else stays letter by letter. */
interface Word {
  readonly text: string
  readonly operator: boolean
}

/** Strings, names, numbers and operators, one after another; pictures inside the stream as one. */
const WORD =
  /%[^\r\n]*|\((?:\\[\s\S]|[^\\()]|\((?:\\[\s\S]|[^\\()])*\))*\)|<<|>>|<[^>]*>|\/[^\s()<>[\]{}/%]*|[[\]{}]|[^\s()<>[\]{}/%]+/g

function* wordsOf(content: string): Generator<Word> {
  WORD.lastIndex = 0
  for (let m = WORD.exec(content); m; m = WORD.exec(content)) {
    const [text] = m
    if (text === 'ID') {
      // A picture inside the stream: up to its end, as it is.
      const end = content.slice(WORD.lastIndex).search(/\sEI(?=\s|$)/)
      const to = end < 0 ? content.length : WORD.lastIndex + end
      yield { text: content.slice(m.index, to), operator: false }
      WORD.lastIndex = to
      continue
    }
    yield { text, operator: /^[A-Za-z'"*]/.test(text) && text !== 'true' && text !== 'false' }
  }
}

const FILLS: Readonly<Record<string, readonly [count: number, grey: string]>> = {
  k: [4, 'g'],
  K: [4, 'G'],
  g: [1, 'g'],
  G: [1, 'G'],
  rg: [3, 'g'],
  RG: [3, 'G'],
}

/** Inks of four, in the order of process plates; grey is black, and so is a colour whose parts are alike. */
function inksIn(operator: string, values: readonly number[]): readonly number[] | undefined {
  const [a = 0, b = 0, c = 0] = values
  if (operator === 'k' || operator === 'K') return values
  if (operator === 'g' || operator === 'G') return [0, 0, 0, 1 - a]
  return a === b && b === c ? [0, 0, 0, 1 - a] : undefined
}

/** What a content does, step by step: an operator with what stands before it; at the end none with what is left. */
function* stepsOf(content: string): Generator<readonly [operator: string, operands: readonly string[]]> {
  let operands: string[] = []
  for (const { text, operator } of wordsOf(content)) {
    if (!operator) {
      operands.push(text)
      continue
    }
    yield [text, operands]
    operands = []
  }
  yield ['', operands]
}

/** A device's colours chosen by name, and pictures inside the stream with colours of their own. */
const chosenByName = (operator: string, operands: readonly string[]) =>
  /^cs$/i.test(operator)
    ? /^\/Device(RGB|CMYK|Gray)$/.test(operands.at(-1) ?? '')
    : operator === 'EI' && operands.some((w) => /^\/(RGB|CMYK|G|DeviceRGB|DeviceCMYK|DeviceGray)$/.test(w))

/** Which process plates a content uses; `other` where a colour is none of them. */
export function processIn(content: string): readonly number[] | 'other' {
  const used = new Set<number>()
  for (const [operator, operands] of stepsOf(content)) {
    if (chosenByName(operator, operands)) return 'other'
    const fill = FILLS[operator]
    if (!fill) continue
    const inks = inksIn(operator, operands.slice(-fill[0]).map(Number))
    if (!inks) return 'other'
    inks.forEach((ink, i) => {
      if (ink > 0) used.add(i)
    })
  }
  return [...used].sort((a, b) => a - b)
}

/** A content on the plate of one process ink, as greys; on that of a spot colour (below 0) process colours are clear. */
export function platedContent(content: string, process: number): string {
  const out: string[] = []
  for (const [operator, operands] of stepsOf(content)) {
    const fill = FILLS[operator]
    if (fill) {
      const inks = inksIn(operator, operands.slice(-fill[0]).map(Number)) ?? [0, 0, 0, 0]
      out.push(...operands.slice(0, -fill[0]), `${1 - (inks[process] ?? 0)}`, fill[1])
    } else out.push(...operands, ...(operator ? [operator] : []))
  }
  return out.join('\n')
}
