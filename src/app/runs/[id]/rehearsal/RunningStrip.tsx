import { Box, Flex } from '@chakra-ui/react'
import type { RunPlan } from '@/core/plan'
import type { TrialPlan } from '@/core/rehearsal'
import { Swatch } from '@/ui/Swatch'
import { Unseen } from '@/ui/Unseen'

/** The press unrolled, as it goes on: where the garments stand that are on their way. */
export function RunningStrip({
  plan,
  trial,
  pieces,
}: {
  readonly plan: RunPlan
  readonly trial: TrialPlan
  readonly pieces: number
}) {
  const { cells } = plan.sequence
  // Garments stand a board apart: at an automatic one at each place, by hand one at a time.
  const apart = trial.hand ? cells.length : 1
  return (
    <Flex as="ol" aria-label="The press" listStyleType="none" mb="3" gap="1px" overflowX="auto">
      {cells.map((c, i) => {
        const hit = c.kind === 'print' ? plan.hits.find((h) => h.hit.id === c.hitId) : undefined
        const isHere = pieces > 0 && (i - pieces) % apart === 0
        return (
          <Box
            as="li"
            // biome-ignore lint/suspicious/noArrayIndexKey: a place of the press is its number
            key={i}
            flex="1 0 2.2rem"
            minHeight="2.6rem"
            bg={c.kind === 'print' || c.kind === 'flash' ? 'raised' : 'surround'}
            borderBottom="5px solid"
            borderColor={isHere ? 'ink' : 'rule'}
            fontSize="small"
            textAlign="center"
            pt="1"
          >
            {hit ? (
              <>
                <Swatch hex={hit.hex} />
                <Unseen label={hit.hit.name} />
              </>
            ) : c.kind === 'flash' ? (
              'flash'
            ) : (
              ''
            )}
          </Box>
        )
      })}
    </Flex>
  )
}
