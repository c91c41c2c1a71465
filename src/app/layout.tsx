import '@fontsource-variable/archivo/wdth.css'
import type { Metadata } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { readerOf } from '@/core/equipment'
import { listBackups } from '@/store/backup'
import { database, dataFolder } from '@/store/database'
import { diskProblem } from '@/store/problems'
import { loadShop } from '@/store/shop'
import { Provider } from '@/ui/Provider'
import { MODE_SCRIPT, type Writing } from '@/ui/settings'
import { Companions } from './Companions'
import { Recovery } from './Seldom'

export const metadata: Metadata = { title: { default: 'Orvint', template: '%s · Orvint' } }
export const dynamic = 'force-dynamic'

/** The nonce that the server gave this answer for its own scripts and styles. */
const nonceOf = (policy: string | null) => /'nonce-([^']+)'/.exec(policy ?? '')?.[1]

/** What stands in the way of the data, or how the shop writes. */
async function opened(): Promise<{ readonly problem?: string; readonly writing: Writing }> {
  try {
    const { shelf } = await loadShop(await database())
    return { writing: { ...readerOf(shelf.shop), weekFrom: shelf.shop.weekFrom ? 7 : 1 } }
  } catch (error) {
    return {
      writing: { measure: 'metric', weekFrom: 1 },
      problem: diskProblem(error) ?? 'The data cannot be opened.',
    }
  }
}

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const { problem, writing } = await opened()
  const nonce = nonceOf((await headers()).get('content-security-policy'))
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of this app */}
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: MODE_SCRIPT }} />
      </head>
      <body>
        <Provider nonce={nonce} writing={writing}>
          {problem === undefined ? (
            <>
              {children}
              <Companions />
            </>
          ) : (
            <Recovery folder={dataFolder()} problem={problem} backups={await listBackups()} />
          )}
        </Provider>
      </body>
    </html>
  )
}
