import '@fontsource-variable/archivo/wdth.css'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { database, dataFolder } from '@/store/database'
import { diskProblem } from '@/store/problems'
import { Provider } from '@/ui/Provider'
import { MODE_SCRIPT } from '@/ui/settings'
import { Companions } from './Companions'

export const metadata: Metadata = { title: { default: 'Orvint', template: '%s · Orvint' } }
export const dynamic = 'force-dynamic'

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const problem = await database().then(() => undefined, diskProblem)
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of this app */}
        <script dangerouslySetInnerHTML={{ __html: MODE_SCRIPT }} />
      </head>
      <body>
        <Provider>
          {problem === undefined ? (
            <>
              {children}
              <Companions />
            </>
          ) : (
            <main style={{ padding: '4rem', fontSize: '1.2rem' }}>
              <h1 style={{ fontWeight: 750 }}>The data cannot be opened</h1>
              <p>{problem}</p>
              <p>The data folder is {dataFolder()}.</p>
            </main>
          )}
        </Provider>
      </body>
    </html>
  )
}
