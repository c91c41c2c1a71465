'use client'

import { Box, Flex } from '@chakra-ui/react'
import { FactMeasure } from '@/ui/AskNumber'
import { Link } from '@/ui/elements'
import { PalletDrawing } from '@/ui/PalletDrawing'
import { Figure } from '@/ui/parts'
import { Section } from '@/ui/Section'
import type { PlanProps } from './planProps'

/** Stage 6: where the print sits on the pallet, for each group of sizes. */
export function PlacementStage({ plan }: PlanProps) {
  const { placement, press } = plan
  return (
    <Section
      title="On the pallet"
      side={
        <Link href={`/api/runs/${plan.run.id}/pallet.pdf`} prefetch={false} textDecoration="underline">
          Pallet template (PDF)
        </Link>
      }
    >
      <Flex gap="10" align="start">
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
          {placement.side && <Figure advice={placement.side} />}
          <Box>
            <Box fontSize="small" color="soft">
              Pallet of {press.name}
            </Box>
            <Box fontSize="lead" fontWeight="600">
              <FactMeasure label="Pallet width" kind="length" value={press.palletWidth} rule="STOCK" /> ×{' '}
              <FactMeasure label="Pallet height" kind="length" value={press.palletHeight} rule="STOCK" />
            </Box>
          </Box>
        </Flex>
      </Flex>
    </Section>
  )
}
