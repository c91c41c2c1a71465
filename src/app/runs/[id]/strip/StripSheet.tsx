'use client'

import { Box, Flex } from '@chakra-ui/react'
import { css, Global } from '@emotion/react'
import { useMemo } from 'react'
import { message } from '@/core/advice'
import type { SheetFacts } from '@/formats/sheet'
import { useAnswer } from '@/ui/answer'
import { type Desk, DeskProvider } from '@/ui/desk'
import { Link } from '@/ui/elements'
import { LapStrip } from '@/ui/lap/LapStrip'
import { TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { WhyPanel } from '@/ui/WhyPanel'
import { Cycle } from '../../../orders/[id]/stage/lap/Cycle'

/** The strip is long: it lies across the page. */
const ACROSS = css`
  @page { size: landscape; margin: 9mm; }
`

interface Props {
  readonly facts: SheetFacts
  readonly standing: string
}

/** The lap strip to pin up at the press, across the page, with the press cycle under it. */
export function StripSheet({ facts: { order, plan, shopName }, standing }: Props) {
  const { units } = useSettings()
  const answer = useAnswer()
  const { ask } = answer
  const desk = useMemo((): Desk => ({ ask, override: NOTHING, takeBack: NOTHING }), [ask])
  return (
    <DeskProvider value={desk}>
      <Box bg="work" color="ink" minHeight="100vh" p={{ base: '4', _print: '0' }}>
        <Global styles={ACROSS} />
        <Flex as="nav" aria-label="Strip" gap="4" mb="4" className="no-print">
          <Link href={`/orders/${order.id}/sequence?run=${plan.run.id}`} textDecoration="underline">
            Back to the order
          </Link>
          <Box ml="auto">
            <TextButton onClick={() => window.print()}>Print</TextButton>
          </Box>
        </Flex>
        <Box as="main">
          <Flex justify="space-between" align="baseline" borderBottom="3px solid" pb="1" mb="3">
            <Box as="h1" fontSize="figure" fontWeight="800" fontStretch="80%">
              {[order.customer, order.title].filter(Boolean).join(', ')}
            </Box>
            <Box fontSize="body">
              {plan.run.id} · {standing} ·{' '}
              {plan.run.quantity === 1 ? '1 piece' : `${plan.run.quantity} pieces`} ·{' '}
              <Box as="span" fontSize="figure" fontWeight="800" fontStretch="80%">
                {plan.press.name}
              </Box>
            </Box>
          </Flex>
          {plan.sequence.fits ? (
            <LapStrip plan={plan} scale="places" />
          ) : (
            plan.sequence.reasons.map((r) => <p key={message(r, units)}>{message(r, units)}</p>)
          )}
          <Box mt="5">
            <Cycle plan={plan} />
          </Box>
          <Box fontSize="small">{shopName}. Computed from common practice, not measured at this press.</Box>
        </Box>
        <Box mt="6" className="no-print">
          <WhyPanel answer={answer} />
        </Box>
      </Box>
    </DeskProvider>
  )
}

/** On paper nothing is chosen. */
const NOTHING = () => undefined
