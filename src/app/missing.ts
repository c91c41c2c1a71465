import type { StageName } from './orders/[id]/stages'

/** What an order may still miss before it makes a run: how it is told, and where it is entered. */
export const MISSING = {
  customer: { words: 'Customer is missing', stage: 'order' },
  colours: { words: 'No colours yet', stage: 'art' },
  quantities: { words: 'No quantities yet', stage: 'order' },
  press: { words: 'The shop has no press', stage: 'order' },
} as const satisfies Record<string, { readonly words: string; readonly stage: StageName }>
export type Missing = keyof typeof MISSING
