'use client'

import { Box, Flex } from '@chakra-ui/react'
import { numberOf } from '@/core/advice'
import {
  type KnownHead,
  lockingOn,
  readingSpread,
  registrationBudget,
  stretchSaid,
  trapBudget,
} from '@/core/registration'
import { FRAME_WALL } from '@/core/screen'
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
  const frame = screens.find((h) => h.frame)?.frame
  const stretch =
    frame &&
    stretchSaid({
      length: frame.height - 2 * FRAME_WALL,
      width: frame.width - 2 * FRAME_WALL,
      blade: numberOf(plan.squeegeeLength),
      gap: numberOf(plan.offContact),
      print: { width, height },
    })
  return (
    <Section title="Registration to expect">
      <Flex columnGap="8" rowGap="2" wrap="wrap" align="end">
        <Headline label="nearly all within, registered on the print">
          <AskNumber label="Registration on the printed base" reasons={budget.reasons}>
            <Measure kind="fine" value={budget.direct} />
          </AskNumber>
        </Headline>
        <Headline label="registered on the film">
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
        {stretch && (
          <Headline label="a head hung a millimetre higher misses by">
            <AskNumber label="A head that hangs higher" reasons={stretch.reasons}>
              <Measure kind="fine" value={stretch.adds} />
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
