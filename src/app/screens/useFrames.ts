'use client'

import { useCallback, useMemo } from 'react'
import { useFormContext, useWatch } from 'react-hook-form'
import type { Frame, Shop, ShopAndShelf } from '@/core/equipment'
import { unlocked } from '../edits/unlocked'
import { useShop } from '../shop/shopContext'

/** The shop with its frames as they are this moment on the desk, and how to change some of them in one edit. */
export function useFrames() {
  const { shop: stored } = useShop()
  const { control, getValues, setValue } = useFormContext<ShopAndShelf>()
  const frames = useWatch({ control, name: 'shop.frames' })
  const humidity = useWatch({ control, name: 'shop.screens.humidity' })
  const shop = useMemo<Shop>(
    () => ({ ...stored, frames, screens: { ...stored.screens, humidity } }),
    [stored, frames, humidity],
  )
  const put = useCallback(
    (changed: readonly Frame[]) => {
      const by = new Map(changed.map((f) => [f.id, f]))
      const now = getValues('shop.frames')
      setValue('shop.frames', unlocked(now.map((f) => by.get(f.id) ?? f)))
    },
    [getValues, setValue],
  )
  return { shop, put }
}
