import { isToPrint, type OrderState, type Ready, type Said } from '@/core/order'

interface Line {
  readonly state: OrderState
  readonly said: Said
}

const WAITS: Readonly<Record<Ready, string>> = { garments: 'garments', art: 'approval of art' }
const MARKS = Object.keys(WAITS) as Ready[]

/** What an order to print waits for, in words. A shop that says it of none is not reminded of it at all. */
export function waitsFor(lines: readonly Line[]): (line: Line) => string {
  const isUsed = lines.some(({ said }) => MARKS.some((m) => said[m] !== undefined))
  return ({ state, said }) =>
    isUsed && isToPrint(state)
      ? MARKS.filter((m) => said[m] === undefined)
          .map((m) => WAITS[m])
          .join(', ')
      : ''
}
