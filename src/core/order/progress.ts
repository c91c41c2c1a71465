/** How far an order is, first to last. What is printed leaves Today and the rooms; what is gone leaves the list. */
export const ORDER_STATES = {
  asked: 'Asked',
  open: 'Accepted',
  printing: 'Printing',
  printed: 'Printed',
  packed: 'Packed',
  done: 'Gone',
} as const
export type OrderState = keyof typeof ORDER_STATES
const IN_TURN = Object.keys(ORDER_STATES) as OrderState[]

/** What an order waits for before it is printed, in no order of its own. */
export const READY = { garments: 'Garments in', art: 'Art approved' } as const
export type Ready = keyof typeof READY

/** Everything that can be said of how far an order is. */
export const PROGRESS = { ...ORDER_STATES, ...READY } as const
export type Progress = keyof typeof PROGRESS
/** When each was said, ISO time. */
export type Said = Readonly<Partial<Record<Progress, string>>>

export const isReady = (mark: Progress): mark is Ready => Object.hasOwn(READY, mark)

const from = (state: OrderState) => IN_TURN.slice(IN_TURN.indexOf(state))
/** Those that the day and the rooms are planned from. */
export const TO_PRINT: readonly OrderState[] = ['open', 'printing']
export const isToPrint = (state: OrderState): boolean => TO_PRINT.includes(state)
export const isOffPress = (state: OrderState): boolean => from('printed').includes(state)

/**
 * What was said, once one thing more is said or taken back. To go back to an earlier state takes back what was said of the
 * later ones.
 *
 * @param at ISO time
 */
export function saidAlso(said: Said, mark: Progress, is: boolean, at: string): Said {
  const gone = new Set<Progress>(isReady(mark) ? [mark] : from(mark))
  const kept = Object.fromEntries(Object.entries(said).filter(([m]) => !gone.has(m as Progress)))
  return is ? { ...kept, [mark]: said[mark] ?? at } : kept
}

/** The state before one, that is come back to when it is taken back. */
export const stateBefore = (state: OrderState): OrderState =>
  IN_TURN[Math.max(0, IN_TURN.indexOf(state) - 1)] ?? 'asked'
