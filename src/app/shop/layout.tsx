import type { ReactNode } from 'react'
import { database } from '@/store/database'
import { loadShop } from '@/store/shop'
import { FirstStart } from './FirstStart'
import { ShopDesk } from './ShopDesk'

export const metadata = { title: 'Shop' }

export default async function ShopLayout({ children }: { readonly children: ReactNode }) {
  const stored = await loadShop(await database())
  return stored.version === 0 ? <FirstStart /> : <ShopDesk stored={stored}>{children}</ShopDesk>
}
