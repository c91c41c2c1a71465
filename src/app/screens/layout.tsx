import type { ReactNode } from 'react'
import { isSetUp } from '@/core/equipment'
import { changeStamp, database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { SCREEN_PAGES } from '../pages'
import { Seen } from '../Seen'
import { FirstStart } from '../Seldom'
import { ShopDesk } from '../shop/ShopDesk'

export const metadata = { title: 'Screen room' }

export default async function ScreensLayout({ children }: { readonly children: ReactNode }) {
  const db = await database()
  const stamp = await changeStamp(db)
  const stored = await loadShop(db)
  if (!isSetUp(stored.versions)) return <FirstStart />
  return (
    <ShopDesk stored={stored} pages={SCREEN_PAGES}>
      <Seen stamp={stamp} />
      {children}
    </ShopDesk>
  )
}
