'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { Lanes } from '@/core/days'
import type { Press } from '@/core/equipment'
import { AskNumber } from '@/ui/AskNumber'
import { Swatch } from '@/ui/Swatch'
import { clockWords, lateWords } from './said'

const SHOWN = 4

/** What comes next on every press, for a narrow screen. */
export function RunList({ lanes, presses }: { readonly lanes: Lanes; readonly presses: readonly Press[] }) {
  return presses.map((press) => {
    const runs = lanes.runs.filter((r) => r.pressId === press.id)
    return (
      <Box key={press.id} borderTop="1px solid" borderColor="rule" py="1.5">
        <Box fontWeight="650">{press.name}</Box>
        {runs.length === 0 && <Box color="soft">nothing planned</Box>}
        {runs.slice(0, SHOWN).map((run) => (
          <Flex key={run.facts.runId} gap="2" align="baseline">
            <Box flex="none" fontWeight="650" whiteSpace="nowrap">
              <AskNumber label={`Begin of ${run.facts.words}`} reasons={run.why}>
                {run.isBegun ? 'now' : clockWords(run.setUp, lanes.now)}
              </AskNumber>
            </Box>
            <Swatch hex={run.facts.cloth} size={12} />
            <Box minWidth="0" truncate>
              {run.facts.words}, {run.facts.pieces}
            </Box>
            {run.late > 0 && (
              <Box ml="auto" whiteSpace="nowrap" fontWeight="650">
                ▲ {lateWords(run.late)}
              </Box>
            )}
          </Flex>
        ))}
        {runs.length > SHOWN && <Box color="soft">and {runs.length - SHOWN} more</Box>}
      </Box>
    )
  })
}
