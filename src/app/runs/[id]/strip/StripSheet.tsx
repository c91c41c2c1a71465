'use client'

import { Box, Flex } from '@chakra-ui/react'
import { css, Global } from '@emotion/react'
import { useMemo, useState } from 'react'
import { tell } from '@/core/advice'
import type { SheetFacts } from '@/formats/sheet'
import { type Asked, type Desk, DeskProvider } from '@/ui/desk'
import { Link } from '@/ui/elements'
import { LapStrip } from '@/ui/lap/LapStrip'
import { TextButton } from '@/ui/Section'
import { useSettings } from '@/ui/settings'
import { WhyPanel } from '@/ui/WhyPanel'
import { Dance } from '../../../orders/[id]/stage/lap/Dance'

/** Black on white whatever the screen shows. */
const PAPER = css`
  @page { size: landscape; margin: 9mm; }
  @media print {
    body { background: #fff !important; }
    html { --chakra-colors-work: #fff !important; --chakra-colors-ink: #000 !important;
      --chakra-colors-soft: #333 !important; --chakra-colors-rule: #888 !important; }
  }
`

interface Props {
  readonly facts: SheetFacts
  readonly standing: string
}

/** The lap strip to pin up at the press, across the page, with the dance card under it. */
export function StripSheet({ facts: { order, plan, shopName }, standing }: Props) {
  const { units } = useSettings()
  const [asked, setAsked] = useState<Asked>()
  const desk = useMemo((): Desk => ({ ask: setAsked, override: NOTHING, takeBack: NOTHING }), [])
  return (
    <DeskProvider value={desk}>
      <Box bg="work" color="ink" minHeight="100vh" p={{ base: '4', _print: '0' }}>
        <Global styles={PAPER} />
        <Flex as="nav" aria-label="Strip" gap="4" mb="4" css={OFF_PAPER}>
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
            plan.sequence.reasons.map((r) => <p key={tell(r, units)}>{tell(r, units)}</p>)
          )}
          <Box mt="5">
            <Dance plan={plan} />
          </Box>
          <Box fontSize="small">{shopName}. Computed from common practice, not measured at this press.</Box>
        </Box>
        <Box mt="6" css={OFF_PAPER}>
          {asked && <WhyPanel asked={asked} warnings={plan.warnings} />}
        </Box>
      </Box>
    </DeskProvider>
  )
}

const OFF_PAPER = { '@media print': { display: 'none' } } as const
/** On paper nothing is chosen. */
const NOTHING = () => undefined
