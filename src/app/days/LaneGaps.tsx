import { Box, Flex } from '@chakra-ui/react'
import type { LaneRun } from '@/core/days'
import type { Moment } from '@/core/schedule'
import { narrow, RUN_WORDS } from './LaneBar'
import { partsOf, type Window } from './scale'

const WORDS: Readonly<Partial<Record<LaneRun['waits'], string>>> = {
  screens: 'waits for screens',
  garments: 'waits for garments',
  'the print before': 'waits for the print before',
  crew: 'waits for people',
  pallets: 'waits for shared pallets',
  belt: 'waits for the dryer',
  temperature: 'waits for the dryer’s heat',
  'the lead': 'held back by the lead',
  hours: 'shift too short',
  ink: 'waits for ink',
}

/** Share of the width that the words of a wait take. */
const GAP_WORDS = 0.07

/** What a press waits for where it stands idle before a run. */
export function Gaps({
  runs,
  windows,
  now,
}: {
  readonly runs: readonly LaneRun[]
  readonly windows: readonly Window[]
  readonly now: Moment
}) {
  return runs.map((run, i) => {
    const before = runs[i - 1]
    const says = WORDS[run.waits]
    if (!says || run.isBegun) return null
    const free = Math.max(now, before?.end ?? now)
    // What it waits for last holds it only from when its screens are there.
    const ready = Math.min(run.setUp, Math.max(free, run.screens?.ready ?? free))
    const gaps = [
      ...partsOf(windows, free, ready).map((part) => ({ part, from: free, says: WORDS.screens })),
      ...partsOf(windows, ready, run.setUp).map((part) => ({ part, from: ready, says })),
    ]
    return gaps.map(({ part, from, says }) => {
      // The words of the run before run on into the gap behind it.
      const room = part.width - (before && part.isFirst && from === free ? RUN_WORDS : 0)
      return room < GAP_WORDS ? null : (
        <Flex
          key={`${run.facts.runId} ${part.left}`}
          position="absolute"
          top="0"
          bottom="0"
          align="center"
          justify="flex-end"
          textAlign="right"
          px="1.5"
          color="soft"
          fontSize="small"
          lineHeight="1.1"
          title={says}
          overflow="hidden"
          css={narrow('3.6rem')}
          style={{ left: `${100 * (part.left + part.width - room)}%`, width: `${100 * room}%` }}
        >
          <Box lineClamp={2}>{says}</Box>
        </Flex>
      )
    })
  })
}

/** A press that stands still. */
export function Stands({
  windows,
  from,
  to,
}: {
  readonly windows: readonly Window[]
  readonly from: Moment
  readonly to: Moment
}) {
  return partsOf(windows, from, to).map((part) => (
    <Flex
      key={part.left}
      position="absolute"
      top="0"
      bottom="0"
      bg="rail"
      align="center"
      px="2"
      fontWeight="650"
      style={{ left: `${100 * part.left}%`, width: `${100 * part.width}%` }}
    >
      down
    </Flex>
  ))
}
