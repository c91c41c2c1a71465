'use client'

import { Box, Flex } from '@chakra-ui/react'
import { Printer } from 'lucide-react'
import type { Reason } from '@/core/advice'
import { isOffPress } from '@/core/order'
import { AdviceChoice } from '@/ui/AdviceValue'
import { Button, Link, PageTitle } from '@/ui/elements'
import { SeverityMark } from '@/ui/Severity'
import { useOrder } from './orderContext'
import { ReleaseStatus } from './Release'
import { Runs } from './Runs'
import { STAGES } from './stages'

interface HeadProps {
  /** What is stored and cannot be. */
  readonly wrong: readonly string[]
  /** The list of what is open in the run: whether it is shown, and to show it or put it away. */
  readonly open: { readonly shown: boolean; readonly toggle: () => void }
}

/** Head of every stage, one row: which stage, which run, on which press, what is open, how far it is. */
export function OrderHead({ wrong, open }: HeadProps) {
  const { stage, plan, state } = useOrder()
  return (
    <Box as="header">
      <Flex align="center" columnGap="5" rowGap="2" wrap="wrap" minHeight="2.8rem">
        <PageTitle>{STAGES[stage].label}</PageTitle>
        <Runs />
        {plan && (
          <>
            <AdviceChoice advice={plan.pressAdvice} />
            <OpenCount warnings={plan.warnings} open={open} />
            <Flex ml="auto" gap="5" align="center" wrap="wrap">
              <ReleaseStatus printed={isOffPress(state)} />
              <Link
                href={`/runs/${plan.run.id}/sheet`}
                prefetch={false}
                display="inline-flex"
                alignItems="center"
                gap="2"
                fontWeight="650"
                textDecoration="underline"
              >
                <Printer size={16} aria-hidden="true" /> Set-up sheet
              </Link>
            </Flex>
          </>
        )}
      </Flex>
      {wrong.map((w) => (
        <Box key={w} role="alert" mt="2">
          <SeverityMark severity="Stop" /> {w}
        </Box>
      ))}
    </Box>
  )
}

/** What is open in the run, worst first, and the way to read it. */
function OpenCount({
  warnings,
  open,
}: {
  readonly warnings: readonly Reason[]
  readonly open: HeadProps['open']
}) {
  const counts = (['Stop', 'Watch', 'Note'] as const)
    .map((severity) => ({ severity, n: warnings.filter((w) => w.severity === severity).length }))
    .filter(
      ({ severity, n }, _, all) =>
        n > 0 && (severity !== 'Note' || all.every((c) => c.severity === 'Note' || c.n === 0)),
    )
  if (counts.length === 0) return null
  return (
    <Button
      type="button"
      onClick={open.toggle}
      aria-expanded={open.shown}
      aria-label={`Open in this run: ${counts.map(({ severity, n }) => `${n} ${severity}`).join(', ')}`}
      display="inline-flex"
      gap="3"
      px="2"
      py="1"
      cursor="pointer"
      bg={open.shown ? 'raised' : 'transparent'}
      border="1px solid"
      borderColor="rule"
    >
      {counts.map(({ severity, n }) => (
        <Flex as="span" key={severity} gap="1.5" align="baseline">
          <SeverityMark severity={severity} /> {n}
        </Flex>
      ))}
    </Button>
  )
}
