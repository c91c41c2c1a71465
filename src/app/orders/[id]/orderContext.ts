'use client'

import { createContext, useContext } from 'react'
import type { Overrides, Practice } from '@/core/advice'
import type { ShopAndShelf } from '@/core/equipment'
import type { Batch } from '@/core/ink'
import type { Customer, Order, OrderState, Run, Said } from '@/core/order'
import type { Decisions, RunPlan } from '@/core/plan'
import type { SheetMark } from '@/formats/sheet'
import type { StoredDecisions } from '@/store/decisions'
import type { Asked } from '@/ui/desk'
import type { Seen } from '../../acts/orders'
import type { StageName } from './stages'
import type { ShopChange } from './useShopChange'

/** What is known of whoever ordered, and who may be meant while a name is typed. */
export interface CustomerFacts {
  readonly names: readonly string[]
  readonly known: Customer | undefined
  /** Their other orders, the newest first. */
  readonly earlier: readonly { readonly id: string; readonly title: string; readonly due: string }[]
}

export interface OrderContext {
  /** The last order that was whole; what is half typed lives in the form. */
  readonly order: Order
  /** How far it is, and when what was said of it. */
  readonly state: OrderState
  readonly said: Said
  readonly customer: CustomerFacts
  readonly shelf: ShopAndShelf
  readonly runs: readonly Run[]
  readonly run: Run | undefined
  readonly plan: RunPlan | undefined
  /** The plan is of then, ISO: today's is being worked out. */
  readonly asOf: string | undefined
  /** The last revision of this run; none while it was never released. */
  readonly mark: SheetMark | undefined
  /** Versions of what is on the desk, once all of it is stored. */
  readonly seen: () => Promise<Seen>
  readonly decisions: Decisions | undefined
  /** What is stored for each run of the order that was decided on. */
  readonly decided: Readonly<Record<string, StoredDecisions>>
  /** Ink mixed for the run. */
  readonly tubs: readonly Batch[]
  /** Prints that have films. */
  readonly pictured: readonly string[]
  readonly stage: StageName
  readonly stagePath: (stage: StageName, runId?: string) => string
  readonly setPractice: (practice: Practice, option: string) => void
  readonly setPrintOrder: (hitIds: readonly string[]) => void
  /** Puts several choices in place of what was chosen for these keys, in one go. */
  readonly choose: (keys: readonly string[], overrides: Overrides) => void
  /** Decides all of it anew: another way was taken. */
  readonly decideAll: (next: Decisions) => void
  /** The shop changed at the press: a head went down, a screen is mounted. @returns what stands in the way, or nothing */
  readonly changeShop: (change: ShopChange) => Promise<string>
  readonly ask: (asked: Asked) => void
}

const Context = createContext<OrderContext | undefined>(undefined)
export const OrderProvider = Context.Provider

export function useOrder(): OrderContext {
  const value = useContext(Context)
  if (!value) throw new Error('outside of an order')
  return value
}
