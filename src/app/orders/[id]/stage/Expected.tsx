'use client'

import { Box, Flex } from '@chakra-ui/react'
import { type KnownHead, lockingOn, readingSpread, registrationBudget, trapBudget } from '@/core/registration'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { Told } from '@/ui/Told'
import type { PlanProps } from './planProps'

/** What registration to expect on this press, with what is learnt of its heads, and what the choke of the base makes of it. */
export function Expected({ plan, heads }: PlanProps & { readonly heads: readonly KnownHead[] }) {
  const { width, height, choke } = plan.run.placement
  const screens = plan.hits.filter((h) => !h.sameScreenAs)
  if (screens.length < 2) return null
  const used = screens.flatMap((h) => h.head ?? [])
  const own = heads.filter((h) => h.pressId === plan.press.id)
  const locking = lockingOn(own, used, readingSpread(width, height))
  const known = locking ? { locking } : {}
  const budget = registrationBudget(width, height, known)
  const based = plan.hits.some((h) => h.hit.role === 'base')
  const trap = based && choke !== undefined ? trapBudget(width, height, choke, known) : undefined
  return (
    <Section title="Registration to expect">
      <Flex columnGap="8" rowGap="2" wrap="wrap" align="end">
        <Headline label="nearly all within, on the printed base">
          <AskNumber label="Registration on the printed base" reasons={budget.reasons}>
            <Measure kind="fine" value={budget.direct} />
          </AskNumber>
        </Headline>
        <Headline label="film on film">
          <AskNumber label="Registration film on film" reasons={budget.reasons}>
            <Measure kind="fine" value={budget.miss} />
          </AskNumber>
        </Headline>
        {trap && (
          <Headline label="base shows on, at the worst corner">
            <AskNumber label="Pieces that show base" reasons={trap.reasons}>
              <Measure kind="share" value={trap.shows} />
            </AskNumber>
          </Headline>
        )}
        {trap && trap.verdict !== 'holds' && (
          <Headline label="set-ups that hold at once">
            <AskNumber label="Set-ups that hold" reasons={trap.reasons}>
              <Measure kind="share" value={trap.holds} />
            </AskNumber>
          </Headline>
        )}
      </Flex>
      {trap && <Told reasons={trap.reasons} />}
      {based && choke === undefined && (
        <Box color="soft" fontSize="small" mt="2">
          How far the base is drawn in is read off its films at Art; with that it is told here whether it
          holds.
        </Box>
      )}
      {!locking && (
        <Box color="soft" fontSize="small" mt="2">
          Assumed; note at Register how its heads move when they are locked, and this counts with that.
        </Box>
      )}
    </Section>
  )
}
