'use client'

import dynamic from 'next/dynamic'

/** What hardly anyone ever sees comes only when it is shown; no page carries it along. */
export const Recovery = dynamic(() => import('./recover/Recovery').then((m) => m.Recovery))
export const FirstStart = dynamic(() => import('./shop/FirstStart').then((m) => m.FirstStart))
