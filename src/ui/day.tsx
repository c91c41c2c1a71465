'use client'

import { useCallback } from 'react'
import { sayDay } from '@/core/quantity'
import { useSettings } from './settings'

const USUAL = 'EEE d MMM'

/** Says a day or moment in the order that the reader writes days in. */
export function useSayDay(): (iso: string, pattern?: string) => string {
  const { units } = useSettings()
  return useCallback((iso, pattern = USUAL) => sayDay(iso, pattern, units), [units])
}

/** A day or moment among other words. */
export function Day({ at, as = USUAL }: { readonly at: string; readonly as?: string }) {
  return useSayDay()(at, as)
}
