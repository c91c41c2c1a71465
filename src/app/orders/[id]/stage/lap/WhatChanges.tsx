import { Box, Flex } from '@chakra-ui/react'
import { planChanges, type RunPlan } from '@/core/plan'
import { Differences } from '@/ui/Differences'
import { TextButton } from '@/ui/Section'

/** What was changed, and the plan before it. */
export interface Changed {
  readonly what: string
  readonly plan: RunPlan
}

/** What differs since something was changed from the order's desk, as soon as the run is planned anew. */
export function WhatChanges({
  since,
  plan,
  onClose,
}: {
  readonly since: Changed | undefined
  readonly plan: RunPlan
  readonly onClose: () => void
}) {
  if (!since || since.plan === plan) return null
  const changes = planChanges(since.plan, plan)
  return (
    <Box mt="3" role="status" aria-label="What changes">
      <Flex gap="3" align="baseline">
        <b>
          {since.what}
          {changes.length === 0 ? ': nothing else changes.' : ': what changes'}
        </b>
        <TextButton onClick={onClose}>close</TextButton>
      </Flex>
      {changes.length > 0 && <Differences changes={changes} />}
    </Box>
  )
}
