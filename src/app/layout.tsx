import '@fontsource-variable/archivo/wdth.css'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { Provider } from '@/ui/Provider'
import { MODE_SCRIPT } from '@/ui/settings'
import { Companions } from './Companions'

export const metadata: Metadata = { title: { default: 'Orvint', template: '%s · Orvint' } }
export const dynamic = 'force-dynamic'

export default function RootLayout({ children }: { readonly children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of this app */}
        <script dangerouslySetInnerHTML={{ __html: MODE_SCRIPT }} />
      </head>
      <body>
        <Provider>
          {children}
          <Companions />
        </Provider>
      </body>
    </html>
  )
}
