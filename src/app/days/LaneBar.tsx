'use client'

import { Box, Flex } from '@chakra-ui/react'
import type { KeyboardEvent, PointerEvent } from 'react'
import type { LaneRun } from '@/core/days'
import type { Moment } from '@/core/schedule'
import { useDesk } from '@/ui/desk'
import { Button } from '@/ui/elements'
import { usePaint } from '@/ui/paint'
import { clockWords, lateWords } from './said'
import { partsOf, type Window } from './scale'

export const LANE_HEIGHT = 52
/** Share of the width that the words of a run take at the most behind its bar. */
export const RUN_WORDS = 0.17

/** Words that have less room than this are left out: a letter and three dots say nothing. */
export const narrow = (room: string) => ({
  containerType: 'inline-size',
  [`@container (max-width: ${room})`]: { '& > *': { visibility: 'hidden' } },
})

const percent = (share: number) => `${(100 * share).toFixed(3)}%`

interface Props {
  readonly run: LaneRun
  /** Its job, with where it is printed where the job has several prints. */
  readonly name: string
  readonly pressName: string
  readonly windows: readonly Window[]
  readonly now: Moment
  /** When the next run of the lane begins its set-up: its words have room until then. */
  readonly until: Moment
  /** It is being put elsewhere. */
  readonly isHeld: boolean
  readonly onKey: (event: KeyboardEvent, run: LaneRun) => void
  readonly onHold: (event: PointerEvent, run: LaneRun) => void
}

/** Set-up hatched, then the print with its cloth and inks: colours of nothing else. */
export function LaneBar({ run, name, pressName, windows, now, until, isHeld, onKey, onHold }: Props) {
  const { ask } = useDesk()
  const { facts } = run
  const setUp = partsOf(windows, run.setUp, run.start)
  const prints = partsOf(windows, run.start, run.end)
  const isLate = run.late > 0
  const done = clockWords(run.end, now)
  // It stands under its day.
  const doneAt = clockWords(run.end, run.start)
  const label = `${name}, ${pressName}, ${clockWords(run.setUp, now)} to ${done}${isLate ? `, ${lateWords(run.late)}` : ''}${run.isPinned ? ', held there' : ''}`
  return (
    <>
      {setUp.map((part) => (
        <Box
          key={`s${part.left}`}
          position="absolute"
          top="4px"
          bottom="4px"
          border="1px solid"
          borderColor="rule"
          borderRight="none"
          style={{
            left: percent(part.left),
            width: percent(part.width),
            background:
              'repeating-linear-gradient(135deg, transparent 0 4px, var(--chakra-colors-rule) 4px 5px)',
          }}
        />
      ))}
      {prints.map((part, i) => (
        <Button
          key={`p${part.left}`}
          type="button"
          tabIndex={i === 0 ? 0 : -1}
          aria-label={i === 0 ? label : `${label}, goes on`}
          data-run={facts.runId}
          data-why={i === 0 ? `Start of ${facts.runId}` : undefined}
          onClick={() => ask({ kind: 'event', label: facts.words, reasons: run.why })}
          onKeyDown={(e) => onKey(e, run)}
          onPointerDown={(e) => onHold(e, run)}
          position="absolute"
          top="4px"
          bottom="4px"
          overflow="hidden"
          bg="raised"
          border="1px solid"
          borderColor={isHeld ? 'ink' : 'ring'}
          borderTopWidth={run.isBegun ? '4px' : '1px'}
          borderTopColor={run.isBegun ? 'ink' : undefined}
          opacity={isHeld ? 0.5 : 1}
          cursor={run.isBegun ? 'help' : 'grab'}
          style={{ left: percent(part.left), width: percent(part.width), minHeight: 0 }}
        >
          <Patch cloth={facts.cloth} inks={facts.inks} />
        </Button>
      ))}
      {prints.map((part, i) => {
        const room = partsOf(windows, run.start, Math.max(run.end, until)).find(
          (r) => r.left <= part.left && r.left + r.width > part.left,
        )
        const free = room ? room.left + room.width - part.left : part.width
        // In the bar, or behind it where more room is and words of a wait leave it.
        const behind = Math.min(free - part.width, RUN_WORDS)
        const isBehind = part.width < RUN_WORDS && behind > part.width
        const width = isBehind ? behind : part.width
        return width < 0.02 ? null : (
          <Box
            key={`w${part.left}`}
            aria-hidden
            position="absolute"
            top="6px"
            overflow="hidden"
            pointerEvents="none"
            pl={isBehind ? '1.5' : '22px'}
            lineHeight="1.2"
            css={narrow('3.5rem')}
            style={{ left: percent(part.left + (isBehind ? part.width : 0)), width: percent(width) }}
          >
            <Box fontWeight="650" truncate>
              {i > 0 && '… '}
              {name}
            </Box>
            <Box fontSize="small" color={isLate ? 'ink' : 'soft'} truncate>
              {isLate && <b>▲ {lateWords(run.late)} · </b>}
              {run.isPinned && 'held there · '}
              {run.isBegun ? 'printing, ' : ''}
              done {doneAt}, {facts.pieces - run.short} pc
            </Box>
          </Box>
        )
      })}
    </>
  )
}

/** The inks of a run on its cloth. */
function Patch({ cloth, inks }: { readonly cloth: string; readonly inks: readonly string[] }) {
  const { background } = usePaint()
  return (
    <Flex
      position="absolute"
      top="0"
      bottom="0"
      left="0"
      width="16px"
      direction="column"
      gap="1px"
      p="2px"
      style={{ background: background(cloth) }}
    >
      {inks.slice(0, 6).map((hex, i) => (
        <Box
          // biome-ignore lint/suspicious/noArrayIndexKey: two screens may be of one ink
          key={i}
          flex="1"
          boxShadow="0 0 0 1px {colors.ring}"
          style={{ background: background(hex) }}
        />
      ))}
    </Flex>
  )
}
