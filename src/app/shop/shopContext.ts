'use client'

import { createContext, useContext } from 'react'
import type { ShopAndShelf } from '@/core/equipment'

const Context = createContext<ShopAndShelf | undefined>(undefined)
export const ShopProvider = Context.Provider

/** The last shop that was whole; what is half typed lives in the form. */
export function useShop(): ShopAndShelf {
  const value = useContext(Context)
  if (!value) throw new Error('outside of a shop')
  return value
}
