'use client'

import { type ReactNode, useMemo, useState } from 'react'
import type { Asked } from '@/ui/desk'
import { DeskProvider } from '@/ui/desk'
import { useKeys } from '@/ui/keys'
import { WhyPanel } from '@/ui/WhyPanel'
import { Frame } from './Frame'

const NOTHING = () => undefined

interface Props {
  readonly shopName: string
  readonly rail?: ReactNode
  readonly children: ReactNode
}

/** A page whose numbers answer why, but are not decided here. The answer opens beside them. */
export function AskFrame({ shopName, rail, children }: Props) {
  const [asked, setAsked] = useState<Asked>()
  const desk = useMemo(() => ({ ask: setAsked, override: NOTHING, takeBack: NOTHING }), [])
  useKeys(useMemo(() => [{ keys: 'Escape', label: 'Close the answer', act: () => setAsked(undefined) }], []))
  return (
    <DeskProvider value={desk}>
      <Frame shopName={shopName} rail={rail} aside={asked && <WhyPanel asked={asked} warnings={[]} />}>
        {children}
      </Frame>
    </DeskProvider>
  )
}
