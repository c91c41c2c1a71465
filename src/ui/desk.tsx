'use client'

import { createContext, useContext } from 'react'
import type { Advice, Reason } from '@/core/advice'

/** What the Why panel explains: an advice, or an event with its reasons. */
export type Asked =
  | Advice
  | { readonly kind: 'event'; readonly label: string; readonly reasons: readonly Reason[] }

/** A question was asked; a value was touched to change it; a value has the focus. */
export type How = 'asked' | 'touched' | 'passing'

/** What a value on the desk can do: be asked why, be overridden, be taken back. */
export interface Desk {
  readonly ask: (asked: Asked, how?: How) => void
  readonly override: (key: string, value: number | string) => void
  readonly takeBack: (key: string) => void
}

const Context = createContext<Desk | undefined>(undefined)
export const DeskProvider = Context.Provider

export function useDesk(): Desk {
  const desk = useContext(Context)
  if (!desk) throw new Error('outside of a desk')
  return desk
}
