'use client'

import { Box, Flex } from '@chakra-ui/react'
import { onSizes, sidesOf } from '@/core/registration'
import { FactMeasure } from '@/ui/AskNumber'
import { Link } from '@/ui/elements'
import { PalletDrawing } from '@/ui/PalletDrawing'
import { Figure } from '@/ui/parts'
import { Section } from '@/ui/Section'
import { useAsPrinted } from '@/ui/settings'
import { OnSizes } from './placement/OnSizes'
import type { PlanProps } from './planProps'

/** Stage 6: where the print sits on the garment and its pallet, for each group of sizes. */
export function PlacementStage({ plan }: PlanProps) {
  const asPrinted = useAsPrinted()
  const { placement, press } = plan
  const isKnown = onSizes(plan.run.placement, placement).length > 0
  return (
    <Section
      title={isKnown ? 'On every size' : 'On the pallet'}
      side={
        <Flex gap="5" align="baseline" wrap="wrap" justify="flex-end">
          <Box color="soft" fontSize="small">
            pallet of {press.name}{' '}
            <FactMeasure label="Pallet width" kind="length" value={press.palletWidth} rule="STOCK" /> ×{' '}
            <FactMeasure label="Pallet height" kind="length" value={press.palletHeight} rule="STOCK" />
          </Box>
          <Link
            href={`/api/runs/${plan.run.id}/pallet.pdf?${asPrinted}`}
            prefetch={false}
            textDecoration="underline"
          >
            Pallet template (PDF)
          </Link>
        </Flex>
      }
    >
      {isKnown ? (
        <OnSizes plan={plan} />
      ) : (
        <Flex gap="10" align="start" wrap="wrap">
          <PalletDrawing plan={plan} height={430} />
          <Flex direction="column" gap="5">
            {placement.groups.map((g) => (
              <Box key={g.group}>
                <Figure advice={g.down} />
                <Box color="soft" fontSize="small">
                  sizes {g.sizes.join(', ')}
                </Box>
              </Box>
            ))}
            {sidesOf(placement).map((side) => (
              <Figure key={side.key} advice={side} />
            ))}
          </Flex>
        </Flex>
      )}
    </Section>
  )
}
