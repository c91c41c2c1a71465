'use client'

import { lazy, Suspense } from 'react'

/** What hardly anyone ever sees comes only when it is shown; no page carries it along. */
const RecoveryPage = lazy(() => import('./recover/Recovery').then((m) => ({ default: m.Recovery })))
const FirstStartPage = lazy(() => import('./shop/FirstStart').then((m) => ({ default: m.FirstStart })))

export const Recovery = (props: React.ComponentProps<typeof RecoveryPage>) => (
  <Suspense>
    <RecoveryPage {...props} />
  </Suspense>
)
export const FirstStart = () => (
  <Suspense>
    <FirstStartPage />
  </Suspense>
)
