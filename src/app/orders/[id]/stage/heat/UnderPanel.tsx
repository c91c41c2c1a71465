'use client'

import { Box, Flex } from '@chakra-ui/react'
import { AskNumber } from '@/ui/AskNumber'
import { Measure } from '@/ui/Measure'
import { Headline } from '@/ui/parts'
import { Told } from '@/ui/Told'
import { useOrder } from '../../orderContext'
import { usePanelCure } from '../../usePlan'
import type { PlanProps } from '../planProps'

/** A print that is cured under the flash panel of its press. */
export function UnderPanel({ plan }: PlanProps) {
  const { shelf } = useOrder()
  const cure = usePanelCure(plan, shelf.shop.flashes)
  if (!cure) return null
  const first = cure.reasons.slice(0, 1)
  return (
    <Box mt="4">
      <Flex columnGap="7" rowGap="2" align="end" wrap="wrap" mb="2">
        {cure.time !== undefined && (
          <Headline label="Corners cured after">
            <AskNumber label="Cured under the panel" reasons={first}>
              <Measure kind="duration" value={cure.time} />
            </AskNumber>
          </Headline>
        )}
        {cure.film !== undefined && (
          <Headline label="Middle then at">
            <AskNumber label="Middle under the panel" reasons={first}>
              <Measure kind="temperature" value={cure.film} />
            </AskNumber>
          </Headline>
        )}
      </Flex>
      <Told reasons={cure.time === undefined ? cure.reasons : cure.reasons.slice(1)} />
    </Box>
  )
}
