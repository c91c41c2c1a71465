import { Box, Flex } from '@chakra-ui/react'
import type { LaneRun, Lanes } from '@/core/days'
import { AskNumber } from '@/ui/AskNumber'
import { TextButton } from '@/ui/Section'
import { SeverityMark } from '@/ui/Severity'
import { clockWords, lateWords } from './said'

const SHOWN = 5

/** Orders that the days have late, the latest first: why, and what can be done. */
export function LateOrders({
  lanes,
  onRescue,
}: {
  readonly lanes: Lanes
  readonly onRescue: (orderId: string) => void
}) {
  const worst = new Map<string, LaneRun>()
  for (const run of lanes.runs)
    if (run.late > (worst.get(run.facts.orderId)?.late ?? 0)) worst.set(run.facts.orderId, run)
  const late = [...worst.values()].sort((a, b) => b.late - a.late)
  return (
    <>
      {late.slice(0, SHOWN).map((run) => (
        <Flex key={run.facts.orderId} gap="2" align="baseline" mt="1.5" wrap="wrap">
          <SeverityMark severity="Watch" />
          <Box>
            <b>{run.facts.words}</b>{' '}
            <AskNumber label={`Why ${run.facts.orderId} is late`} reasons={run.why}>
              {lateWords(run.late)}
            </AskNumber>
            , done {clockWords(run.done, lanes.now)}
          </Box>
          <TextButton
            onClick={() => onRescue(run.facts.orderId)}
            aria-label={`Ways to have ${run.facts.orderId} earlier`}
          >
            What can be done
          </TextButton>
        </Flex>
      ))}
      {late.length > SHOWN && <Box color="soft">and {late.length - SHOWN} more late</Box>}
    </>
  )
}
