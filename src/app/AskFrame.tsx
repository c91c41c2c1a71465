'use client'

import { lazy, type ReactNode, Suspense, useMemo } from 'react'
import { useAnswer } from '@/ui/answer'
import { DeskProvider } from '@/ui/desk'
import { Frame } from './Frame'

/** With the rules of every room; here it comes when the first question is asked. */
const WhyPanel = lazy(() => import('@/ui/WhyPanel').then((m) => ({ default: m.WhyPanel })))

const NOTHING = () => undefined

interface Props {
  readonly shopName: string
  readonly rail?: ReactNode
  readonly bare?: boolean
  readonly children: ReactNode
}

/** A page whose numbers answer why, but are not decided here. The answer opens beside them. */
export function AskFrame({ shopName, rail, bare, children }: Props) {
  const answer = useAnswer()
  const { ask } = answer
  const desk = useMemo(() => ({ ask, override: NOTHING, takeBack: NOTHING }), [ask])
  return (
    <DeskProvider value={desk}>
      <Frame
        shopName={shopName}
        rail={rail}
        bare={bare}
        aside={
          answer.shown && (
            <Suspense>
              <WhyPanel answer={answer} />
            </Suspense>
          )
        }
      >
        {children}
      </Frame>
    </DeskProvider>
  )
}
