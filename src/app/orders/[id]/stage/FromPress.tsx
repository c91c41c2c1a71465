import { Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { headsOf, headTurned } from '@/core/equipment'
import type { RunPlan } from '@/core/plan'
import { Link } from '@/ui/elements'
import { PushButton } from '@/ui/PushButton'
import { Section } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { useOrder } from '../orderContext'
import { type Changed, WhatChanges } from './lap/WhatChanges'

interface Found {
  readonly set: number
  /** Heads that the crew said are out of service. */
  readonly down: readonly number[]
}

/** What the crew set otherwise, and what went out of service: the lead takes it into the plan, or leaves it. */
export function FromPress({ runId, set, down }: Found & { readonly runId: string }) {
  const { plan } = useOrder()
  if (set === 0 && down.length === 0) return null
  return (
    <Section title="From the press">
      {set > 0 && (
        <Box>
          Set otherwise than planned: {set === 1 ? 'one setting' : `${set} settings`}.{' '}
          <Link href={`/runs/${runId}/record`} textDecoration="underline">
            Look, and take into the plan
          </Link>
        </Box>
      )}
      {down.length > 0 && plan && <HeadsDown down={down} plan={plan} />}
    </Section>
  )
}

/** Heads that failed during the run: the rest is planned without them in one tap, and what changes is told. */
function HeadsDown({ down, plan }: { readonly down: Found['down']; readonly plan: RunPlan }) {
  const { changeShop } = useOrder()
  const [changed, setChanged] = useState<Changed>()
  const [problem, setProblem] = useState('')
  const { press } = plan
  const still = headsOf(press).filter((h) => h.works && down.includes(h.number))
  const without = `without ${down.length === 1 ? 'head' : 'heads'} ${still.map((h) => h.number).join(', ')}`
  const planWithout = async () => {
    setChanged({ what: `Planned ${without}`, plan })
    setProblem(
      await changeShop((shop) => ({
        ...shop,
        presses: shop.presses.map((p) =>
          p.id === press.id ? still.reduce((of, h) => headTurned(of, h.number), p) : p,
        ),
      })),
    )
  }
  return (
    <Box>
      <Flex gap="3" align="center" wrap="wrap" py="1">
        <span>Out of service at the press: head {down.join(', ')}.</span>
        {still.length > 0 ? (
          <PushButton onClick={() => void planWithout()}>Plan the rest {without}</PushButton>
        ) : (
          <span>The plan is without it: release it, and the press side says that a newer one came.</span>
        )}
      </Flex>
      {problem && (
        <Box role="alert">
          <SeverityMark severity="Stop" /> {problem}
        </Box>
      )}
      <WhatChanges since={changed} plan={plan} onClose={() => setChanged(undefined)} />
    </Box>
  )
}
