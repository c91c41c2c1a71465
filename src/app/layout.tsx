import '@fontsource-variable/archivo/wdth.css'
import type { Metadata } from 'next'
import { headers } from 'next/headers'
import type { ReactNode } from 'react'
import { listBackups } from '@/store/backup'
import { database, dataFolder } from '@/store/database'
import { diskProblem } from '@/store/problems'
import { Provider } from '@/ui/Provider'
import { MODE_SCRIPT } from '@/ui/settings'
import { Companions } from './Companions'
import { Recovery } from './Seldom'

export const metadata: Metadata = { title: { default: 'Orvint', template: '%s · Orvint' } }
export const dynamic = 'force-dynamic'

/** The nonce that the server gave this answer for its own scripts and styles. */
const nonceOf = (policy: string | null) => /'nonce-([^']+)'/.exec(policy ?? '')?.[1]

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const problem = await database().then(
    () => undefined,
    (error) => diskProblem(error) ?? 'The data cannot be opened.',
  )
  const nonce = nonceOf((await headers()).get('content-security-policy'))
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* biome-ignore lint/security/noDangerouslySetInnerHtml: a constant of this app */}
        <script nonce={nonce} dangerouslySetInnerHTML={{ __html: MODE_SCRIPT }} />
      </head>
      <body>
        <Provider nonce={nonce}>
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
